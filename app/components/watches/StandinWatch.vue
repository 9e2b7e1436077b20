<script setup lang="ts">
import type { Knob } from '~~/core/wrist/engine/buttons'
import type { Glass } from '~~/shared/api'
import { watchesStandinWatch as texts } from '~/texts/en'

const props = defineProps<{ watchId: string }>()
const glass = ref<Glass | null>(null)
const { problem, guarded } = useGuarded()
const broughtHome = ref<string[]>([])
const base = `/standin/${props.watchId}`
const push = (button: Knob, hold: boolean) =>
  guarded(async () => (glass.value = await api<Glass>(`${base}/button`, { method: 'POST', body: { button, hold } })))
const bringHome = () =>
  guarded(async () => {
    const { recordings } = await api<{ recordings: string[] | null }>(`/watches/${props.watchId}/collect`, { method: 'POST' })
    broughtHome.value = [...(recordings ?? []), ...broughtHome.value]
  })

const outOfReach = { status: 0, problem: texts.theWatchIsOut, where: 'stand-in', hint: texts.itComesBackBy }
const { data, error, status } = useEventSource(`/api${base}/events`)
watch(data, words => {
  if (!words) return
  const before = glass.value
  glass.value = JSON.parse(words) as Glass
  if (before?.face && !glass.value.face && glass.value.recordingsWaiting > 0 && glass.value.isPaired) void bringHome()
})
watch(error, fault => fault && (problem.value = outOfReach))
watch(status, now => now === 'OPEN' && (problem.value = null))
const idleTitle = computed(() => {
  const now = glass.value!
  if (now.entrances) return now.face ? texts.jumpTo : texts.beginAt
  return now.changes ? 'change' : now.profile
})
const idleHint = computed(() => {
  const now = glass.value!
  if (now.code) return texts.holdTheMiddleTo
  if (now.changes) return texts.holdTheBottomWhen
  if (now.entrances) return ''
  return now.slots.length > 0 ? texts.holdTheBottomTo : now.isPaired ? '' : texts.holdTheMiddleToPair
})
const isChoosing = computed(() => glass.value?.entrances !== null && glass.value?.entrances !== undefined)
</script>

<template>
  <div class="stand">
    <div class="watch">
      <div class="case">
        <div class="glass" :class="{ dark: glass && !glass.isOn }" role="group" :aria-label="texts.watchFace" data-test="glass">
          <template v-if="glass?.isOn">
            <FaceGlass v-if="glass.face && !isChoosing" :face="glass.face" :look="glass.look" :said="glass.said" />
            <FaceIdleGlass
              v-else
              :title="idleTitle"
              :slots="glass.slots"
              :chosen="glass.chosen"
              :choice="glass.entrances ?? glass.changes"
              :rows="glass.rows"
              :code="glass.code">
              {{ idleHint }}
            </FaceIdleGlass>
          </template>
        </div>
      </div>
      <FaceButtons v-if="glass" :words="glass.knobs" @push="push" />
    </div>
    <div class="beside">
      <p v-if="problem" class="said error" role="alert">
        {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
      </p>
      <p v-for="id in broughtHome" :key="id" class="said note" role="status">
        {{ texts.aRecordingCameHome }} <NuxtLink :to="`/log/${id}`" data-test="to-log">{{ texts.plannedBesideDone }}</NuxtLink>
      </p>
      <p v-if="glass && glass.recordingsWaiting > 0" class="said ask">
        {{ texts.onTheWatch(glass.recordingsWaiting, glass.recordingsWaiting === 1 ? texts.recordingWaits : texts.recordingsWait) }}
        <el-button link type="primary" @click="bringHome">{{ texts.bringHome }}</el-button>
      </p>
      <h2>{{ texts.buttons }}</h2>
      <p>
        {{ texts.going }} <b>{{ texts.top }}</b> {{ texts.pausesAndResumesHeld }} <b>{{ texts.middle }}</b> {{ texts.pressesWhereAStep }}
        <b>{{ texts.bottom }}</b> {{ texts.looksHeldItTakes }}
      </p>
      <p>
        {{ texts.nothingGoing }} <b>{{ texts.top }}</b> {{ texts.begins }} <b>{{ texts.middle }}</b> {{ texts.opensWhereToBegin }}
        <b>{{ texts.bottom }}</b> {{ texts.goesToTheNext }} <b>{{ texts.top }}</b> {{ texts.makesMore }} <b>{{ texts.middle }}</b>
        {{ texts.lessWhatIsChanged }} <i>{{ texts.changedThere }}</i>.
      </p>
      <WatchesWorkshop v-if="glass" :watch-id="watchId" :glass="glass" @problem="problem = $event" />
    </div>
  </div>
</template>

<style scoped>
.stand {
  display: flex;
  gap: 44px;
  flex-wrap: wrap;
  align-items: flex-start;
}
.watch {
  display: flex;
  align-items: stretch;
}
.case {
  background: #1f1b18;
  border: 1px solid #40382f;
  border-radius: 44px;
  padding: 15px;
}
.glass {
  width: 288px;
  height: 350px;
  background: #14110f;
  border-radius: 30px;
  color: #f2e9dc;
  text-align: center;
  padding: 16px 20px;
  container-type: inline-size;
  display: flex;
  flex-direction: column;
}
.glass.dark {
  background: #0a0908;
}
.beside {
  flex: 1;
  min-width: 280px;
  max-width: 560px;
}
.beside p {
  margin: 6px 0;
}
@media (max-width: 460px) {
  .glass {
    width: 254px;
    padding: 14px 12px;
  }
  .stand {
    gap: 20px;
  }
}
</style>
