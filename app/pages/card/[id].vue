<script setup lang="ts">
import type { CardSize } from '~~/core/card/card'
import { cardSizes } from '~~/core/card/card'
import { fitsCode, sessionCard } from '~~/core/card/session-card'
import { cardSvg } from '~~/core/card/svg'
import { slugOf } from '~~/core/quantity/slug'
import { titleOf } from '~~/core/script/title'
import type { KeptSession } from '~~/shared/api'
import { saveFile } from '~/card/save'
import { cardIdPage as texts } from '~/texts/en'

const route = useRoute()
const athletes = useAthleteStore()
const kept = shallowRef<KeptSession | null>(null)
const size = ref<CardSize>('arm-band')
const withCode = ref(false)
const { problem, isBusy, guarded } = useGuarded()
const names: Record<CardSize, string> = { 'arm-band': texts.armBand60180, 'index-card': texts.indexCard12776, 'a4': 'Sheet, A4' }
const sizes = Object.keys(cardSizes) as CardSize[]

onMounted(() =>
  guarded(async () => {
    if (!athletes.isLoaded) await athletes.load()
    kept.value = await api<KeptSession>(`/sessions/${route.params.id as string}`)
  }),
)
useHead({ title: computed(() => (kept.value ? texts.onPaperAgonis(titleOf(kept.value.document)) : texts.onPaperAgonis2)) })

const hasCode = computed(() => kept.value !== null && fitsCode(kept.value.document))
const card = computed(
  () =>
    kept.value && sessionCard(kept.value.document, athletes.standpoint, { size: size.value, withCode: withCode.value && hasCode.value }),
)
const pages = computed(() => (card.value ? card.value.pages.map((_, page) => cardSvg(card.value!, page)) : []))
const fileName = computed(() => `${slugOf(kept.value?.title ?? '', 60) || 'session'}-${size.value}`)

const saveSvg = () =>
  guarded(async () => {
    const { ownLetters } = await import('~/card/pdf')
    const letters = await ownLetters()
    const { pages: all } = card.value!
    for (const page of all.keys())
      saveFile(`${fileName.value}${all.length > 1 ? `-${page + 1}` : ''}.svg`, cardSvg(card.value!, page, letters), 'image/svg+xml')
  })
const savePdf = () =>
  guarded(async () => {
    const { pdfOf } = await import('~/card/pdf')
    saveFile(`${fileName.value}.pdf`, await pdfOf(card.value!), 'application/pdf')
  })
const print = () =>
  guarded(async () => {
    const { pdfOf } = await import('~/card/pdf')
    const url = URL.createObjectURL(new Blob([(await pdfOf(card.value!)) as BlobPart], { type: 'application/pdf' }))
    window.open(url, '_blank', 'noopener')
  })
</script>

<template>
  <div class="page">
    <div class="top">
      <h1>{{ kept ? kept.title : texts.onPaper }}</h1>
      <NuxtLink v-if="kept" :to="`/desk/${kept.id}`">{{ texts.backToTheDesk }}</NuxtLink>
    </div>
    <p v-if="problem" class="said error" role="alert">
      {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
    </p>
    <Waiting v-if="!card && !problem" :words="texts.layingItOut" :rows="8" />
    <template v-if="card">
      <div class="choices">
        <el-radio-group v-model="size" class="across" :aria-label="texts.paper">
          <el-radio v-for="name in sizes" :key="name" :value="name">{{ names[name] }}</el-radio>
        </el-radio-group>
        <el-checkbox v-model="withCode" :disabled="!hasCode" data-test="code">{{ texts.withACodeOf }}</el-checkbox>
        <span v-if="!hasCode" class="faint">{{ texts.theScriptIsToo }}</span>
        <el-button type="primary" :disabled="isBusy" data-test="pdf" @click="savePdf">{{ texts.saveAsPdf }}</el-button>
        <el-button data-test="svg" @click="saveSvg">{{ texts.saveAsSvg }}</el-button>
        <el-button :disabled="isBusy" @click="print">{{ texts.openToPrint }}</el-button>
        <span class="faint">{{ texts.atItsRealSize(card.pages.length, card.pages.length === 1 ? texts.piece : texts.pieces) }}</span>
      </div>
      <div class="papers">
        <Paper
          v-for="(page, index) in pages"
          :key="index"
          :svg="page"
          :label="texts.pieceOf(kept!.title, names[size], index + 1, pages.length)"
          :class="size" />
      </div>
    </template>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  gap: 18px;
  align-items: baseline;
  flex-wrap: wrap;
  margin-bottom: 12px;
}
.top h1 {
  overflow-wrap: anywhere;
}
.choices {
  display: flex;
  gap: 10px 16px;
  align-items: center;
  flex-wrap: wrap;
  border-top: 2px solid var(--slip);
  border-bottom: 1px solid var(--rule);
  padding: 10px 0;
}
.across {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
}
.papers {
  display: flex;
  flex-wrap: wrap;
  gap: 22px;
  padding: 22px 0;
  align-items: flex-start;
}
.paper {
  background: #fff;
  border: 1px solid var(--slip);
  max-width: 100%;
}
.arm-band {
  width: 60mm;
}
.index-card {
  width: 127mm;
}
.a4 {
  width: 150mm;
}
</style>
