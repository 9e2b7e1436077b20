<script setup lang="ts">
const rooms = [
  { to: '/desk', name: 'Desk' },
  { to: '/shelf', name: 'Shelf' },
  { to: '/weeks', name: 'Weeks' },
  { to: '/watches', name: 'Watches' },
  { to: '/log', name: 'Log' },
  { to: '/calculator', name: 'Calculator' },
  { to: '/me', name: 'Me' },
]
const route = useRoute()
const isFinding = ref(false)

/** One key finds anything, wherever the caret stands. */
function onKey(event: KeyboardEvent) {
  if (!(event.ctrlKey || event.metaKey) || event.altKey || event.shiftKey || event.key.toLowerCase() !== 'k' || route.path === '/phone')
    return
  event.preventDefault()
  event.stopPropagation()
  isFinding.value = true
}
onMounted(() => window.addEventListener('keydown', onKey, true))
onBeforeUnmount(() => window.removeEventListener('keydown', onKey, true))
/** Rooms that fill the window, and those for whoever is not signed in yet. */
const isBare = computed(() => route.path === '/phone' || /^\/(?:sign-in|join)$/.test(route.path))
/** The stand-in watch is reached from Watches. */
const isHere = (to: string) =>
  route.path === to || route.path.startsWith(`${to}/`) || (to === '/watches' && route.path.startsWith('/standin'))
</script>

<template>
  <NuxtPwaManifest />
  <div class="frame">
    <header v-if="!isBare" class="rim">
      <NuxtLink to="/desk" class="name">Agonis</NuxtLink>
      <nav aria-label="Rooms">
        <NuxtLink
          v-for="room in rooms"
          :key="room.to"
          :to="room.to"
          :class="{ here: isHere(room.to) }"
          :aria-current="isHere(room.to) ? 'page' : undefined">
          {{ room.name }}
        </NuxtLink>
      </nav>
      <button class="seek" aria-haspopup="dialog" title="Ctrl K" data-test="open-finder" @click="isFinding = true">Find</button>
    </header>
    <div v-if="!isBare" class="frieze" aria-hidden="true" />
    <main class="room">
      <NuxtPage />
    </main>
    <Finder v-if="isFinding" :rooms="rooms" @close="isFinding = false" />
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
  gap: 18px;
  overflow-x: auto;
  scrollbar-width: none;
}
nav a {
  color: var(--rim-text);
  text-decoration: none;
  display: flex;
  align-items: center;
  padding: 0 2px;
  border-bottom: 3px solid transparent;
  border-top: 3px solid transparent;
  white-space: nowrap;
}
nav a.here {
  border-bottom-color: var(--clay-3);
}
.seek {
  margin-left: auto;
  background: none;
  border: 0;
  border-bottom: 1px dotted var(--rim-text);
  color: var(--rim-text);
  align-self: center;
  padding: 2px 1px;
  cursor: pointer;
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
    gap: 14px;
    padding: 0 12px;
  }
  nav {
    gap: 14px;
  }
}
</style>
