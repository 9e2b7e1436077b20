<script setup lang="ts">
import type { Athlete } from '~~/core/athlete/athlete'
import { fieldGroups, readyForFields } from '~/me/fields'
import type { Field } from '~/me/fields'
import type { ApiProblem } from '~/composables/api'
import { mePage as texts } from '~/texts/en'

useHead({ title: 'Me · Agonis' })
const athletes = useAthleteStore()
const typed = reactive<Record<string, string>>({})
const wrong = reactive<Record<string, string>>({})
const problem = ref<ApiProblem | null>(null)
const state = ref<'' | 'keeping' | 'kept'>('')

const fill = () => {
  for (const group of fieldGroups) for (const field of group.fields) typed[field.key] = field.show(athletes.athlete)
}
onMounted(async () => {
  try {
    await athletes.load()
    fill()
    for (const group of fieldGroups) {
      for (const field of group.fields) {
        const before = typedBefore(`me.${field.key}`)
        if (before === null) continue
        typed[field.key] = before
        onTyped(field)
      }
    }
  } catch (error) {
    problem.value = toldOf(error)
  }
})

let queue = Promise.resolve()
function keep(change: (athlete: Athlete) => Athlete, whenKept = () => {}) {
  state.value = 'keeping'
  queue = queue.then(async () => {
    try {
      await athletes.save(change(readyForFields(athletes.athlete)))
      state.value = 'kept'
      problem.value = null
      whenKept()
    } catch (error) {
      problem.value = toldOf(error)
      state.value = ''
    }
  })
}

function onTyped(field: Field) {
  const words = typed[field.key] ?? ''
  const result = field.keep(readyForFields(athletes.athlete), words)
  wrong[field.key] = typeof result === 'string' ? result : ''
  if (typeof result === 'string') return
  keep(
    athlete => field.keep(athlete, words) as Athlete,
    () => {
      if (typed[field.key] === words) forgetTyped(`me.${field.key}`)
    },
  )
}
const checkLater = useDebounceFn(onTyped, 400)
function keepLater(field: Field) {
  keepTyped(`me.${field.key}`, typed[field.key] ?? '')
  void checkLater(field)
}

async function loadTheirs() {
  await athletes.load()
  for (const group of fieldGroups) for (const field of group.fields) forgetTyped(`me.${field.key}`)
  fill()
  problem.value = null
}

/** A change from one of the sections: it is shown in the fields too. */
const keepWhole = (change: (athlete: Athlete) => Athlete) => keep(change, fill)
const sections = [
  ['benchmarks', 'Benchmarks'],
  ['numbers', texts.whatFollows],
  ['zones', 'Zones'],
  ['words', texts.yourWords],
  ['steadiness', 'Steadiness'],
  ['set', texts.numbersUnitsWays],
  ['settings', 'Settings'],
  ['history', 'History'],
  ['devices', 'Devices'],
  ['everything', 'Everything'],
] as const
const isEmpty = computed(() => athletes.isLoaded && athletes.number === 0)
</script>

<template>
  <div class="page me">
    <h1>{{ athletes.athlete.name === 'unknown' ? texts.me : athletes.athlete.name }}</h1>
    <p class="faint" role="status" data-test="keeping">
      {{ state === 'kept' ? texts.kept : state === 'keeping' ? texts.keeping : texts.eachNumberIsKept }}
    </p>
    <p v-if="isEmpty" class="said note">
      {{ texts.nothingIsKnownYet }}
    </p>
    <p v-if="problem" class="said error" role="alert">
      {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
      <el-button v-if="problem.status === 409" link type="primary" @click="loadTheirs">{{ texts.loadTheOther }}</el-button>
    </p>
    <nav class="jump" :aria-label="texts.onThisPage">
      <a v-for="[to, name] in sections" :key="to" :href="`#${to}`">{{ name }}</a>
    </nav>
    <div class="halves">
      <section aria-labelledby="benchmarks">
        <h2 id="benchmarks">{{ texts.benchmarks }}</h2>
        <AfterRoom><LazyMeEfforts :athlete="athletes.athlete" @keep="keepWhole" /></AfterRoom>
      </section>
      <section aria-labelledby="tests">
        <h2 id="tests">{{ texts.tests }}</h2>
        <AfterRoom><LazyMeTests @keep="keepWhole" /></AfterRoom>
      </section>
    </div>
    <h2 id="numbers">{{ texts.whatFollowsFromThem }}</h2>
    <AfterRoom><LazyMeNumbers :athlete="athletes.athlete" @keep="keepWhole" /></AfterRoom>
    <div class="halves">
      <section aria-labelledby="zones">
        <h2 id="zones">{{ texts.zones }}</h2>
        <AfterRoom><LazyMeZones :athlete="athletes.athlete" @keep="keepWhole" /></AfterRoom>
      </section>
      <div>
        <h2 id="words">{{ texts.yourWords }}</h2>
        <AfterRoom><LazyMeWords /></AfterRoom>
        <h2 id="steadiness">{{ texts.steadiness }}</h2>
        <AfterRoom><LazyMeSteadiness :athlete="athletes.athlete" @keep="keepWhole" /></AfterRoom>
      </div>
    </div>
    <h2 id="set">{{ texts.numbersYouSet }}</h2>
    <div class="groups">
      <section v-for="group in fieldGroups" :key="group.title">
        <h3>{{ group.title }}</h3>
        <p v-for="field in group.fields" :key="field.key" class="row">
          <label :for="field.key"
            >{{ field.label }}<small v-if="field.hint" class="faint">{{ field.hint }}</small></label
          >
          <el-input
            :id="field.key"
            v-model="typed[field.key]"
            class="mono"
            :aria-invalid="Boolean(wrong[field.key])"
            autocomplete="off"
            @input="keepLater(field)" />
          <span class="unit faint">{{ field.unit }}</span>
          <span v-if="wrong[field.key]" class="bad wrong" role="alert">{{ wrong[field.key] }}</span>
        </p>
        <p v-if="group.note" class="faint small">{{ group.note }}</p>
      </section>
      <AfterRoom><LazyMeChoices :athlete="athletes.athlete" @keep="keep" /></AfterRoom>
      <AfterRoom><LazyMeWays :athlete="athletes.athlete" @keep="keep" /></AfterRoom>
    </div>

    <h2 id="settings">{{ texts.settings }}</h2>
    <AfterRoom><LazyMeSettings :athlete="athletes.athlete" @keep="keepWhole" /></AfterRoom>
    <div class="halves">
      <section aria-labelledby="history">
        <h2 id="history">{{ texts.history }}</h2>
        <AfterRoom><LazyMeHistory :number="athletes.number" /></AfterRoom>
      </section>
      <section aria-labelledby="devices">
        <h2 id="devices">{{ texts.devicesAndSigningIn }}</h2>
        <AfterRoom><LazyMeDevices /></AfterRoom>
      </section>
    </div>
    <h2 id="everything">{{ texts.everythingOfYours }}</h2>
    <AfterRoom><LazyMeEverything @changed="loadTheirs" /></AfterRoom>
    <p class="faint">
      <NuxtLink to="/help">{{ texts.help }}</NuxtLink> · <NuxtLink to="/about">{{ texts.aboutAgonis }}</NuxtLink>
    </p>
  </div>
</template>

<style scoped>
.groups {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(310px, 1fr));
  gap: 22px 48px;
  align-items: start;
}
.row {
  display: grid;
  grid-template-columns: 1fr 126px 48px;
  gap: 4px 10px;
  align-items: center;
  margin: 0;
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
}
.row label small {
  display: block;
  font-size: 0.8rem;
}
.row .el-input {
  text-align: right;
  width: 100%;
}
.wrong {
  grid-column: 1 / -1;
  font-size: 0.9rem;
}
.small {
  font-size: 0.86rem;
}
.me h2 {
  margin: 30px 0 8px;
  padding-top: 6px;
  border-top: 2px solid var(--slip);
  font-size: 1.3rem;
  scroll-margin-top: 8px;
}
.halves {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(480px, 100%), 1fr));
  gap: 0 48px;
}
.halves > * {
  min-width: 0;
}
h3 {
  font-size: 1.06rem;
  margin: 10px 0 4px;
}
.jump {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  margin-top: 6px;
}
</style>
