<script setup lang="ts">
import { passedPage as texts } from '~/texts/en'

/** A session that came in a link: the link carries it, no server was asked for it. */
const route = useRoute()
const pasted = ref('')
const link = computed(() => pasted.value.trim() || route.hash)
/** What was read of the link: its title, null where it carries no session; nothing while it is being read. */
const read = ref<string | null | undefined>(route.hash ? undefined : null)
const title = computed(() => (link.value && read.value) || texts.passedOn)
useHead({ title: () => texts.agonis(title.value) })
</script>

<template>
  <div class="page">
    <h1>{{ title }}</h1>
    <LazyPassedSession v-if="link" :link="link" @read="told => (read = told)" />
    <label v-if="!link || read === null"
      >{{ texts.pasteALink }} <el-input v-model="pasted" :placeholder="texts.likeThis" data-test="paste-link"
    /></label>
  </div>
</template>
