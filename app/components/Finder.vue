<script setup lang="ts">
import { sayToTheMinute } from '~~/core/quantity/time'
import { readScript } from '~~/core/script/reader/read-script'
import { rooms } from '~/rooms'
import type { Cord } from '~~/core/reckon/cord'
import type { FoundSessions, Listed, ShelfRow } from '~~/shared/api'
import type { LogRow } from '~~/shared/log'
import { finder as texts } from '~/texts/en'

const handover = useHandoverStore()

/** `early`: what was typed before the finder stood. */
const props = defineProps<{ early: string }>()
const emit = defineEmits<{ close: []; ready: [] }>()

interface Found {
  key: string
  kind: string
  name: string
  beside: string
  cord?: Cord | null
  go: () => unknown
}

/**
 * Trap: the browser's own dialog takes and gives back the focus at once; the library's does when it has faded, and keys typed till
 * then go nowhere.
 */
const dialog = useTemplateRef<HTMLDialogElement>('dialog')
const list = useTemplateRef<HTMLElement>('list')
const field = useTemplateRef<{ focus: () => void; input: HTMLInputElement }>('field')
const words = ref(props.early)
const sessions = shallowRef<ShelfRow[]>([])
const near = shallowRef<ShelfRow[]>([])
const how = ref('')
const isAway = ref(false)
const done = shallowRef<LogRow[]>([])
const at = ref(0)
const asking = useLastAsked()

async function load() {
  const isLast = asking()
  const told = await api<FoundSessions>(`/sessions?limit=8&search=${encodeURIComponent(words.value)}`).catch(() => null)
  if (!isLast()) return
  isAway.value = told === null
  sessions.value = told?.rows ?? []
  near.value = told?.near ?? []
  how.value = told?.how ?? ''
}
watchDebounced(words, load, { debounce: 120 })
watch(words, () => (at.value = 0))

const athletes = useAthleteStore()
const { dayOf: day } = useDates()
const holds = (text: string) =>
  words.value
    .trim()
    .toLowerCase()
    .split(/\s+/)
    .every(word => text.toLowerCase().includes(word))

/** Words that read as rows can be a new session at once. */
const asRows = computed(() => {
  const typed = words.value.trim()
  if (!/\d/.test(typed)) return null
  const { sessions: read, remarks } = readScript(typed, athletes.standpoint)
  return read.length === 1 && read[0]!.items.length > 0 && !remarks.some(remark => remark.level === 'error') ? typed : null
})

const ofSession = (row: ShelfRow, kind: string): Found => ({
  key: row.id,
  kind,
  name: row.title,
  beside: [
    row.sport,
    row.seconds === null ? '' : sayToTheMinute(row.seconds),
    ...row.tags.map(tag => `#${tag}`),
    texts.changed(day(row.updatedAt)),
  ]
    .filter(Boolean)
    .join(', '),
  cord: row.cord,
  go: () => navigateTo(`/desk/${row.id}`),
})

const found = computed<Found[]>(() => [
  ...rooms
    .filter(room => words.value.trim() !== '' && holds(room.name))
    .map(room => ({ key: room.to, kind: 'room', name: room.name, beside: '', go: () => navigateTo(room.to) })),
  ...sessions.value.map(row => ofSession(row, 'session')),
  ...done.value
    .filter(row => words.value.trim() !== '' && holds(`${row.title} ${day(row.startedAt)}`))
    .slice(0, 5)
    .map(row => ({
      key: row.id,
      kind: 'done',
      name: row.title,
      beside: day(row.startedAt),
      cord: row.cord,
      go: () => navigateTo(`/log/${row.id}`),
    })),
  ...near.value.map(row => ofSession(row, 'near')),
  ...(asRows.value === null
    ? []
    : [
        {
          key: 'write',
          kind: 'write',
          name: asRows.value,
          beside: texts.aNewSessionOf,
          go: () => handover.toDesk(asRows.value!, '/desk/new'),
        },
      ]),
])
const chosen = computed(() => Math.min(at.value, found.value.length - 1))

function choose(one: Found | undefined) {
  if (!one) return
  dialog.value?.close()
  one.go()
}
function onKey(event: Event | KeyboardEvent) {
  if (!('key' in event)) return
  if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return
  event.preventDefault()
  const count = found.value.length
  if (count > 0) at.value = (chosen.value + (event.key === 'ArrowDown' ? 1 : count - 1)) % count
  void nextTick(() => list.value?.querySelector('[aria-selected=true]')?.scrollIntoView({ block: 'nearest' }))
}

onMounted(() => {
  dialog.value?.showModal()
  /** Trap: the library keeps a role for its own frame, not for the field in it. */
  field.value?.input.setAttribute('role', 'combobox')
  field.value?.focus()
  emit('ready')
  void load()
  api<Listed<LogRow>>('/recordings?limit=200')
    .then(({ rows }) => (done.value = rows))
    .catch(() => {})
})
</script>

<template>
  <dialog ref="dialog" class="finder" :aria-label="texts.findAnything" @close="emit('close')" @click.self="dialog?.close()">
    <el-input
      ref="field"
      v-model="words"
      :aria-label="texts.findARoomA"
      aria-expanded="true"
      aria-controls="found"
      :aria-activedescendant="found.length > 0 ? `found-${chosen}` : undefined"
      :placeholder="texts.aRoomATitle"
      autocomplete="off"
      spellcheck="false"
      data-test="finder"
      @keydown="onKey"
      @keydown.enter.prevent="choose(found[chosen])" />
    <ul id="found" ref="list" role="listbox" :aria-label="texts.found" data-test="found">
      <li
        v-for="(one, index) in found"
        :id="`found-${index}`"
        :key="one.kind + one.key"
        role="option"
        :aria-selected="index === chosen"
        @click="choose(one)"
        @pointermove="at = index">
        <span class="kind">{{ one.kind }}</span><span class="what"
          >{{ one.name }} <small v-if="one.beside" class="faint">{{ one.beside }}</small></span
        ><SessionCord v-if="one.cord" :cord="one.cord" :width="150" />
      </li>
    </ul>
    <p v-if="isAway" class="bad none" role="status">{{ texts.theServerDoesNot }}</p>
    <p v-else-if="found.length === 0" class="faint none" role="status">
      {{ texts.nothingFound }}<template v-if="how">{{ texts.lookedFor(how) }}</template
      >{{ texts.wordsThatReadAs }}
    </p>
    <p v-else-if="words.trim() && how" class="faint none" role="status" data-test="how">
      {{ texts.lookedFor2(sessions.length === 0 && near.length > 0 ? texts.noSessionHasIt : '', how) }}
    </p>
  </dialog>
</template>

<style scoped>
.finder {
  background: var(--paper);
  color: var(--slip);
  border: 2px solid var(--slip);
  border-top: 0;
  padding: 14px 18px 12px;
  margin: 46px auto auto 22px;
  width: min(620px, calc(100vw - 24px));
}
.finder::backdrop {
  background: rgb(31 27 24 / 0.35);
}
@media (max-width: 640px) {
  .finder {
    margin-left: auto;
  }
}
ul {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  max-height: 60vh;
  overflow: auto;
}
li {
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr) 150px;
  align-items: center;
  gap: 10px;
  padding: 5px 4px;
  border-bottom: 1px solid var(--rule);
  cursor: pointer;
}
li[aria-selected='true'] {
  background: var(--lit);
  box-shadow: inset 3px 0 var(--clay-4);
}
.kind {
  color: var(--faint);
  font-size: 0.88rem;
  padding-left: 6px;
}
.what {
  overflow-wrap: anywhere;
}
.none {
  margin: 8px 0 0;
}
</style>
