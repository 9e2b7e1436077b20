<script setup lang="ts">
import type { SizeProposal } from '~~/core/advise/sizes'
import { proposeSizes } from '~~/core/advise/sizes'
import { sayDuration } from '~~/core/quantity/time'
import type { Session } from '~~/core/session/document'

const emit = defineEmits<{ take: [session: Session] }>()

const desk = useDeskReadingStore()
const text = useDeskTextStore()
const athletes = useAthleteStore()
const settled = useBehind(
  () => ({ session: desk.session, likely: desk.reckoning?.seconds.likely ?? null }),
  () => text.id,
)
const minutes = ref(45)
const proposals = ref<SizeProposal[] | null>(null)
const shown = ref<string | null>(null)
watch(
  () => settled.value.session,
  () => (proposals.value = null),
)

function propose() {
  if (!desk.session) return
  proposals.value = proposeSizes(desk.session, athletes.standpoint, minutes.value * 60)
  shown.value = proposals.value[0]?.label ?? null
}
const direction = computed(() => (settled.value.likely !== null && minutes.value * 60 > settled.value.likely ? 'longer' : 'shorter'))
</script>

<template>
  <form class="sizes" @submit.prevent="propose">
    <label>Make it <input v-model.number="minutes" class="field" type="number" min="5" max="2880" data-test="size-minutes" /> min</label>
    <button class="act" data-test="propose">{{ direction === 'longer' ? 'Longer' : 'Shorter' }}</button>
  </form>
  <p v-if="proposals?.length === 0" class="faint">It is about that long already, or has nothing to count.</p>
  <div v-for="proposal in proposals ?? []" :key="proposal.label" class="proposal" data-test="proposal">
    <button class="plain name" :aria-expanded="shown === proposal.label" @click="shown = shown === proposal.label ? null : proposal.label">
      {{ proposal.label }}, {{ sayDuration(Math.round(proposal.seconds / 60) * 60) }}
    </button>
    <p>{{ proposal.why }}</p>
    <template v-if="shown === proposal.label">
      <DeskRowDiff v-if="settled.session" :before="settled.session" :after="proposal.session" />
      <button class="act" data-test="take-size" @click="emit('take', proposal.session)">Take this one</button>
    </template>
  </div>
</template>

<style scoped>
.sizes {
  display: flex;
  gap: 10px;
  align-items: center;
  margin: 6px 0;
}
.field {
  width: 70px;
}
.proposal {
  border-left: 4px solid var(--clay-2);
  padding: 2px 0 4px 10px;
  margin: 8px 0;
  font-size: 0.93rem;
}
.proposal p {
  margin: 0;
  color: var(--faint);
}
.name {
  font-weight: 600;
}
</style>
