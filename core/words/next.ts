/** Why a session is done again as it is, harder, easier or not, as a code with its numbers. */
export type NextReason =
  | { code: 'pain' }
  | { code: 'not-known' }
  | { code: 'felt-harder'; felt: number; forecast: number }
  | { code: 'all-out'; felt: number }
  | { code: 'not-done'; done: number; planned: number }
  | { code: 'too-slow'; count: number; planned: number }
  | { code: 'too-fast'; count: number; planned: number }
  | { code: 'ceiling'; count: number; planned: number }
  | { code: 'not-held'; held: number }
  | { code: 'held'; held: number | null; done: number }
  | { code: 'long-ago'; days: number }
  | { code: 'full-week'; days: number }
  | { code: 'race' }
  | { code: 'nothing-harder' }
export type NextCaution = 'pain' | 'doctor' | 'step'

const percent = (share: number) => `${Math.round(share * 100)} %`
const of = (count: number, planned: number) => `${count} of ${planned}`

/** Why a session is done again so, in a sentence. */
export function sayReason(reason: NextReason): string {
  switch (reason.code) {
    case 'pain':
      return 'There was pain.'
    case 'not-known':
      return 'How each step went is not known well enough.'
    case 'felt-harder':
      return `It felt like ${reason.felt}, clearly harder than the ${reason.forecast} forecast.`
    case 'all-out':
      return `It felt like ${reason.felt} of 10, and it was no race.`
    case 'not-done':
      return `${of(reason.done, reason.planned)} parts of the work were done to their end.`
    case 'too-slow':
      return `${of(reason.count, reason.planned)} parts of the work were below their band.`
    case 'too-fast':
      return `${of(reason.count, reason.planned)} parts of the work were above their band.`
    case 'ceiling':
      return `In ${of(reason.count, reason.planned)} parts of the work the heart went over the ceiling.`
    case 'not-held':
      return `The bands were held ${percent(reason.held)} of the time.`
    case 'held':
      return reason.held === null
        ? `All ${reason.done} parts of the work were done.`
        : `All of the work was done, held ${percent(reason.held)}.`
    case 'long-ago':
      return `It was ${reason.days} days ago.`
    case 'full-week':
      return `${reason.days} other days around it are hard already.`
    case 'race':
      return 'It asks for about all that you have shown.'
    case 'nothing-harder':
      return 'Nothing in it makes it a little harder and no race.'
  }
}

/** What to mind with it. */
export function sayCaution(caution: NextCaution): string {
  switch (caution) {
    case 'pain':
      return 'Do not train into pain: rest until it is gone, and begin easy.'
    case 'doctor':
      return 'If it stays, comes back, or there was dizziness or a tight chest, ask a doctor or physiotherapist.'
    case 'step':
      return 'One step at a time: only where the days around it are easy, and not after illness.'
  }
}
