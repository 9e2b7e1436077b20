import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ilse } from '../demo/athlete'
import { validateRecording } from '../core/formats/validate'
import { randomFrom } from '../core/quantity/random'
import { checkRecording } from '../core/record/recording'
import { score } from '../core/record/score'
import { readScript } from '../core/script/read'
import { walk } from '../core/session/walk'
import { digestOf } from '../core/wrist/digest'
import { fit } from '../core/wrist/fit'
import { profileNamed } from '../core/wrist/profile'
import type { Answer, Numbered, Request } from '../core/wrist/protocol'
import { sendProgram, readBack, listRecords, takeRecording } from '../core/wrist/transfer'
import { live, restedBody } from './body/body'
import { rehearse } from './rehearse'
import { carry, goodLink } from './watch/link'
import { openStore } from './watch/store'
import type { Watch } from './watch/watch'
import { startWatch } from './watch/watch'

const sessionOf = (text: string) => readScript(text).sessions[0]!
const programOf = (text: string) => fit(sessionOf(text), profileNamed('all-sport')!, ilse).program
const startedAt = '2026-03-31T06:00:00.000Z'
const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length

describe('the simulated body', () => {
  const steady = programOf('sport ride\n\n20:00 @ 190-200 W')

  it('holds what it means to hold, with the spread of a person', () => {
    const { samples } = rehearse(steady, ilse, { seed: 2, startedAt })
    const power = samples.power!.slice(60).map(Number)
    expect(Math.abs(mean(power) - 195)).toBeLessThan(3)
    const spread = Math.sqrt(mean(power.map(value => (value - mean(power)) ** 2))) / 195
    expect(spread).toBeGreaterThan(0.05)
    expect(spread).toBeLessThan(0.09)
  })

  it('has a heart that rises with a time constant of 30 s, stays below its maximum and falls slower', () => {
    const { samples, marks } = rehearse(programOf('sport run\n\n5:00 @ 4:30-4:40 /km\nrest 3:00'), ilse, { seed: 2, startedAt })
    const heart = samples.heartRate!.map(Number)
    const rest = marks.find(mark => mark.kind === 'step' && mark.path === '2')!.t
    const [first, top, later] = [heart[0]!, heart[rest - 1]!, heart[rest + 49]!]
    expect((heart[29]! - first) / (top - first)).toBeCloseTo(0.63, 1)
    expect(Math.max(...heart)).toBeLessThanOrEqual(ilse.heart!.max! + 2)
    expect((top - later) / (top - 50)).toBeCloseTo(0.63, 0)
  })

  it('stands still in a rest and without a step', () => {
    let body = restedBody(ilse)
    for (let second = 0; second < 30; second++) body = live(body, ilse, 'run', null, 0, 1, randomFrom(1), { bias: 0 }).body
    expect(body.metres).toBe(0)
  })

  it('brings the same recording for the same seed and another for another', () => {
    expect(rehearse(steady, ilse, { seed: 5, startedAt })).toEqual(rehearse(steady, ilse, { seed: 5, startedAt }))
    expect(digestOf(rehearse(steady, ilse, { seed: 5, startedAt }))).not.toBe(digestOf(rehearse(steady, ilse, { seed: 6, startedAt })))
  })
})

describe('rehearsing', () => {
  const nested = 'sport run\n\nwarm-up until press\n2 times, drop last recovery\n  3 times\n    0:40 @ 4:00-4:20 /km\n    recovery 0:20\n  rest 0:30\ncool-down until press\n'
  const expected = [...walk(sessionOf(nested))].map(flat => `${flat.path}@${flat.round.join('.')}`)

  it('executes each flat step once and in order for 500 seeds of presses, skips and pauses, and the marks say so', () => {
    const program = programOf(nested)
    for (let seed = 1; seed <= 500; seed++) {
      const random = randomFrom(seed)
      const presses = Array.from({ length: 12 }, () => ({ t: random.next() * 1500, button: (['press', 'skip', 'pause', 'resume'] as const)[Math.floor(random.next() * 4)]! }))
      presses.push({ t: 1501, button: 'resume' })
      const recording = rehearse(program, { ...ilse, usual: { warmUpSeconds: 60, coolDownSeconds: 60, otherOpenSeconds: 60 } }, { seed, startedAt, presses })
      const names = recording.marks.filter(mark => mark.kind === 'step').map(mark => `${mark.path}@${mark.round!.join('.')}`)
      expect(names, `seed ${seed}`).toEqual(expected)
      expect(checkRecording(recording), `seed ${seed}`).toBeNull()
      expect(recording.marks.at(-1)!.kind, `seed ${seed}`).toBe('stop')
    }
  }, 120_000)

  it('is sound and says which program it came from', () => {
    const program = programOf(nested)
    const recording = rehearse(program, ilse, { seed: 1, startedAt })
    expect(validateRecording(recording).ok).toBe(true)
    expect(recording.program).toBe(digestOf(program))
    expect(score(program, recording).confidence).toBe(1)
  })

  it('shows a body that goes too hard, and a strap that falls silent', () => {
    const program = programOf('sport run\n\n4 times\n  2:00 @ 4:40-4:50 /km\n  recovery 1:00')
    const hard = score(program, rehearse(program, ilse, { seed: 1, startedAt, manner: { bias: 0.08 } }))
    expect(hard.steps.filter(step => step.path === '1.1').map(step => step.reason)).toEqual(['too-hard', 'too-hard', 'too-hard', 'too-hard'])
    const silent = rehearse(program, ilse, { seed: 1, startedAt, manner: { silentHeart: { from: 100, to: 200 } } })
    expect(silent.samples.heartRate!.slice(99, 199).every(value => value === null)).toBe(true)
    expect(silent.samples.heartRate![210]).not.toBeNull()
  })
})

describe('the link', () => {
  it('lets everything through when it is good, and nothing behind a cut', () => {
    expect(carry(goodLink, 1e6, randomFrom(1)).passes).toBe(true)
    const first = carry({ ...goodLink, cutAfter: 100 }, 80, randomFrom(1))
    expect([first.passes, first.manner.cutAfter]).toEqual([true, 20])
    expect(carry(first.manner, 21, randomFrom(1)).passes).toBe(false)
    expect(carry({ ...goodLink, cutAfter: 0 }, 1, randomFrom(1)).passes).toBe(false)
  })
  it('loses its share of messages', () => {
    const random = randomFrom(4)
    const passed = Array.from({ length: 4000 }, () => carry({ ...goodLink, loss: 0.25 }, 10, random).passes).filter(Boolean).length
    expect(passed / 4000).toBeCloseTo(0.75, 1)
  })
})

describe('the watch', () => {
  let folder: string
  let watch: Watch
  const wearer = { athlete: ilse, seed: 1, speed: 600, pressesItself: true }
  const begin = () => startWatch('test.all-sport', 'all-sport', 3, openStore(folder), wearer)
  const exchange = async (request: Request): Promise<Answer> => {
    const reply = await watch.message(JSON.stringify({ number: 1, body: request } satisfies Numbered<Request>))
    if (reply === null) throw new Error('lost')
    return (JSON.parse(reply) as Numbered<Answer>).body
  }
  const program = programOf('title Short\nsport run\n\n1:00\n2 times\n  0:30 @ 4:00-4:20 /km\ncool-down until press')

  beforeEach(() => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'Date'] })
    folder = mkdtempSync(join(tmpdir(), 'agonis-watch-'))
    watch = begin()
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
    expect(watch.glass().slots).toEqual([{ slot: 2, name: 'Short' }])
  })

  it('carries a program out at many times real time and keeps the recording until it is stored', async () => {
    await sendProgram(exchange, program, 1, 0)
    watch.push('top', false)
    expect(watch.glass().face).toMatchObject({ phase: 'running', where: '1:00' })
    await vi.advanceTimersByTimeAsync(3000)
    expect(watch.glass().face).toBeNull()
    const [state] = await listRecords(exchange)
    const recording = await takeRecording(exchange, state!)
    expect(score(program, recording).totals).toMatchObject({ done: 4, planned: 4 })
    expect(watch.glass().recordingsWaiting).toBe(1)
  })

  it('does as its three buttons say', async () => {
    await sendProgram(exchange, program, 1, 0)
    await sendProgram(exchange, { ...program, name: 'Other' }, 2, 0)
    expect(watch.glass().chosen).toBe(1)
    watch.push('bottom', false)
    expect(watch.glass().chosen).toBe(2)
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
    expect(score(program, await takeRecording(exchange, state!)).totals.done).toBe(4)
  })

  it('is another after a reset, and holds nothing', async () => {
    await sendProgram(exchange, program, 1, 0)
    const before = await exchange({ kind: 'hello' }) as Answer & { kind: 'hello' }
    vi.setSystemTime(Date.now() + 1000)
    watch.reset()
    const after = await exchange({ kind: 'hello' }) as Answer & { kind: 'hello' }
    expect(after.incarnation).not.toBe(before.incarnation)
    expect((await readBack(exchange, 1)).program).toBeNull()
  })

  it('tells its listeners, until they leave', () => {
    const heard = vi.fn()
    const leave = watch.onChange(heard)
    watch.setLink({ ...goodLink, loss: 1 })
    leave()
    watch.setLink(goodLink)
    expect(heard).toHaveBeenCalledTimes(1)
  })

  it('answers nothing over a link that loses everything', async () => {
    watch.setLink({ ...goodLink, loss: 1 })
    await expect(exchange({ kind: 'hello' })).rejects.toThrow('lost')
  })

  it('begins anew from a memory that was cut in the middle of writing', () => {
    watch.stop()
    writeFileSync(join(folder, 'memory.json'), '{"watch":"te')
    watch = begin()
    expect(watch.glass().slots).toEqual([])
    expect(() => JSON.parse(readFileSync(join(folder, 'going.json'), 'utf8')) as unknown).not.toThrow()
  })
})
