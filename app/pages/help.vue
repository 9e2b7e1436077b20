<script setup lang="ts">
import type { Entry } from '~~/core/words/glossary'
import { glossary } from '~~/core/words/glossary'
import { rooms } from '~/rooms'

useHead({ title: 'Help · Agonis' })
const walk = useWalk()
const entries = Object.entries(glossary) as [string, Entry][]
const lines = [
  ['Straight repeats', '9 x 500 m @ 5k effort / 2 min jog'],
  ['With warm-up and cool-down', '2 km WU, 4 x 6 min @ 4:20-4:26 w 90 s float, 2 km CD'],
  ['In sets', '2 x (4 x (90 s @ 102-106 %CP, 1 min easy)) / 4 min easy'],
  ['On send-offs', '8 x 100 on 1:50'],
  ['By feel', '40 min easy + 6 x 20 s strides'],
] as const
</script>

<template>
  <div class="page help">
    <h1>Help</h1>
    <p>
      One line of text becomes a session, the session goes to a watch, and what comes home is laid beside it.
      <NuxtLink to="/desk/new" data-test="walk-again" @click="walk = 'wanted'">Walk through it at the Desk</NuxtLink>, a minute long.
    </p>
    <h2>The rooms</h2>
    <dl class="pairs">
      <template v-for="room in rooms" :key="room.to">
        <dt>
          <NuxtLink :to="room.to">{{ room.name }}</NuxtLink>
        </dt>
        <dd>{{ room.about }}</dd>
      </template>
    </dl>
    <h2>Lines that read</h2>
    <dl class="pairs">
      <template v-for="[name, line] in lines" :key="line">
        <dt>{{ name }}</dt>
        <dd class="mono">{{ line }}</dd>
      </template>
    </dl>
    <p class="faint">Coaches' shorthand of most kinds reads too. What has two readings is asked, what cannot be read is kept and said.</p>
    <h2>Numbers and words</h2>
    <dl class="pairs">
      <template v-for="[term, entry] in entries" :key="term">
        <dt :id="term">{{ entry.word }}</dt>
        <dd>
          {{ entry.means }} <span v-if="entry.source" class="faint">{{ entry.source }}</span>
        </dd>
      </template>
    </dl>
    <p class="said note">
      Numbers here are estimates. Pain, dizziness, a tight chest or illness outrank each of them: stop, and ask a doctor or physiotherapist.
    </p>
    <p><NuxtLink to="/about">About Agonis</NuxtLink></p>
  </div>
</template>

<style scoped>
h2 {
  margin: 24px 0 6px;
}
</style>
