<script setup lang="ts">
import { startRegistration } from '@simplewebauthn/browser'
import { renderSVG } from 'uqr'
import type { DeviceRow, PasskeyRow, SignInState } from '~~/shared/api'

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
    said.value = 'Kept. From now on you sign in by it.'
    await load()
  })
const addPasskey = () =>
  guarded(async () => {
    const optionsJSON = await api<Parameters<typeof startRegistration>[0]['optionsJSON']>('/passkeys/options', { method: 'POST' })
    const response = await startRegistration({ optionsJSON })
    await api('/passkeys', { method: 'POST', body: { name: `Passkey of ${day(new Date().toISOString())}`, response } })
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
    const within = minutes > 60 ? 'a day' : `${minutes} minutes`
    shown.value = {
      title: lets === 'enter' ? 'Pair a phone' : 'Somebody joins',
      address,
      words: `Point the camera at it. It lets ${lets === 'enter' ? 'one device of yours' : 'one new athlete'} in, once, within ${within}.`,
    }
  })
const showTrust = () =>
  (shown.value = {
    title: 'Trust this server',
    address: state.value!.trustAt!,
    words: 'First thing on each phone: it opens without warnings then.',
  })
const code = computed(() => (shown.value ? renderSVG(shown.value.address, { border: 2 }) : ''))
const dates = useDates()
const day = (iso: string) => dates.dayOf(iso, { year: true })
</script>

<template>
  <ProblemAlert :problem="problem" />
  <template v-if="state">
    <p v-if="state.kind === 'open'" class="faint">
      Whoever can open this machine's port is you: nobody signs in. <code>npm start -- --locked</code> asks for a key that opens once;
      <code>npm start -- --home</code> serves your home network, with a passphrase, passkeys and paired phones.
    </p>
    <p v-else-if="state.kind === 'locked'" class="faint">Each browser was let in by an address that opens once.</p>
    <template v-else>
      <p v-if="!state.signInName" class="said ask">Set a name and a passphrase now: the address that let you in does not open twice.</p>
      <EntranceNameForm
        ref="form"
        :name-label="state.signInName ? `Name to sign in by, now ${state.signInName}` : 'Name to sign in by'"
        passphrase-label="Passphrase, 12 letters or more"
        is-new
        is-inline
        @given="setSignIn">
        <el-button native-type="submit" :loading="isBusy" data-test="set-sign-in">{{ state.signInName ? 'Change' : 'Set' }}</el-button>
      </EntranceNameForm>
      <p v-if="said" role="status" class="good" data-test="sign-in-set">{{ said }}</p>
      <p class="buttons">
        <el-button v-if="state.trustAt" @click="showTrust">Let a phone trust this server</el-button>
        <el-button data-test="pair-phone" @click="invite('enter')">Pair a phone</el-button>
        <el-button data-test="invite" @click="invite('join')">Somebody joins</el-button>
        <el-button v-if="state.hasPasskeys" data-test="add-passkey" @click="addPasskey">Add a passkey</el-button>
      </p>
      <p v-if="!state.hasPasskeys" class="faint">Passkeys need a host name; this page was opened by an address.</p>
    </template>
    <el-table v-if="state.devices.length > 0" :data="state.devices" class="list" data-test="devices">
      <el-table-column label="Device" min-width="110">
        <template #default="{ row }">{{ row.name }}<template v-if="row.isThis">, this one</template></template>
      </el-table-column>
      <el-table-column label="Signed in" width="120">
        <template #default="{ row }">{{ day(row.signedInAt) }}</template>
      </el-table-column>
      <el-table-column label="Change" width="96" align="right">
        <template #default="{ row }">
          <el-button link type="primary" :aria-label="`End ${row.name}`" @click="end(row as DeviceRow)">{{
            row.isThis ? 'Sign out' : 'End'
          }}</el-button>
        </template>
      </el-table-column>
    </el-table>
    <el-table v-if="state.passkeys.length > 0" :data="state.passkeys" class="list" data-test="passkeys">
      <el-table-column label="Passkey" prop="name" min-width="110" />
      <el-table-column label="Made" width="120">
        <template #default="{ row }">{{ day(row.madeAt) }}</template>
      </el-table-column>
      <el-table-column label="Change" width="96" align="right">
        <template #default="{ row }">
          <el-button link type="primary" :aria-label="`Remove ${row.name}`" @click="removePasskey(row as PasskeyRow)">Remove</el-button>
        </template>
      </el-table-column>
    </el-table>
  </template>
  <el-dialog :model-value="shown !== null" :title="shown?.title" width="min(420px, 92vw)" @close="shown = null">
    <p>{{ shown?.words }}</p>
    <!-- eslint-disable-next-line vue/no-v-html -- drawn here from the address -->
    <div class="code" role="img" :aria-label="`Code for ${shown?.title}`" v-html="code" />
    <p class="mono address" data-test="address">{{ shown?.address }}</p>
    <p v-if="shown?.address === state?.trustAt" class="faint">
      SHA-256 of the certificate: <span class="mono address">{{ state?.fingerprint }}</span>
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
