<script setup lang="ts">
import type { TransferState } from '~~/shared/api'
import { shareArrived } from '~/watches/words'
import { watchesSendingRow as texts } from '~/texts/en'

/** One sending as it stands: how far it is, and what can be done about it. */
defineProps<{ sending: TransferState }>()
defineEmits<{ resume: []; cancel: [] }>()
</script>

<template>
  <div class="sending" role="status" data-test="transfer">
    <template v-if="sending.state === 'sending'">
      {{ texts.bytes(sending.title, sending.size) }}
      <el-progress :percentage="shareArrived(sending)" :aria-label="texts.onItsWay(sending.title)" />
      <el-button link type="primary" data-test="cancel" @click="$emit('cancel')">{{ texts.cancel }}</el-button>
    </template>
    <p v-else-if="sending.state === 'stopped'" class="said error">
      {{ texts.stoppedAtOfBytes(sending.title, sending.arrived, sending.size, sending.problem ? `: ${sending.problem}` : '.') }}
      <el-button data-test="resume" @click="$emit('resume')">{{ texts.goOnFromThere }}</el-button>
      <el-button link type="primary" @click="$emit('cancel')">{{ texts.cancel }}</el-button>
    </p>
    <p v-else-if="sending.state === 'cancelled'" class="said note">{{ texts.isCancelledTheWatch(sending.title) }}</p>
    <p v-else class="good" data-test="receipt">
      {{ texts.receiptIsInSlot(sending.title, sending.slot) }} <Explained term="receipt" /> <slot />
    </p>
  </div>
</template>

<style scoped>
.el-progress {
  max-width: 340px;
}
.sending .el-button {
  margin-left: 10px;
}
</style>
