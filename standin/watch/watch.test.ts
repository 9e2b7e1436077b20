import { randomBytes } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ilse } from '../../demo/athlete'
import { randomFrom } from '../../core/quantity/random'
import { score } from '../../core/record/score'
import { readScript } from '../../core/script/reader/read-script'
import { comparePrograms } from '../../core/wrist/program/compare'
import { fit } from '../../core/wrist/fit/fit'
import { firstCounter } from '../../core/wrist/link/frame'
import type { Carry, Exchange } from '../../core/wrist/link/line'
import { openLine, SilentError, UnpairedError } from '../../core/wrist/link/line'
import { profileNamed } from '../../core/wrist/program/profile'
import type { Answer } from '../../core/wrist/link/protocol'
import { listRecords, listSlots, pairWatch, readBack, sendProgram, takeRecording } from '../../core/wrist/link/transfer'
import { carry as pass, carryFrame, goodLink } from './link'
import { openStore } from './store'
import type { Watch, Wearer } from './watch'
import { startWatch } from './watch'
import { nobody } from '../../core/athlete/standpoint'
import { seenBy } from '../../tests/support/standpoint'

const sessionOf = (text: string) => readScript(text, nobody).sessions[0]!
const programOf = (text: string) => fit(sessionOf(text), profileNamed('all-sport')!, seenBy(ilse)).program

describe('the link', () => {
  it('lets everything through when it is good, and nothing behind a cut', () => {
    expect(pass(goodLink, 1e6, randomFrom(1)).passes).toBe(true)
    const first = pass({ ...goodLink, cutAfter: 100 }, 80, randomFrom(1))
    expect([first.passes, first.faults.cutAfter]).toEqual([true, 20])
    expect(pass(first.faults, 21, randomFrom(1)).passes).toBe(false)
    expect(pass({ ...goodLink, cutAfter: 0 }, 1, randomFrom(1)).passes).toBe(false)
  })
  it('loses its share of messages', () => {
    const random = randomFrom(4)
    const passed = Array.from({ length: 4000 }, () => pass({ ...goodLink, loss: 0.25 }, 10, random).passes).filter(Boolean).length
    expect(passed / 4000).toBeCloseTo(0.75, 1)
  })

  it('brings some messages twice and some too late, and the watch hears both', async () => {
    const heard: string[] = []
    const over = (faults: typeof goodLink, seed: number) =>
      carryFrame(
        'frame',
        () => faults,
        () => {},
        randomFrom(seed),
        frame => {
          heard.push(frame)
          return 'reply'
        },
      )
    expect(await over({ ...goodLink, double: 1 }, 1)).toBe('reply')
    expect(heard).toHaveLength(2)
    vi.useFakeTimers()
    expect(await over({ ...goodLink, late: 1 }, 1)).toBeNull()
    await vi.advanceTimersByTimeAsync(3000)
    vi.useRealTimers()
    expect(heard).toHaveLength(3)
  })
})

describe('the watch', () => {
  let folder: string
  let watch: Watch
  const wearer: Wearer = { athlete: ilse, seed: 1, speed: 600, pressesItself: true, behaviour: { bias: 0 } }
  const begin = () => startWatch('test.all-sport', 'all-sport', 3, openStore(folder), wearer)
  const carry: Carry = async frame => {
    const reply = await watch.message('cable', frame)
    if (reply === null) throw new SilentError('lost')
    return reply
  }
  let exchange: Exchange
  let lease = 0
  /** Pairs as a person does: the code is read from the glass. */
  async function pair() {
    watch.push('middle', true)
    let key = ''
    await pairWatch(
      openLine(carry, { watch: 'test.all-sport', key: null, firstCounter: 0 }),
      'test.all-sport',
      'ilse',
      watch.glass().code!,
      count => new Uint8Array(randomBytes(count)),
      async made => void (key = made),
    )
    exchange = openLine(carry, { watch: 'test.all-sport', key, firstCounter: firstCounter(++lease) })
  }
  const program = programOf('title Short\nsport run\n\n1:00\n2 times\n  0:30 @ 4:00-4:20 /km\ncool-down until press')

  beforeEach(async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'] })
    folder = mkdtempSync(join(tmpdir(), 'agonis-watch-'))
    watch = begin()
    watch.setLink('cable', goodLink)
    await pair()
  })
  afterEach(() => {
    watch.stop()
    vi.useRealTimers()
    rmSync(folder, { recursive: true, force: true })
  })

  it('keeps its programs over a power cut', async () => {
    await sendProgram(exchange, program, 2, 0)
    watch.stop()
    watch = begin()
    expect((await readBack(exchange, 2)).program).toEqual(program)
    expect(watch.glass().slots).toEqual([{ slot: 2, name: 'Short', isOwn: false }])
  })

  it('carries a program out at many times real time and keeps the recording until it is stored', async () => {
    await sendProgram(exchange, program, 1, 0)
    watch.push('top', false)
    expect(watch.glass().face).toMatchObject({ phase: 'running', where: '1:00' })
    await vi.advanceTimersByTimeAsync(3000)
    expect(watch.glass().face).toBeNull()
    const [state] = await listRecords(exchange)
    const recording = await takeRecording(exchange, state!)
    expect(score(program, recording, nobody.athlete).totals).toMatchObject({ done: 4, planned: 4 })
    expect(watch.glass().recordingsWaiting).toBe(1)
  })

  it('does as its three buttons say', async () => {
    await sendProgram(exchange, program, 1, 0)
    await sendProgram(exchange, { ...program, name: 'Other' }, 2, 0)
    expect(watch.glass().chosen).toBe(2)
    watch.push('bottom', false)
    expect(watch.glass().chosen).toBe(1)
    watch.push('bottom', false)
    expect(watch.choose(1)).toBe(true)
    expect(watch.choose(3)).toBe(false)
    watch.wear({ ...wearer, speed: 10, pressesItself: false })
    watch.push('top', false)
    await vi.advanceTimersByTimeAsync(500)
    watch.push('top', false)
    expect(watch.glass().face!.phase).toBe('paused')
    watch.push('top', false)
    watch.push('middle', true)
    expect(watch.glass().face!.where).toContain('rep 1 of 2')
    watch.push('bottom', true)
    expect(watch.glass().face!.where).toBe('1:00')
    watch.push('bottom', false)
    expect(watch.glass().look).toBe(true)
    watch.push('top', false)
    watch.push('bottom', true)
    expect(watch.glass().face).toBeNull()
    expect(watch.glass().recordingsWaiting).toBe(1)
  })

  it('shows the rows of the chosen program, and changes their counts and lengths by its buttons', async () => {
    await sendProgram(exchange, program, 1, 0)
    expect(watch.glass().rows.map(row => row.words)).toEqual(['1:00', '2 times', '0:30 @ 4:00-4:20 /km', 'cool-down until press'])
    watch.push('bottom', true)
    expect(watch.glass()).toMatchObject({ changes: { words: ['1:00', '2 times', '0:30 @ 4:00-4:20 /km'], at: 0 } })
    expect(watch.glass().knobs).toEqual({ top: 'more', middle: 'less', bottom: 'next' })
    watch.push('bottom', false)
    watch.push('top', false)
    expect(watch.glass().rows[1]!.words).toBe('3 times')
    watch.push('bottom', true)
    expect(watch.glass()).toMatchObject({ changes: null, slots: [{ name: 'Short', isOwn: true }] })
    const { slots } = await listSlots(exchange)
    expect(slots[0]).toMatchObject({ by: 'hand', generation: 2 })
    watch.push('top', false)
    expect(watch.glass().face!.where).toBe('1:00')
    await vi.advanceTimersByTimeAsync(4000)
    const [state] = await listRecords(exchange)
    expect(state!.program).toBe(slots[0]!.digest)
  })

  it('goes on after a power cut in the middle of a run', async () => {
    await sendProgram(exchange, program, 1, 0)
    watch.wear({ ...wearer, speed: 10 })
    watch.push('top', false)
    await vi.advanceTimersByTimeAsync(2500)
    const before = watch.glass().face!
    watch.stop()
    watch = begin()
    expect(watch.glass().face).toMatchObject({ phase: 'running', where: before.where })
    await vi.advanceTimersByTimeAsync(120_000)
    const [state] = await listRecords(exchange)
    expect(score(program, await takeRecording(exchange, state!), nobody.athlete).totals.done).toBe(4)
  })

  it('is another after a reset, holds nothing and knows nobody', async () => {
    await sendProgram(exchange, program, 1, 0)
    const before = (await exchange({ kind: 'hello' })) as Answer & { kind: 'hello' }
    watch.hand({ do: 'reset' })
    await expect(exchange({ kind: 'list' })).rejects.toThrow(UnpairedError)
    await pair()
    const after = (await exchange({ kind: 'hello' })) as Answer & { kind: 'hello' }
    expect(after.incarnation).not.toBe(before.incarnation)
    expect((await readBack(exchange, 1)).program).toBeNull()
  })

  it('shows its code only while asked to', () => {
    expect(watch.glass().code).toBeNull()
    watch.push('middle', true)
    expect(watch.glass().code).toMatch(/^\d{6}$/)
    watch.push('middle', true)
    expect(watch.glass().code).toBeNull()
  })

  it('is changed by hands: a program made, edited, deleted, each a generation on', async () => {
    await sendProgram(exchange, program, 1, 0)
    expect(watch.hand({ do: 'make' })).toBe(true)
    expect(watch.hand({ do: 'edit', slot: 1 })).toBe(true)
    const edited = (await readBack(exchange, 1)).program!
    expect(comparePrograms(program, edited).filter(row => !row.equal)).toMatchObject([{ should: '1:00', holds: '2:00' }])
    expect(watch.hand({ do: 'delete', slot: 2 })).toBe(true)
    const { slots } = await listSlots(exchange)
    expect(slots.map(state => [state.generation, state.by])).toEqual([
      [2, 'hand'],
      [2, null],
      [0, null],
    ])
    watch.push('top', false)
    expect(watch.hand({ do: 'delete', slot: 1 })).toBe(false)
  })

  it('answers nobody without power, and goes on where it was when it is back', async () => {
    await sendProgram(exchange, program, 1, 0)
    watch.wear({ ...wearer, speed: 10 })
    watch.push('top', false)
    await vi.advanceTimersByTimeAsync(1500)
    const { face } = watch.glass()
    watch.hand({ do: 'power', on: false })
    await expect(listSlots(exchange)).rejects.toThrow(SilentError)
    await vi.advanceTimersByTimeAsync(60_000)
    watch.push('middle', true)
    expect(watch.glass()).toMatchObject({ isOn: false, face })
    watch.hand({ do: 'power', on: true })
    await vi.advanceTimersByTimeAsync(1000)
    expect(watch.glass().face!.total.time).not.toBe(face!.total.time)
  })

  it('is off still, and as wrong in its clock, when its program was ended and begun again', async () => {
    watch.hand({ do: 'clock', off: -3_600_000 })
    watch.hand({ do: 'power', on: false })
    watch.stop()
    watch = begin()
    expect(watch.glass()).toMatchObject({ isOn: false, clockOff: -3_600_000 })
    await expect(listSlots(exchange)).rejects.toThrow(SilentError)
  })

  it('has a clock that may be wrong, and dates by it', async () => {
    watch.hand({ do: 'clock', off: -3_600_000 })
    const hello = (await exchange({ kind: 'hello' })) as Answer & { kind: 'hello' }
    expect(Date.parse(hello.clock)).toBeLessThan(Date.now() - 3_500_000)
  })

  it('does not finish a run twice when the power goes just behind its end', async () => {
    await sendProgram(exchange, program, 1, 0)
    watch.push('top', false)
    await vi.advanceTimersByTimeAsync(200)
    const going = readFileSync(join(folder, 'going.json'), 'utf8')
    await vi.advanceTimersByTimeAsync(5000)
    watch.stop()
    writeFileSync(join(folder, 'going.json'), going)
    watch = begin()
    await vi.advanceTimersByTimeAsync(5000)
    expect(watch.glass().recordingsWaiting).toBe(1)
  })

  it('lets go of a run that an earlier version wrote down, and of the slot it was in', async () => {
    await sendProgram(exchange, program, 1, 0)
    watch.push('top', false)
    watch.stop()
    const { speaker: _, ...before } = JSON.parse(readFileSync(join(folder, 'going.json'), 'utf8')) as Record<string, unknown>
    writeFileSync(join(folder, 'going.json'), JSON.stringify(before))
    watch = begin()
    await vi.advanceTimersByTimeAsync(1000)
    expect(watch.glass().face).toBeNull()
    expect(watch.hand({ do: 'delete', slot: 1 })).toBe(true)
  })

  it('begins anywhere, and jumps anywhere', async () => {
    await sendProgram(exchange, program, 1, 0)
    watch.wear({ ...wearer, speed: 1, pressesItself: false })
    watch.push('middle', false)
    watch.push('bottom', false)
    expect(watch.glass().entrances).toEqual({
      words: ['1:00', '2 x 0:30 @ 4:00-4:20 /km', 'round 2 of 2: 0:30 @ 4:00-4:20 /km', 'cool-down until press'],
      at: 1,
    })
    watch.push('bottom', false)
    watch.push('top', false)
    expect(watch.glass().face!.where).toContain('rep 2 of 2')
    watch.push('top', true)
    expect(watch.glass().knobs.middle).toBe('jump')
    watch.push('middle', false)
    expect(watch.glass().face!.where).toBe('1:00')
  })

  it('tells its listeners, until they leave', () => {
    const heard = vi.fn()
    const leave = watch.onChange(heard)
    watch.setLink('radio', { ...goodLink, loss: 1 })
    leave()
    watch.setLink('radio', goodLink)
    expect(heard).toHaveBeenCalledTimes(1)
  })

  it('answers nothing over a link that loses everything', async () => {
    watch.setLink('cable', { ...goodLink, loss: 1 })
    await expect(exchange({ kind: 'hello' })).rejects.toThrow(SilentError)
  })

  it('begins anew from a memory that was cut in the middle of writing', () => {
    watch.stop()
    writeFileSync(join(folder, 'memory.json'), '{"watch":"te')
    watch = begin()
    expect(watch.glass().slots).toEqual([])
    expect(() => JSON.parse(readFileSync(join(folder, 'going.json'), 'utf8')) as unknown).not.toThrow()
  })
})
