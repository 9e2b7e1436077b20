<script setup lang="ts">
import type { Entry } from '~~/core/words/glossary'
import { glossary } from '~~/core/words/glossary'
import { rooms } from '~/rooms'
import { helpPage as texts } from '~/texts/en'

useHead({ title: 'Help · Agonis' })
const walk = useWalk()
const entries = Object.entries(glossary) as [string, Entry][]
const lines = [
  [texts.straightRepeats, texts.n9X500M],
  [texts.withWarmUpAnd, texts.n2KmWu4],
  [texts.inSets, texts.n2X4X],
  [texts.onSendOffs, '8 x 100 on 1:50'],
  [texts.byFeel, texts.n40MinEasy6],
] as const
</script>

<template>
  <div class="page help">
    <h1>{{ texts.help }}</h1>
    <p>
      {{ texts.oneLineOfText }}
      <NuxtLink to="/desk/new" data-test="walk-again" @click="walk = 'wanted'">{{ texts.walkThroughItAt }}</NuxtLink>{{ texts.aMinuteLong }}
    </p>
    <h2>{{ texts.theRooms }}</h2>
    <dl class="pairs">
      <template v-for="room in rooms" :key="room.to">
        <dt>
          <NuxtLink :to="room.to">{{ room.name }}</NuxtLink>
        </dt>
        <dd>{{ room.about }}</dd>
      </template>
    </dl>
    <h2>{{ texts.linesThatRead }}</h2>
    <dl class="pairs">
      <template v-for="[name, line] in lines" :key="line">
        <dt>{{ name }}</dt>
        <dd class="mono">{{ line }}</dd>
      </template>
    </dl>
    <p class="faint">{{ texts.coachesShorthandOfMost }}</p>
    <h2>{{ texts.numbersAndWords }}</h2>
    <dl class="pairs">
      <template v-for="[term, entry] in entries" :key="term">
        <dt :id="term">{{ entry.word }}</dt>
        <dd>
          {{ entry.means }} <span v-if="entry.source" class="faint">{{ entry.source }}</span>
        </dd>
      </template>
    </dl>
    <p class="said note">
      {{ texts.numbersHereAreEstimates }}
    </p>
    <p>
      <NuxtLink to="/about">{{ texts.aboutAgonis }}</NuxtLink>
    </p>
  </div>
</template>

<style scoped>
h2 {
  margin: 24px 0 6px;
}
</style>
