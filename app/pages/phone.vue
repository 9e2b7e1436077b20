<script setup lang="ts">
import type { Act } from '~~/core/wrist/engine/buttons'
import { unitsOf } from '~~/core/athlete/athlete'
import { settingsOf } from '~~/core/wrist/engine/settings'
import type { StepPosition } from '~~/core/wrist/program/program'
import { canSpeak, canTap } from '~/phone/speak'
import { useGlass } from '~/phone/use-glass'
import { usePhoneHome } from '~/phone/use-home'
import { usePosition } from '~/phone/use-position'
import { usePhoneRun } from '~/phone/use-run'
import { phonePage as texts } from '~/texts/en'

useHead({ title: texts.thisPhoneAsA })
const dates = useDates()
const picked = ref('')
const simulated = ref(false)
const { athlete, held, waiting, home, shelf, isOnline, told, problem, isBusy, guarded, standpointNow, ...phone } = usePhoneHome()
const {
  run,
  face,
  said: spoken,
  gap,
  speed,
  isAwake,
  isFull,
  canStayAwake,
  ...running
} = usePhoneRun(
  () => athlete.value,
  () => void afterRun(),
)
const position = usePosition(running.hearPosition)
const positionProblem = position.problem

async function afterRun() {
  glass.rest()
  position.stop()
  await phone.bring()
}

async function start(slot: number, from?: StepPosition) {
  const entry = held.value.find(candidate => candidate.slot === slot)
  if (!entry) return
  if (!simulated.value) position.start()
  told.value = ''
  document.querySelector('.room')?.scrollTo(0, 0)
  await running.begin(
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
  if (asked.do === 'push') running.push(asked.button)
  if (asked.do === 'jump') running.jump(asked.to)
  if (asked.do === 'change') void guarded(() => phone.change(asked.slot, asked.program))
}
const glass = useGlass(
  () => held.value,
  () => run.value,
  act,
  () => unitsOf(athlete.value),
)
const { mode, chosen, entrances, changes, rows, slots, words } = glass

/** The page itself is kept, so that it opens without a server from now on. */
async function keepPage() {
  if (!('serviceWorker' in navigator)) return
  await navigator.serviceWorker.ready
  await (await caches.open('pages')).add('/phone').catch(() => {})
}

onMounted(async () => {
  void keepPage()
  await phone.count()
  await phone.loadAthlete()
  const isGoing = await running.goOn().catch(() => false)
  if (isGoing && !run.value?.head.simulated) position.start()
  if (!isGoing) await phone.bring()
})
</script>

<template>
  <div class="phone">
    <div class="glass" :class="{ going: run }" role="group" :aria-label="texts.watchFace" data-test="glass">
      <FaceGlass v-if="face && !entrances" :face="face" :look="mode.look" :said="spoken" />
      <FaceIdleGlass
        v-else
        :title="entrances ? (run ? texts.jumpTo : texts.beginAt) : changes ? texts.change : texts.thisPhone"
        :slots="slots"
        :chosen="chosen"
        :rows="rows"
        :choice="entrances ?? changes">
        {{ changes ? texts.holdTheBottomWhen : slots.length > 0 && !entrances ? texts.holdTheBottomTo : '' }}
      </FaceIdleGlass>
    </div>
    <FaceButtons class="knobs" :words="words" @push="glass.onKnob" />
    <div class="beside">
      <p v-if="isFull" class="said error" role="alert">
        {{ texts.thereIsNoRoom }}
        <el-button @click="running.finish">{{ texts.keepIt }}</el-button>
      </p>
      <p v-if="gap" class="said ask" data-test="gap">{{ gap }}</p>
      <p v-if="positionProblem && run" class="said ask">{{ positionProblem }}</p>
      <p v-if="problem" class="said error" role="alert">
        {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
      </p>
      <p v-for="id in home" :key="id" class="said note" role="status">
        {{ texts.aRecordingIsHome }} <NuxtLink :to="`/log/${id}`" data-test="to-log">{{ texts.plannedBesideDone }}</NuxtLink>
      </p>
      <p v-if="waiting > 0 && !run" class="said ask" data-test="waiting">
        {{
          texts.onThisPhone(waiting, waiting === 1 ? texts.recordingWaits : texts.recordingsWait, isOnline ? '' : texts.untilTheServerIs)
        }}
        <el-button link type="primary" @click="phone.bring">{{ texts.bringHomeNow }}</el-button>
      </p>
      <p v-if="told && !run" class="said note" role="status">{{ told }}</p>
      <template v-if="!run">
        <h1>{{ texts.thisPhoneAsAWatch }}</h1>
        <p class="faint">
          <NuxtLink to="/watches">{{ texts.toWatches }}</NuxtLink> · <NuxtLink to="/log">{{ texts.toTheLog }}</NuxtLink>
        </p>
        <section>
          <h2>{{ texts.onIt }}</h2>
          <p v-if="held.length === 0" class="faint">{{ texts.nothingYet }}</p>
          <ul>
            <li v-for="entry in held" :key="entry.slot">
              {{ entry.program.name }} <small v-if="entry.day" class="faint">{{ dates.day(entry.day) }}</small>
              <el-button link type="primary" @click="phone.leave(entry)">{{ texts.takeOff }}</el-button>
            </li>
          </ul>
          <p class="row">
            <el-button type="primary" :disabled="isBusy || !isOnline" data-test="take-week" @click="phone.week">
              {{ texts.takeTheComingSeven }}
            </el-button>
          </p>
          <p class="row">
            <AfterRoom><LazyFacePickSession v-model="picked" :shelf="shelf" /></AfterRoom>
            <el-button :disabled="isBusy || picked === ''" data-test="take" @click="phone.along(picked)">{{ texts.takeAlong }}</el-button>
          </p>
          <p v-if="!isOnline" class="faint" data-test="offline">
            {{ texts.theServerDoesNot }}
          </p>
        </section>
        <section>
          <h2>{{ texts.sensors }}</h2>
          <el-checkbox v-model="simulated" data-test="simulated">{{ texts.simulatedOnesToTry }}</el-checkbox>
          <label v-if="simulated" class="row"
            >{{ texts.timesRealTime }} <el-input v-model.number="speed" type="number" min="1" max="60" data-test="speed"
          /></label>
        </section>
        <section>
          <h2>{{ texts.whatThisBrowserDoes }}</h2>
          <ul class="faint">
            <li>{{ canStayAwake ? texts.keepsTheScreenOn : texts.letsTheScreenGo }}</li>
            <li>{{ canSpeak() ? texts.speaks : texts.doesNotSpeak }}, {{ canTap() ? texts.taps : texts.doesNotTap }}</li>
            <li>
              {{ texts.sleepsWhenThePage }}
            </li>
          </ul>
          <p class="faint">
            {{ texts.onARoadEyes }}
          </p>
        </section>
      </template>
      <p v-else class="faint awake">
        {{ isAwake ? texts.theScreenStaysOn : canStayAwake ? texts.theScreenMayGo : texts.thisBrowserCannotKeep }}
      </p>
      <LazyFaceSensors v-show="!simulated" @message="running.hear" />
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
  container-type: inline-size;
  min-height: min(460px, 58vh);
  display: flex;
  flex-direction: column;
  font-size: clamp(1.0625rem, 5vw, 1.4375rem);
}
.glass.going {
  min-height: calc(100dvh - 180px);
  font-size: clamp(1.25rem, 6vw, 1.6875rem);
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
.awake {
  font-size: 0.9rem;
}
</style>
