<script setup lang="ts">
import type { KeptSession, Relative } from '~~/shared/api'
import { sayToTheMinute } from '~~/core/quantity/time'
import { deskVariants as texts } from '~/texts/en'

const props = defineProps<{ id: string; isKept: boolean; title: string; ready: () => Promise<boolean> }>()
const desk = useDeskReadingStore()
const session = useBehind(
  () => desk.session,
  () => props.id,
)

const others = ref<Relative[]>([])
const compared = ref<KeptSession | null>(null)
const { problem, isBusy, guarded } = useGuarded()

const load = () => guarded(async () => (others.value = props.isKept ? await relativesOf(props.id) : []))
const compare = (id: string) =>
  guarded(async () => {
    compared.value = compared.value?.id === id ? null : await api<KeptSession>(`/sessions/${id}`)
  })
const saveVariant = () =>
  guarded(async () => {
    if (!(await props.ready())) return
    const made = await api<{ id: string }>(`/sessions/${props.id}/copy`, {
      method: 'POST',
      body: { variant: true, title: texts.variant(props.title.slice(0, 108)) },
    })
    await navigateTo(`/desk/${made.id}`)
  })
watch(
  () => [props.id, props.isKept],
  () => {
    compared.value = null
    void load()
  },
  { immediate: true },
)
</script>

<template>
  <p v-if="problem && problem.status !== 404" class="said error">{{ problem.problem }}</p>
  <p v-for="relative in others" :key="relative.id" class="relative">
    <NuxtLink :to="`/desk/${relative.id}`">{{ relative.title }}</NuxtLink>
    <span class="faint"> {{ relative.seconds === null ? '' : sayToTheMinute(relative.seconds) }}</span>
    {{ ' '
    }}<el-button link type="primary" :aria-expanded="compared?.id === relative.id" @click="compare(relative.id)">{{
      texts.whatDiffers
    }}</el-button>
  </p>
  <DeskRowDiff v-if="compared && session" :before="compared.document" :after="session" data-test="variant-diff" />
  <el-button :disabled="isBusy" data-test="save-variant" @click="saveVariant">{{ texts.saveACopyAs }}</el-button>
</template>

<style scoped>
.relative {
  margin: 4px 0;
  font-size: 0.93rem;
  overflow-wrap: anywhere;
}
</style>
