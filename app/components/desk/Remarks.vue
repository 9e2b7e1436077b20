<script setup lang="ts">
import type { Remark } from '~~/core/script/remark'
import { listedRemarks } from '~/desk/remarks'
import { deskRemarks as texts } from '~/texts/en'

defineProps<{ isEmpty: boolean }>()
const emit = defineEmits<{ fix: [remark: Remark, replacement: string]; show: [line: number] }>()
const desk = useDeskReadingStore()
const remarks = computedAlike(() => listedRemarks(desk.reading.remarks))
/** What is certain is one quiet line that opens; what is asked, wrong or left over always stands. */
const isCertain = (remark: Remark) => remark.level === 'note' && remark.code !== 'left-over'
const certain = computed(() => remarks.value.filter(({ remark }) => isCertain(remark)))
const doubtful = computed(() => remarks.value.filter(({ remark }) => !isCertain(remark)))
const isOpen = ref(false)
/** What the key would do now, at hand without opening. */
const keyed = computed(() => (isOpen.value ? undefined : certain.value.find(({ isKeyed }) => isKeyed)?.remark))
const summary = computed(() => {
  const count = certain.value.length
  return texts.noted(doubtful.value.length === 0 ? texts.nothingToAsk : '', count === 1 ? texts.oneReading : texts.readings(count))
})
</script>

<template>
  <section :aria-label="texts.remarks">
    <div class="headed next">
      <h2>{{ texts.remarks }}</h2>
      <AfterRoom><LazyExplained term="remark" /></AfterRoom>
    </div>
    <AfterRoom><LazyWordsLesson /></AfterRoom>
    <p v-if="remarks.length === 0" class="faint">
      {{ isEmpty ? texts.whatIsDoubtfulOr : texts.noneItReadsAs }}
    </p>
    <DeskRemarkLine
      v-for="{ remark, isKeyed } in doubtful"
      :key="`${remark.line}.${remark.column}.${remark.code}`"
      :remark="remark"
      :is-keyed="isKeyed"
      @fix="replacement => emit('fix', remark, replacement)"
      @show="emit('show', remark.line)" />
    <p v-if="certain.length > 0" class="quiet">
      <el-button link :aria-expanded="isOpen" data-test="noted" @click="isOpen = !isOpen">{{ summary }} {{ isOpen ? '⌃' : '⌄' }}</el-button>
      <template v-if="keyed">
        {{ ' '
        }}<el-button link type="primary" @click="emit('fix', keyed, keyed.fixes[0]!.replacement)">{{ keyed.fixes[0]!.label }}</el-button>
        <kbd>{{ texts.alt }}</kbd>
      </template>
    </p>
    <template v-if="isOpen">
      <DeskRemarkLine
        v-for="{ remark, isKeyed } in certain"
        :key="`${remark.line}.${remark.column}.${remark.code}`"
        :remark="remark"
        :is-keyed="isKeyed"
        @fix="replacement => emit('fix', remark, replacement)"
        @show="emit('show', remark.line)" />
    </template>
  </section>
</template>

<style scoped>
.quiet {
  margin: 4px 0;
}
</style>
