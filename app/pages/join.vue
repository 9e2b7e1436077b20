<script setup lang="ts">
import { joinPage as texts } from '~/texts/en'
useHead({ title: texts.comeInAgonis })
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
  <EntranceFrame :title="isNew ? texts.joinThisAgonis : texts.letThisDeviceIn" data-test="join">
    <el-alert v-if="!key" type="error" :closable="false" show-icon :title="texts.thisAddressHasNo">
      <p>
        {{ texts.haveAnotherOneMade }} <NuxtLink to="/">{{ texts.toAgonis }}</NuxtLink>
      </p>
    </el-alert>
    <template v-else-if="isNew">
      <p class="faint">{{ texts.youGetAnAccount }}</p>
      <EntranceNameForm :name-label="texts.nameToSignIn" :passphrase-label="texts.passphrase12LettersOr" is-new @given="come">
        <el-button type="primary" size="large" native-type="submit" :loading="isBusy" data-test="come-in">{{ texts.comeIn }}</el-button>
      </EntranceNameForm>
    </template>
    <template v-else>
      <p>{{ texts.itWillOpenYour }}</p>
      <p>
        <el-button type="primary" size="large" :loading="isBusy" data-test="come-in" @click="come({})">{{ texts.comeIn }}</el-button>
      </p>
    </template>
    <ProblemAlert :problem="problem" />
  </EntranceFrame>
</template>
