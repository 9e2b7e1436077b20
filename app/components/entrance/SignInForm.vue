<script setup lang="ts">
import { startAuthentication } from '@simplewebauthn/browser'

defineProps<{ hasPasskeys: boolean }>()
const emit = defineEmits<{ entered: [] }>()
const { problem, isBusy, guarded } = useGuarded()

const signIn = (typed: { name: string; passphrase: string }) =>
  guarded(async () => {
    await api('/entrance/sign-in', { method: 'POST', body: typed })
    emit('entered')
  })
const signInByPasskey = () =>
  guarded(async () => {
    const optionsJSON = await api<Parameters<typeof startAuthentication>[0]['optionsJSON']>('/entrance/passkey-options', { method: 'POST' })
    const response = await startAuthentication({ optionsJSON })
    await api('/entrance/passkey', { method: 'POST', body: { response } })
    emit('entered')
  })
</script>

<template>
  <EntranceNameForm name-label="Name" passphrase-label="Passphrase" @given="signIn">
    <el-button type="primary" native-type="submit" :loading="isBusy" data-test="sign-in-now">Sign in</el-button>
    <el-button v-if="hasPasskeys" :disabled="isBusy" data-test="sign-in-by-passkey" @click="signInByPasskey">Use a passkey</el-button>
  </EntranceNameForm>
  <ProblemAlert :problem="problem" />
</template>
