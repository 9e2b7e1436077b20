<script setup lang="ts">
import type { FitPreview, KeptWatch } from '~~/shared/api'
import { watchesSendPanel as texts } from '~/texts/en'

const props = defineProps<{ sessionId: string; title: string }>()
const emit = defineEmits<{ close: [] }>()
const wrist = useWatchesStore()
const chosen = ref('')
const preview = ref<FitPreview | null>(null)
const { problem, isBusy, guarded } = useGuarded()
const isOpen = ref(true)
const kept = computed(() => wrist.watches.find(entry => entry.id === chosen.value))

const show = async () => (preview.value = await api<FitPreview>(`/watches/${chosen.value}/fit?session=${props.sessionId}`))
async function look(id: string) {
  chosen.value = id
  preview.value = null
  wrist.transfer = null
  await guarded(show)
}
const choose = (key: string, way: string) =>
  guarded(async () => {
    preview.value = await api<FitPreview>(`/watches/${chosen.value}/fit`, {
      method: 'PUT',
      body: { session: props.sessionId, here: { ...preview.value!.here, [key]: way } },
    })
  })
const always = (about: string, way: string | null) =>
  guarded(async () => {
    await wrist.stand(chosen.value, about, way)
    await show()
  })

onMounted(() =>
  guarded(async () => {
    await wrist.load()
    const first = wrist.preferred()
    if (first) await look(first.id)
  }),
)

const sending = computed(() =>
  wrist.transfer?.sessionId === props.sessionId && wrist.transfer.watchId === chosen.value ? wrist.transfer : null,
)
const isSent = computed(() => sending.value?.state === 'sending' || sending.value?.state === 'done')
const sayProfile = ({ profile }: KeptWatch) =>
  texts.stepsRepeats(profile.name, profile.maxSteps, profile.maxNesting === 0 ? texts.writtenOut : texts.deep(profile.maxNesting))
</script>

<template>
  <el-dialog v-model="isOpen" :title="texts.sendToWatch(title)" width="min(640px, 94vw)" @closed="emit('close')">
    <p v-if="problem" class="said error" role="alert">
      {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
    </p>
    <p v-if="wrist.watches.length === 0 && !problem" class="faint">
      {{ texts.noWatchIsKnown }} <NuxtLink to="/watches">{{ texts.addOneInWatches }}</NuxtLink>
    </p>
    <fieldset>
      <legend>{{ texts.watch }}</legend>
      <el-radio-group :model-value="chosen" @change="id => look(String(id))">
        <el-radio v-for="entry in wrist.watches" :key="entry.id" :value="entry.id">
          {{ entry.name }} <span class="faint">{{ sayProfile(entry) }}{{ entry.isPaired ? '' : texts.notPaired }}</span>
        </el-radio>
      </el-radio-group>
    </fieldset>
    <template v-if="preview">
      <p v-if="preview.losses.length === 0" class="good">{{ texts.everythingFitsAsWritten }}</p>
      <WatchesLossList :losses="preview.losses" :standing="kept?.standing" :is-busy="isBusy" @choose="choose" @always="always" />
      <p v-if="!preview.fits" class="faint">
        {{ texts.whatNoWatchCan }} <NuxtLink :to="`/card/${sessionId}`">{{ texts.card }}</NuxtLink>.
      </p>
    </template>
    <WatchesSendingRow
      v-if="sending"
      :sending="sending"
      @resume="guarded(() => wrist.resume(sending!.id))"
      @cancel="guarded(() => wrist.cancelSending(sending!.id))">
      <NuxtLink :to="`/watches?watch=${chosen}&slot=${sending.slot}`">{{ texts.seeItStepBy }}</NuxtLink> ·
      <NuxtLink :to="`/standin/${chosen}`">{{ texts.toTheStandIn }}</NuxtLink>
    </WatchesSendingRow>
    <template #footer>
      <el-button @click="isOpen = false">{{ texts.close }}</el-button>
      <el-button
        type="primary"
        data-test="send"
        :disabled="!preview?.fits || isSent || !kept?.isPaired"
        @click="guarded(() => wrist.send(chosen, sessionId, { digest: preview!.digest }))">
        {{ texts.send }}
      </el-button>
    </template>
  </el-dialog>
</template>

<style scoped>
fieldset {
  border: 1px solid var(--rule);
  padding: 8px 12px;
  display: grid;
  gap: 6px;
}
</style>
