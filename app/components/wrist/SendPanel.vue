<script setup lang="ts">
import type { FitPreview } from '~~/shared/api'

const props = defineProps<{ sessionId: string, title: string }>()
const emit = defineEmits<{ close: [] }>()
const wrist = useWristStore()
const chosen = ref('')
const preview = ref<FitPreview | null>(null)
const { problem, guarded } = useGuarded()
const isOpen = ref(true)

async function look(id: string) {
  chosen.value = id
  preview.value = null
  wrist.transfer = null
  await guarded(async () => preview.value = await api<FitPreview>(`/watches/${id}/fit?session=${props.sessionId}`))
}

onMounted(() => guarded(async () => {
  await wrist.load()
  const first = wrist.preferred()
  if (first) await look(first.id)
}))

const sending = computed(() => wrist.transfer?.sessionId === props.sessionId && wrist.transfer.watchId === chosen.value ? wrist.transfer : null)
const share = computed(() => sending.value ? Math.round(sending.value.arrived / Math.max(1, sending.value.size) * 100) : 0)
</script>

<template>
  <el-dialog v-model="isOpen" :title="`To the wrist: ${title}`" width="min(560px, 94vw)" @closed="emit('close')">
    <p v-if="problem" class="said error" role="alert">{{ problem.problem }} <span class="faint">{{ problem.hint }}</span></p>
    <p v-if="wrist.watches.length === 0 && !problem" class="faint">No watch is known yet.</p>
    <fieldset>
      <legend>Watch</legend>
      <label v-for="entry in wrist.watches" :key="entry.id">
        <input type="radio" name="watch" :value="entry.id" :checked="entry.id === chosen" @change="look(entry.id)">
        {{ entry.name }} <span class="faint">{{ entry.profile.name }}, {{ entry.profile.maxSteps }} steps</span>
      </label>
    </fieldset>
    <template v-if="preview">
      <p v-if="preview.losses.length === 0" class="good">Everything fits as written.</p>
      <WristLossList :losses="preview.losses" />
    </template>
    <div v-if="sending" role="status" data-test="transfer">
      <template v-if="sending.state === 'sending'">
        <progress :value="sending.arrived" :max="sending.size" /> {{ share }} % of {{ sending.size }} bytes
      </template>
      <p v-else-if="sending.state === 'done'" class="good" data-test="receipt">
        ● Receipt: in slot {{ sending.slot }}, read back and equal.
        <NuxtLink :to="`/wrist?watch=${chosen}&slot=${sending.slot}`">See it step by step</NuxtLink> ·
        <NuxtLink :to="`/watch/${chosen}`">To the stand-in watch</NuxtLink>
      </p>
      <p v-else class="said error">
        Stopped at {{ sending.arrived }} of {{ sending.size }} bytes: {{ sending.problem }}
        <button class="act" data-test="resume" @click="guarded(() => wrist.resume(sending!.id))">Go on from there</button>
      </p>
    </div>
    <template #footer>
      <button class="act" @click="isOpen = false">Close</button>
      <button
        class="act first send" data-test="send" :disabled="!preview?.fits || sending?.state === 'sending' || sending?.state === 'done'"
        @click="guarded(() => wrist.send(chosen, sessionId))"
      >
        Send
      </button>
    </template>
  </el-dialog>
</template>

<style scoped>
fieldset { border: 1px solid var(--rule); padding: 8px 12px; display: grid; gap: 6px; }
label { display: flex; gap: 8px; align-items: baseline; min-height: 24px; }
progress { width: 60%; accent-color: var(--verdigris); }
.send { margin-left: 10px; }
</style>
