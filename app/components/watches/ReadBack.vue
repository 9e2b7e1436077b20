<script setup lang="ts">
import type { SlotComparison } from '~~/shared/api'
import { watchesReadBack as texts } from '~/texts/en'

/** A slot as it was read back, row by row beside what was sent. */
defineProps<{ compared: SlotComparison & { slot: number } }>()
</script>

<template>
  <section class="compared" :aria-label="texts.readBack">
    <h2>
      {{ texts.slotReadBack(compared.slot) }}
      <span :class="compared.equal ? 'good' : 'bad'" data-test="compared"
        >● {{ compared.equal ? texts.equalStepByStep : texts.notEqual }}</span
      >
    </h2>
    <div class="scroll-x">
      <table class="ruled listed mono rows">
        <thead>
          <tr>
            <th>{{ texts.row }}</th>
            <th>{{ texts.shouldBe }}</th>
            <th>{{ texts.is }}</th>
            <th>
              <span class="hidden-text">{{ texts.equal }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, index) in compared.rows" :key="index" :class="{ bad: !row.equal }">
            <td class="faint" :data-label="texts.row2">{{ row.path }}</td>
            <td class="lead" :data-label="texts.shouldBe2" :style="{ paddingLeft: `${row.depth * 20}px` }">{{ row.should ?? '–' }}</td>
            <td class="lead" :data-label="texts.is2" :style="{ paddingLeft: `${row.depth * 20}px` }">{{ row.holds ?? '–' }}</td>
            <td>{{ row.equal ? '=' : '≠' }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.compared {
  margin-top: 22px;
}
.rows {
  font-size: 0.875rem;
}
</style>
