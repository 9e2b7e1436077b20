<script setup lang="ts">
import type { PushPlan, TransferState } from '~~/shared/api'
import { actWords, pushedWords } from '~/watches/words'

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
const pushing = { week: 'the coming seven days', today: 'today only', hand: 'nothing by itself: you send by hand' } as const
const naming = { telling: 'telling titles', weekday: 'weekday names, cleared weekly', slot: 'one slot' } as const
const dates = useDates()
</script>

<template>
  <section aria-label="Push">
    <h2>What is planned</h2>
    <p v-if="problem" class="said error" role="alert">
      {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
    </p>
    <p v-if="said" class="said note" role="status">{{ said }}</p>
    <p v-if="!plan"><el-button :disabled="isBusy" data-test="dry-run" @click="look">See what pushing would do</el-button></p>
    <template v-else>
      <p class="faint">
        Your ways: {{ pushing[plan.pushing] }}; {{ naming[plan.naming] }}. <NuxtLink to="/me#set">Change them in Me</NuxtLink>
      </p>
      <ul class="acts" data-test="acts">
        <li
          v-for="(act, index) in plan.acts"
          :key="index"
          :class="{ doubt: act.do === 'wait' || act.do === 'ask', faint: act.do === 'keep' }">
          {{ actWords(act, dates.day) }}
        </li>
        <li v-if="plan.acts.length === 0" class="faint">Nothing is planned that has to be sent, and nothing has to go.</li>
      </ul>
      <el-button type="primary" :disabled="isBusy || work === 0" data-test="push" @click="push">
        {{ work === 0 ? 'Nothing to do' : 'Do this' }}
      </el-button>
      <el-button class="later" @click="plan = null">Not now</el-button>
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
