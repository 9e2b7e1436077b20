/** What the shelf knows of the session on the desk, beside its words: tags and dismissed suggestions. */
export const useDeskShelfStore = defineStore('desk-shelf', () => {
  const text = useDeskTextStore()
  const keeping = useDeskKeepingStore()
  const tags = ref<string[]>([])
  const dismissed = ref<string[]>([])

  function show(kept: { tags: string[]; dismissed: string[] } | null) {
    tags.value = kept?.tags ?? []
    dismissed.value = kept?.dismissed ?? []
  }

  async function dismiss(keys: string[]) {
    dismissed.value = keys
    if (await keeping.flush()) await api(`/sessions/${text.id}/dismissed`, { method: 'PUT', body: { dismissed: keys } })
  }

  async function setTags(wanted: string[]) {
    if (!(await keeping.flush())) return
    tags.value = (await api<{ tags: string[] }>(`/sessions/${text.id}/tags`, { method: 'PUT', body: { tags: wanted } })).tags
  }

  return { tags, dismissed, show, dismiss, setTags }
})
