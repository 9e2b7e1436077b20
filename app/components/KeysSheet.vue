<script setup lang="ts">
import { deskKeys } from '~/desk/desk-keys'
import { rowActions } from '~/desk/row-keys'
import { shownAlt, shownKeys } from '~/keys/alt-key'
import { rowActs } from '~/shelf/acts'
import { keysSheet as texts } from '~/texts/en'

/** The keys of the room one is in, and those that work in every room. */
const emit = defineEmits<{ close: [] }>()
const isOpen = ref(true)
const path = useRoute().path

type Keys = readonly (readonly [key: string, what: string])[]
const everywhere: Keys = [
  ['Ctrl K', texts.findARoomA],
  ['/', texts.theSameOutsideText],
  ['?', texts.thisListOutsideText],
  ['Esc', texts.closeWhatIsOpen],
  ['Tab', texts.theNextThingThe],
]
const ofDesk: Keys = [
  ...deskKeys.map(key => [shownAlt(key), key.words] as const),
  ['Ctrl Space', texts.whatMayComeNext],
  ['Tab', texts.takeWhatIsOffered],
  ['Ctrl Z', texts.takeBackWithoutEnd],
  ['Ctrl Shift Z', texts.doAgain],
  ['Ctrl Shift [', texts.foldThisRepeat],
  ['Ctrl Shift ]', texts.unfoldIt],
]
const ofShelf: Keys = [
  ['↑ ↓', texts.theSessionBeforeOr],
  ['⏎', texts.openItAtThe],
  ...rowActs({ isArchived: false }).map(act => [act.key, act.words.toLowerCase()] as const),
]
const ofLog: Keys = [['N', texts.putWhatComesNext]]
const ofFace: Keys = [
  ['⏎', texts.pushTheButtonThat],
  ['Tab', texts.theNextButton],
]
const groups: { title: string; keys: Keys }[] = [
  ...(path.startsWith('/desk')
    ? [
        { title: 'A row', keys: rowActions.map(action => [shownAlt(action), action.name] as const) },
        { title: texts.theSheet, keys: ofDesk },
      ]
    : []),
  ...(path.startsWith('/shelf') ? [{ title: texts.aSessionOnThe, keys: ofShelf }] : []),
  ...(/^\/log\/./.test(path) ? [{ title: texts.aSessionDone, keys: ofLog }] : []),
  ...(/^\/(?:standin|phone)/.test(path) ? [{ title: texts.theFace, keys: ofFace }] : []),
  { title: texts.inEveryRoom, keys: everywhere },
]
</script>

<template>
  <el-dialog v-model="isOpen" :title="texts.keys" width="min(860px, 94vw)" @closed="emit('close')">
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
    <template #footer
      ><el-button @click="isOpen = false">{{ texts.close }}</el-button></template
    >
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
