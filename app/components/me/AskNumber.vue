<script setup lang="ts">
import type { Missing } from '~~/core/words/missing'
import { parseClock } from '~~/core/quantity/time'
import { readyForFields } from '~/me/fields'
import { fieldsFor, raceFor } from '~/me/missing'
import { meAskNumber as texts } from '~/texts/en'

const props = defineProps<{ missing: Missing }>()

const athletes = useAthleteStore()
const { problem, isBusy, guarded } = useGuarded()
const fields = computed(() => fieldsFor(props.missing))
const race = computed(() => raceFor(props.missing))
const typed = reactive<Record<string, string>>({})
const wrong = ref('')
const kilometres = ref('5')
const time = ref('')

async function keep() {
  wrong.value = ''
  let athlete = readyForFields(athletes.athlete)
  for (const field of fields.value) {
    const words = typed[field.key] ?? ''
    if (words.trim() === '') continue
    const result = field.keep(athlete, words)
    if (typeof result === 'string') return (wrong.value = result)
    athlete = result
  }
  if (race.value) {
    const [metres, seconds] = [Number(kilometres.value.replace(',', '.')) * 1000, parseClock(time.value.trim())]
    if (!(metres >= 50 && metres <= 1_000_000)) return (wrong.value = texts.aDistanceInKm)
    if (seconds === null || seconds <= 0) return (wrong.value = texts.aTimeAsIn)
    athlete = { ...athlete, efforts: [...(athlete.efforts ?? []), { sport: race.value, metres, seconds, date: athletes.today }] }
  }
  await guarded(() => athletes.save(athlete))
}
</script>

<template>
  <form v-if="fields.length > 0 || race" class="ask" data-test="ask-number" @submit.prevent="keep">
    <label v-for="field in fields" :key="field.key"
      >{{ field.label }} <el-input v-model="typed[field.key]" class="mono" autocomplete="off" :data-test="`ask-${field.key}`" />
      <span class="faint">{{ field.unit }}</span>
    </label>
    <template v-if="race">
      <label
        >{{ texts.raced }} <el-input v-model="kilometres" class="mono" autocomplete="off" data-test="ask-distance" />
        <span class="faint">{{ texts.km }}</span></label
      >
      <label>{{ texts.in }} <el-input v-model="time" class="mono" placeholder="24:30" autocomplete="off" data-test="ask-time" /></label>
    </template>
    <el-button native-type="submit" link type="primary" :disabled="isBusy" data-test="ask-keep">{{ texts.keep }}</el-button>
    <span v-if="wrong || problem" class="bad" role="alert">{{ wrong || problem?.problem }}</span>
  </form>
</template>

<style scoped>
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  margin: 2px 0 0;
  font-size: 0.92rem;
}
.el-input {
  width: 66px;
  padding: 0 4px;
  min-height: 26px;
  text-align: right;
}
</style>
