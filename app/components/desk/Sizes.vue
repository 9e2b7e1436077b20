<script setup lang="ts">
import { harderSession } from '~~/core/edit/whole'
import type { SizeProposal } from '~~/core/advise/sizes'
import { proposeSizes } from '~~/core/advise/sizes'
import { sayToTheMinute } from '~~/core/quantity/time'
import type { Session } from '~~/core/session/document'
import { deskSizes as texts } from '~/texts/en'

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
/** Percent that the work gets harder or easier by, and minutes that the whole gets longer or shorter by. */
const step = { percent: 3, minutes: 10 }
const isWithoutTarget = ref(false)
function byEffort(sign: 1 | -1) {
  if (!desk.session) return
  const made = harderSession(desk.session, { by: sign * step.percent, unit: '%' })
  isWithoutTarget.value = made === null
  if (made) emit('take', made)
}
function byLength(sign: 1 | -1) {
  const likely = desk.reckoning?.seconds.likely
  if (!likely) return
  minutes.value = Math.max(5, Math.round(likely / 60) + sign * step.minutes)
  propose()
}
const direction = computed(() => (settled.value.likely !== null && minutes.value * 60 > settled.value.likely ? 'longer' : 'shorter'))
</script>

<template>
  <p class="whole" role="group" :aria-label="texts.theWholeSession">
    <el-button data-test="whole-harder" :title="texts.everyTargetHarder(step.percent)" @click="byEffort(1)">{{ texts.harder }}</el-button>
    <el-button data-test="whole-easier" :title="texts.everyTargetEasier(step.percent)" @click="byEffort(-1)">{{ texts.easier }}</el-button>
    <el-button data-test="whole-longer" :title="texts.aboutMinLonger(step.minutes)" @click="byLength(1)">{{ texts.longer }}</el-button>
    <el-button data-test="whole-shorter" :title="texts.aboutMinShorter(step.minutes)" @click="byLength(-1)">{{ texts.shorter }}</el-button>
  </p>
  <p v-if="isWithoutTarget" class="faint" role="status">{{ texts.noWorkHasA }}</p>
  <form class="sizes" @submit.prevent="propose">
    <label
      >{{ texts.makeIt }} <el-input v-model.number="minutes" type="number" min="5" max="2880" data-test="size-minutes" />
      {{ texts.min }}</label
    >
    <el-button native-type="submit" data-test="propose">{{ direction === 'longer' ? texts.longer : texts.shorter }}</el-button>
  </form>
  <p v-if="proposals?.length === 0" class="faint">{{ texts.itIsAboutThat }}</p>
  <div v-for="proposal in proposals ?? []" :key="proposal.label" class="proposal" data-test="proposal">
    <el-button
      link
      type="primary"
      class="name"
      :aria-expanded="shown === proposal.label"
      @click="shown = shown === proposal.label ? null : proposal.label">
      {{ proposal.label }}, {{ sayToTheMinute(proposal.seconds) }}
    </el-button>
    <p>{{ proposal.why }}</p>
    <template v-if="shown === proposal.label">
      <DeskRowDiff v-if="settled.session" :before="settled.session" :after="proposal.session" />
      <el-button data-test="take-size" @click="emit('take', proposal.session)">{{ texts.takeThisOne }}</el-button>
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
.el-input {
  width: 70px;
}
.whole {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 6px 0;
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
