<script setup lang="ts">
import type { PushPlan, TransferState } from '~~/shared/api'
import { actWords, pushedWords } from '~/watches/words'
import { watchesPush as texts } from '~/texts/en'

/** What pushing by the athlete's schools would do, shown before it is done. */
const props = defineProps<{ watchId: string }>()
const wrist = useWatchesStore()
const emit = defineEmits<{ pushed: [] }>()
const plan = ref<PushPlan | null>(null)
const said = ref('')
const { problem, isBusy, guarded } = useGuarded()
const look = () =>
  guarded(async () => {
    said.value = ''
    plan.value = await api<PushPlan>(`/watches/${props.watchId}/push`)
  })
const push = () =>
  guarded(async () => {
    try {
      const { transfers } = await api<{ transfers: TransferState[] }>(`/watches/${props.watchId}/push`, {
        method: 'POST',
        body: { digest: plan.value!.digest },
      })
      const ends: (TransferState['state'] | undefined)[] = []
      for (const transfer of transfers) {
        await wrist.follow(transfer)
        ends.push(wrist.transfer?.state)
      }
      said.value = pushedWords(ends)
    } finally {
      plan.value = null
      emit('pushed')
    }
  })
const work = computed(() => plan.value?.acts.filter(act => act.do === 'send' || act.do === 'remove').length ?? 0)
const pushing = { week: texts.theComingSevenDays, today: texts.todayOnly, hand: texts.nothingByItselfYou } as const
const naming = { telling: texts.tellingTitles, weekday: texts.weekdayNamesClearedWeekly, slot: texts.oneSlot } as const
const dates = useDates()
</script>

<template>
  <section :aria-label="texts.push">
    <h2>{{ texts.whatIsPlanned }}</h2>
    <p v-if="problem" class="said error" role="alert">
      {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
    </p>
    <p v-if="said" class="said note" role="status">{{ said }}</p>
    <WatchesByItself :watch-id="watchId" />
    <p v-if="!plan">
      <el-button :disabled="isBusy" data-test="dry-run" @click="look">{{ texts.seeWhatPushingWould }}</el-button>
    </p>
    <template v-else>
      <p class="faint">
        {{ texts.yourWays(pushing[plan.pushing], naming[plan.naming]) }} <NuxtLink to="/me#set">{{ texts.changeThemInMe }}</NuxtLink>
      </p>
      <ul class="acts" data-test="acts">
        <li
          v-for="(act, index) in plan.acts"
          :key="index"
          :class="{ doubt: act.do === 'wait' || act.do === 'ask', faint: act.do === 'keep' }">
          {{ actWords(act, dates.day) }}
        </li>
        <li v-if="plan.acts.length === 0" class="faint">{{ texts.nothingIsPlannedThat }}</li>
      </ul>
      <el-button type="primary" :disabled="isBusy || work === 0" data-test="push" @click="push">
        {{ work === 0 ? texts.nothingToDo : texts.doThis }}
      </el-button>
      <el-button class="later" @click="plan = null">{{ texts.notNow }}</el-button>
    </template>
  </section>
</template>

<style scoped>
section {
  margin-top: 26px;
}
.acts {
  padding-left: 18px;
  margin: 8px 0;
}
.later {
  margin-left: 10px;
}
</style>
