import type { Relative } from '~~/shared/api'

/** The other variants of a session, oldest first. */
export const relativesOf = async (id: string): Promise<Relative[]> =>
  (await api<Relative[]>(`/sessions/${id}/family`)).filter(relative => relative.id !== id)
