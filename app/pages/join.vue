<script setup lang="ts">
useHead({ title: 'Come in · Agonis' })
/** Trap: the key stands behind `#`, which no server sees; it leaves the address as soon as it is read. */
const [lets, key] = window.location.hash.slice(1).split('=')
window.history.replaceState(null, '', '/join')
const { problem, isBusy, guarded } = useGuarded()
const isNew = lets === 'join'

const come = (typed: { name?: string; passphrase?: string }) =>
  guarded(async () => {
    await api('/entrance/join', { method: 'POST', body: { key, ...typed } })
    window.location.assign(isNew ? '/me' : '/phone')
  })
</script>

<template>
  <EntranceFrame :title="isNew ? 'Join this Agonis' : 'Let this device in'" data-test="join">
    <el-alert
      v-if="!key"
      type="error"
      :closable="false"
      show-icon
      title="This address has no key in it."
      description="Have another one made." />
    <template v-else-if="isNew">
      <p class="faint">You get an account of your own here; nobody else sees what is in it.</p>
      <EntranceNameForm name-label="Name to sign in by" passphrase-label="Passphrase, 12 letters or more" is-new @given="come">
        <el-button type="primary" size="large" native-type="submit" :loading="isBusy" data-test="come-in">Come in</el-button>
      </EntranceNameForm>
    </template>
    <template v-else>
      <p>It will open your sessions, plan and log, until it is ended under Me, Devices.</p>
      <p><el-button type="primary" size="large" :loading="isBusy" data-test="come-in" @click="come({})">Come in</el-button></p>
    </template>
    <ProblemAlert :problem="problem" />
  </EntranceFrame>
</template>
