<script setup lang="ts">
const props = defineProps<{ svg: string; label: string }>()
const host = useTemplateRef<HTMLElement>('host')

/** Drawn in the page itself, so that it has the page's own letters. */
function draw() {
  const drawn = new DOMParser().parseFromString(props.svg, 'image/svg+xml').documentElement
  host.value?.replaceChildren(document.importNode(drawn, true))
}
onMounted(draw)
watch(() => props.svg, draw)
</script>

<template>
  <div ref="host" class="paper" role="img" :aria-label="label" />
</template>

<style>
.paper svg {
  display: block;
  width: 100%;
  height: auto;
}
</style>
