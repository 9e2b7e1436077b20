<script setup lang="ts">
import type { Edit } from '~~/core/edit/edit'
import { itemAt } from '~~/core/session/item-path'
import { printEnd, printRepeat } from '~~/core/script/print'
import { printTarget } from '~~/core/script/print-target'
import { isBandTarget } from '~~/core/session/document'
import { harderCopy } from '~/desk/row-keys'
import { deskRowPanel as texts } from '~/texts/en'

const props = defineProps<{ path: string | null; refused: string }>()
const emit = defineEmits<{ edit: [edit: Edit]; leave: [] }>()
const desk = useDeskReadingStore()
const session = useBehind(
  () => desk.session,
  () => props.path,
)
const lengthField = useTemplateRef<{ focus: () => void; select: () => void }>('lengthField')

const item = computed(() => (session.value && props.path ? itemAt(session.value, props.path) : null))
const length = computed(() =>
  item.value?.kind === 'step' ? printEnd(item.value.end) : item.value?.kind === 'block' ? printRepeat(item.value.repeat) : '',
)
const target = computed(() => {
  if (item.value?.kind !== 'step' || !item.value.target) return ''
  const isOwnTime = isBandTarget(item.value.target) && item.value.target.unit === 's/step'
  return (
    `${isOwnTime ? 'in ' : ''}${printTarget(item.value.target, isOwnTime)}` +
    `${item.value.also ? texts.and(printTarget(item.value.also)) : ''}`
  )
})
const typedLength = ref('')
const typedTarget = ref('')
const shift = ref('+3 %')
watch(
  () => [props.path, length.value, target.value],
  () => {
    typedLength.value = length.value
    typedTarget.value = target.value
  },
  { immediate: true },
)

function commit(what: 'end' | 'target') {
  if (!props.path) return
  const [typed, was] = what === 'end' ? [typedLength.value, length.value] : [typedTarget.value, target.value]
  if (typed.trim() !== was) emit('edit', { do: what, at: props.path, words: typed })
}

function commitAndLeave(what: 'end' | 'target') {
  commit(what)
  emit('leave')
}

function copyShifted() {
  const match = /^\s*([+\-\u2212])?\s*(\d+(?:[.,]\d+)?)\s*(%|s\/km|s\/mi|s\/100m|W|bpm)\s*$/.exec(shift.value)
  if (!match || !props.path || !session.value) return
  const by = Number(match[2]!.replace(',', '.')) * (match[1] === '-' || match[1] === '\u2212' ? -1 : 1)
  const unit = match[3] as '%'
  emit('edit', harderCopy(session.value, props.path, { by: unit.startsWith('s/') ? -by : by, unit }))
}

defineExpose({
  focus: () => {
    lengthField.value?.focus()
    lengthField.value?.select()
  },
})
</script>

<template>
  <section class="row-panel" :aria-label="texts.thisRow">
    <template v-if="session && path && item && item.kind !== 'unread'">
      <label v-if="item.kind !== 'leg'"
        >{{ item.kind === 'block' ? texts.repeat : texts.length }}
        <el-input
          ref="lengthField"
          v-model="typedLength"
          size="small"
          class="mono"
          data-test="row-length"
          @keydown.enter.prevent="commitAndLeave('end')"
          @keydown.esc="emit('leave')"
          @blur="commit('end')" />
      </label>
      <label v-if="item.kind === 'step'"
        >{{ texts.target }}
        <el-input
          v-model="typedTarget"
          size="small"
          class="mono wide"
          :placeholder="texts.none"
          data-test="row-target"
          @keydown.enter.prevent="commitAndLeave('target')"
          @keydown.esc="emit('leave')"
          @blur="commit('target')" />
      </label>
      <label class="shift"
        >{{ texts.copyAt }}
        <el-input v-model="shift" size="small" class="mono" list="shifts" data-test="row-shift" @keydown.enter="copyShifted" /><el-button
          link
          class="tool"
          @click="copyShifted"
          >{{ texts.makeIt }}</el-button
        ></label
      >
      <datalist id="shifts">
        <option value="+3 %" />
        <option value="-3 %" />
        <option value="-5 s/km" />
        <option value="+5 s/km" />
        <option value="+10 W" />
      </datalist>
      <span v-if="refused" class="bad" role="alert" data-test="refused">{{ refused }}</span>
    </template>
    <span v-else-if="item" class="faint">{{ texts.thisRowIsNot }}</span>
    <span v-else class="faint">{{ texts.putTheCaretIn }}</span>
  </section>
</template>

<style scoped>
.row-panel {
  contain: content;
  border-top: 1px solid var(--rule);
  padding: 6px 0;
  display: flex;
  gap: 6px 12px;
  align-items: center;
  flex-wrap: wrap;
  align-content: center;
  font-size: 0.92rem;
  min-height: 48px;
  flex: none;
}
label {
  color: var(--faint);
  display: inline-flex;
  align-items: center;
  gap: 5px;
}
.el-input {
  width: 118px;
  padding: 2px 6px;
  min-height: 28px;
  font-size: 0.92rem;
  color: var(--slip);
}
.el-input.wide {
  width: 172px;
}
.shift .el-input {
  width: 96px;
}
@media (max-width: 640px) {
  .el-input {
    width: 84px;
  }
  .el-input.wide {
    width: 128px;
  }
  .shift {
    display: none;
  }
}
</style>
