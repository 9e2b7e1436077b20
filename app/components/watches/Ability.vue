<script setup lang="ts">
import type { KeptWatch } from '~~/shared/api'
import type { WatchProfile } from '~~/core/wrist/program/profile'

/** What the watch can and cannot do, to read and to change. */
const props = defineProps<{ watch: KeptWatch }>()
const emit = defineEmits<{ changed: [] }>()
const wrist = useWatchesStore()
const { problem, isBusy, guarded } = useGuarded()
const draft = ref<WatchProfile>(structuredClone(toRaw(props.watch.profile)))
watch(
  () => props.watch,
  kept => (draft.value = structuredClone(toRaw(kept.profile))),
)

const ends = ['time', 'distance', 'press', 'heart-rate', 'energy', 'send-off', 'first'] as const
const measures = ['pace', 'speed', 'heart-rate', 'power', 'cadence', 'rpe'] as const
const sports = ['run', 'ride', 'swim', 'multi'] as const
const endWords = {
  'time': 'time',
  'distance': 'distance',
  'press': 'press',
  'heart-rate': 'heart rate',
  'energy': 'energy',
  'send-off': 'send-off',
  'first': 'whichever first',
} as const
function toggled<T>(list: T[], value: T): T[] {
  return list.includes(value) ? list.filter(entry => entry !== value) : [...list, value]
}
const numbers = [
  ['maxSteps', 'steps and blocks'],
  ['maxNesting', 'repeats deep'],
  ['maxNameLength', 'letters in a name'],
  ['smoothingSeconds', 's smoothing'],
  ['alertAfterSeconds', 's outside before a nudge'],
  ['alertRepeatSeconds', 's between nudges'],
] as const
const placeOf = (entry: WatchProfile['targets'][number]) => (entry.place === undefined ? 'everywhere' : [entry.place].flat().join(', '))
const isChanged = computed(() => JSON.stringify(draft.value) !== JSON.stringify(props.watch.profile))
const keep = () =>
  guarded(async () => {
    await wrist.change(props.watch.id, { profile: draft.value })
    emit('changed')
  })
</script>

<template>
  <details class="ability" data-test="ability">
    <summary>What it can do: {{ watch.profile.name }}, {{ watch.profile.maxSteps }} steps, {{ watch.profile.sports.join(', ') }}</summary>
    <p v-if="problem" class="said error" role="alert">
      {{ problem.problem }} <span class="faint">{{ problem.where }}</span>
    </p>
    <div class="grid">
      <label>profile <input v-model="draft.name" class="field" maxlength="40" /></label>
      <label v-for="[key, words] in numbers" :key="key"
        ><input v-model.number="draft[key]" class="field mono" type="number" min="0" /> {{ words }}</label
      >
      <label class="check"><input v-model="draft.repeatUntil" type="checkbox" /> repeats until a distance or time</label>
      <label class="check"><input v-model="draft.showsTarget" type="checkbox" /> shows the target all the time</label>
    </div>
    <p class="row">
      <b>Sports</b>
      <label v-for="sport in sports" :key="sport" class="check"
        ><input type="checkbox" :checked="draft.sports.includes(sport)" @change="draft.sports = toggled(draft.sports, sport)" />
        {{ sport }}</label
      >
    </p>
    <p class="row">
      <b>A step ends by</b>
      <label v-for="end in ends" :key="end" class="check"
        ><input type="checkbox" :checked="draft.ends.includes(end)" @change="draft.ends = toggled(draft.ends, end)" />
        {{ endWords[end] }}</label
      >
    </p>
    <p v-for="(entry, index) in draft.targets" :key="index" class="row">
      <b>Leads a {{ entry.sport }} by</b> <small class="faint">{{ placeOf(entry) }}</small>
      <label v-for="of in measures" :key="of" class="check"
        ><input type="checkbox" :checked="entry.of.includes(of)" @change="entry.of = toggled(entry.of, of)" />
        {{ of.replace('-', ' ') }}</label
      >
    </p>
    <button class="act" :disabled="!isChanged || isBusy" data-test="keep-profile" @click="keep">Keep these</button>
  </details>
</template>

<style scoped>
.ability {
  margin-top: 26px;
}
summary {
  cursor: pointer;
  font-weight: 500;
  min-height: 28px;
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 8px 20px;
  margin: 12px 0;
}
label {
  display: flex;
  gap: 8px;
  align-items: center;
}
.grid input[type='number'] {
  width: 84px;
  text-align: right;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin: 8px 0;
  align-items: center;
}
</style>
