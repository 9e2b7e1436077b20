/** Puts a session on the shelf under an id of its own. */
export async function keepNewSession(script: string): Promise<string> {
  const id = crypto.randomUUID()
  await api(`/sessions/${id}`, { method: 'PUT', body: { base: 0, script } })
  return id
}
