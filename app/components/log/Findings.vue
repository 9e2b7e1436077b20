<script setup lang="ts">
import { courseOf } from '~~/core/forecast/intensity'
import { usedOf } from '~~/core/forecast/level'
import { usedDone } from '~~/core/record/course-done'
import type { Observed } from '~~/core/record/observe'
import { observe } from '~~/core/record/observe'
import { reckon } from '~~/core/reckon/reckon'
import { sayClimbed, sayDrift, sayPauses, sayRecovery, sayRepeats, sayStops, sayUsed } from '~~/core/words/observed'
import type { LoggedRecording } from '~~/shared/log'
import type { LoggedSteps } from '~/log/logged-steps'
import { logFindings as texts } from '~/texts/en'

/** What is noticed of a recording beyond its steps, in sentences. */
const props = defineProps<{ logged: LoggedRecording; said: LoggedSteps }>()
const athletes = useAthleteStore()

function say(one: Observed): string {
  switch (one.code) {
    case 'repeats':
      return texts.ofRepeats(props.said.wordsOf(one), sayRepeats(one.count, one.fade, one.spread, one.best, one.worst))
    case 'drift':
      return sayDrift(
        one.of === 'speed' && !props.said.byPower && props.said.reading.startsWith('min') ? 'speed' : one.of,
        one.share,
        one.seconds,
      )
    case 'recovery':
      return sayRecovery(one.beats, one.after)
    case 'stops':
      return sayStops(one.count, one.seconds)
    case 'pauses':
      return sayPauses(one.count, one.seconds)
    case 'climbed':
      return sayClimbed(one.metres)
  }
}
const used = computed(() => {
  const { recording, session } = props.logged
  const done = usedDone(recording, athletes.standpoint)
  if (!done || done.used.likely === null) return []
  const forecast = session && usedOf(courseOf(session, reckon(session, athletes.standpoint).flat, athletes.standpoint), athletes.standpoint)
  return [sayUsed(done.used.likely, forecast?.used.likely ?? null)]
})
const sentences = computed(() => {
  const { recording, program, score } = props.logged
  return [...used.value, ...observe(recording, program, score).map(say)]
})
</script>

<template>
  <ul v-if="sentences.length > 0" class="findings" data-test="findings">
    <li v-for="sentence in sentences" :key="sentence">{{ sentence }}</li>
  </ul>
</template>

<style scoped>
.findings {
  margin: 10px 0;
  padding-left: 18px;
  columns: 2 380px;
  column-gap: 40px;
}
li {
  break-inside: avoid;
  margin-bottom: 3px;
}
</style>
