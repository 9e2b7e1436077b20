<script setup lang="ts">
import type { PlanAsk, PlanRow } from '~~/shared/plan'
import { weeksChange as texts } from '~/texts/en'

/** The words of a note, of other work, a rest or a race, changed where they stand. */
const props = defineProps<{ row: PlanRow }>()
const emit = defineEmits<{ edit: [ask: PlanAsk]; close: [] }>()
const name = ref(props.row.name ?? '')
const minutes = ref(props.row.minutes ?? undefined)
const effort = ref(props.row.effort ?? undefined)
const needsName = computed(() => props.row.kind !== 'rest' && props.row.kind !== 'blocked')
const keep = () =>
  emit('edit', {
    do: 'change',
    id: props.row.id,
    name: name.value.trim() || null,
    minutes: minutes.value ?? null,
    effort: effort.value ?? null,
  })
</script>

<template>
  <form @submit.prevent="keep" @keydown.esc="emit('close')">
    <el-input v-model="name" maxlength="500" class="name" :aria-label="texts.name" data-test="change-name" />
    <WeeksWorkFields v-if="row.kind === 'work'" v-model:minutes="minutes" v-model:effort="effort" />
    <el-button native-type="submit" :disabled="needsName && name.trim() === ''" data-test="change-keep">{{ texts.keep }}</el-button>
    <el-button link type="primary" @click="emit('close')">{{ texts.leaveIt }}</el-button>
  </form>
</template>

<style scoped>
.name {
  max-width: 420px;
}
</style>
