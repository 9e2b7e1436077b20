<script setup lang="ts">
import type { FormInstance, FormRules } from 'element-plus'
import { nameShape, passphraseShape } from '~~/shared/sign-in'

useHead({ title: 'Come in · Agonis' })
/** Trap: the key stands behind `#`, which no server sees; it leaves the address as soon as it is read. */
const [lets, key] = window.location.hash.slice(1).split('=')
window.history.replaceState(null, '', '/join')
const { problem, isBusy, guarded } = useGuarded()
const form = useTemplateRef<FormInstance>('form')
const typed = reactive({ name: '', passphrase: '' })
const rules: FormRules = {
  name: ruleOf(nameShape().required('is missing'), 'The name'),
  passphrase: ruleOf(passphraseShape().required('is missing'), 'The passphrase'),
}
const isNew = lets === 'join'

const come = () =>
  guarded(async () => {
    if (isNew && !(await form.value!.validate().catch(() => false))) return
    await api('/entrance/join', { method: 'POST', body: isNew ? { key, ...typed } : { key } })
    window.location.assign(isNew ? '/me' : '/phone')
  })
</script>

<template>
  <section class="entrance" data-test="join">
    <h1>{{ isNew ? 'Join this Agonis' : 'Let this device in' }}</h1>
    <el-alert
      v-if="!key"
      type="error"
      :closable="false"
      show-icon
      title="This address has no key in it."
      description="Have another one made." />
    <template v-else>
      <p v-if="!isNew">It will open your sessions, plan and log, until it is ended under Me, Devices.</p>
      <el-form v-else ref="form" :model="typed" :rules="rules" label-position="top" @submit.prevent="come">
        <p class="faint">You get an account of your own here; nobody else sees what is in it.</p>
        <el-form-item label="Name to sign in by" prop="name">
          <el-input v-model="typed.name" autocomplete="username" data-test="name" />
        </el-form-item>
        <el-form-item label="Passphrase, 12 letters or more" prop="passphrase">
          <el-input v-model="typed.passphrase" type="password" show-password autocomplete="new-password" data-test="passphrase" />
        </el-form-item>
      </el-form>
      <el-alert v-if="problem" type="error" show-icon :closable="false" :title="problem.problem" :description="problem.hint" />
      <p><el-button type="primary" size="large" :loading="isBusy" data-test="come-in" @click="come">Come in</el-button></p>
    </template>
  </section>
</template>

<style scoped>
.entrance {
  max-width: 30rem;
  margin: 48px auto;
  padding: 0 20px;
  display: flex;
  flex-direction: column;
  gap: 14px;
}
h1 {
  font-family: var(--title);
  font-size: 1.6rem;
  margin: 0;
}
p {
  margin: 0;
}
</style>
