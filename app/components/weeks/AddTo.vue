<script setup lang="ts">
import type { PlanKind } from '~~/core/plan/entry'
import type { PlanAsk } from '~~/shared/plan'
import { weeksAddTo as texts } from '~/texts/en'

/** What can be put on a day: a session of the shelf, other work, a note, a rest, a race; or the day blocked. */
const props = defineProps<{ day: string; dayName: string }>()
const emit = defineEmits<{ edit: [ask: PlanAsk]; close: [] }>()
const kind = ref<PlanKind>('session')
const kinds: readonly { kind: PlanKind; words: string }[] = [
  { kind: 'session', words: texts.aSession },
  { kind: 'work', words: texts.otherWork },
  { kind: 'note', words: texts.aNote },
  { kind: 'rest', words: texts.aRest },
  { kind: 'race', words: texts.aRace },
  { kind: 'blocked', words: texts.notAvailable },
]
const name = ref('')
const minutes = ref<number | undefined>()
const effort = ref<number | undefined>()

const needsName = computed(() => kind.value === 'work' || kind.value === 'note' || kind.value === 'race')
function put(session?: string) {
  emit('edit', {
    do: 'put',
    day: props.day,
    kind: kind.value,
    ...(session ? { session } : {}),
    ...(kind.value !== 'session' && name.value.trim() ? { name: name.value.trim() } : {}),
    ...(kind.value === 'work' && minutes.value ? { minutes: minutes.value } : {}),
    ...(kind.value === 'work' && effort.value !== undefined ? { effort: effort.value } : {}),
  })
  emit('close')
}
</script>

<template>
  <section class="add" :aria-label="texts.putOn(dayName)" @keydown.esc="emit('close')">
    <el-radio-group v-model="kind" :aria-label="texts.what">
      <el-radio-button v-for="one in kinds" :key="one.kind" :value="one.kind">{{ one.words }}</el-radio-button>
    </el-radio-group>
    <ShelfPick v-if="kind === 'session'" :at-most="8" @pick="put" />
    <form v-else class="fields" @submit.prevent="put()">
      <el-input
        v-model="name"
        maxlength="500"
        :placeholder="needsName ? texts.whatItIs : texts.whyIfYouLike"
        :aria-label="texts.name"
        data-test="put-name" />
      <WeeksWorkFields v-if="kind === 'work'" v-model:minutes="minutes" v-model:effort="effort" />
      <el-button type="primary" native-type="submit" :disabled="needsName && name.trim() === ''" data-test="put-it">{{
        texts.putIt
      }}</el-button>
    </form>
    <el-button link type="primary" @click="emit('close')">{{ texts.leaveIt }}</el-button>
  </section>
</template>

<style scoped>
.add {
  border-left: 4px solid var(--clay-2);
  padding: 6px 0 6px 12px;
  display: grid;
  gap: 8px;
  justify-items: start;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
}
.add > .el-input {
  max-width: 420px;
}
</style>
