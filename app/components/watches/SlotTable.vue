<script setup lang="ts">
import type { SlotRow } from '~~/shared/api'
import { slotStatusClass, slotStatusWords } from '~/watches/words'
import { watchesSlotTable as texts } from '~/texts/en'

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
          <th>{{ texts.slot }}</th>
          <th>{{ texts.shouldHold }}</th>
          <th>{{ texts.holds }}</th>
          <th>{{ texts.status }} <Explained term="slot" /></th>
          <th>
            <span class="hidden-text">{{ texts.actions }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.slot" :data-status="row.status">
          <td class="mono" :data-label="texts.slot2">{{ row.slot }}</td>
          <td :data-label="texts.shouldHold2">
            <NuxtLink v-if="row.should?.sessionId" :to="`/desk/${row.should.sessionId}`">{{ row.should.title }}</NuxtLink><span v-else>{{
              row.should?.title ?? '–'
            }}</span>
            <small v-if="row.should?.day" class="faint"> {{ dates.day(row.should.day) }}</small>
          </td>
          <td :data-label="texts.holds2">
            {{ row.holds ?? '–' }}<small v-if="row.isRunning" class="doubt"> {{ texts.goingNow }}</small>
          </td>
          <td>
            <span :class="slotStatusClass(row)">● {{ slotStatusWords(row) }}</span>
          </td>
          <td class="acts">
            <el-button v-if="row.status !== 'missing'" link type="primary" :disabled="isBusy" @click="$emit('readBack', row)">{{
              texts.readBack
            }}</el-button>
            <el-button
              v-if="row.should?.sessionId && row.status !== 'equal'"
              link
              type="primary"
              :disabled="isBusy"
              @click="$emit('send', row)">
              {{ row.status === 'edited' ? texts.sendOverIt : texts.sendAgain }}
            </el-button>
            <el-button
              v-if="row.status === 'missing' || row.status === 'edited'"
              link
              type="primary"
              :disabled="isBusy"
              @click="$emit('letGo', row)">
              {{ row.status === 'missing' ? texts.doWithout : texts.leaveItSo }}
            </el-button>
            <el-button v-if="row.status !== 'missing'" link type="primary" :disabled="isBusy || row.isRunning" @click="$emit('clear', row)">
              {{ texts.clear }}
            </el-button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
small {
  margin-left: 8px;
}
.acts {
  text-align: right;
}
.acts button + button {
  margin-left: 12px;
}
</style>
