<script setup lang="ts">
import type { SlotComparison } from '~~/shared/api'

/** A slot as it was read back, row by row beside what was sent. */
defineProps<{ compared: SlotComparison & { slot: number } }>()
</script>

<template>
  <section class="compared" aria-label="Read back">
    <h2>
      Slot {{ compared.slot }}, read back
      <span :class="compared.equal ? 'good' : 'bad'" data-test="compared"
        >● {{ compared.equal ? 'equal, step by step' : 'not equal' }}</span
      >
    </h2>
    <div class="scroll-x">
      <table class="ruled listed mono rows">
        <thead>
          <tr>
            <th>Row</th>
            <th>Should be</th>
            <th>Is</th>
            <th><span class="hidden-text">Equal</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, index) in compared.rows" :key="index" :class="{ bad: !row.equal }">
            <td class="faint" data-label="row">{{ row.path }}</td>
            <td class="lead" data-label="should be" :style="{ paddingLeft: `${row.depth * 20}px` }">{{ row.should ?? '–' }}</td>
            <td class="lead" data-label="is" :style="{ paddingLeft: `${row.depth * 20}px` }">{{ row.holds ?? '–' }}</td>
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
