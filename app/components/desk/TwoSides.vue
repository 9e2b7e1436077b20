<script setup lang="ts">
defineProps<{ mine: string; theirs: string; isLeft: boolean }>()
const emit = defineEmits<{ choose: [side: 'mine' | 'theirs'] }>()
</script>

<template>
  <section class="sides" role="alertdialog" aria-label="Both differ">
    <p>
      <strong>{{ isLeft ? 'Another tab left other words here.' : 'This session was changed elsewhere too.' }}</strong>
      {{ isLeft ? 'The side you do not take goes.' : 'Nothing is lost: the side you do not take stays in its earlier wordings.' }}
    </p>
    <div class="pair">
      <div>
        <h2>Here</h2>
        <pre class="mono">{{ mine }}</pre>
        <button class="act first" @click="emit('choose', 'mine')">Keep this one</button>
      </div>
      <div>
        <h2>{{ isLeft ? 'The other tab' : 'There' }}</h2>
        <pre class="mono">{{ theirs }}</pre>
        <button class="act" @click="emit('choose', 'theirs')">Keep that one</button>
      </div>
    </div>
  </section>
</template>

<style scoped>
.sides {
  border-top: 2px solid var(--cinnabar);
  padding: 10px 22px 14px 0;
  max-height: 45%;
  overflow: auto;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 18px;
}
pre {
  font-size: 13px;
  white-space: pre-wrap;
  max-height: 160px;
  overflow: auto;
  border: 1px solid var(--rule);
  padding: 8px;
  margin: 6px 0;
}
</style>
