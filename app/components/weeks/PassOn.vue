<script setup lang="ts">
import type { WeekSize } from '~~/core/card/week-card'
import { weekCard, weekSizes } from '~~/core/card/week-card'
import { cardSvg } from '~~/core/card/svg'
import { daysFrom, daysOfWeek, weekdayOf } from '~~/core/quantity/day'
import { sayToTheMinute } from '~~/core/quantity/time'
import { sayWeekday } from '~~/core/words/date'
import type { PlanRow } from '~~/shared/plan'
import { saveFile } from '~/card/save'
import { weeksPassOn as texts } from '~/texts/en'

/** The week on paper, for a wall or the door of a fridge, and as a text that another Agonis reads. */
const props = defineProps<{ week: string; entries: readonly PlanRow[] }>()
const dates = useDates()
const isOpen = ref(false)
const size = ref<WeekSize>('page')
const sizes: Record<WeekSize, string> = { page: texts.pageA4, strip: texts.stripForTheFridge }
const withNotes = ref(true)
const { problem, isBusy, guarded } = useGuarded()
const { copy, copied } = useClipboard({ legacy: true })

function lineOf({ kind, title, seconds, minutes: length, burden }: PlanRow): string {
  if (kind === 'rest' || kind === 'blocked') return title || (kind === 'rest' ? texts.rest : texts.notAvailable)
  const facts = [
    kind === 'work' ? (length === null ? '' : sayToTheMinute(length * 60)) : seconds === null ? '' : sayToTheMinute(seconds),
    kind === 'session' ? (burden?.level ?? '') : '',
  ]
  return [title, ...facts].filter(Boolean).join(' · ')
}
const days = computed(() =>
  daysOfWeek(props.week).map(iso => ({
    name: `${sayWeekday(weekdayOf(iso))} ${dates.day(iso, {})}`,
    lines: props.entries.filter(({ day, kind }) => day === iso && (withNotes.value || kind !== 'note')).map(lineOf),
  })),
)
const card = computed(() => {
  const seconds = props.entries.reduce((sum, row) => sum + (row.kind === 'session' ? (row.seconds ?? 0) : 0), 0)
  const title = texts.weekOf(dates.day(props.week, { year: true }))
  return weekCard(
    { title, summary: seconds === 0 ? texts.nothingIsPlanned : texts.ofTraining(sayToTheMinute(seconds)), days: days.value },
    size.value,
  )
})
const pages = computed(() => card.value.pages.map((_, page) => cardSvg(card.value, page)))
const pdf = async () => (await import('~/card/pdf')).pdfOf(card.value)
const save = () => guarded(async () => saveFile(`week-${props.week}.pdf`, await pdf(), 'application/pdf'))
const print = () =>
  guarded(async () => {
    const url = URL.createObjectURL(new Blob([(await pdf()) as BlobPart], { type: 'application/pdf' }))
    window.open(url, '_blank', 'noopener')
  })
const copyText = () =>
  guarded(async () => {
    const { text } = await api<{ text: string }>(`/plan/text?from=${props.week}&to=${daysFrom(props.week, 6)}`)
    await copy(text)
  })
</script>

<template>
  <WeeksPanel v-model="isOpen" :label="texts.passOn" name="pass-on">
    <ProblemAlert :problem="problem" />
    <p>
      <el-radio-group v-model="size" class="across" :aria-label="texts.paper">
        <el-radio v-for="(words, key) in sizes" :key="key" :value="key">{{ words }}</el-radio>
      </el-radio-group>
      <el-checkbox v-model="withNotes">{{ texts.withNotes }}</el-checkbox>
      <el-button :disabled="isBusy" data-test="week-pdf" @click="save">{{ texts.saveAsPdf }}</el-button>
      <el-button :disabled="isBusy" @click="print">{{ texts.openToPrint }}</el-button>
    </p>
    <p>
      <el-button :disabled="isBusy" data-test="week-text-copy" @click="copyText">{{ copied ? texts.copied : texts.copyAsText }}</el-button>
      <span class="faint">{{ texts.eachDayWithIts }}</span>
    </p>
    <div class="papers">
      <Paper
        v-for="(page, index) in pages"
        :key="index"
        :svg="page"
        :label="texts.pieceOf(index + 1, pages.length)"
        :style="{ width: `${weekSizes[size].width * 1.6}px` }" />
    </div>
  </WeeksPanel>
</template>

<style scoped>
.papers {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  margin: 8px 0;
}
.papers > * {
  background: #fff;
  color: #000;
  border: 1px solid var(--rule);
  max-width: 100%;
}
</style>
