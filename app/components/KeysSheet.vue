<script setup lang="ts">
import { deskKeys } from '~/desk/desk-keys'
import { rowActions } from '~/desk/row-keys'
import { shownAlt, shownKeys } from '~/keys/alt-key'
import { rowActs } from '~/shelf/acts'

/** The keys of the room one is in, and those that work in every room. */
const emit = defineEmits<{ close: [] }>()
const isOpen = ref(true)
const path = useRoute().path

type Keys = readonly (readonly [key: string, what: string])[]
const everywhere: Keys = [
  ['Ctrl K', 'find a room, a session, what was done'],
  ['/', 'the same, outside text'],
  ['?', 'this list, outside text'],
  ['Esc', 'close what is open'],
  ['Tab', 'the next thing; the first leads past the navigation'],
]
const ofDesk: Keys = [
  ...deskKeys.map(key => [shownAlt(key), key.words] as const),
  ['Ctrl Space', 'what may come next'],
  ['Tab', 'take what is offered; else leave the sheet'],
  ['Ctrl Z', 'take back, without end, after a reload too'],
  ['Ctrl Shift Z', 'do again'],
  ['Ctrl Shift [', 'fold this repeat'],
  ['Ctrl Shift ]', 'unfold it'],
]
const ofShelf: Keys = [
  ['↑ ↓', 'the session before or after, from a title'],
  ['⏎', 'open it at the Desk'],
  ...rowActs({ isArchived: false }).map(act => [act.key, act.words.toLowerCase()] as const),
]
const ofFace: Keys = [
  ['⏎', 'push the button that has the focus'],
  ['Tab', 'the next button'],
]
const groups: { title: string; keys: Keys }[] = [
  ...(path.startsWith('/desk')
    ? [
        { title: 'A row', keys: rowActions.map(action => [shownAlt(action), action.name] as const) },
        { title: 'The sheet', keys: ofDesk },
      ]
    : []),
  ...(path.startsWith('/shelf') ? [{ title: 'A session on the shelf', keys: ofShelf }] : []),
  ...(/^\/(?:standin|phone)/.test(path) ? [{ title: 'The face', keys: ofFace }] : []),
  { title: 'In every room', keys: everywhere },
]
</script>

<template>
  <el-dialog v-model="isOpen" title="Keys" width="min(860px, 94vw)" @closed="emit('close')">
    <div class="columns">
      <section v-for="group in groups" :key="group.title">
        <h2>{{ group.title }}</h2>
        <dl>
          <template v-for="[key, what] in group.keys" :key="key"
            ><dt>
              <kbd>{{ shownKeys(key) }}</kbd>
            </dt>
            <dd>{{ what }}</dd></template
          >
        </dl>
      </section>
    </div>
    <template #footer><el-button @click="isOpen = false">Close</el-button></template>
  </el-dialog>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(230px, 1fr));
  gap: 10px 30px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 12px;
  margin: 8px 0;
  align-content: start;
}
dd {
  margin: 0;
}
kbd {
  font: 0.8125rem var(--mono);
  border: 1px solid var(--rule);
  padding: 0 5px;
  white-space: nowrap;
}
</style>
