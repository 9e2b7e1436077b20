import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { randomFrom } from '../../quantity/random'
import { readScript } from '../../script/reader/read-script'
import { fit } from '../fit/fit'
import { readFrame, seal } from './frame'
import { BehindError, openLine, SilentError, UnpairedError } from './line'
import type { Carry } from './line'
import { answerPairing, closePairing, openPairing, proofOf } from './pairing'
import { profileNamed } from '../program/profile'
import type { Answer } from './protocol'
import { listRecords, listSlots, pairWatch, sendProgram, WrongCodeError } from './transfer'
import type { WatchMemory } from './watch-memory'
import { emptyMemory, handPut, keepRecording, programIn } from './watch-memory'
import { hideCode, receiveFrame, showCode, shownCode } from './watch-receive'
import { nobody } from '../../athlete/standpoint'

const secretFrom = (seed: number) => {
  const random = randomFrom(seed)
  return (count: number) => Uint8Array.from({ length: count }, () => Math.floor(random.next() * 256))
}
const program = fit(readScript('title Quay ladder\nsport run\n\n10:00', nobody).sessions[0]!, profileNamed('all-sport')!, nobody).program

/** A watch that answers every frame, and what lies on the way to it. */
function watchOf(memory: WatchMemory) {
  const watch = { memory, now: 0, heard: [] as string[] }
  const carry: Carry = async frame => {
    watch.heard.push(frame)
    const received = receiveFrame(watch.memory, frame, watch.now, secretFrom(9))
    if (!received) throw new SilentError('lost')
    watch.memory = received.memory
    return received.reply
  }
  return { watch, carry }
}
const open = (carry: Carry, key: string | null = null, firstCounter = 0) => openLine(carry, { watch: 'w1', key, firstCounter, tries: 2 })

async function paired(owner = 'ilse', memory = emptyMemory('w1', 'i1', 'all-sport', 3), seed = 1) {
  const link = watchOf(showCode(memory, 0, secretFrom(seed)))
  const keys: string[] = []
  await pairWatch(open(link.carry), 'w1', owner, shownCode(link.watch.memory, 0)!, secretFrom(seed + 1), async key => void keys.push(key))
  return { ...link, key: keys[0]! }
}

describe('pairing', () => {
  it('gives both sides one key when the code is the same, and different keys when it is not', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 999_999 }), fc.integer({ min: 0, max: 999_999 }), fc.nat(), (a, b, seed) => {
        const [typed, shown] = [a, b].map(code => String(code).padStart(6, '0')) as [string, string]
        const opening = openPairing(typed, 'w1', 'ilse', secretFrom(seed))
        const answer = answerPairing(shown, 'w1', 'ilse', opening.share, secretFrom(seed + 1))!
        expect(closePairing(opening, answer.share, 'w1', 'ilse') === answer.key).toBe(a === b)
      }),
      { numRuns: 30 },
    )
  })

  it('makes another key each time, and takes no share that is no point', () => {
    const shares = [1, 2].map(seed => openPairing('123456', 'w1', 'ilse', secretFrom(seed)).share)
    expect(shares[0]).not.toBe(shares[1])
    expect(answerPairing('123456', 'w1', 'ilse', 'zz', secretFrom(1))).toBeNull()
    expect(answerPairing('123456', 'w1', 'ilse', '00'.repeat(32), secretFrom(1))).toBeNull()
    expect(proofOf('11'.repeat(32), 'server')).not.toBe(proofOf('11'.repeat(32), 'watch'))
  })

  it('binds the watch to its owner, and hides the code', async () => {
    const { watch, key } = await paired()
    expect(watch.memory.bond).toMatchObject({ owner: 'ilse', key })
    expect(shownCode(watch.memory, 0)).toBeNull()
  })

  it('tells a wrong code, and lets nobody try more than three', async () => {
    const { watch, carry } = watchOf(showCode(emptyMemory('w1', 'i1', 'all-sport', 3), 0, secretFrom(1)))
    const right = shownCode(watch.memory, 0)!
    const wrong = right === '000000' ? '000001' : '000000'
    const attempt = (code: string, seed: number) => pairWatch(open(carry), 'w1', 'ilse', code, secretFrom(seed), async () => {})
    for (let seed = 1; seed <= 3; seed++) await expect(attempt(wrong, seed)).rejects.toThrow(WrongCodeError)
    await expect(attempt(right, 4)).rejects.toMatchObject({ why: 'unpaired' })
    expect(watch.memory.bond).toBeNull()
  })

  it('needs a code on the glass, for three minutes', async () => {
    const shown = showCode(emptyMemory('w1', 'i1', 'all-sport', 3), 0, secretFrom(1))
    expect(shownCode(shown, 3 * 60_000 - 1)).toMatch(/^\d{6}$/)
    expect(shownCode(shown, 3 * 60_000)).toBeNull()
    const { carry } = watchOf(hideCode(shown))
    await expect(pairWatch(open(carry), 'w1', 'ilse', '123456', secretFrom(1), async () => {})).rejects.toMatchObject({ why: 'unpaired' })
  })
})

describe('sealed frames', () => {
  it("do what they say only with the owner's key", async () => {
    const { watch, carry, key } = await paired()
    await expect(listSlots(open(carry, 'ab'.repeat(32)))).rejects.toThrow(UnpairedError)
    await expect(listSlots(open(carry, null))).rejects.toMatchObject({ why: 'unpaired' })
    await sendProgram(open(carry, key), program, 1, 0)
    expect(programIn(watch.memory, 1)).toEqual(program)
  })

  it('are heard again as the same message, and never when they count behind', async () => {
    const { watch, carry, key } = await paired()
    await sendProgram(open(carry, key, 10), program, 1, 0)
    const settled = watch.memory
    const [late, last] = [watch.heard.at(-2)!, watch.heard.at(-1)!]
    const answerOf = async (frame: string) => JSON.parse(readFrame(await carry(frame))!.body) as Answer
    expect(await answerOf(late)).toMatchObject({ kind: 'refused', why: 'stale', heard: 12 })
    expect(await answerOf(last)).toEqual({ kind: 'commit', generation: 1 })
    expect(watch.memory).toEqual(settled)
    await expect(listSlots(open(carry, key, 3))).rejects.toThrow(BehindError)
  })

  it('are changed by nobody on the way', async () => {
    const { watch, carry, key } = await paired()
    const counting: Carry = frame => carry(frame.replace('"counter":0', '"counter":7'))
    await expect(listSlots(open(counting, key))).rejects.toThrow(SilentError)
    expect(watch.memory.bond!.counter).toBe(-1)
    const meddling: Carry = frame => carry(frame.replace('"list\\"', '"records\\"'))
    await expect(listSlots(open(meddling, key))).rejects.toThrow(UnpairedError)
    const lying: Carry = async frame => (await carry(frame)).replace('free\\":', 'free\\":9')
    await expect(listSlots(open(lying, key, 5))).rejects.toThrow(SilentError)
    const echoing: Carry = async frame => frame
    await expect(listSlots(open(echoing, key, 9))).rejects.toThrow(SilentError)
    expect(watch.memory.slots.every(held => held.generation === 0)).toBe(true)
  })

  it('are answered by their own answer alone, not by a late one to an earlier frame', async () => {
    const { carry, key } = await paired()
    let late: string | null = null
    const mixing: Carry = async frame => {
      const reply = await carry(frame)
      const before = late
      late = reply
      return before ?? reply
    }
    const line = open(mixing, key)
    expect(await line({ kind: 'records' })).toEqual({ kind: 'records', records: [] })
    expect(await line({ kind: 'list' })).toMatchObject({ kind: 'list' })
  })

  it('are no frames when they are anything else', () => {
    for (const text of ['', '[]', 'null', '{"counter":1.5,"body":"{}"}', '{"counter":1}', '{"counter":1,"body":"{}","mac":4}']) {
      expect(receiveFrame(emptyMemory('w1', 'i1', 'all-sport', 1), text, 0, secretFrom(1)), text).toBeNull()
    }
    const { reply } = receiveFrame(
      emptyMemory('w1', 'i1', 'all-sport', 1),
      seal(null, 'server', 'w1', 3, 'not a message'),
      0,
      secretFrom(1),
    )!
    expect(JSON.parse(reply)).toMatchObject({ counter: 3 })
  })
})

describe('a watch that changes hands', () => {
  it("lets go of what the last owner sent, keeps what hands made, and gives nobody another's recordings", async () => {
    const first = await paired()
    await sendProgram(open(first.carry, first.key), program, 1, 0)
    const worn = keepRecording(handPut(first.watch.memory, 2, { ...program, name: 'Own' })!, {
      format: 'agonis.recording',
      version: 1,
      sport: 'run',
      startedAt: '2026-03-31T06:00:00Z',
      samples: { t: [1], metres: [3] },
      marks: [],
    })
    const second = await paired('the boathouse', worn, 40)
    expect(second.watch.memory.slots.map(held => held.name)).toEqual([null, 'Own', null])
    expect(await listRecords(open(second.carry, second.key))).toEqual([])
    await expect(listSlots(open(second.carry, first.key))).rejects.toThrow(UnpairedError)
    const again = await paired('ilse', second.watch.memory, 60)
    expect(await listRecords(open(again.carry, again.key))).toHaveLength(1)
  })

  it('keeps all of it for the same owner, and does not change hands in the middle of a run', async () => {
    const first = await paired()
    await sendProgram(open(first.carry, first.key), program, 1, 0)
    const again = await paired('ilse', first.watch.memory, 40)
    expect(programIn(again.watch.memory, 1)).toEqual(program)
    await expect(paired('the boathouse', { ...again.watch.memory, running: 1 }, 60)).rejects.toMatchObject({ why: 'busy' })
  })
})
