<script setup lang="ts">
import type { KeptWatch } from '~~/shared/api'
import { watchesPairing as texts } from '~/texts/en'

/** Six digits from the glass make the key that every message is sealed with. */
const props = defineProps<{ watch: KeptWatch }>()
const emit = defineEmits<{ paired: [] }>()
const wrist = useWatchesStore()
const code = ref('')
const wrong = ref('')
const { problem, isBusy, guarded } = useGuarded()
const pair = () =>
  guarded(async () => {
    const digits = code.value.replaceAll(/\D/g, '')
    wrong.value = await faultOf('code', { code: digits })
    if (wrong.value) return
    await wrist.pair(props.watch.id, digits)
    code.value = ''
    emit('paired')
  })
</script>

<template>
  <form class="said ask" data-test="pairing" @submit.prevent="pair">
    <p>
      <b>{{ watch.name }}</b> {{ texts.isNotPairedWith }}
      <NuxtLink :to="`/standin/${watch.id}`" target="_blank">{{ texts.glass }}</NuxtLink>{{ texts.holdTheMiddleButton }}
    </p>
    <label
      >{{ texts.code }} <el-input v-model="code" class="mono" inputmode="numeric" autocomplete="off" maxlength="8" data-test="pairing-code"
    /></label>
    <el-button native-type="submit" type="primary" :disabled="isBusy">{{ texts.pair }}</el-button>
    <span v-if="wrong" class="bad" role="alert"> {{ wrong }}</span>
    <span v-else-if="problem" class="bad" role="alert"> {{ problem.problem }} {{ problem.hint }}</span>
  </form>
</template>

<style scoped>
form p {
  margin: 4px 0;
}
button {
  margin-left: 10px;
}
</style>
