<script setup lang="ts">
import { unitsOf } from '~~/core/athlete/athlete'
import { sayDistance } from '~~/core/quantity/distance'
import { formatTime } from '~~/core/quantity/time'
import type { Sport } from '~~/core/session/document'
import type { TodaySession } from '~~/shared/plan'
import { todaySession as texts } from '~/texts/en'

/** One session of today: what it comes to, its rows, where it is, and what can be done with it. */
const props = defineProps<{ one: TodaySession; today: string }>()
const emit = defineEmits<{ changed: [] }>()
const athletes = useAthleteStore()
const { problem, isBusy, guarded } = useGuarded()
const { copy, copied } = useClipboard({ legacy: true })

const total = computed(() => (props.one.seconds.likely === null ? null : formatTime(Math.round(props.one.seconds.likely))))
const distance = computed(() => {
  const { metres, entry } = props.one
  if (metres.likely === null || metres.likely === 0) return ''
  const unit = entry.sport === 'multi' || !entry.sport ? 'km' : unitsOf(athletes.athlete)[entry.sport as Sport]
  return sayDistance(metres.likely, unit)
})
const share = (value: number) => value.toFixed(2)
const hardness = computed(() => {
  const { used, entry } = props.one
  if (!used || used.likely === null || !entry.burden?.level) return null
  const range = used.high === null ? texts.orMore(share(used.low!)) : texts.toOf(share(used.low!), share(used.high))
  return { level: entry.burden.level, range }
})
const rowAt = (startsAt: number | null) => (startsAt === null ? '' : formatTime(Math.round(startsAt)))
const move = (day: string) =>
  guarded(async () => {
    const { id } = props.one.entry
    await api('/plan/edits', { method: 'POST', body: { do: 'move', id, day, was: { day: props.one.entry.day } } })
    emit('changed')
  })
const asText = () => copy(props.one.rows.map(({ depth, words }) => `${'  '.repeat(depth)}${words}`).join('\n'))
</script>

<template>
  <article class="session" data-test="today-session">
    <h1>
      <NuxtLink :to="`/desk/${one.entry.sessionId}`">{{ one.entry.title }}</NuxtLink>
    </h1>
    <p class="figures">
      <strong v-if="total" class="total" data-test="today-total">{{ total }}</strong>
      <span v-else class="faint">{{ texts.howLongIsNot }}</span>
      <span v-if="distance">{{ distance }}</span>
      <span v-if="hardness"
        >{{ hardness.level }} <span class="faint">{{ hardness.range }}</span> <Explained term="share-used"
      /></span>
      <span v-if="one.isDone" class="good">{{ texts.done }}</span>
    </p>
    <SessionCord :cord="one.entry.cord" :width="880" class="wide" />
    <ol class="rows">
      <li v-for="row in one.rows" :key="row.path" :class="{ repeat: row.kind === 'block' }">
        <span class="mono clock faint">{{ row.depth === 0 ? rowAt(row.startsAt) : '' }}</span>
        <span class="mono words" :style="{ paddingLeft: `${row.depth * 20}px` }">{{ row.words }}</span>
        <span class="faint comes">{{ row.comesTo }}</span>
      </li>
    </ol>
    <p class="where">
      <span v-if="one.watches.length > 0" class="good" data-test="on-watch">● {{ texts.onThe(one.watches.join(', ')) }}</span>
      <span v-else class="doubt" data-test="on-watch">○ {{ texts.onNoWatchYet }}</span>
    </p>
    <DeskHomeBy :seconds="one.seconds" />
    <p class="acts">
      <NuxtLink v-if="one.watches.length > 0" to="/phone" class="act first">{{ texts.carryOutOnThis }}</NuxtLink>
      <NuxtLink v-else to="/watches" class="act first">{{ texts.toTheWatches }}</NuxtLink>
      <NuxtLink :to="`/desk/${one.entry.sessionId}`" class="act">{{ texts.openAtTheDesk }}</NuxtLink>
      <TodayMoveTo :today="today" :day="one.entry.day" :is-busy="isBusy" @move="move" />
      <el-button link type="primary" @click="asText()">{{ copied ? texts.copied : texts.copyAsText }}</el-button>
    </p>
    <ProblemAlert :problem="problem" />
  </article>
</template>

<style scoped>
.session + .session {
  border-top: 2px solid var(--slip);
  margin-top: 18px;
  padding-top: 14px;
}
h1 {
  margin: 0;
  overflow-wrap: anywhere;
}
h1 a {
  color: inherit;
  text-decoration: none;
}
h1 a:hover {
  text-decoration: underline;
}
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 30px;
  align-items: baseline;
  margin: 4px 0;
}
.total {
  font-family: var(--title);
  font-size: 2.4rem;
  line-height: 1.2;
}
.wide {
  display: block;
  width: 100%;
  margin: 4px 0 10px;
}
.rows {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--rule);
}
.rows li {
  display: grid;
  grid-template-columns: 70px minmax(0, 1fr) auto;
  gap: 10px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
.words {
  overflow-wrap: anywhere;
}
.repeat .words {
  color: var(--clay-5);
  font-weight: 600;
}
.comes {
  font-size: 0.875rem;
  text-align: right;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  margin: 12px 0;
}
@media (max-width: 640px) {
  .rows li {
    grid-template-columns: 48px minmax(0, 1fr);
    gap: 2px 8px;
  }
  .comes {
    grid-column: 2;
    text-align: left;
  }
}
</style>
