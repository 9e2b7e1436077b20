<script setup lang="ts">
import { rowActions } from '~/desk/row-keys'

const emit = defineEmits<{ close: [] }>()
const dialog = useTemplateRef<HTMLDialogElement>('dialog')
onMounted(() => dialog.value?.showModal())
const others = [
  ['Alt ⏎', 'take the fix of this row'],
  ['Alt E', "change this row's length and target"],
  ['Alt Q', 'take the quiet band in every row that would nudge'],
  ['Ctrl Space', 'what may come next'],
  ['Tab', 'take what is offered; else leave the sheet'],
  ['Alt .', 'deeper, into the repeat above'],
  ['Alt ,', 'out of it'],
  ['Ctrl Z', 'take back, without end, after a reload too'],
  ['Ctrl Shift Z', 'do again'],
  ['Ctrl Shift [', 'fold this repeat'],
  ['Ctrl Shift ]', 'unfold it'],
  ['Ctrl K', 'find a room, a session, what was done'],
  ['?', 'this list, outside the text'],
]
</script>

<template>
  <dialog ref="dialog" class="keys" aria-label="Keys of the Desk" @close="emit('close')">
    <h2>Keys</h2>
    <div class="columns">
      <dl>
        <template v-for="action in rowActions" :key="action.name"
          ><dt>
            <kbd>{{ action.shown }}</kbd>
          </dt>
          <dd>{{ action.name }}</dd></template
        >
      </dl>
      <dl>
        <template v-for="[key, what] in others" :key="key"
          ><dt>
            <kbd>{{ key }}</kbd>
          </dt>
          <dd>{{ what }}</dd></template
        >
      </dl>
    </div>
    <button class="act" @click="dialog?.close()">Close</button>
  </dialog>
</template>

<style scoped>
.keys {
  background: var(--paper);
  color: var(--slip);
  border: 2px solid var(--slip);
  padding: 18px 22px;
  max-width: 720px;
}
.keys::backdrop {
  background: rgb(31 27 24 / 0.35);
}
.columns {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 26px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 12px;
  margin: 10px 0;
  align-content: start;
}
dd {
  margin: 0;
}
kbd {
  font: 13px var(--mono);
  border: 1px solid var(--rule);
  padding: 0 5px;
  white-space: nowrap;
}
@media (max-width: 640px) {
  .columns {
    grid-template-columns: 1fr;
  }
}
</style>
