<script setup lang="ts">
import type { Glass } from '~~/shared/api'

const props = defineProps<{ watchId: string }>()
const glass = ref<Glass | null>(null)
const { problem, guarded } = useGuarded()
const broughtHome = ref<string[]>([])
const speed = ref(60)
const seed = ref(1)
const pressesItself = ref(true)
const manner = ref<'good' | 'slow' | 'lossy' | 'cut'>('good')
const base = `/standin/${props.watchId}`
let events: EventSource | undefined
let pressedAt = 0

const wear = () => guarded(() => api(`${base}/wearer`, { method: 'PUT', body: { speed: speed.value, seed: seed.value, pressesItself: pressesItself.value } }))
const push = (button: 'top' | 'middle' | 'bottom', hold = false) => guarded(async () => glass.value = await api<Glass>(`${base}/button`, { method: 'POST', body: { button, hold } }))
const down = () => pressedAt = performance.now()
const up = (button: 'top' | 'middle' | 'bottom') => push(button, pressedAt > 0 && performance.now() - pressedAt > 700)
const manners = { good: { delay: 0, loss: 0, cutAfter: null }, slow: { delay: 150, loss: 0, cutAfter: null }, lossy: { delay: 20, loss: 0.25, cutAfter: null }, cut: { delay: 20, loss: 0, cutAfter: 1500 } }
const setManner = () => guarded(() => api(`${base}/manner`, { method: 'PUT', body: manners[manner.value] }))

async function bringHome() {
  await guarded(async () => {
    const { recordings } = await api<{ recordings: string[] }>(`/watches/${props.watchId}/collect`, { method: 'POST' })
    broughtHome.value = [...recordings, ...broughtHome.value]
  })
}

onMounted(async () => {
  await wear()
  events = new EventSource(`/api${base}/events`)
  events.onmessage = (event) => {
    const before = glass.value
    glass.value = JSON.parse(event.data as string) as Glass
    if (before?.face && !glass.value.face && glass.value.recordingsWaiting > 0) void bringHome()
  }
  events.onerror = () => {
    problem.value = { status: 0, problem: 'The watch is out of reach.', where: 'stand-in', hint: 'It comes back by itself when the server does.' }
  }
  events.onopen = () => problem.value = null
})
onBeforeUnmount(() => events?.close())

const face = computed(() => glass.value?.face ?? null)
const cueWords = computed(() => {
  const cue = glass.value?.lastCue
  if (!cue || !face.value) return ''
  switch (cue.kind) {
    case 'nudge': return cue.side === 'too-hard' ? 'ease a little' : 'a little more'
    case 'ceiling': return `ease: above ${cue.above} bpm`
    case 'countdown': return 'five seconds'
    case 'halfway': return 'half way'
    case 'prompt': return cue.say
    case 'step': case 'finished': return ''
  }
  return ''
})
const sideWords = { 'inside': 'in band', 'too-easy': 'below band', 'too-hard': 'above band' } as const
</script>

<template>
  <div class="stand">
    <div class="watch">
      <div class="case">
        <div class="glass" role="group" aria-label="Watch face" data-test="glass">
          <template v-if="face">
            <p class="where">{{ face.where }}</p>
            <template v-if="!glass!.look">
              <p class="figure" :class="{ long: face.figure.length > 5 }" data-test="figure">{{ face.figure }}</p>
              <p class="is">{{ face.phase === 'paused' ? 'paused' : face.figureIs }}</p>
              <template v-if="face.ceilingCrossed"><p class="ease">ease</p></template>
              <template v-else-if="face.target">
                <div class="line" aria-hidden="true">
                  <span class="band" /><span v-if="face.target.at !== null" class="at" :class="face.target.side ?? 'settling'" :style="{ left: `${face.target.at * 100}%` }" />
                </div>
                <p class="ends"><span>{{ face.target.easiest ?? '…' }}</span><span>{{ face.target.hardest ?? '…' }}</span></p>
                <p class="value" :class="face.target.side ?? 'settling'">{{ face.target.value ?? '–' }} <small>{{ face.target.unit }}</small></p>
                <p class="is">{{ face.target.side ? sideWords[face.target.side] : 'settling' }}</p>
              </template>
              <p v-else class="free">no target</p>
            </template>
            <template v-else>
              <dl class="look">
                <dt>time</dt><dd>{{ face.total.time }}</dd><dt>way</dt><dd>{{ face.total.distance }}</dd><dt>heart</dt><dd>{{ face.heartRate ?? '–' }}</dd>
                <template v-if="face.target"><dt>target</dt><dd>{{ face.target.words }}</dd></template>
                <template v-if="face.also"><dt>and</dt><dd>{{ face.also }}</dd></template>
              </dl>
            </template>
            <p class="next">{{ cueWords || face.next }}</p>
          </template>
          <template v-else-if="glass">
            <p class="where">{{ glass.profile }}</p>
            <p v-if="glass.slots.length === 0" class="free">nothing to carry out</p>
            <ul class="choose">
              <li v-for="slot in glass.slots.slice(0, 5)" :key="slot.slot" :class="{ on: slot.slot === glass.chosen }">{{ slot.name }}</li>
            </ul>
            <p class="next">{{ glass.slots.length > 0 ? 'top: go · bottom: another' : '' }}</p>
          </template>
        </div>
      </div>
      <div class="buttons">
        <button class="go" data-test="top" @pointerdown="down" @click="up('top')"><span>{{ face ? (face.phase === 'paused' ? 'go on' : 'pause') : 'go' }}</span></button>
        <button data-test="middle" @pointerdown="down" @click="up('middle')"><span>press</span></button>
        <button data-test="bottom" @pointerdown="down" @click="up('bottom')"><span>look</span></button>
      </div>
    </div>
    <div class="beside">
      <p v-if="problem" class="said error" role="alert">{{ problem.problem }} <span class="faint">{{ problem.hint }}</span></p>
      <p v-for="id in broughtHome" :key="id" class="said note" role="status">A recording came home. <NuxtLink :to="`/log/${id}`" data-test="to-log">Planned beside done</NuxtLink></p>
      <p v-if="glass && glass.recordingsWaiting > 0" class="said ask">{{ glass.recordingsWaiting }} {{ glass.recordingsWaiting === 1 ? 'recording waits' : 'recordings wait' }} on the watch. <button class="plain" @click="bringHome">Bring home</button></p>
      <h2>Buttons</h2>
      <p>Top: go, pause, go on. Middle: press, where a step ends by press; held for a second it skips the step. Bottom: look; held it takes the last press or skip back, and while paused it ends the session.</p>
      <h2>The body that wears it</h2>
      <div class="settings">
        <label>Times real time <input v-model.number="speed" class="field" type="number" min="1" max="600" data-test="speed" @change="wear"></label>
        <label>Seed <input v-model.number="seed" class="field" type="number" min="1" @change="wear"></label>
        <label class="check"><input v-model="pressesItself" type="checkbox" @change="wear"> presses by itself after the usual time</label>
      </div>
      <h2>The link to it</h2>
      <div class="settings">
        <label>Manner <select v-model="manner" class="field" data-test="manner" @change="setManner"><option value="good">good</option><option value="slow">slow</option><option value="lossy">lossy: one in four lost</option><option value="cut">cut after 1500 bytes</option></select></label>
        <span v-if="glass?.link.cutAfter !== null && glass?.link.cutAfter !== undefined" class="faint">{{ glass.link.cutAfter }} bytes to go</span>
      </div>
    </div>
  </div>
</template>

<style scoped>
.stand { display: flex; gap: 44px; flex-wrap: wrap; align-items: flex-start; }
.watch { display: flex; align-items: stretch; }
.case { background: #1F1B18; border: 1px solid #40382F; border-radius: 44px; padding: 15px; }
.glass { width: 288px; height: 350px; background: #14110f; border-radius: 30px; color: #F2E9DC; text-align: center; padding: 16px 20px; display: flex; flex-direction: column; }
.glass p { margin: 0; }
.where { color: #E2B48F; font-size: .95rem; min-height: 1.5em; line-height: 1.25; }
.figure { font: 700 5.1rem/1.05 var(--read); font-variant-numeric: tabular-nums; }
.figure.long { font-size: 3.7rem; line-height: 1.45; }
.is { color: #C9BCA9; font-size: .95rem; }
.line { position: relative; height: 26px; margin: 8px 4px 0; }
.line::before { content: ''; position: absolute; left: 0; right: 0; top: 12px; border-top: 2px solid #5A5148; }
.band { position: absolute; left: 25%; width: 50%; top: 2px; height: 22px; border: 3px solid #E2B48F; border-radius: 12px; }
.at { position: absolute; top: 5px; width: 16px; height: 16px; margin-left: -8px; border-radius: 50%; background: #6CC4BB; }
.at.too-easy, .at.too-hard { background: #F0807C; border-radius: 2px; }
.at.settling { background: #C9BCA9; }
.ends { display: flex; justify-content: space-around; color: #E2B48F; font-size: 1.1rem; padding: 0 24px; }
.value { font: 700 2.5rem/1.1 var(--read); color: #6CC4BB; font-variant-numeric: tabular-nums; }
.value small { font-size: 1rem; font-weight: 400; color: #C9BCA9; }
.value.too-easy, .value.too-hard { color: #F0807C; }
.value.settling { color: #F2E9DC; }
.free { color: #C9BCA9; margin: auto 0 !important; font-size: 1.2rem; }
.ease { font: 700 3rem/1.3 var(--read); color: #F0807C; margin: auto 0 !important; }
.next { margin-top: auto !important; color: #C9BCA9; font-size: 1.02rem; line-height: 1.25; }
.choose { list-style: none; padding: 0; margin: 14px 0; text-align: left; }
.choose li { padding: 7px 12px; border-radius: 4px; white-space: nowrap; overflow: hidden; text-overflow: ellipsis; }
.choose li.on { background: #E2B48F; color: #14110f; font-weight: 700; }
.look { display: grid; grid-template-columns: auto 1fr; gap: 4px 14px; text-align: left; margin: 14px 0; font-size: 1.15rem; }
.look dt { color: #C9BCA9; }
.look dd { margin: 0; font-variant-numeric: tabular-nums; }
.buttons { display: flex; flex-direction: column; justify-content: space-evenly; margin-left: -1px; }
.buttons button { width: 74px; height: 56px; border: 1px solid #40382F; border-left: 0; border-radius: 0 10px 10px 0; background: #40382F; color: #F6EFE4; cursor: pointer; }
.buttons .go { background: #9C4320; font-weight: 700; }
.beside { flex: 1; min-width: 280px; max-width: 520px; }
.beside h2 { margin-top: 16px; }
.settings { display: flex; gap: 16px; flex-wrap: wrap; align-items: center; margin-top: 6px; }
.settings label { display: flex; gap: 8px; align-items: center; }
.settings input[type=number] { width: 84px; }
@media (max-width: 460px) { .glass { width: 254px; padding: 14px 12px; } .stand { gap: 20px; } .buttons button { width: 62px; } }
</style>
