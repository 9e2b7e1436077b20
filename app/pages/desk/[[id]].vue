<script setup lang="ts">
import type RowPanel from '~/components/desk/RowPanel.vue'
import type SheetEditor from '~/components/desk/SheetEditor.vue'
import { shownKeys } from '~/keys/alt-key'
import { keepHistory } from '~/desk/history'
import { useDeskKeys } from '~/desk/use-desk-keys'
import { useOpened } from '~/desk/use-opened'
import { useOwnSessions } from '~/desk/use-own-sessions'
import type { Edit } from '~~/core/edit/edit'
import type { Remark } from '~~/core/script/remark'
import { printSession } from '~~/core/script/print'
import { titleOf } from '~~/core/script/title'
import { deskIdPage as texts } from '~/texts/en'

definePageMeta({ key: 'desk' })
const text = useDeskTextStore()
const desk = useDeskReadingStore()
const keeping = useDeskKeepingStore()
const handover = useHandoverStore()
const ownWords = useOwnWordsStore()
const own = useOwnSessions()
const isSending = ref(false)
const refused = ref('')
const panel = useTemplateRef<InstanceType<typeof RowPanel>>('panel')
const editor = useTemplateRef<InstanceType<typeof SheetEditor>>('editor')
const side = useTemplateRef<{ quiet: () => Edit[] }>('side')

useDeskKeys({ quieten: () => void editor.value?.editAll(side.value?.quiet() ?? []), focusRow: () => panel.value?.focus() })
const session = computed(() => desk.session)
const title = computed(() => (session.value && text.script.trim() !== '' ? titleOf(session.value) : texts.newSession))
const place = computed(() => session.value?.place?.kind ?? '')
useHead({ title: () => texts.deskAgonis(title.value) })

const sessionCount = computed(() => desk.reading.sessions.length)
const theirs = computed(() => (keeping.keeping.state === 'differs' ? keeping.keeping.theirs : null))
const canSend = computed(() => (desk.reckoning?.flat.length ?? 0) > 0)
async function sendToWatch() {
  if (await keeping.flush()) isSending.value = true
}

watch(
  editor,
  ready => {
    const words = ready && handover.takeForDesk()
    if (words) void nextTick(() => editor.value?.put(words))
  },
  { flush: 'post', immediate: true },
)
function onEdit(edits: readonly Edit[]) {
  refused.value = ''
  void editor.value?.editAll(edits)
}
function answer(remark: Remark, replacement: string) {
  ownWords.answered(text.script, remark, replacement)
  editor.value?.replace(remark, replacement)
}
watch(
  () => text.inHand,
  () => (refused.value = ''),
)
const { problem, history, openedId } = await useOpened()
</script>

<template>
  <div v-if="problem" class="page">
    <h1>{{ texts.desk }}</h1>
    <p class="said error" role="alert">
      {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
    </p>
    <NuxtLink to="/desk/new">{{ texts.beginANewSession }}</NuxtLink>
  </div>
  <div v-else class="desk">
    <div class="left">
      <div class="top">
        <DeskHead
          :title="title"
          :place="place"
          @title="(words: string) => editor?.put(texts.title(words))"
          @sport="(words: string) => editor?.put(texts.sport(words))" />
      </div>
      <p v-if="sessionCount > 1" class="said ask" data-test="several">
        {{ texts.thisHoldsSessions(sessionCount) }}
        <el-button link type="primary" data-test="to-week" @click="handover.toWeeks(text.script)">{{ texts.putThemOnTheir }}</el-button>
        <span class="faint"> {{ texts.theSheetShowsThe }}</span>
      </p>
      <DeskSheetEditor
        v-if="openedId !== '' && openedId === text.id"
        :id="openedId"
        :key="openedId"
        ref="editor"
        :history="history"
        :own="own"
        @answer="answer"
        @refused="(why: string) => (refused = why)"
        @field="panel?.focus()"
        @history="keepHistory" />
      <LazyDeskSourceDrawer
        v-if="text.source"
        :source="text.source"
        :session="session ?? null"
        :selected="text.inHand"
        @choose="(path: string) => editor?.hold(path)"
        @drop="text.dropSource" />
      <DeskRowPanel ref="panel" :path="text.inHand" :refused="refused" @edit="edit => onEdit([edit])" @leave="editor?.focus()" />
      <LazyDeskTwoSides v-if="theirs" :mine="text.script" :theirs="theirs" @choose="keeping.resolveConflict" />
      <div class="bar">
        <el-button type="primary" :disabled="!canSend" data-test="send-to-watch" @click="sendToWatch">{{ texts.sendToWatch }}</el-button>
        <NuxtLink class="act link" :to="`/card/${text.id}`" data-test="to-card">{{ texts.onPaper }}</NuxtLink>
        <NuxtLink class="act link" :to="`/weeks?put=${text.id}`" data-test="put-on">{{ texts.putOnADay }}</NuxtLink>
        <NuxtLink class="act link" to="/desk/new">{{ texts.newSession }}</NuxtLink>
        <el-button :disabled="!text.canUndo" :title="shownKeys('Ctrl Z')" data-test="undo" @click="editor?.undo()">{{
          texts.undo
        }}</el-button>
        <el-button :disabled="!text.canRedo" :title="shownKeys('Ctrl Shift Z')" data-test="redo" @click="editor?.redo()">{{
          texts.redo
        }}</el-button>
        <DeskKeeping />
      </div>
    </div>
    <DeskBeside
      ref="side"
      @edit="onEdit"
      @fix="answer"
      @show="line => editor?.show(line)"
      @reword="script => editor?.rewrite(script)"
      @take="document => editor?.rewrite(printSession(document))" />
    <LazyWatchesSendPanel v-if="isSending" :session-id="text.id" :title="title" @close="isSending = false" />
  </div>
</template>

<style scoped>
.desk {
  display: flex;
  height: 100%;
}
.left {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
  padding: 18px 0 0 22px;
}
.top {
  padding-right: 22px;
  margin-bottom: 8px;
}
.bar {
  border-top: 2px solid var(--slip);
  margin-left: -22px;
  padding: 8px 22px;
  display: flex;
  gap: 14px;
  align-items: center;
  flex-wrap: wrap;
  flex: none;
  background: var(--cream);
}
.link {
  text-decoration: none;
  color: inherit;
  display: inline-flex;
  align-items: center;
}
@media (max-width: 900px) {
  .desk {
    flex-direction: column;
    height: auto;
    min-height: 100%;
  }
  .left {
    padding-left: 12px;
    min-height: 70vh;
  }
  .bar {
    margin-left: -12px;
    padding: 6px 12px;
    gap: 6px;
    position: sticky;
    bottom: 0;
    z-index: 2;
  }
  .bar > .el-button,
  .bar > .act {
    padding: 0 10px;
    min-height: 40px;
    margin: 0;
  }
  /* While a row is typed nothing stands over it: the keyboard takes room enough. */
  .left:has(.cm-focused) .bar {
    position: static;
  }
}
</style>
