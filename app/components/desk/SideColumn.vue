<script setup lang="ts">
import { deskSideColumn as texts } from '~/texts/en'
</script>

<template>
  <aside class="side" :aria-label="texts.totalAndForecast">
    <slot />
    <p class="faint caution">{{ texts.mostTrainingShouldBe }}</p>
  </aside>
</template>

<style scoped>
.side {
  contain: content;
  background: var(--paper);
  border-left: 1px solid var(--rule);
  padding: 20px 18px;
  width: 308px;
  flex: none;
  overflow: auto;
  display: flex;
  flex-direction: column;
}
.caution {
  margin: auto 0 0;
  padding-top: 14px;
  border-top: 1px solid var(--rule);
  font-size: 0.84rem;
}
@media (max-width: 900px) {
  .side {
    width: 100%;
    border-left: 0;
    border-top: 2px solid var(--slip);
    overflow: visible;
  }
}
</style>

<style>
.side .next {
  margin-top: 14px;
}
.side .said {
  font-size: 0.93rem;
  overflow-wrap: anywhere;
}
.side .where {
  color: var(--faint);
}
.side .small {
  font-size: 0.84rem;
  margin: 2px 0;
}
</style>
