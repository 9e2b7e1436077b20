import { randomBytes } from 'node:crypto'
import type { WatchMemory } from '../../core/wrist/link/watch-memory'
import { emptyMemory, restoredMemory } from '../../core/wrist/link/watch-memory'
import type { LinkFaults, LinkKind } from '../../shared/api'
import type { Going } from './going'
import { usualLinks } from './link'
import type { Store } from './store'
import { upgradeGoing } from './upgrade'

interface Case {
  isOn: boolean
  clockOff: number
}

export interface Make {
  address: string
  profile: string
  slots: number
}

const saveGoingEvery = 1000

/** Everything of a watch that outlives its program: read once at the start, and written to its disk as it changes. */
export function keptOn(store: Store, { address, profile, slots }: Make) {
  const unused = () => emptyMemory(address, `${address}-${Date.now().toString(36)}-${randomBytes(3).toString('hex')}`, profile, slots)
  const written = store.read<WatchMemory>('memory')
  let memory = written ? restoredMemory(written) : unused()
  let links = { ...usualLinks, ...store.read<Record<LinkKind, LinkFaults>>('links') }
  let body: Case = store.read<Case>('case') ?? { isOn: true, clockOff: 0 }
  const left = memory.running === null ? null : upgradeGoing(store.read<Going>('going'))
  let going = left?.state && left.speaker && left.settings ? (left as Going) : null
  if (!going) memory = { ...memory, running: null }
  let savedAt = 0

  return {
    memory: () => memory,
    going: () => going,
    body: () => body,
    links: () => links,
    /** Milliseconds since 1970, as the watch has it. */
    now: () => Date.now() + body.clockOff,
    keepMemory(next: WatchMemory) {
      if (next === memory) return
      memory = next
      store.write('memory', memory)
    },
    /** The run that goes on is written once a second, or at once where it must be. */
    keepGoing(next: Going | null, isAtOnce = false) {
      going = next
      if (!isAtOnce && Date.now() - savedAt < saveGoingEvery) return
      savedAt = Date.now()
      store.write('going', going)
    },
    keepCase(next: Case) {
      body = next
      store.write('case', body)
    },
    /** Faults that wear off by themselves are not written. */
    setLink(kind: LinkKind, faults: LinkFaults, isWritten: boolean) {
      links = { ...links, [kind]: faults }
      if (isWritten) store.write('links', links)
    },
    unused,
  }
}

export type Kept = ReturnType<typeof keptOn>
