<script setup lang="ts">
import type { EntranceState } from '~~/shared/api'

useHead({ title: 'Sign in · Agonis' })
const route = useRoute()
const state = ref<EntranceState | null>(null)
const problem = ref<string | null>(null)
const isUsed = computed(() => route.query.why === 'used')
/** Trap: only a way within the application; anything else would lead to somebody else's page. */
const goOn = () => {
  const to = String(route.query.to ?? '/')
  window.location.assign(/^\/(?![/\\])/.test(to) ? to : '/')
}

onMounted(async () => {
  try {
    state.value = await api<EntranceState>('/entrance')
  } catch (error) {
    problem.value = toldOf(error).problem
  }
})
</script>

<template>
  <EntranceFrame title="Sign in" data-test="sign-in">
    <el-alert v-if="problem" type="error" :closable="false" show-icon :title="problem" />
    <el-alert
      v-if="isUsed"
      type="warning"
      :closable="false"
      show-icon
      title="That address has let somebody in already, or is too old."
      description="Each opens once, within half an hour." />
    <EntranceSignInForm v-if="state?.kind === 'home'" :has-passkeys="state.hasPasskeys" @entered="goOn" />
    <p v-if="state?.kind === 'home'" class="faint">
      The first time, open the address that Agonis printed when it started. A phone comes in by a code that a signed-in screen shows under
      Me, Devices.
    </p>
    <template v-else-if="state?.kind === 'locked'">
      <p>Agonis is locked on this machine. Open the address that it printed when it started; that lets this browser in.</p>
      <p>Another address: run <code>npm run key</code> in its folder, as the user it runs as.</p>
    </template>
    <template v-else-if="state?.kind === 'open'">
      <p>This browser was not let in: the key of this folder is not in the database it runs on.</p>
      <p>A backup that belongs here brings it back: <code>npm run restore -- FILE</code>.</p>
    </template>
  </EntranceFrame>
</template>
