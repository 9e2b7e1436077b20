<script setup lang="ts">
import type { KeptWatch } from '~~/shared/api'
import type { WatchProfile } from '~~/core/wrist/program/profile'
import { watchesAbility as texts } from '~/texts/en'

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
  'heart-rate': texts.heartRate,
  'energy': 'energy',
  'send-off': 'send-off',
  'first': texts.whicheverFirst,
} as const
function toggled<T>(list: T[], value: T): T[] {
  return list.includes(value) ? list.filter(entry => entry !== value) : [...list, value]
}
const numbers = [
  ['maxSteps', texts.stepsAndBlocks],
  ['maxNesting', texts.repeatsDeep],
  ['maxNameLength', texts.lettersInAName],
  ['smoothingSeconds', 's smoothing'],
  ['alertAfterSeconds', texts.sOutsideBeforeA],
  ['alertRepeatSeconds', texts.sBetweenNudges],
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
    <summary>{{ texts.whatItCanDo(watch.profile.name, watch.profile.maxSteps, watch.profile.sports.join(', ')) }}</summary>
    <p v-if="problem" class="said error" role="alert">
      {{ problem.problem }} <span class="faint">{{ problem.where }}</span>
    </p>
    <div class="grid">
      <label>{{ texts.profile }} <el-input v-model="draft.name" maxlength="40" /></label>
      <label v-for="[key, words] in numbers" :key="key"
        ><el-input v-model.number="draft[key]" class="mono" type="number" min="0" /> {{ words }}</label
      >
      <el-checkbox v-model="draft.repeatUntil">{{ texts.repeatsUntilADistance }}</el-checkbox>
      <el-checkbox v-model="draft.showsTarget">{{ texts.showsTheTargetAll }}</el-checkbox>
    </div>
    <p class="row">
      <b>{{ texts.sports }}</b>
      <el-checkbox
        v-for="sport in sports"
        :key="sport"
        :model-value="draft.sports.includes(sport)"
        @change="draft.sports = toggled(draft.sports, sport)"
        >{{ sport }}</el-checkbox
      >
    </p>
    <p class="row">
      <b>{{ texts.aStepEndsBy }}</b>
      <el-checkbox v-for="end in ends" :key="end" :model-value="draft.ends.includes(end)" @change="draft.ends = toggled(draft.ends, end)">{{
        endWords[end]
      }}</el-checkbox>
    </p>
    <p v-for="(entry, index) in draft.targets" :key="index" class="row">
      <b>{{ texts.leadsABy(entry.sport) }}</b> <small class="faint">{{ placeOf(entry) }}</small>
      <el-checkbox v-for="of in measures" :key="of" :model-value="entry.of.includes(of)" @change="entry.of = toggled(entry.of, of)">{{
        of.replace('-', ' ')
      }}</el-checkbox>
    </p>
    <el-button :disabled="!isChanged || isBusy" data-test="keep-profile" @click="keep">{{ texts.keepThese }}</el-button>
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
.grid .el-input {
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
