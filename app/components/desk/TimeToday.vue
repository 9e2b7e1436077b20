<script setup lang="ts">
const desk = useDeskReadingStore()
const take = (event: Event) => (desk.minutesToday = Number((event.target as HTMLInputElement).value) || null)
</script>

<template>
  <input
    id="today"
    class="field minutes"
    type="number"
    min="1"
    max="2880"
    placeholder="–"
    :value="desk.minutesToday ?? ''"
    data-test="today"
    @input="take" />
  min
</template>

<style scoped>
.minutes {
  width: 62px;
  padding: 0 4px;
  min-height: 26px;
  text-align: right;
}
</style>
