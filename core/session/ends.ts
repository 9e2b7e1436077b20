import { toMetres } from '../quantity/distance'
import type { End } from './document'

/**
 * What differs from one kind of end to the next, beyond how it is said. A new kind is one entry here, and the tests that fail
 * until every room knows it.
 */
interface EndFacts {
  /** Nobody can say beforehand when it comes: the athlete's habit is taken. */
  isOpen: boolean
  /** A target can change over it, since the way to it is known all along. */
  isLinear: boolean
  /** Which sensor must be heard for it to come. */
  needs: 'position' | 'heart-rate' | 'power' | null
}

export const endKinds: Readonly<Record<End['on'], EndFacts>> = {
  'time': { isOpen: false, isLinear: true, needs: null },
  'distance': { isOpen: false, isLinear: true, needs: 'position' },
  'press': { isOpen: true, isLinear: false, needs: null },
  'heart-rate': { isOpen: true, isLinear: false, needs: 'heart-rate' },
  'energy': { isOpen: false, isLinear: false, needs: 'power' },
  'send-off': { isOpen: false, isLinear: false, needs: 'position' },
  'first': { isOpen: false, isLinear: false, needs: null },
}

/** Whether nobody can say beforehand when an end comes. */
export const isOpenEnd = (end: End): boolean => (end.on === 'first' ? end.of.every(isOpenEnd) : endKinds[end.on].isOpen)

/** The metres that an end says itself; undefined where it says none. */
export const metresOfEnd = (end: End): number | undefined => (end.on === 'distance' || end.on === 'send-off' ? toMetres(end) : undefined)
