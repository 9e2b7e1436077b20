import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arbitrarySession } from '../../../tests/support/arbitrary-session'
import { readScript } from '../../script/reader/read-script'
import { canonicalBytes, digestOf } from '../program/digest'
import { fit } from '../fit/fit'
import { comparePrograms } from '../program/compare'
import type { Program } from '../program/program'
import { profileNamed } from '../program/profile'
import type { Answer, Request } from './protocol'
import { joinBytes } from './protocol'
import type { Exchange } from './line'
import { freeRecording, listRecords, readBack, removeProgram, sendProgram, takeRecording } from './transfer'
import type { WatchMemory } from './watch-memory'
import { emptyMemory, handPut, keepRecording, programIn, restoredMemory } from './watch-memory'
import { receive } from './watch-receive'
import type { Recording } from '../../record/recording'
import { nobody } from '../../athlete/standpoint'

const programOf = (text: string): Program => fit(readScript(text, nobody).sessions[0]!, profileNamed('all-sport')!, nobody).program
const small = programOf('title Quay ladder\nsport run\n\nwarm-up 10:00\n3 times\n  400 m @ 4:00-4:10 /km\n  rest 1:00')
const other = programOf('title Sound swim\nsport swim\n\n400 m\n200 m')

const recording: Recording = {
  format: 'agonis.recording',
  version: 1,
  sport: 'run',
  startedAt: '2026-03-31T06:00:00Z',
  samples: { t: Array.from({ length: 600 }, (_, i) => i + 1), metres: Array.from({ length: 600 }, (_, i) => i * 3) },
  marks: [],
}

const noSecret = () => new Uint8Array(64)
const bytesOf = (value: unknown) => canonicalBytes(value).length

/** A watch behind a link that carries only so many bytes, both ways together; a message cut short is lost. */
function linked(memory: WatchMemory, budget = Infinity) {
  const watch = { memory, left: budget, now: 0 }
  const exchange: Exchange = async (request: Request): Promise<Answer> => {
    watch.left -= bytesOf(request)
    if (watch.left < 0) throw new Error('cut')
    const received = receive(watch.memory, request, watch.now, noSecret)
    watch.memory = received.memory
    watch.left -= bytesOf(received.answer)
    if (watch.left < 0) throw new Error('cut')
    return received.answer
  }
  return { watch, exchange }
}

async function total(send: (exchange: Exchange) => Promise<unknown>, memory: WatchMemory): Promise<number> {
  const link = linked(memory, 1e9)
  await send(link.exchange)
  return 1e9 - link.watch.left
}

describe('a transfer over a link that fails', () => {
  it('cut at every single byte, then resumed, leaves the exact program or what was there, never a part', async () => {
    const before = await (async () => {
      const link = linked(emptyMemory('w1', 'i1', 'all-sport', 3))
      await sendProgram(link.exchange, other, 1, 0)
      return link.watch.memory
    })()
    const send = (exchange: Exchange) => sendProgram(exchange, small, 1, 1)
    const all = await total(send, before)
    expect(all).toBeGreaterThan(bytesOf(small))
    for (let budget = 0; budget <= all; budget++) {
      const link = linked(before, budget)
      const receipt = await send(link.exchange).catch(() => null)
      const held = programIn(link.watch.memory, 1)
      expect([digestOf(small), digestOf(other)]).toContain(digestOf(held))
      if (receipt) expect(digestOf(held)).toBe(receipt.digest)
      link.watch.left = Infinity
      const resumed = await send(link.exchange)
      expect(programIn(link.watch.memory, 1)).toEqual(small)
      expect(resumed).toEqual({ slot: 1, generation: 2, digest: digestOf(small), size: bytesOf(small) })
    }
  })

  it('goes on behind the bytes that arrived instead of starting over', async () => {
    const memory = emptyMemory('w1', 'i1', 'all-sport', 3)
    const link = linked(memory, 1300)
    await expect(sendProgram(link.exchange, small, 2, 0)).rejects.toThrow('cut')
    link.watch.left = Infinity
    const arrived: number[] = []
    await sendProgram(link.exchange, small, 2, 0, { onProgress: have => void arrived.push(have) })
    expect(arrived[0]).toBeGreaterThan(0)
  })

  it('changes nothing more when any message comes twice or late', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.nat(9), { minLength: 1, maxLength: 12 }), async order => {
        const log: Request[] = []
        const link = linked(emptyMemory('w1', 'i1', 'all-sport', 2))
        const recording: Exchange = async request => {
          log.push(request)
          return link.exchange(request)
        }
        await sendProgram(recording, small, 1, 0)
        const settled = link.watch.memory
        for (const index of order) link.watch.memory = receive(link.watch.memory, log[index % log.length]!, 0, noSecret).memory
        expect(link.watch.memory.slots).toEqual(settled.slots)
      }),
    )
  })

  it('takes a chunk that comes again in the middle of a sending once', async () => {
    const link = linked(emptyMemory('w1', 'i1', 'all-sport', 2))
    const chunk = { kind: 'chunk', digest: 'f'.repeat(64), offset: 0, bytes: btoa('abc') } as const
    await link.exchange({ kind: 'offer', slot: 2, digest: chunk.digest, size: 9, expects: 0 })
    expect(await link.exchange(chunk)).toEqual({ kind: 'ack', have: 3 })
    expect(await link.exchange(chunk)).toEqual({ kind: 'ack', have: 3 })
    expect(await link.exchange({ ...chunk, offset: 3 })).toEqual({ kind: 'ack', have: 6 })
  })

  it('refuses a stale generation, a busy slot, a missing slot and bytes with another digest, and says why', async () => {
    const link = linked(emptyMemory('w1', 'i1', 'all-sport', 2))
    await sendProgram(link.exchange, small, 1, 0)
    await expect(sendProgram(link.exchange, other, 1, 0)).rejects.toMatchObject({ why: 'stale' })
    expect(await link.exchange({ kind: 'offer', slot: 1, digest: 'e'.repeat(64), size: 3, expects: 7 })).toMatchObject({ why: 'stale' })
    link.watch.memory = { ...link.watch.memory, running: 1 }
    await expect(sendProgram(link.exchange, other, 1, 1)).rejects.toMatchObject({ why: 'busy' })
    await expect(removeProgram(link.exchange, 1, 1)).rejects.toMatchObject({ why: 'busy' })
    await expect(sendProgram(link.exchange, other, 9, 0)).rejects.toMatchObject({ why: 'full' })
    await link.exchange({ kind: 'offer', slot: 2, digest: 'f'.repeat(64), size: 3, expects: 0 })
    await link.exchange({ kind: 'chunk', digest: 'f'.repeat(64), offset: 0, bytes: btoa('abc') })
    expect(await link.exchange({ kind: 'commit', slot: 2, digest: 'f'.repeat(64), expects: 0 })).toMatchObject({
      kind: 'refused',
      why: 'digest',
    })
    expect(programIn(link.watch.memory, 2)).toBeNull()
  })

  it('refuses what does not go in any more, and takes it in place of something as large', async () => {
    const link = linked(emptyMemory('w1', 'i1', 'all-sport', 3, bytesOf(small) + 100))
    await sendProgram(link.exchange, small, 1, 0)
    expect(await link.exchange({ kind: 'offer', slot: 2, digest: digestOf(other), size: bytesOf(other), expects: 0 })).toMatchObject({
      kind: 'refused',
      why: 'full',
    })
    expect(link.watch.memory.staged).toEqual([])
    await sendProgram(link.exchange, other, 1, 1)
    expect(handPut(link.watch.memory, 2, small)).toBeNull()
    expect(programIn(link.watch.memory, 1)).toEqual(other)
  })

  it('knows a memory that an earlier version wrote', () => {
    const { capacity: _, bond: __, pairing: ___, ...before } = handPut(emptyMemory('w1', 'i1', 'all-sport', 2), 1, small)!
    const slots = before.slots.map(({ name: _name, by: _by, ...held }) => held) as unknown as WatchMemory['slots']
    const restored = restoredMemory({ ...before, slots })
    expect(restored).toMatchObject({
      bond: null,
      slots: [
        { name: 'Quay ladder', by: 'server', generation: 1 },
        { name: null, by: null },
      ],
    })
    expect(programIn(restored, 1)).toEqual(small)
  })

  it('lets offered bytes expire', async () => {
    const link = linked(emptyMemory('w1', 'i1', 'all-sport', 2), 1300)
    await expect(sendProgram(link.exchange, small, 1, 0)).rejects.toThrow()
    link.watch.left = Infinity
    link.watch.now = 25 * 3600 * 1000
    const arrived: number[] = []
    await sendProgram(link.exchange, small, 1, 0, { onProgress: have => void arrived.push(have) })
    expect(arrived[0]).toBe(0)
  })

  it('reads back what is held, equal step by step', async () => {
    const link = linked(emptyMemory('w1', 'i1', 'all-sport', 2))
    await sendProgram(link.exchange, small, 1, 0)
    const back = await readBack(link.exchange, 1)
    expect(back.program).toEqual(small)
    expect(comparePrograms(small, back.program!).every(row => row.equal)).toBe(true)
    expect(comparePrograms(other, back.program!).some(row => !row.equal)).toBe(true)
    expect(await readBack(link.exchange, 2)).toEqual({ generation: 0, digest: null, program: null })
  })

  it('does not believe what is read back where its bytes are others than the watch states', async () => {
    const link = linked(emptyMemory('w1', 'i1', 'all-sport', 2))
    await sendProgram(link.exchange, small, 1, 0)
    const lying: Exchange = async request => {
      const answer = await link.exchange(request)
      return answer.kind === 'read' ? { ...answer, digest: 'f'.repeat(64) } : answer
    }
    await expect(readBack(lying, 1)).rejects.toThrow('has not the digest')
  })

  it('brings a recording home over cuts and frees it only when it is stored', async () => {
    const memory = keepRecording(emptyMemory('w1', 'i1', 'all-sport', 1), recording)
    expect(keepRecording(memory, recording)).toBe(memory)
    const link = linked(memory)
    const [state] = await listRecords(link.exchange)
    let have = new Uint8Array()
    let taken: Recording | null = null
    for (let tries = 0; taken === null && tries < 200; tries++) {
      link.watch.left = 1500
      taken = await takeRecording(link.exchange, state!, have, { onPart: part => void (have = new Uint8Array([...have, ...part])) }).catch(
        () => null,
      )
    }
    expect(taken).toEqual(recording)
    link.watch.left = Infinity
    expect(await listRecords(link.exchange)).toHaveLength(1)
    await expect(freeRecording(link.exchange, { ...state!, digest: 'f'.repeat(64) })).rejects.toMatchObject({ why: 'digest' })
    expect(await listRecords(link.exchange)).toHaveLength(1)
    await freeRecording(link.exchange, state!)
    expect(await listRecords(link.exchange)).toEqual([])
    await freeRecording(link.exchange, state!)
  })

  it('brings a recording in parts that grow while they come, and small ones again behind a cut', async () => {
    const link = linked(keepRecording(emptyMemory('w1', 'i1', 'all-sport', 1), recording))
    const [state] = await listRecords(link.exchange)
    const parts: Uint8Array[] = []
    const sizes = { first: 128, most: 512, onPart: (part: Uint8Array) => void parts.push(part) }
    link.watch.left = 3000
    await expect(takeRecording(link.exchange, state!, new Uint8Array(), sizes)).rejects.toThrow('cut')
    const before = parts.map(part => part.length)
    expect(before.slice(0, 4)).toEqual([128, 256, 512, 512])
    link.watch.left = Infinity
    expect(await takeRecording(link.exchange, state!, joinBytes(parts), sizes)).toEqual(recording)
    expect(
      parts
        .slice(before.length)
        .map(part => part.length)
        .slice(0, 3),
    ).toEqual([128, 256, 512])
  })
})

describe('comparing programs', () => {
  const whole = ({ items, prompts = [] }: Program) => digestOf([items, prompts])

  it('finds all rows equal exactly when the items and prompts are', () => {
    const profile = profileNamed('all-sport')!
    fc.assert(
      fc.property(arbitrarySession, arbitrarySession, (a, b) => {
        const [left, right] = [fit(a, profile, nobody).program, fit(b, profile, nobody).program]
        expect(comparePrograms(left, left).every(row => row.equal)).toBe(true)
        expect(comparePrograms(left, right).every(row => row.equal)).toBe(whole(left) === whole(right))
      }),
      { numRuns: 300 },
    )
  })
})
