<script setup lang="ts">
import type { Athlete } from '~~/core/athlete/athlete'
import { fieldTests } from '~/me/tests'
import { meTests as texts } from '~/texts/en'

const emit = defineEmits<{ keep: [change: (athlete: Athlete) => Athlete] }>()

const athletes = useAthleteStore()
const day = computed(() => athletes.today)
const typed = reactive<Record<string, Record<string, string>>>(Object.fromEntries(fieldTests.map(test => [test.key, {}])))
const kept = ref('')
const outcome = (key: string) => fieldTests.find(test => test.key === key)!.reckon(typed[key]!, day.value)
const isFilled = (key: string) =>
  fieldTests.find(test => test.key === key)!.fields.every(field => (typed[key]![field.key] ?? '').trim() !== '')
function keep(key: string) {
  const result = outcome(key)
  if (typeof result === 'string') return
  emit('keep', result.change)
  kept.value = key
  typed[key] = {}
}
</script>

<template>
  <details v-for="test in fieldTests" :key="test.key" class="test" :data-test="`test-${test.key}`">
    <summary>{{ test.title }}</summary>
    <p>{{ test.how }}</p>
    <p class="caution">{{ test.caution }}</p>
    <form @submit.prevent="keep(test.key)">
      <label v-for="field in test.fields" :key="field.key"
        >{{ field.label }}
        <el-input
          v-model="typed[test.key]![field.key]"
          class="mono"
          :placeholder="field.hint"
          autocomplete="off"
          :data-test="`${test.key}-${field.key}`"
      /></label>
      <el-button native-type="submit" :disabled="!isFilled(test.key) || typeof outcome(test.key) === 'string'">{{
        texts.keepIt
      }}</el-button>
    </form>
    <p v-if="isFilled(test.key)" role="status" :class="{ bad: typeof outcome(test.key) === 'string' }">
      {{ typeof outcome(test.key) === 'string' ? outcome(test.key) : (outcome(test.key) as { said: string }).said }}
    </p>
    <p v-else-if="kept === test.key" class="good">{{ texts.kept }}</p>
  </details>
</template>

<style scoped>
.test {
  border-bottom: 1px solid var(--rule);
  padding: 4px 0;
  max-width: 720px;
}
summary {
  cursor: pointer;
  min-height: 24px;
  font-weight: 500;
}
.test p {
  margin: 4px 0;
}
.caution {
  font-size: 0.88rem;
  color: var(--ochre);
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  margin: 8px 0;
}
.el-input {
  width: 82px;
}
</style>
