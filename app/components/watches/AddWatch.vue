<script setup lang="ts">
import { watchProfiles } from '~~/core/wrist/program/profile'
import { watchesAddWatch as texts } from '~/texts/en'

/** Takes in another watch: a new stand-in of a kind, or one somebody else has used. */
const emit = defineEmits<{ added: [id: string]; close: [] }>()
const wrist = useWatchesStore()
const name = ref('')
const kind = ref('runner')
const address = ref('')
const { problem, isBusy, guarded } = useGuarded()
const wrong = ref('')
const add = () =>
  guarded(async () => {
    const asked = { name: name.value, ...(address.value ? { address: address.value } : { profile: kind.value }) }
    wrong.value = await faultOf('watch', asked)
    if (wrong.value) return
    emit('added', (await wrist.add(asked)).id)
  })
</script>

<template>
  <form class="add" data-test="add-watch" @submit.prevent="add">
    <label>{{ texts.name }} <el-input v-model="name" maxlength="60" required data-test="watch-name" /></label>
    <label
      >{{ texts.kind }}
      <el-select v-model="kind" :disabled="address !== ''">
        <el-option
          v-for="profile in watchProfiles"
          :key="profile.name"
          :value="profile.name"
          :label="texts.steps(profile.name, profile.sports.join(', '), profile.maxSteps)" /> </el-select
    ></label>
    <label>{{ texts.orItsAddress }} <el-input v-model="address" class="mono" :placeholder="texts.aWatchUsedBy" /></label>
    <el-button native-type="submit" type="primary" :disabled="isBusy">{{ texts.takeItIn }}</el-button>
    <el-button @click="emit('close')">{{ texts.close }}</el-button>
    <p v-if="wrong" class="bad" role="alert">{{ wrong }}</p>
    <p v-if="problem" class="bad" role="alert">{{ problem.problem }} {{ problem.hint }}</p>
  </form>
</template>

<style scoped>
.add {
  display: flex;
  gap: 10px 18px;
  flex-wrap: wrap;
  align-items: center;
  border: 1px solid var(--rule);
  background: var(--paper);
  padding: 12px 14px;
  margin: 10px 0;
}
label {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
.el-select {
  max-width: 300px;
}
</style>
