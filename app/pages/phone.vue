<script setup lang="ts">
import { get, set } from 'idb-keyval'
import type { Athlete } from '~~/core/athlete/athlete'
import { unknownAthlete } from '~~/core/athlete/athlete'
import type { Act, Knob } from '~~/core/wrist/engine/buttons'
import { knobWords, pushKnob, restedGlass } from '~~/core/wrist/engine/buttons'
import { entrancesOf } from '~~/core/wrist/program/program-steps'
import { settingsOf } from '~~/core/wrist/engine/settings'
import { standpointAt } from '~~/core/athlete/standpoint'
import type { KeptAthlete, Listed, ShelfRow } from '~~/shared/api'
import { canTap, canSpeak } from '~/phone/speak'
import { bringHome, takeAlong, takeWeek } from '~/phone/home'
import type { HeldProgram } from '~/phone/store'
import { heldPrograms, holdPrograms, waitingRecordings } from '~/phone/store'
import { usePhoneRun } from '~/phone/use-run'
import { formatDay } from '~/watches/day'

useHead({ title: 'This phone as a watch · Agonis' })
const kept = shallowRef<KeptAthlete>({ number: 0, athlete: unknownAthlete })
const athlete = computed(() => kept.value.athlete)
const standpointNow = () => standpointAt(kept.value.athlete, kept.value.number, new Date())
const held = shallowRef<HeldProgram[]>([])
const waiting = ref(0)
const home = ref<string[]>([])
const shelf = shallowRef<ShelfRow[]>([])
const picked = ref('')
const said = ref('')
const isOnline = ref(true)
const simulated = ref(false)
const mode = ref(restedGlass)
const { problem, isBusy, guarded } = useGuarded()
const {
  run,
  face,
  said: spoken,
  gap,
  speed,
  isAwake,
  isFull,
  canStayAwake,
  begin,
  goOn,
  push,
  jump,
  hear,
  hearPosition,
  finish,
} = usePhoneRun(
  () => athlete.value,
  () => void afterRun(),
)
const positionProblem = ref('')
let position: number | undefined

async function count() {
  held.value = await heldPrograms()
  waiting.value = (await waitingRecordings()).length
}
async function afterRun() {
  mode.value = restedGlass
  stopListening()
  await bring()
}
/** Recordings go home whenever the server is there; where it is not, they wait and nothing is said to be wrong. */
async function bring() {
  await count()
  if (waiting.value === 0) return
  try {
    home.value = [...(await bringHome()), ...home.value]
    isOnline.value = true
  } catch (error) {
    const told = toldOf(error)
    isOnline.value = told.status !== 0
    if (isOnline.value) problem.value = told
  }
  await count()
}
async function loadAthlete() {
  const before = await get<KeptAthlete | Athlete>('agonis.phone.athlete')
  if (before) kept.value = 'format' in before ? { number: 0, athlete: before } : before
  try {
    kept.value = await api<KeptAthlete>('/me')
    await set('agonis.phone.athlete', kept.value)
    shelf.value = (await api<Listed<ShelfRow>>('/sessions?limit=50')).rows
    isOnline.value = true
  } catch {
    isOnline.value = false
  }
}
async function onBack() {
  await loadAthlete()
  await bring()
}
const week = () =>
  guarded(async () => {
    const { taken, problems } = await takeWeek(standpointNow())
    said.value = [`${taken} taken along.`, ...problems].join(' ')
    await count()
  })
const along = () =>
  guarded(async () => {
    const taken = await takeAlong(picked.value, standpointNow(), null)
    said.value = `“${taken.program.name}” is on this phone${taken.losses.length > 0 ? `, with ${taken.losses.length} ${taken.losses.length === 1 ? 'thing' : 'things'} done otherwise: ${taken.losses.map(loss => `${loss.what}: ${loss.instead}`).join('; ')}` : ''}.`
    await count()
  })
const leave = (entry: HeldProgram) =>
  guarded(async () => {
    await holdPrograms(held.value.filter(other => other.slot !== entry.slot))
    await count()
  })

function listen() {
  if (!('geolocation' in navigator)) {
    positionProblem.value = 'This browser tells no position: distance and pace stay empty.'
    return
  }
  position = navigator.geolocation.watchPosition(
    ({ coords }) => {
      positionProblem.value = ''
      hearPosition({ lat: coords.latitude, lon: coords.longitude, accuracy: coords.accuracy, altitude: coords.altitude })
    },
    error =>
      (positionProblem.value =
        error.code === error.PERMISSION_DENIED
          ? 'The position is not allowed here: distance and pace stay empty.'
          : 'No position just now.'),
    { enableHighAccuracy: true, maximumAge: 0 },
  )
}
function stopListening() {
  if (position !== undefined) navigator.geolocation.clearWatch(position)
  position = undefined
}

async function start(slot: number, from?: { path: string; round: number[] }) {
  const entry = held.value.find(candidate => candidate.slot === slot)
  if (!entry) return
  if (!simulated.value) listen()
  said.value = ''
  document.querySelector('.room')?.scrollTo(0, 0)
  await begin(
    {
      program: entry.program,
      session: entry.session,
      startedAt: new Date().toISOString(),
      timeZone: standpointNow().zone,
      simulated: simulated.value,
      settings: settingsOf(athlete.value, entry.program.sport),
    },
    from,
  )
}
function act(asked: Act) {
  if (asked.do === 'start') void guarded(() => start(asked.slot, asked.from))
  if (asked.do === 'push') push(asked.button)
  if (asked.do === 'jump') jump(asked.to)
}
const around = computed(() => ({
  slots: held.value.map(entry => entry.slot),
  programOf: (slot: number) => held.value.find(entry => entry.slot === slot)?.program ?? null,
  going: run.value ? { program: run.value.head.program, phase: run.value.state.phase } : null,
}))
function onKnob(knob: Knob, isHeld: boolean) {
  const pushed = pushKnob(mode.value, knob, isHeld, around.value)
  mode.value = pushed.mode
  act(pushed.act)
}
const chosen = computed(() =>
  held.value.some(entry => entry.slot === mode.value.chosen) ? mode.value.chosen : (held.value[0]?.slot ?? null),
)
const entrances = computed(() => {
  const program = run.value?.head.program ?? (chosen.value === null ? null : around.value.programOf(chosen.value))
  return mode.value.entering && program ? { words: entrancesOf(program).map(entrance => entrance.words), at: mode.value.entering.at } : null
})
const slots = computed(() => held.value.map(entry => ({ slot: entry.slot, name: entry.program.name })))

/** The page itself is kept, so that it opens without a server from now on. */
async function keepPage() {
  if (!('serviceWorker' in navigator)) return
  await navigator.serviceWorker.ready
  await (await caches.open('pages')).add('/phone').catch(() => {})
}

onMounted(async () => {
  void keepPage()
  await count()
  await loadAthlete()
  const isGoing = await goOn().catch(() => false)
  if (isGoing && !run.value?.head.simulated) listen()
  if (!isGoing) await bring()
  addEventListener('online', onBack)
})
onBeforeUnmount(() => {
  removeEventListener('online', onBack)
  stopListening()
})
</script>

<template>
  <div class="phone">
    <div class="glass" :class="{ going: run }" role="group" aria-label="Watch face" data-test="glass">
      <FaceGlass v-if="face && !entrances" :face="face" :look="mode.look" :said="spoken" />
      <FaceIdleGlass
        v-else
        :title="entrances ? (run ? 'jump to' : 'begin at') : 'this phone'"
        :slots="slots"
        :chosen="chosen"
        :entrances="entrances" />
    </div>
    <FaceButtons class="knobs" :words="knobWords(mode, around)" @push="onKnob" />
    <div class="beside">
      <p v-if="isFull" class="said error" role="alert">
        There is no room in this browser to keep the recording. Make some, and then <button class="act" @click="finish">keep it</button>
      </p>
      <p v-if="gap" class="said ask" data-test="gap">{{ gap }}</p>
      <p v-if="positionProblem && run" class="said ask">{{ positionProblem }}</p>
      <p v-if="problem" class="said error" role="alert">
        {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
      </p>
      <p v-for="id in home" :key="id" class="said note" role="status">
        A recording is home. <NuxtLink :to="`/log/${id}`" data-test="to-log">Planned beside done</NuxtLink>
      </p>
      <p v-if="waiting > 0 && !run" class="said ask" data-test="waiting">
        {{ waiting }} {{ waiting === 1 ? 'recording waits' : 'recordings wait' }} on this phone{{
          isOnline ? '' : ' until the server is back'
        }}. <button class="plain" @click="bring">Bring home now</button>
      </p>
      <p v-if="said && !run" class="said note" role="status">{{ said }}</p>
      <template v-if="!run">
        <h1>This phone as a watch</h1>
        <p class="faint"><NuxtLink to="/watches">to Watches</NuxtLink> · <NuxtLink to="/log">to the log</NuxtLink></p>
        <section>
          <h2>On it</h2>
          <p v-if="held.length === 0" class="faint">Nothing yet.</p>
          <ul>
            <li v-for="entry in held" :key="entry.slot">
              {{ entry.program.name }} <small v-if="entry.day" class="faint">{{ formatDay(entry.day) }}</small>
              <button class="plain" @click="leave(entry)">take off</button>
            </li>
          </ul>
          <p class="row">
            <button class="act first" :disabled="isBusy || !isOnline" data-test="take-week" @click="week">
              Take the coming seven days along
            </button>
          </p>
          <p class="row">
            <label
              >or one
              <select v-model="picked" class="field" data-test="pick">
                <option v-for="row in shelf" :key="row.id" :value="row.id">{{ row.title }}</option>
              </select></label
            >
            <button class="act" :disabled="isBusy || picked === ''" data-test="take" @click="along">Take along</button>
          </p>
          <p v-if="!isOnline" class="faint" data-test="offline">
            The server does not answer. What is on this phone runs without it, and recordings go home when it is back.
          </p>
        </section>
        <section>
          <h2>Sensors</h2>
          <label class="row"
            ><input v-model="simulated" type="checkbox" data-test="simulated" /> simulated ones, to try a session at the table</label
          >
          <label v-if="simulated" class="row"
            >times real time <input v-model.number="speed" class="field" type="number" min="1" max="60" data-test="speed"
          /></label>
        </section>
        <section>
          <h2>What this browser does</h2>
          <ul class="faint">
            <li>{{ canStayAwake ? 'keeps the screen on while a session runs' : 'lets the screen go dark: set your phone not to lock' }}</li>
            <li>{{ canSpeak() ? 'speaks' : 'does not speak' }}, {{ canTap() ? 'taps' : 'does not tap' }}</li>
            <li>
              sleeps when the page is hidden or the phone is locked: time goes on, heart rate and power are missing for that while, and the
              way is joined straight. Keep the page in front.
            </li>
          </ul>
          <p class="faint">
            On a road, eyes up: let it speak, and never run looking at it. Dizzy, in pain or tight in the chest: stop, and ask a doctor.
          </p>
        </section>
      </template>
      <p v-else class="faint awake">
        {{ isAwake ? 'The screen stays on.' : canStayAwake ? 'The screen may go dark.' : 'This browser cannot keep the screen on.' }}
      </p>
      <FaceSensors v-show="!simulated" @message="hear" />
    </div>
  </div>
</template>

<style scoped>
.phone {
  min-height: 100%;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  max-width: 560px;
  margin: 0 auto;
  align-content: start;
}
.glass {
  background: #14110f;
  color: #f2e9dc;
  text-align: center;
  padding: 20px 22px;
  min-height: min(460px, 58vh);
  display: flex;
  flex-direction: column;
  font-size: clamp(17px, 5vw, 23px);
}
.glass.going {
  min-height: calc(100dvh - 180px);
  font-size: clamp(20px, 6vw, 27px);
}
.knobs {
  flex-direction: row;
  background: #14110f;
  padding: 0 10px 14px;
  gap: 10px;
}
.knobs :deep(button) {
  flex: 1;
  min-height: 76px;
  border-radius: 12px;
  font-size: 1.15rem;
}
.beside {
  padding: 14px 16px 34px;
}
section {
  margin-top: 18px;
}
ul {
  padding-left: 18px;
  margin: 6px 0;
}
li {
  min-height: 30px;
}
.row {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
  align-items: center;
  margin: 8px 0;
}
select {
  max-width: 220px;
}
.awake {
  font-size: 0.9rem;
}
</style>
