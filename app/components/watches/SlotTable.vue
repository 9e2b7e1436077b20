<script setup lang="ts">
import type { SlotRow } from '~~/shared/api'
import { slotStatusClass, slotStatusWords } from '~/watches/words'

/** What each slot should hold beside what it holds. */
defineProps<{ rows: readonly SlotRow[]; isBusy: boolean }>()
defineEmits<{ readBack: [row: SlotRow]; send: [row: SlotRow]; clear: [row: SlotRow]; letGo: [row: SlotRow] }>()
const dates = useDates()
</script>

<template>
  <div class="scroll-x">
    <table class="ruled listed" data-test="slots">
      <thead>
        <tr>
          <th>Slot</th>
          <th>Should hold</th>
          <th>Holds</th>
          <th>Status <Explained term="slot" /></th>
          <th><span class="hidden-text">Actions</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.slot" :data-status="row.status">
          <td class="mono" data-label="slot">{{ row.slot }}</td>
          <td data-label="should hold">
            <NuxtLink v-if="row.should?.sessionId" :to="`/desk/${row.should.sessionId}`">{{ row.should.title }}</NuxtLink><span v-else>{{
              row.should?.title ?? '–'
            }}</span>
            <small v-if="row.should?.day" class="faint"> {{ dates.day(row.should.day) }}</small>
          </td>
          <td data-label="holds">{{ row.holds ?? '–' }}<small v-if="row.isRunning" class="doubt"> going now</small></td>
          <td>
            <span :class="slotStatusClass(row)">● {{ slotStatusWords(row) }}</span>
          </td>
          <td class="acts">
            <el-button v-if="row.status !== 'missing'" link type="primary" :disabled="isBusy" @click="$emit('readBack', row)"
              >read back</el-button
            >
            <el-button
              v-if="row.should?.sessionId && row.status !== 'equal'"
              link
              type="primary"
              :disabled="isBusy"
              @click="$emit('send', row)">
              {{ row.status === 'edited' ? 'send over it' : 'send again' }}
            </el-button>
            <el-button
              v-if="row.status === 'missing' || row.status === 'edited'"
              link
              type="primary"
              :disabled="isBusy"
              @click="$emit('letGo', row)">
              {{ row.status === 'missing' ? 'do without' : 'leave it so' }}
            </el-button>
            <el-button v-if="row.status !== 'missing'" link type="primary" :disabled="isBusy || row.isRunning" @click="$emit('clear', row)">
              clear
            </el-button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.acts {
  text-align: right;
  white-space: nowrap;
}
.acts button + button {
  margin-left: 12px;
}
</style>
