<script setup lang="ts">
import { sayDuration } from '~~/core/quantity/time'
import { rowActs, standingWords } from '~/shelf/acts'
import { distanceWords } from '~/shelf/words'
import type { Relative, ShelfRow } from '~~/shared/api'
import { shelfRowItem as texts } from '~/texts/en'

/** One session on the shelf: its picture, where it stands, and what can be done with it by menu and by keys. */
const props = defineProps<{ row: ShelfRow; family: Relative[] | null }>()
const emit = defineEmits<{ copy: []; archive: []; remove: []; family: []; tags: [tags: string[]] }>()
const athletes = useAthleteStore()
const dates = useDates()
const isTagging = ref(false)
const acts = computed(() => rowActs(props.row))
const facts = computed(() =>
  [
    props.row.sport,
    props.row.seconds === null ? texts.lengthNotKnown : `${sayDuration(Math.round(props.row.seconds))}${props.row.open > 0 ? ' +' : ''}`,
    props.row.metres === null ? '' : distanceWords(props.row, athletes.athlete),
    `${props.row.steps} ${props.row.steps === 1 ? 'step' : 'steps'}`,
  ].filter(Boolean),
)
const standing = computed(() =>
  standingWords(
    props.row,
    day => dates.day(day),
    instant => dates.dayOf(instant),
  ),
)

function act(name: string) {
  if (name === 'copy') emit('copy')
  else if (name === 'plan') void navigateTo(`/weeks?put=${props.row.id}`)
  else if (name === 'tag') isTagging.value = !isTagging.value
  else if (name === 'paper') void navigateTo(`/card/${props.row.id}`)
  else if (name === 'export') window.location.assign(`/api/sessions/${props.row.id}/export?as=json`)
  else if (name === 'archive') emit('archive')
  else if (name === 'remove') emit('remove')
}
/** Keys of the row whose title has the focus, and the way to the next one. */
function onKey(event: KeyboardEvent) {
  if (event.ctrlKey || event.metaKey || event.altKey) return
  const links = [...document.querySelectorAll<HTMLElement>('[data-test=row-title]')]
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key]
  const wanted = step ? links[links.indexOf(event.currentTarget as HTMLElement) + step] : undefined
  const chosen = acts.value.find(({ code }) => code === event.code)
  if (!step && !chosen) return
  event.preventDefault()
  if (step) wanted?.focus()
  else act(chosen!.name)
}
</script>

<template>
  <li class="row" data-test="row">
    <div class="title">
      <NuxtLink :to="`/desk/${row.id}`" data-test="row-title" @keydown="onKey">{{ row.title }}</NuxtLink>
      <p class="faint facts">{{ facts.join(' · ') }}</p>
      <p class="kin">
        <span v-for="tag in row.tags" :key="tag" class="faint">#{{ tag }}</span>
        <span v-if="row.duplicates > 0" class="doubt">{{ texts.sameContentAsOther(row.duplicates, row.duplicates > 1 ? 's' : '') }}</span>
        <el-button
          v-if="row.variants > 0"
          link
          type="primary"
          :aria-expanded="family !== null"
          :aria-label="texts.variantOf(row.variants, row.variants > 1 ? 's' : '', row.title)"
          data-test="variants"
          @click="emit('family')">
          {{ texts.variant(row.variants, row.variants > 1 ? 's' : '') }}
        </el-button>
      </p>
      <ul v-if="family" class="family" data-test="family">
        <li v-for="relative in family" :key="relative.id">
          <NuxtLink :to="`/desk/${relative.id}`">{{ relative.title }}</NuxtLink>{{ ' '
          }}<span class="faint">{{ relative.seconds === null ? '' : sayDuration(Math.round(relative.seconds)) }}</span>
        </li>
      </ul>
      <LazyTagField v-if="isTagging" :tags="row.tags" @set="(wanted: string[]) => emit('tags', wanted)" />
    </div>
    <SessionCord :cord="row.cord" :width="420" class="picture" />
    <p class="standing" data-test="standing">
      <span v-for="one in standing" :key="one.words" :class="one.kind">{{ one.words }}</span>
    </p>
    <el-dropdown trigger="click" class="acts" @command="act">
      <el-button :aria-label="texts.actionsFor(row.title)" data-test="acts">{{ texts.actions }}</el-button>
      <template #dropdown>
        <el-dropdown-menu>
          <el-dropdown-item v-for="one in acts" :key="one.name" :command="one.name" :divided="one.name === 'remove'">
            {{ one.words }} <kbd class="faint">{{ one.key }}</kbd>
          </el-dropdown-item>
        </el-dropdown-menu>
      </template>
    </el-dropdown>
  </li>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: minmax(200px, 1fr) minmax(0, 420px) 150px auto;
  gap: 4px 22px;
  align-items: center;
  padding: 9px 0;
  border-bottom: 1px solid var(--rule);
}
.row:focus-within {
  background: var(--lit);
}
.title {
  overflow-wrap: anywhere;
  min-width: 0;
}
.title > a {
  font-weight: 600;
}
p {
  margin: 0;
}
.facts {
  font-size: 0.9rem;
}
.kin {
  font-size: 0.85rem;
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
}
.standing {
  display: grid;
  font-size: 0.9rem;
}
.family {
  list-style: none;
  margin: 2px 0 2px 14px;
  padding: 0;
  font-size: 0.93rem;
}
kbd {
  font: 0.75rem var(--mono);
  margin-left: auto;
  padding-left: 18px;
}
@media (max-width: 900px) {
  .row {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .picture {
    grid-column: 1 / -1;
    grid-row: 2;
    min-width: 0;
    overflow: hidden;
  }
  .standing {
    grid-row: 3;
    grid-template-columns: auto auto;
    justify-content: start;
    gap: 14px;
  }
}
</style>
