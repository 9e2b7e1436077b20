import type { Random } from '../../core/quantity/random'
import { randomFrom } from '../../core/quantity/random'

/**
 * Time that goes on by events alone, and actors that live in it. Actors are ordinary async functions; whatever they wait for
 * is an event, and only one of them runs at a time, so that a seed names one course of things and no other.
 */
export interface World {
  random: Random
  now: () => number
  /** True with this chance. */
  chance: (share: number) => boolean
  pick: <T>(from: readonly T[]) => T
  /** Does something later. */
  after: (milliseconds: number, what: () => void) => void
  /** Begins an actor; the way to end it is to let it crash. */
  begin: (life: (actor: Actor) => Promise<void>) => Actor
  /** Lets time go on until nothing is left to happen, or until it is `until`. */
  run: (until: number) => Promise<void>
}

export interface Actor {
  /** Waits until `wake` is called with what it waits for, or `fail`. */
  wait: <T>(setUp: (wake: (value: T) => void, fail: (error: Error) => void) => void) => Promise<T>
  sleep: (milliseconds: number) => Promise<void>
  /** Never goes on from where it is. */
  crash: () => void
  isGone: () => boolean
}

interface Happening {
  at: number
  what: () => void
}

/** What is to happen, the next last; of two at one time the one that was asked for first. */
function agenda() {
  const queue: Happening[] = []
  return {
    add(at: number, what: () => void) {
      let index = queue.length
      while (index > 0 && queue[index - 1]!.at <= at) index--
      queue.splice(index, 0, { at, what })
    },
    takeUntil: (until: number) => (queue.length > 0 && queue.at(-1)!.at <= until ? queue.pop()! : null),
  }
}

/**
 * Waits for the actor that was woken until it waits again or ends, so that only one runs at a time.
 *
 * Trap: what wakes an actor may wake another before the first has come to rest; each is waited for in turn.
 */
function turns() {
  let settled: Promise<void> | null = null
  return {
    /** Lets an actor go on; gives what it calls when it rests. */
    begin(): () => void {
      let parked: () => void = () => {}
      settled = new Promise<void>(resolve => (parked = resolve))
      return parked
    },
    async rest() {
      while (settled) {
        const waiting: Promise<void> = settled
        settled = null
        await waiting
      }
    },
  }
}

function actorOf(after: World['after'], turn: ReturnType<typeof turns>, life: (actor: Actor) => Promise<void>): Actor {
  let gone = false
  let parked: () => void = () => {}
  const goOn = (how: () => void) => {
    if (gone) return
    parked = turn.begin()
    how()
  }
  const actor: Actor = {
    wait: setUp =>
      new Promise((resolve, reject) => {
        let isOver = false
        const once = (how: () => void) => {
          if (isOver) return
          isOver = true
          goOn(how)
        }
        setUp(
          value => once(() => resolve(value)),
          error => once(() => reject(error)),
        )
        parked()
      }),
    sleep: milliseconds => actor.wait<null>(wake => after(milliseconds, () => wake(null))).then(() => {}),
    crash: () => (gone = true),
    isGone: () => gone,
  }
  after(0, () =>
    goOn(() => {
      void life(actor).finally(() => {
        gone = true
        parked()
      })
    }),
  )
  return actor
}

export function newWorld(seed: number): World {
  const random = randomFrom(seed)
  const todo = agenda()
  const turn = turns()
  let now = 0
  const after = (milliseconds: number, what: () => void) => todo.add(now + Math.max(0, milliseconds), what)

  return {
    random,
    now: () => now,
    after,
    begin: life => actorOf(after, turn, life),
    chance: share => random.next() < share,
    pick: from => from[Math.floor(random.next() * from.length)]!,
    async run(until) {
      for (let happening = todo.takeUntil(until); happening; happening = todo.takeUntil(until)) {
        now = happening.at
        happening.what()
        await turn.rest()
      }
      now = Math.max(now, until)
    },
  }
}
