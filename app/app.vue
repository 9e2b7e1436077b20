<script setup lang="ts">
import { isTyping } from '~/keys/is-typing'
import { useFonts } from '~/theme/fonts'
import { useShownMode } from '~/theme/mode'
import { isHere, isOfAthlete, isOutside, rooms } from '~/rooms'
import { app as texts } from '~/texts/en'

const route = useRoute()
/** Trap: the server does not draw the room, and would not say that its part of the build is wanted. */
if (import.meta.server) useNuxtApp().ssrContext?.modules?.add(String(route.meta.part))
useHead({ link: [{ rel: 'icon', href: '/icon.svg', type: 'image/svg+xml' }] })
/** The first question of a room is asked before a line of the build is here to ask it. */
if (import.meta.server && isOfAthlete(route.path))
  useHead({ link: [{ rel: 'preload', as: 'fetch', href: '/api/me', crossorigin: 'anonymous' }] })
useFonts()
useShownMode()
const isFinding = ref(false)
const isFinderIn = ref(false)
/** What is typed behind the finder's key while the finder is on its way: it is for it. */
const early = ref('')
const isAskingKeys = ref(false)
const isOnFace = () => route.path === '/phone'

function find() {
  early.value = ''
  isFinderIn.value = false
  isFinding.value = true
}
function typedEarly(event: KeyboardEvent) {
  if (event.key.length !== 1 || event.ctrlKey || event.metaKey || event.altKey) return
  early.value += event.key
  event.preventDefault()
  event.stopPropagation()
}
/** Keys that work in every room: one finds anything, wherever the caret stands; single signs only outside text. */
function onKey(event: KeyboardEvent) {
  if (isFinding.value && !isFinderIn.value) return typedEarly(event)
  const isFind = (event.ctrlKey || event.metaKey) && !event.altKey && !event.shiftKey && event.code === 'KeyK'
  const isBareKey = !isTyping(event) && !event.ctrlKey && !event.metaKey && !event.altKey
  if ((isFind || (isBareKey && event.key === '/')) && !isOnFace()) find()
  else if (isBareKey && event.key === '?') isAskingKeys.value = true
  else return
  event.preventDefault()
  event.stopPropagation()
}
useEventListener('keydown', onKey, { capture: true })
/** The finder is at hand before its key is pressed. */
onNuxtReady(() => prefetchComponents('Finder'))
/** Rooms that fill the window, and those for whoever is not signed in yet. */
const isBare = computed(() => isOnFace() || isOutside(route.path))
</script>

<template>
  <NuxtPwaManifest />
  <a class="skip" href="#room">{{ texts.toTheRoom }}</a>
  <div class="frame">
    <header v-if="!isBare" class="rim">
      <NuxtLink to="/today" class="name">{{ texts.agonis }}</NuxtLink>
      <nav :aria-label="texts.rooms">
        <NuxtLink
          v-for="room in rooms"
          :key="room.to"
          :to="room.to"
          :class="{ here: isHere(route.path, room.to) }"
          :aria-current="isHere(route.path, room.to) ? 'page' : undefined">
          {{ room.name }}
        </NuxtLink>
      </nav>
      <div class="tools">
        <el-button link aria-haspopup="dialog" data-test="open-finder" @click="find">{{ texts.find }}</el-button>
        <el-button link aria-haspopup="dialog" data-test="open-keys" @click="isAskingKeys = true">{{ texts.keys }}</el-button>
        <NuxtLink to="/help">{{ texts.help }}</NuxtLink>
      </div>
    </header>
    <div v-if="!isBare" class="frieze" aria-hidden="true" />
    <main id="room" class="room" tabindex="-1">
      <ClientOnly>
        <NuxtPage />
        <template #fallback><RoomOpening /></template>
      </ClientOnly>
      <LazyKeysSheet v-if="isAskingKeys" @close="isAskingKeys = false" />
    </main>
    <LazyFinder v-if="isFinding" :early="early" @ready="isFinderIn = true" @close="isFinding = false" />
  </div>
</template>

<style scoped>
.frame {
  height: 100%;
  display: flex;
  flex-direction: column;
}
.rim {
  background: var(--rim);
  color: var(--rim-text);
  display: flex;
  align-items: stretch;
  gap: 26px;
  padding: 0 22px;
  min-height: 46px;
}
.name {
  font-family: var(--title);
  font-weight: 700;
  font-size: 1.4rem;
  color: var(--rim-title);
  text-decoration: none;
  align-self: center;
}
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
}
nav a {
  color: var(--rim-text);
  text-decoration: none;
  display: flex;
  align-items: center;
  min-height: 46px;
  padding: 0 2px;
  border-bottom: 3px solid transparent;
  border-top: 3px solid transparent;
  white-space: nowrap;
}
nav a.here {
  border-bottom-color: var(--clay-3);
}
.tools {
  flex: none;
  margin-left: auto;
  display: flex;
  gap: 16px;
  align-items: center;
}
.rim .tools .el-button.is-link,
.rim .tools a {
  color: var(--rim-text);
}
.rim .tools .el-button.is-link:hover {
  color: var(--rim-title);
}
.skip {
  position: absolute;
  left: 12px;
  top: -60px;
  z-index: 30;
  background: var(--paper);
  border: 2px solid var(--slip);
  padding: 6px 14px;
}
.skip:focus {
  top: 6px;
}
.room:focus {
  outline: none;
}
.rim :focus-visible {
  outline-color: var(--rim-title);
  outline-offset: -3px;
}
.frieze {
  height: 8px;
  flex: none;
  background: repeating-linear-gradient(90deg, #b5532a 0 8px, var(--rim) 8px 11px);
  border-bottom: 2px solid var(--rim);
}
.room {
  flex: 1;
  min-height: 0;
  overflow: auto;
}
@media print {
  .rim,
  .frieze {
    display: none;
  }
  .frame,
  .room {
    display: block;
    height: auto;
    overflow: visible;
  }
}
@media (max-width: 640px) {
  .rim {
    flex-wrap: wrap;
    gap: 0 14px;
    padding: 0 12px;
  }
  nav {
    order: 1;
    width: 100%;
    gap: 0 16px;
  }
  nav a,
  .tools a,
  .tools .el-button {
    min-height: 40px;
    display: flex;
    align-items: center;
  }
}
</style>
