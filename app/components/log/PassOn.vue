<script setup lang="ts">
import type { PrivatePart } from '~~/core/exchange/private-parts'
import { privateParts, withoutPrivate } from '~~/core/exchange/private-parts'
import { packSession } from '~~/core/exchange/passed-link'
import type { RecordingForm } from '~~/core/exchange/recording-file'
import { recordingForms, writeRecording } from '~~/core/exchange/recording-file'
import { slugOf } from '~~/core/quantity/slug'
import { sessionAsDone } from '~~/core/record/as-done'
import { dayOfRecording } from '~~/core/record/recording'
import { printSession } from '~~/core/script/print'
import { saveFile } from '~/card/save'
import type { LoggedRecording } from '~~/shared/log'
import { logPassOn as texts } from '~/texts/en'

/** What was done, out again: its words, a link that carries them, a file in an open form; private parts go only where they are ticked. */
const props = defineProps<{ logged: LoggedRecording; asRun: string }>()
const athletes = useAthleteStore()
const { problem, isBusy, guarded } = useGuarded()
const ticked = ref<PrivatePart[]>([])
const kept = computed(() => new Set(ticked.value))
const { copy, copied } = useClipboard({ copiedDuring: 4000, legacy: true })
const what = ref<'words' | 'link' | null>(null)
const put = (kind: 'words' | 'link', words: string) =>
  guarded(async () => {
    what.value = kind
    await copy(words)
  })

const day = computed(() => dayOfRecording(props.logged.recording, athletes.standpoint.zone))
const message = computed(() => props.logged.recording.felt?.note ?? '')
const link = computed(() => {
  const packed = packSession({
    script: props.asRun,
    ...(kept.value.has('start') ? { day: day.value } : {}),
    ...(kept.value.has('message') && message.value ? { message: message.value } : {}),
  })
  return packed === null ? null : `${window.location.origin}/passed#${packed}`
})
const name = computed(() => `${kept.value.has('start') ? `${day.value}-` : ''}${slugOf(props.logged.title, 60) || 'recording'}`)
const types: Record<RecordingForm, string> = { gpx: 'application/gpx+xml', csv: 'text/csv', json: 'application/json' }
const written = computed(() => withoutPrivate(props.logged.recording, kept.value))
const left = ref('')
const save = (form: RecordingForm) =>
  guarded(async () => {
    const file = writeRecording(form, written.value)
    left.value = file === null ? texts.noPositions : file.left.length > 0 ? texts.leftOut(file.left.join(', ')) : ''
    if (file) saveFile(`${name.value}.${form}`, file.text, types[form])
  })
/** What is in the file as it would go, and what is not. */
const contents = computed(() => {
  const { samples } = written.value
  const has = (names: readonly (keyof typeof samples)[]) => names.some(one => samples[one]?.some(value => value !== null))
  const parts = [
    texts.parts.time,
    ...(has(['metres']) ? [texts.parts.distance] : []),
    ...(has(['power']) ? [texts.parts.power] : []),
    ...(has(['heartRate']) ? [texts.parts.heart] : []),
    ...(has(['lat']) ? [texts.parts.position] : []),
    ...(kept.value.has('start') ? [texts.parts.start] : []),
    ...(written.value.felt ? [texts.parts.message] : []),
  ]
  return texts.inIt(parts.join(', '))
})
/** The words as a picture, with nothing in it that they do not say. */
const picture = () =>
  guarded(async () => {
    const { asRunCard } = await import('~~/core/card/as-run-card')
    const { cardSvg } = await import('~~/core/card/svg')
    const { title, recording } = props.logged
    const summary = kept.value.has('start') ? `${recording.sport} · ${day.value}` : recording.sport
    saveFile(`${name.value}.svg`, cardSvg(asRunCard(title, summary, props.asRun)), 'image/svg+xml')
  })
const asDone = computed(() => {
  const { session, score } = props.logged
  return session && score ? sessionAsDone(session, score) : null
})
const toDesk = () =>
  guarded(async () => {
    await navigateTo(`/desk/${await keepNewSession(printSession(asDone.value!))}`)
  })
</script>

<template>
  <details class="pass-on" data-test="pass-on">
    <summary>{{ texts.passOn }}</summary>
    <fieldset>
      <legend>{{ texts.goesAlong }}</legend>
      <el-checkbox-group v-model="ticked">
        <el-checkbox v-for="part in privateParts" :key="part" :value="part" :label="texts.ticks[part]" />
      </el-checkbox-group>
    </fieldset>
    <template v-if="asRun">
      <h3>{{ texts.inWords }}</h3>
      <pre class="mono" tabindex="0" :aria-label="texts.theSessionWithIts" data-test="as-run">{{ asRun }}</pre>
      <p class="acts">
        <el-button data-test="copy-words" @click="put('words', asRun)">{{ texts.copyWords }}</el-button>
        <el-button v-if="link" data-test="copy-link" @click="put('link', link)">{{ texts.copyLink }}</el-button>
        <el-button data-test="save-picture" @click="picture">{{ texts.asPicture }}</el-button>
        <span role="status" class="good">{{ copied ? (what === 'link' ? texts.linkCopied : texts.copied) : '' }}</span>
        <span class="faint">{{ link ? texts.linkCarries : texts.tooLong }}</span>
      </p>
      <p v-if="link" class="faint link" data-test="link">{{ link.slice(0, 110) }}…</p>
    </template>
    <h3>{{ texts.asFile }}</h3>
    <p class="acts">
      <el-button v-for="form in recordingForms" :key="form" :data-test="`save-${form}`" @click="save(form)">{{
        form.toUpperCase()
      }}</el-button>
      <a v-if="logged.original" :href="`/api/recordings/${logged.id}/original`" download data-test="original">{{
        texts.original(logged.original)
      }}</a>
      <span class="faint" data-test="contents">{{ contents }}</span>
    </p>
    <p v-if="left" class="said ask" role="status">{{ left }}</p>
    <template v-if="asDone">
      <h3>{{ texts.asSession }}</h3>
      <p class="acts">
        <el-button :disabled="isBusy" data-test="keep-done" @click="toDesk">{{ texts.keepDone }}</el-button>
        <span class="faint">{{ texts.asItWasDone }}</span>
      </p>
    </template>
    <ProblemAlert :problem="problem" />
  </details>
</template>

<style scoped>
.pass-on {
  margin: 12px 0;
}
pre {
  background: var(--paper);
  border: 1px solid var(--rule);
  padding: 8px 12px;
  overflow: auto;
  font-size: 0.875rem;
}
h3 {
  font-size: 1rem;
  margin: 12px 0 4px;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 8px 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
  margin: 4px 0;
}
.acts .el-button + .el-button {
  margin-left: 0;
}
.el-checkbox-group {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 22px;
}
.link {
  overflow-wrap: anywhere;
  font-size: 0.85rem;
  margin: 2px 0;
}
</style>
