<script setup lang="ts">
import { todayFirstLook as texts } from '~/texts/en'

/** Where nothing is yet: what this is, in a sentence, and the ways in. */
const handover = useHandoverStore()
const emit = defineEmits<{ changed: [] }>()
const athletes = useAthleteStore()
const words = ref('')
const { problem, isBusy, guarded } = useGuarded()
const lookRound = () =>
  guarded(async () => {
    await api('/demo', { method: 'POST' })
    await athletes.load()
    emit('changed')
  })
</script>

<template>
  <div class="first" data-test="first-look">
    <h1>{{ texts.nothingIsPlannedYet }}</h1>
    <p class="lead">{{ texts.agonisTurnsA }}</p>
    <label class="paste">
      <span>{{ texts.pasteAMessage }}</span>
      <el-input v-model="words" type="textarea" class="mono" :rows="4" :placeholder="texts.tue6X800" data-test="first-words" />
    </label>
    <p class="ways">
      <el-button type="primary" :disabled="words.trim() === ''" data-test="first-read" @click="handover.toWeeks(words)">
        {{ texts.readIt }}
      </el-button>
      <NuxtLink to="/desk/new" class="act">{{ texts.writeALine }}</NuxtLink>
      <el-button :loading="isBusy" data-test="look-round" @click="lookRound">{{ texts.lookRound }}</el-button>
      <NuxtLink to="/help" class="act">{{ texts.help }}</NuxtLink>
    </p>
    <ProblemAlert :problem="problem" />
  </div>
</template>

<style scoped>
.lead {
  font-size: 1.125rem;
  max-width: 60ch;
}
.paste {
  display: grid;
  gap: 4px;
  max-width: 640px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
</style>
