<script setup lang="ts">
import type { EntranceState } from '~~/shared/api'
import { signInPage as texts } from '~/texts/en'

useHead({ title: texts.signInAgonis })
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
  <EntranceFrame :title="texts.signIn" data-test="sign-in">
    <el-alert v-if="problem" type="error" :closable="false" show-icon :title="problem" />
    <el-alert
      v-if="isUsed"
      type="warning"
      :closable="false"
      show-icon
      :title="texts.thatAddressHasLet"
      :description="texts.eachOpensOnceWithin" />
    <EntranceSignInForm v-if="state?.kind === 'home'" :has-passkeys="state.hasPasskeys" @entered="goOn" />
    <p v-if="state?.kind === 'home'" class="faint">
      {{ texts.theFirstTimeOpen }}
    </p>
    <template v-else-if="state?.kind === 'locked'">
      <p>{{ texts.agonisIsLockedOn }}</p>
      <p>
        {{ texts.anotherAddressRun }} <code>{{ texts.npmRunKey }}</code> {{ texts.inItsFolderAs }}
      </p>
    </template>
    <template v-else-if="state?.kind === 'open'">
      <p>{{ texts.thisBrowserWasNot }}</p>
      <p>
        {{ texts.aBackupThatBelongs }} <code>{{ texts.npmRunRestoreFile }}</code>.
      </p>
    </template>
  </EntranceFrame>
</template>
