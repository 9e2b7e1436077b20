<script setup lang="ts">
import { startAuthentication } from '@simplewebauthn/browser'
import { entranceSignInForm as texts } from '~/texts/en'

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
  <EntranceNameForm :name-label="texts.name" :passphrase-label="texts.passphrase" @given="signIn">
    <el-button type="primary" native-type="submit" :loading="isBusy" data-test="sign-in-now">{{ texts.signIn }}</el-button>
    <el-button v-if="hasPasskeys" :disabled="isBusy" data-test="sign-in-by-passkey" @click="signInByPasskey">{{
      texts.useAPasskey
    }}</el-button>
  </EntranceNameForm>
  <ProblemAlert :problem="problem" />
</template>
