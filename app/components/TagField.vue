<script setup lang="ts">
import { tagField as texts } from '~/texts/en'
const props = defineProps<{ tags: string[] }>()
const emit = defineEmits<{ set: [tags: string[]] }>()
const typed = ref('')

const wrong = ref('')
async function add() {
  const tag = typed.value.trim()
  const tags = [...props.tags, tag]
  wrong.value = tag === '' ? '' : await faultOf('tags', { tags })
  if (tag === '' || wrong.value) return
  typed.value = ''
  emit('set', tags)
}
</script>

<template>
  <p class="tags">
    <span v-for="tag in tags" :key="tag" class="tag"
      >#{{ tag }}
      <el-button
        link
        type="primary"
        :aria-label="texts.takeTheTagOff(tag)"
        @click="
          emit(
            'set',
            tags.filter(other => other !== tag),
          )
        ">
        ×
      </el-button></span
    >
    <el-input
      v-model="typed"
      maxlength="40"
      :placeholder="texts.addATag"
      :aria-label="texts.addATag2"
      data-test="tag"
      @keydown.enter="add"
      @blur="add" />
    <span v-if="wrong" class="bad" role="alert">{{ wrong }}</span>
  </p>
</template>

<style scoped>
.tags {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
  margin: 6px 0;
}
.tag {
  white-space: nowrap;
}
.tag .el-button {
  text-decoration: none;
  min-width: 24px;
}
.el-input {
  width: 110px;
  min-height: 28px;
  padding: 2px 6px;
}
</style>
