<script setup lang="ts">
import type { Felt } from '~~/shared/log'
import type { ApiProblem } from '~/composables/api'
import { logFelt as texts } from '~/texts/en'

const props = defineProps<{ id: string; felt: Felt | undefined; slept: number | null }>()
const draft = `felt.${props.id}`
const felt = reactive({
  rpe: props.felt?.rpe,
  note: props.felt?.note ?? '',
  pain: props.felt?.pain ?? false,
  slept: props.slept ?? undefined,
})
const state = ref<'' | 'kept'>('')
const problem = ref<ApiProblem | null>(null)

const keep = useDebounceFn(async () => {
  const fault = await faultOf('felt', felt)
  if (fault) return (problem.value = { status: 0, problem: fault, where: 'felt', hint: '' })
  try {
    await api(`/recordings/${props.id}/felt`, {
      method: 'PUT',
      body: {
        ...(felt.rpe === undefined ? {} : { rpe: felt.rpe }),
        ...(felt.note ? { note: felt.note } : {}),
        ...(felt.pain ? { pain: true } : {}),
        ...(felt.slept === undefined || felt.slept === null ? {} : { slept: felt.slept }),
      },
    })
    if (JSON.stringify(felt) === typedBefore(draft)) forgetTyped(draft)
    state.value = 'kept'
    problem.value = null
  } catch (error) {
    problem.value = toldOf(error)
  }
}, 400)
watch(felt, () => {
  state.value = ''
  keepTyped(draft, JSON.stringify(felt))
  void keep()
})
const onPaper = computed(() =>
  [
    felt.rpe === undefined ? '' : `${texts.effort} ${texts.of10(felt.rpe)}`,
    typeof felt.slept === 'number' ? `${texts.slept}: ${felt.slept}` : '',
    felt.pain ? texts.somethingHurt : '',
    felt.note,
  ]
    .filter(Boolean)
    .join(' · '),
)
onMounted(() => {
  const before = typedBefore(draft)
  if (before !== null) Object.assign(felt, JSON.parse(before))
})
</script>

<template>
  <section>
    <h2>{{ texts.howItFelt }}</h2>
    <p class="onpaper">{{ onPaper }}</p>
    <div class="felt noprint">
      <label
        >{{ texts.effort }}
        <el-select v-model="felt.rpe" clearable :value-on-clear="() => undefined" :placeholder="texts.notSaid">
          <el-option v-for="value in 11" :key="value" :value="value - 1" :label="texts.of10(value - 1)" /> </el-select
      ></label>
      <label
        >{{ texts.slept }}
        <el-input-number v-model="felt.slept" :min="0" :max="24" :step="0.5" :value-on-clear="undefined" :controls="false" class="slept"
      /></label>
      <label class="note">{{ texts.note }} <el-input v-model="felt.note" maxlength="4096" /></label>
      <el-checkbox v-model="felt.pain">{{ texts.somethingHurt }}</el-checkbox>
      <span role="status" class="good">{{ state }}</span>
    </div>
    <p v-if="felt.pain" class="said ask">{{ texts.leaveHardSessionsUntil }}</p>
    <p v-if="problem" class="said error" role="alert">
      {{ problem.problem }} <span class="faint">{{ problem.hint }}</span>
    </p>
  </section>
</template>

<style scoped>
h2 {
  margin: 18px 0 6px;
}
.felt {
  display: flex;
  gap: 18px;
  flex-wrap: wrap;
  align-items: center;
}
label {
  display: flex;
  gap: 8px;
  align-items: center;
}
.slept {
  width: 92px;
}
.note {
  flex: 1;
  min-width: 220px;
}
.note .el-input {
  flex: 1;
  min-width: 0;
}
</style>
