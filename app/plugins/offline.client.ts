/** Keeps the phone and the Desk for when the server is away, once this page has nothing else to do. */
export default defineNuxtPlugin(() => {
  if (import.meta.dev || !('serviceWorker' in navigator)) return
  onNuxtReady(() => void navigator.serviceWorker.register('/sw.js', { scope: '/' }).catch(() => {}))
})
