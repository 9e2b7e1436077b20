<script setup lang="ts">
import type { TransferState } from '~~/shared/api'
import { shareArrived } from '~/watches/words'

/** One sending as it stands: how far it is, and what can be done about it. */
defineProps<{ sending: TransferState }>()
defineEmits<{ resume: []; cancel: [] }>()
</script>

<template>
  <div class="sending" role="status" data-test="transfer">
    <template v-if="sending.state === 'sending'">
      “{{ sending.title }}”, {{ sending.size }} bytes
      <el-progress :percentage="shareArrived(sending)" :aria-label="`“${sending.title}” on its way`" />
      <el-button link type="primary" data-test="cancel" @click="$emit('cancel')">Cancel</el-button>
    </template>
    <p v-else-if="sending.state === 'stopped'" class="said error">
      “{{ sending.title }}” stopped at {{ sending.arrived }} of {{ sending.size }} bytes{{ sending.problem ? `: ${sending.problem}` : '.' }}
      <el-button data-test="resume" @click="$emit('resume')">Go on from there</el-button>
      <el-button link type="primary" @click="$emit('cancel')">Cancel</el-button>
    </p>
    <p v-else-if="sending.state === 'cancelled'" class="said note">“{{ sending.title }}” is cancelled. The watch holds what it held.</p>
    <p v-else class="good" data-test="receipt">
      ● Receipt: “{{ sending.title }}” is in slot {{ sending.slot }}, read back and equal. <Explained term="receipt" /> <slot />
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
