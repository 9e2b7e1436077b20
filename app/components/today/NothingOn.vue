<script setup lang="ts">
import { sayToTheMinute } from '~~/core/quantity/time'
import type { PlanRow, TodayPicture } from '~~/shared/plan'
import { todayNothingOn as texts } from '~/texts/en'

/** A day without a session: says so, and offers the next ones, an easy one, a rest. */
const props = defineProps<{ picture: TodayPicture }>()
const emit = defineEmits<{ changed: [] }>()
const dates = useDates()
const { problem, isBusy, guarded } = useGuarded()
const isRest = computed(() => props.picture.others.some(({ kind }) => kind === 'rest' || kind === 'blocked'))

const edit = (body: object) =>
  guarded(async () => {
    await api('/plan/edits', { method: 'POST', body })
    emit('changed')
  })
const bring = (row: PlanRow) => edit({ do: 'move', id: row.id, day: props.picture.today, was: { day: row.day } })
const rest = () => edit({ do: 'put', day: props.picture.today, kind: 'rest', name: texts.rest })
</script>

<template>
  <section data-test="nothing-on">
    <h1>{{ isRest ? texts.aDayOfRest : texts.nothingIsOnToday }}</h1>
    <p class="ways">
      <NuxtLink to="/shelf?search=easy" class="act first">{{ texts.anEasyOneFrom }}</NuxtLink>
      <NuxtLink to="/desk/new" class="act">{{ texts.writeOne }}</NuxtLink>
      <el-button v-if="!isRest" :disabled="isBusy" data-test="rest" @click="rest">{{ texts.keepItAs }}</el-button>
    </p>
    <template v-if="picture.next.length > 0">
      <h2>{{ texts.comingUp }}</h2>
      <ul class="next">
        <li v-for="row in picture.next" :key="row.id">
          <span class="faint">{{ dates.day(row.day) }}</span>
          <NuxtLink :to="`/desk/${row.sessionId}`">{{ row.title }}</NuxtLink>
          <SessionCord :cord="row.cord" :width="240" />
          <span class="faint">{{ row.seconds === null ? '' : sayToTheMinute(row.seconds) }}</span>
          <el-button link type="primary" :disabled="isBusy" :aria-label="texts.doToday(row.title)" @click="bring(row)">{{
            texts.doItToday
          }}</el-button>
        </li>
      </ul>
    </template>
    <ProblemAlert :problem="problem" />
  </section>
</template>

<style scoped>
h1 {
  margin: 0;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
.next {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--rule);
}
.next li {
  display: grid;
  grid-template-columns: 90px minmax(120px, 1fr) 240px 70px auto;
  gap: 4px 14px;
  align-items: center;
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
}
@media (max-width: 900px) {
  .next li {
    grid-template-columns: 90px minmax(0, 1fr);
  }
}
</style>
