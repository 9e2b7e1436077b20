<script setup lang="ts">
import type { FormInstance, FormRules } from 'element-plus'
import { nameShape, passphraseShape } from '~~/shared/sign-in'
import { entranceNameForm as texts } from '~/texts/en'

/** A name and a passphrase, checked by what the server takes. */
defineProps<{ nameLabel: string; passphraseLabel: string; isNew?: boolean; isInline?: boolean }>()
const emit = defineEmits<{ given: [typed: { name: string; passphrase: string }] }>()
const form = useTemplateRef<FormInstance>('form')
const typed = reactive({ name: '', passphrase: '' })
const rules: FormRules = {
  name: ruleOf(nameShape().required(texts.isMissing), texts.theName),
  passphrase: ruleOf(passphraseShape().required(texts.isMissing), texts.thePassphrase),
}
async function give() {
  if (await form.value!.validate().catch(() => false)) emit('given', { ...typed })
}
const clear = () => form.value?.resetFields()
defineExpose({ clear })
</script>

<template>
  <el-form
    ref="form"
    :model="typed"
    :rules="rules"
    :inline="isInline"
    label-position="top"
    :class="{ inline: isInline }"
    @submit.prevent="give">
    <el-form-item :label="nameLabel" prop="name">
      <el-input v-model="typed.name" autocomplete="username" data-test="name" />
    </el-form-item>
    <el-form-item :label="passphraseLabel" prop="passphrase">
      <el-input
        v-model="typed.passphrase"
        type="password"
        show-password
        :autocomplete="isNew ? 'new-password' : 'current-password'"
        data-test="passphrase" />
    </el-form-item>
    <div class="buttons"><slot /></div>
  </el-form>
</template>

<style scoped>
.inline {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: flex-end;
}
.buttons {
  margin: 6px 0 18px;
}
</style>
