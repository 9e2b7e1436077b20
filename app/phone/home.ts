import type { Standpoint } from '~~/core/athlete/standpoint'
import { daysFrom } from '~~/core/quantity/day'
import { digestOf } from '~~/core/wrist/program/digest'
import { fit } from '~~/core/wrist/fit/fit'
import { phoneChoices, phoneProfileFor } from '~~/core/wrist/program/profile'
import type { KeptSession } from '~~/shared/api'
import type { PlanRow } from '~~/shared/plan'
import type { HeldProgram } from './store'
import { heldPrograms, holdPrograms, letGo, waitingRecordings } from './store'
import { phoneHome as texts } from '~/texts/en'

/** Fits a session for this phone and holds it; one that is held already is replaced. */
export async function takeAlong(id: string, standpoint: Standpoint, day: string | null): Promise<HeldProgram> {
  const kept = await api<KeptSession>(`/sessions/${id}`)
  const held = await heldPrograms()
  const others = held.filter(entry => entry.session !== id)
  const { program, losses, fits } = fit(kept.document, phoneProfileFor(kept.document), standpoint, {
    choices: { standing: phoneChoices },
    taken: others.map(entry => entry.program.name),
  })
  if (!fits)
    throw new ApiError({
      status: 422,
      problem: texts.thisPhoneCannotHold(kept.title, losses.find(loss => loss.instead === null)!.what),
      where: 'session',
      hint: texts.changeItOnThe,
    })
  const slot = held.find(entry => entry.session === id)?.slot ?? 1 + Math.max(0, ...held.map(entry => entry.slot))
  const entry: HeldProgram = { slot, session: id, program, digest: digestOf(program), losses, day }
  await holdPrograms([...others, entry].sort((a, b) => a.slot - b.slot))
  return entry
}

/** Takes the coming seven days along; what is planned no more leaves, what was taken by hand stays. */
export async function takeWeek(standpoint: Standpoint & { readonly day: string }): Promise<{ taken: number; problems: string[] }> {
  const { day: today } = standpoint
  const planned = await api<PlanRow[]>(`/plan?from=${today}&to=${daysFrom(today, 6)}`)
  const plan = planned.flatMap(({ day, sessionId }) => (sessionId === null ? [] : [{ day, sessionId }]))
  await holdPrograms((await heldPrograms()).filter(entry => entry.day === null || plan.some(row => row.sessionId === entry.session)))
  const problems: string[] = []
  for (const row of plan) {
    await takeAlong(row.sessionId, standpoint, row.day).catch((error: unknown) => problems.push(toldOf(error).problem))
  }
  return { taken: plan.length - problems.length, problems }
}

/** Brings recordings home; each leaves this phone only when the server says that it has it. */
export async function bringHome(): Promise<string[]> {
  const home: string[] = []
  for (const waiting of await waitingRecordings()) {
    const { digest, recording, program, session } = waiting
    const brought = await api<{ id: string; digest: string }>('/recordings', {
      method: 'POST',
      body: { recording, program, ...(session ? { session } : {}) },
    }).catch((error: unknown) => {
      const gone = toldOf(error)
      if (gone.status !== 404 || !session) throw error
      return api<{ id: string; digest: string }>('/recordings', { method: 'POST', body: { recording, program } })
    })
    if (brought.digest !== digest) throw new Error(texts.theServerHasKept)
    await letGo(digest)
    home.push(brought.id)
  }
  return home
}
