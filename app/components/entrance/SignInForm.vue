<script setup lang="ts">
import type { FormInstance, FormRules } from 'element-plus'
import { startAuthentication } from '@simplewebauthn/browser'
import { nameShape, passphraseShape } from '~~/shared/sign-in'

const props = defineProps<{ hasPasskeys: boolean }>()
const emit = defineEmits<{ entered: [] }>()
const { problem, isBusy, guarded } = useGuarded()
const form = useTemplateRef<FormInstance>('form')
const typed = reactive({ name: '', passphrase: '' })
const rules: FormRules = {
  name: ruleOf(nameShape().required('is missing'), 'The name'),
  passphrase: ruleOf(passphraseShape().required('is missing'), 'The passphrase'),
}

const signIn = () =>
  guarded(async () => {
    if (!(await form.value!.validate().catch(() => false))) return
    await api('/entrance/sign-in', { method: 'POST', body: { ...typed } })
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
  <el-form ref="form" :model="typed" :rules="rules" label-position="top" @submit.prevent="signIn">
    <el-form-item label="Name" prop="name">
      <el-input v-model="typed.name" autocomplete="username" data-test="name" />
    </el-form-item>
    <el-form-item label="Passphrase" prop="passphrase">
      <el-input v-model="typed.passphrase" type="password" show-password autocomplete="current-password" data-test="passphrase" />
    </el-form-item>
    <el-alert v-if="problem" type="error" show-icon :closable="false" :title="problem.problem" :description="problem.hint" />
    <p class="row">
      <el-button type="primary" native-type="submit" :loading="isBusy" data-test="sign-in-now">Sign in</el-button>
      <el-button v-if="props.hasPasskeys" :disabled="isBusy" data-test="sign-in-by-passkey" @click="signInByPasskey"
        >Use a passkey</el-button
      >
    </p>
  </el-form>
</template>

<style scoped>
.row {
  display: flex;
  gap: 10px;
  margin: 14px 0 0;
}
</style>
