<script setup lang="ts">
import { startRegistration } from '@simplewebauthn/browser'
import { renderSVG } from 'uqr'
import type { DeviceRow, PasskeyRow, SignInState } from '~~/shared/api'
import { meDevices as texts } from '~/texts/en'

const state = ref<SignInState | null>(null)
const { problem, isBusy, guarded } = useGuarded()
const load = async () => (state.value = await api<SignInState>('/devices'))
onMounted(() => guarded(load))

const form = useTemplateRef<{ clear: () => void }>('form')
const said = ref('')
const setSignIn = (typed: { name: string; passphrase: string }) =>
  guarded(async () => {
    await api('/devices/sign-in', { method: 'PUT', body: typed })
    form.value?.clear()
    said.value = texts.keptFromNowOn
    await load()
  })
const addPasskey = () =>
  guarded(async () => {
    const optionsJSON = await api<Parameters<typeof startRegistration>[0]['optionsJSON']>('/passkeys/options', { method: 'POST' })
    const response = await startRegistration({ optionsJSON })
    await api('/passkeys', { method: 'POST', body: { name: texts.passkeyOf(day(new Date().toISOString())), response } })
    await load()
  })
const end = (device: DeviceRow) =>
  guarded(async () => {
    await api(device.isThis ? '/entrance/sign-out' : `/devices/${device.id}`, { method: device.isThis ? 'POST' : 'DELETE' })
    if (device.isThis) window.location.assign('/sign-in')
    else await load()
  })
const removePasskey = (passkey: PasskeyRow) =>
  guarded(async () => {
    await api(`/passkeys/${encodeURIComponent(passkey.id)}`, { method: 'DELETE' })
    await load()
  })

/** An address to show, as words and as a code for another device's camera. */
const shown = ref<{ title: string; address: string; words: string } | null>(null)
const invite = (lets: 'enter' | 'join') =>
  guarded(async () => {
    const { address, minutes } = await api<{ address: string; minutes: number }>('/invitations', { method: 'POST', body: { lets } })
    const within = minutes > 60 ? 'a day' : texts.minutes(minutes)
    shown.value = {
      title: lets === 'enter' ? 'Pair a phone' : texts.somebodyJoins,
      address,
      words: texts.pointTheCameraAt(lets === 'enter' ? texts.oneDeviceOfYours : texts.oneNewAthlete, within),
    }
  })
const showTrust = () => (shown.value = { title: texts.trustThisServer, address: state.value!.trustAt!, words: texts.firstThingOnEach })
const code = computed(() => (shown.value ? renderSVG(shown.value.address, { border: 2 }) : ''))
const dates = useDates()
const day = (iso: string) => dates.dayOf(iso, { year: true })
</script>

<template>
  <ProblemAlert :problem="problem" />
  <template v-if="state">
    <p v-if="state.kind === 'open'" class="faint">
      {{ texts.whoeverCanOpenThis }} <code>{{ texts.npmStartLocked }}</code> {{ texts.asksForAKey }} <code>{{ texts.npmStartHome }}</code>
      {{ texts.servesYourHomeNetwork }}
    </p>
    <p v-else-if="state.kind === 'locked'" class="faint">{{ texts.eachBrowserWasLet }}</p>
    <template v-else>
      <p v-if="!state.signInName" class="said ask">{{ texts.setANameAnd }}</p>
      <EntranceNameForm
        ref="form"
        :name-label="state.signInName ? texts.nameToSignIn(state.signInName) : texts.nameToSignInBy"
        :passphrase-label="texts.passphrase12LettersOr"
        is-new
        is-inline
        @given="setSignIn">
        <el-button native-type="submit" :loading="isBusy" data-test="set-sign-in">{{
          state.signInName ? texts.change : texts.set
        }}</el-button>
      </EntranceNameForm>
      <p v-if="said" role="status" class="good" data-test="sign-in-set">{{ said }}</p>
      <p class="buttons">
        <el-button v-if="state.trustAt" @click="showTrust">{{ texts.letAPhoneTrust }}</el-button>
        <el-button data-test="pair-phone" @click="invite('enter')">{{ texts.pairAPhone }}</el-button>
        <el-button data-test="invite" @click="invite('join')">{{ texts.somebodyJoins }}</el-button>
        <el-button v-if="state.hasPasskeys" data-test="add-passkey" @click="addPasskey">{{ texts.addAPasskey }}</el-button>
      </p>
      <p v-if="!state.hasPasskeys" class="faint">{{ texts.passkeysNeedAHost }}</p>
    </template>
    <el-table v-if="state.devices.length > 0" :data="state.devices" class="list" data-test="devices">
      <el-table-column :label="texts.device" min-width="110">
        <template #default="{ row }"
          >{{ row.name }}<template v-if="row.isThis">{{ texts.thisOne }}</template></template
        >
      </el-table-column>
      <el-table-column :label="texts.signedIn" width="120">
        <template #default="{ row }">{{ day(row.signedInAt) }}</template>
      </el-table-column>
      <el-table-column :label="texts.change" width="96" align="right">
        <template #default="{ row }">
          <el-button link type="primary" :aria-label="texts.end(row.name)" @click="end(row as DeviceRow)">{{
            row.isThis ? texts.signOut : texts.end2
          }}</el-button>
        </template>
      </el-table-column>
    </el-table>
    <el-table v-if="state.passkeys.length > 0" :data="state.passkeys" class="list" data-test="passkeys">
      <el-table-column :label="texts.passkey" prop="name" min-width="110" />
      <el-table-column :label="texts.made" width="120">
        <template #default="{ row }">{{ day(row.madeAt) }}</template>
      </el-table-column>
      <el-table-column :label="texts.change" width="96" align="right">
        <template #default="{ row }">
          <el-button link type="primary" :aria-label="texts.remove(row.name)" @click="removePasskey(row as PasskeyRow)">{{
            texts.remove2
          }}</el-button>
        </template>
      </el-table-column>
    </el-table>
  </template>
  <el-dialog :model-value="shown !== null" :title="shown?.title" width="min(420px, 92vw)" @close="shown = null">
    <p>{{ shown?.words }}</p>
    <!-- eslint-disable-next-line vue/no-v-html -- drawn here from the address -->
    <div class="code" role="img" :aria-label="texts.codeFor(shown?.title ?? '')" v-html="code" />
    <p class="mono address" data-test="address">{{ shown?.address }}</p>
    <p v-if="shown?.address === state?.trustAt" class="faint">
      {{ texts.sha256OfThe }} <span class="mono address">{{ state?.fingerprint }}</span>
    </p>
  </el-dialog>
</template>

<style scoped>
.buttons {
  margin: 8px 0;
}
.list {
  max-width: 640px;
  margin-top: 10px;
}
.code {
  background: #fff;
  padding: 6px;
  width: min(260px, 100%);
  margin: 10px auto;
}
.address {
  overflow-wrap: anywhere;
  font-size: 0.86rem;
}
</style>
