<script setup lang="ts">
useHead({ title: 'About · Agonis' })
const { public: built } = useRuntimeConfig()
const made = [
  ['Vue, Nuxt, Pinia, VueUse', 'the application'],
  ['Element Plus', 'controls'],
  ['CodeMirror', 'the editor below the sheet'],
  ['Apache ECharts', 'charts'],
  ['PostgreSQL, Drizzle', 'what is kept'],
  ['Atkinson Hyperlegible, Literata', 'letters'],
] as const
</script>

<template>
  <div class="page about">
    <h1>About Agonis</h1>
    <p>
      Agonis is for athletes who coach themselves. A line of text becomes a structured run, ride or swim; a watch leads you through it; and
      afterwards each repeat stands beside what was planned.
    </p>
    <dl class="pairs">
      <dt>Version</dt>
      <dd class="mono" data-test="version">{{ built.version }}</dd>
      <dt>Licence</dt>
      <dd>MIT. Nothing is fetched from elsewhere while it runs.</dd>
      <dt>What is yours</dt>
      <dd>
        Sessions, recordings and numbers are on the machine that runs Agonis, and nowhere else. They go out and come in again as open
        formats: see <NuxtLink to="/me#everything">Everything of yours</NuxtLink>.
      </dd>
      <dt>Where numbers come from</dt>
      <dd>Each formula has its source beside it: see <NuxtLink to="/help">Help</NuxtLink>.</dd>
    </dl>
    <h2>Made with</h2>
    <dl class="pairs">
      <template v-for="[name, what] in made" :key="name">
        <dt>{{ name }}</dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
    <p class="said note">
      Agonis is no medical device. Before hard training after illness, injury or a long pause, and with any pain, dizziness or a tight
      chest, ask a doctor or physiotherapist.
    </p>
  </div>
</template>

<style scoped>
h2 {
  margin: 22px 0 6px;
}
.about {
  max-width: 760px;
}
</style>
