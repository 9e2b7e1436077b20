/** The words on the desk: what the sheet's editor holds, told after each of its changes; nothing else changes them while it is open. */
export const useDeskTextStore = defineStore('desk-text', () => {
  const id = ref('')
  const script = ref('')
  /** The words as they were pasted, beside what was made of them. */
  const source = ref<string | null>(null)
  /** The path of the row in hand, as the editor's state has it; null where there is none. */
  const inHand = ref<string | null>(null)
  /** Whether there is something to take back, or to do again. */
  const canUndo = ref(false)
  const canRedo = ref(false)
  /** How often the athlete has changed the words, in this tab. */
  const changes = ref(0)

  /** Puts whole other words on the desk: a session that is opened, or the other side of a difference. */
  function show(words: { script: string; source: string | null }) {
    script.value = words.script
    source.value = words.source
  }

  function type(text: string) {
    if (text === script.value) return
    script.value = text
    changes.value++
  }

  /** Keeps words as they were pasted beside what is made of them; a further paste is added below. */
  function paste(text: string) {
    source.value = source.value === null ? text : `${source.value}\n${text}`
    changes.value++
  }

  function dropSource() {
    source.value = null
    changes.value++
  }

  return { id, script, source, inHand, canUndo, canRedo, changes, show, type, paste, dropSource }
})
