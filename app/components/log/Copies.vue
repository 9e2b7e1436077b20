<script setup lang="ts">
import type { CopyAside } from '~~/shared/log'
import { logCopies as texts } from '~/texts/en'

/** Recordings of other devices that were put aside for this one, each of which can take its place. */
defineProps<{ copies: CopyAside[] }>()
const { problem, isBusy, guarded } = useGuarded()
const dates = useDates()
const take = (id: string) =>
  guarded(async () => {
    await api(`/recordings/${id}/instead`, { method: 'POST' })
    await navigateTo(`/log/${id}`, { replace: true })
  })
</script>

<template>
  <section v-if="copies.length > 0" data-test="copies">
    <p v-for="copy in copies" :key="copy.id" class="faint">
      {{ texts.another(copy.name, dates.timeOf(copy.startedAt)) }}
      <el-button link type="primary" :disabled="isBusy" data-test="instead" @click="take(copy.id)">{{ texts.instead }}</el-button>
    </p>
    <ProblemAlert :problem="problem" />
  </section>
</template>
