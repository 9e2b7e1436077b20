<script setup lang="ts">
import type { LaidDay, LaidWeek, PlanShape } from '~~/core/plan/shape'
import { dayParts, hoursOf } from '~~/core/plan/shape'
import { daysBetween, weekOf } from '~~/core/quantity/day'
import { sportNames } from '~~/core/session/sports'
import { sayWeekday } from '~~/core/words/date'
import type { LaidSession, PlanAsk } from '~~/shared/plan'
import { weeksFromShape as texts } from '~/texts/en'

/** Weeks laid out by the athlete's own shape from their own shelf: they decide, this reckons. */
const props = defineProps<{ week: string; isBusy: boolean; races: readonly { name: string; day: string }[] }>()
const emit = defineEmits<{ edit: [ask: PlanAsk] }>()
const athletes = useAthleteStore()
const isOpen = ref(false)
const shape = ref<PlanShape | null>(null)
const laid = shallowRef<{ weeks: LaidWeek[]; sessions: Record<string, LaidSession> } | null>(null)
/** Which of its fitting sessions each day takes, by its day; past the last it takes none. */
const taken = ref<Record<string, number>>({})
const { problem, isBusy: isLaying, guarded } = useGuarded()
watch(isOpen, open => open && guarded(async () => (shape.value ??= await api<PlanShape>('/plan/shape'))))
watch(
  () => props.week,
  () => (laid.value = null),
)

const names = computed(() => {
  const first = athletes.athlete.weekStart ?? 1
  return Array.from({ length: 7 }, (_, offset) => sayWeekday((first + offset) % 7))
})
const hours = computed(() => (shape.value ? hoursOf(shape.value) : []))
const said = (value: number) => (Math.round(value * 10) / 10).toLocaleString('en')
const race = computed(() => props.races.find(({ day }) => day >= props.week))
const toTheRace = () => {
  shape.value!.weeks = Math.min(26, daysBetween(props.week, weekOf(race.value!.day, athletes.athlete.weekStart ?? 1)) / 7 + 1)
}
const layOut = () =>
  guarded(async () => {
    laid.value = await api('/plan/shape', { method: 'POST', body: { from: props.week, shape: shape.value } })
    taken.value = {}
  })
const chosen = (day: LaidDay) => day.fitting[taken.value[day.day] ?? 0]
const another = ({ day, fitting }: LaidDay) => (taken.value[day] = ((taken.value[day] ?? 0) + 1) % (fitting.length + 1))
const on = computed(() =>
  (laid.value?.weeks ?? []).flatMap(({ days }) =>
    days.flatMap(day => {
      const session = chosen(day)
      return session ? [{ day: day.day, session: session.id }] : []
    }),
  ),
)
function keep() {
  emit('edit', { do: 'lay', on: on.value })
  laid.value = null
  isOpen.value = false
}
</script>

<template>
  <WeeksPanel v-model="isOpen" :label="texts.fromAShape" name="from-shape" :is-busy="isBusy">
    <ProblemAlert :problem="problem" />
    <template v-if="shape">
      <p class="faint">{{ texts.yourOwnWeeks }}</p>
      <p>
        <label
          >{{ texts.hoursOfTheFirst }}
          <el-input-number v-model="shape.hours" :min="0.5" :max="60" :step="0.5" :controls="false" size="small" data-test="shape-hours"
        /></label>
        <label>{{ texts.weeksThatGrow }} <el-input-number v-model="shape.up" :min="1" :max="8" :controls="false" size="small" /></label>
        <label>{{ texts.by }} <el-input-number v-model="shape.growth" :min="0" :max="30" :controls="false" size="small" /> %</label>
        <label>{{ texts.thenOneAt }} <el-input-number v-model="shape.ease" :min="20" :max="100" :controls="false" size="small" /> %</label>
        <label
          >{{ texts.weeksInAll }}
          <el-input-number v-model="shape.weeks" :min="1" :max="26" :controls="false" size="small" data-test="shape-weeks"
        /></label>
        <label>{{ texts.comingDown }} <el-input-number v-model="shape.taper" :min="0" :max="3" :controls="false" size="small" /></label>
        <el-button v-if="race" link type="primary" @click="toTheRace">{{ texts.upTo(race.name) }}</el-button>
      </p>
      <p class="faint" data-test="shape-hours-said">
        {{ texts.hoursWeekByWeek }} <span class="mono">{{ hours.map(said).join(' · ') }}</span>
      </p>
      <p v-if="shape.growth > 10" class="said ask">{{ texts.aSharpRise }}</p>
      <div class="days">
        <div v-for="(day, index) in shape.days" :key="index" role="group" :aria-label="names[index]">
          <strong>{{ names[index] }}</strong>
          <el-select v-model="day.part" size="small" :aria-label="texts.whatItIsFor(names[index]!)">
            <el-option v-for="part in dayParts" :key="part" :value="part" :label="texts.parts[part]" />
          </el-select>
          <el-select
            v-model="day.sport"
            size="small"
            :disabled="day.part === 'rest'"
            :aria-label="texts.sportOf(names[index]!)"
            :empty-values="[undefined]"
            :value-on-clear="() => null">
            <el-option :value="null as never" :label="texts.anySport" />
            <el-option v-for="sport in sportNames" :key="sport" :value="sport" :label="sport" />
          </el-select>
        </div>
      </div>
      <p>
        <el-button type="primary" :disabled="isLaying" data-test="lay-out" @click="layOut">{{ texts.layOut }}</el-button>
      </p>
      <ol v-if="laid" class="laid">
        <li v-for="one in laid.weeks" :key="one.from">
          <WeeksLaidWeek :week="one" :sessions="laid.sessions" :chosen="chosen" @another="another" />
        </li>
      </ol>
      <p v-if="laid">
        <el-button type="primary" :disabled="isBusy || on.length === 0" data-test="keep-laid" @click="keep">{{
          on.length === 0 ? texts.nothingToPut : texts.putOnTheirDays(on.length)
        }}</el-button>
        <el-button @click="laid = null">{{ texts.leaveIt }}</el-button>
      </p>
    </template>
  </WeeksPanel>
</template>

<style scoped>
label {
  display: flex;
  gap: 6px;
  align-items: center;
}
.el-input-number {
  width: 62px;
}
.days {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(110px, 1fr));
  gap: 8px;
  margin: 8px 0;
}
.days > div {
  display: grid;
  gap: 4px;
  min-width: 0;
}
.days .el-select {
  --el-select-width: 100%;
}
.laid {
  list-style: none;
  margin: 0;
  padding: 0;
}
</style>
