<script setup lang="ts">
import type { ApiProblem } from '~/composables/api'
import type { Glass, LinkKind } from '~~/shared/api'
import { watchesWorkshop as texts } from '~/texts/en'

/** What a hand can do to a stand-in beside pushing its buttons: the body that wears it, its links, its power, its clock. */
const props = defineProps<{ watchId: string; glass: Glass }>()
const emit = defineEmits<{ problem: [problem: ApiProblem | null] }>()
const base = `/standin/${props.watchId}`
const speed = ref(60)
const seed = ref(1)
const pressesItself = ref(true)
const behaviour = ref('careful')
const link = ref<LinkKind>('radio')
const faults = ref('')
/** The slot that a hand takes; 0 for the chosen one. */
const slot = ref(0)

const behaviours: Record<string, { words: string; behaviour: object }> = {
  careful: { words: texts.doesAsTold, behaviour: {} },
  hasty: { words: texts.startsTooFast7, behaviour: { bias: 0.07, startsFast: 0.1 } },
  absent: { words: texts.missesCuesPressesTwice, behaviour: { missesCue: 0.4, pressesTwice: 0.3 } },
  hills: { words: texts.overHillsOf6, behaviour: { hills: { percent: 6, metres: 900 } } },
  tunnel: { words: texts.strapSlipsThenA, behaviour: { silentHeart: { from: 120, to: 200 }, silentPosition: { from: 260, to: 320 } } },
}
const still = { delay: 1, jitter: 0, loss: 0, double: 0, late: 0, cutAfter: null }
const linkFaults: Record<string, { words: string; faults: object }> = {
  good: { words: 'good', faults: { ...still, delay: 15, jitter: 15 } },
  slow: { words: 'slow', faults: { ...still, delay: 150 } },
  lossy: { words: texts.oneInFourLost, faults: { ...still, delay: 20, jitter: 30, loss: 0.25, double: 0.1, late: 0.05 } },
  cut: { words: texts.cutAfter8000Bytes, faults: { ...still, delay: 20, cutAfter: 8000 } },
  off: { words: texts.outOfReach, faults: { ...still, loss: 1 } },
}

async function ask(method: 'PUT' | 'POST', what: string, body: unknown) {
  try {
    await api(`${base}/${what}`, { method, body })
    emit('problem', null)
  } catch (error) {
    emit('problem', toldOf(error))
  }
}
const wear = () =>
  ask('PUT', 'wearer', {
    speed: speed.value,
    seed: seed.value,
    pressesItself: pressesItself.value,
    behaviour: behaviours[behaviour.value]!.behaviour,
  })
const setFaults = (name: string) => ask('PUT', 'link-faults', { link: link.value, ...linkFaults[name]!.faults })
const hand = (act: object) => ask('POST', 'hand', act)
const target = computed(() => slot.value || props.glass.chosen)
const clockHours = computed(() => Math.round(props.glass.clockOff / 3_600_000))
onMounted(wear)
</script>

<template>
  <h2>{{ texts.theBodyThatWears }}</h2>
  <div class="settings">
    <label
      >{{ texts.timesRealTime }} <el-input v-model.number="speed" type="number" min="1" max="600" data-test="speed" @change="wear"
    /></label>
    <label>{{ texts.seed }} <el-input v-model.number="seed" type="number" min="1" @change="wear" /></label>
    <label
      >{{ texts.behaviour }}
      <el-select v-model="behaviour" @change="wear">
        <el-option v-for="(entry, name) in behaviours" :key="name" :value="name" :label="entry.words" /> </el-select
    ></label>
    <el-checkbox v-model="pressesItself" @change="wear">{{ texts.pressesByItselfAfter }}</el-checkbox>
  </div>
  <h2>{{ texts.theLinksToIt }}</h2>
  <div class="settings">
    <label
      >{{ texts.link }}
      <el-select v-model="link" data-test="link">
        <el-option value="radio" :label="texts.radio" />
        <el-option value="cable" :label="texts.cable" /> </el-select
    ></label>
    <label
      >{{ texts.faults }}
      <el-select v-model="faults" :placeholder="texts.asItIs" data-test="link-faults" @change="setFaults($event)">
        <el-option v-for="(entry, name) in linkFaults" :key="name" :value="name" :label="entry.words" /> </el-select
    ></label>
    <span v-if="glass.links[link].cutAfter !== null" class="faint">{{ texts.bytesToGo(glass.links[link].cutAfter!) }}</span>
  </div>
  <h2>{{ texts.hands }}</h2>
  <div class="settings">
    <label
      >{{ texts.slot }}
      <el-select v-model="slot">
        <el-option :value="0" :label="texts.theChosenOne" />
        <el-option v-for="entry in glass.slots" :key="entry.slot" :value="entry.slot" :label="`${entry.slot} ${entry.name}`" /> </el-select
    ></label>
    <el-button :disabled="target === null" data-test="hand-edit" @click="hand({ do: 'edit', slot: target })">
      {{ texts.changeItThere }}
    </el-button>
    <el-button :disabled="target === null" @click="hand({ do: 'delete', slot: target })">{{ texts.deleteItThere }}</el-button>
    <el-button data-test="hand-make" @click="hand({ do: 'make' })">{{ texts.makeOneThere }}</el-button>
    <el-button @click="hand({ do: 'power', on: !glass.isOn })">
      {{ glass.isOn ? texts.takeTheBatteryOut : texts.putTheBatteryIn }}
    </el-button>
    <el-button @click="hand({ do: 'clock', off: glass.clockOff === 0 ? -7_200_000 : 0 })">
      {{
        glass.clockOff === 0 ? texts.setItsClockWrong : texts.itsClockIsH(Math.abs(clockHours), clockHours < 0 ? texts.behind : texts.ahead)
      }}
    </el-button>
    <el-button @click="hand({ do: 'reset' })">{{ texts.resetIt }}</el-button>
  </div>
</template>

<style scoped>
h2 {
  margin-top: 16px;
}
.settings {
  display: flex;
  gap: 10px 16px;
  flex-wrap: wrap;
  align-items: center;
  margin-top: 6px;
}
.settings label {
  display: flex;
  gap: 8px;
  align-items: center;
}
.settings .el-input {
  width: 84px;
}
.settings .el-select {
  max-width: 230px;
}
</style>
