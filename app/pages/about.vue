<script setup lang="ts">
import { aboutPage as texts } from '~/texts/en'
useHead({ title: 'About · Agonis' })
const { public: built } = useRuntimeConfig()
const made = [
  [texts.vueNuxtPiniaVueuse, texts.theApplication],
  [texts.elementPlus, 'controls'],
  ['CodeMirror', texts.theEditorBelowThe],
  [texts.apacheEcharts, 'charts'],
  [texts.postgresqlDrizzle, texts.whatIsKept],
  [texts.atkinsonHyperlegibleLiterata, 'letters'],
] as const
</script>

<template>
  <div class="page about">
    <h1>{{ texts.aboutAgonis }}</h1>
    <p>
      {{ texts.agonisIsForAthletes }}
    </p>
    <dl class="pairs">
      <dt>{{ texts.version }}</dt>
      <dd class="mono" data-test="version">{{ built.version }}</dd>
      <dt>{{ texts.licence }}</dt>
      <dd>{{ texts.mitNothingIsFetched }}</dd>
      <dt>{{ texts.whatIsYours }}</dt>
      <dd>
        {{ texts.sessionsRecordingsAndNumbers }} <NuxtLink to="/me#everything">{{ texts.everythingOfYours }}</NuxtLink>.
      </dd>
      <dt>{{ texts.whereNumbersComeFrom }}</dt>
      <dd>
        {{ texts.eachFormulaHasIts }} <NuxtLink to="/help">{{ texts.help }}</NuxtLink>.
      </dd>
    </dl>
    <h2>{{ texts.madeWith }}</h2>
    <dl class="pairs">
      <template v-for="[name, what] in made" :key="name">
        <dt>{{ name }}</dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
    <p class="said note">
      {{ texts.agonisIsNoMedical }}
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
