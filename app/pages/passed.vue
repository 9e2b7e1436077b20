<script setup lang="ts">
import { passedPage as texts } from '~/texts/en'

/** A session that came in a link: the link carries it, no server was asked for it. */
const route = useRoute()
const pasted = ref('')
const link = computed(() => pasted.value.trim() || route.hash)
const title = ref<string | null>(null)
useHead({ title: () => texts.agonis(title.value ?? texts.passedOn) })
</script>

<template>
  <div class="page">
    <h1>{{ title ?? texts.passedOn }}</h1>
    <LazyPassedSession v-if="link" :link="link" @read="read => (title = read)" />
    <label v-if="title === null"
      >{{ texts.pasteALink }} <el-input v-model="pasted" :placeholder="texts.likeThis" data-test="paste-link"
    /></label>
  </div>
</template>
