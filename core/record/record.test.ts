import { describe, expect, it } from 'vitest'
import { ilse } from '../../demo/athlete'
import { rehearse } from '../../standin/body/rehearse'
import { validateRecording } from '../formats/validate'
import { readScript } from '../script/reader/read-script'
import { digestOf } from '../wrist/program/digest'
import { fit } from '../wrist/fit/fit'
import { profileNamed } from '../wrist/program/profile'
import type { Program } from '../wrist/program/program'
import { alignByMarks, metresAt, movingSeconds } from './align'
import { addMarks, addReading, emptyRecorder, finishRecording } from './recorder'
import type { Recording } from './recording'
import type { Mark } from '../wrist/engine/marks'
import { checkRecording } from './recording'
import { plannedSteps } from './planned-steps'
import { score } from './score'
import { nobody } from '../athlete/standpoint'
import { seenBy } from '../../tests/support/standpoint'

const programOf = (text: string): Program => fit(readScript(text, nobody).sessions[0]!, profileNamed('all-sport')!, seenBy(ilse)).program

/** A recording of one sample a second; `speedAt` gives the metres of each second, null for no signal. */
function recordingOf(
  seconds: number,
  marks: Mark[],
  speedAt: (t: number) => number | null = () => 4,
  heartRate: (t: number) => number | null = () => 140,
): Recording {
  let way = 0
  const t = Array.from({ length: seconds }, (_, index) => index + 1)
  const metres = t.map(time => {
    const speed = speedAt(time)
    way += speed ?? 4
    return speed === null ? null : way
  })
  return {
    format: 'agonis.recording',
    version: 1,
    sport: 'run',
    startedAt: '2026-03-31T06:00:00Z',
    samples: { t, metres, heartRate: t.map(heartRate) },
    marks,
  }
}
const mark = (t: number, kind: Mark['kind'], path?: string, round: number[] = []): Mark => (path ? { t, kind, path, round } : { t, kind })

describe("aligning by the engine's marks", () => {
  it('cuts stretches at the very instants, with metres between samples', () => {
    const recording = recordingOf(100, [mark(0, 'step', '1'), mark(30.5, 'step', '2'), mark(90, 'stop')])
    expect(alignByMarks(recording).map(({ path, from, to, metres, endedBy }) => [path, from, to, metres, endedBy])).toEqual([
      ['1', 0, 30.5, expect.closeTo(122, 6), 'end'],
      ['2', 30.5, 90, expect.closeTo(238, 6), 'stop'],
    ])
    expect(metresAt(recording, 30.5)).toBe(122)
  })
  it('leaves pauses out of seconds and metres', () => {
    const [first] = alignByMarks(recordingOf(60, [mark(0, 'step', '1'), mark(10, 'pause'), mark(30, 'resume'), mark(60, 'stop')]))
    expect(movingSeconds(first!)).toBe(40)
    expect(first!.metres).toBeCloseTo(160, 6)
  })
  it('goes on with a step that was taken back', () => {
    const recordedSteps = alignByMarks(
      recordingOf(60, [
        mark(0, 'step', '1'),
        mark(20, 'skip', '1'),
        mark(20, 'step', '2'),
        mark(23, 'back', '1'),
        mark(40, 'step', '2'),
        mark(60, 'stop'),
      ]),
    )
    expect(recordedSteps.map(({ path, from, to, endedBy }) => [path, from, to, endedBy])).toEqual([
      ['1', 0, 40, 'end'],
      ['2', 40, 60, 'stop'],
    ])
  })
  it('gives a step that was taken back the pauses of the one put off', () => {
    const [first] = alignByMarks(
      recordingOf(60, [
        mark(0, 'step', '1'),
        mark(20, 'skip', '1'),
        mark(20, 'step', '2'),
        mark(21, 'pause'),
        mark(31, 'resume'),
        mark(33, 'back', '1'),
        mark(40, 'step', '2'),
        mark(60, 'stop'),
      ]),
    )
    expect(movingSeconds(first!)).toBe(30)
  })
  it('ends an open stretch with the recording', () => {
    expect(alignByMarks(recordingOf(50, [mark(0, 'step', '1')]))[0]).toMatchObject({ to: 50, endedBy: 'stop' })
    expect(alignByMarks(recordingOf(50, []))).toEqual([])
  })
})

describe('scoring', () => {
  const program = programOf('sport run\n\n2 times, drop last recovery\n  2:00 @ 4:00-4:20 /km\n  recovery 1:00\ncool-down until press')
  const marks = [
    mark(0, 'step', '1.1', [1]),
    mark(120, 'step', '1.2', [1]),
    mark(180, 'step', '1.1', [2]),
    mark(300, 'step', '2'),
    mark(400, 'stop'),
  ]

  it('counts a step held that stayed in its band after settling', () => {
    const { basis, confidence, steps, totals } = score(program, recordingOf(400, marks), nobody.athlete)
    expect([basis, confidence]).toEqual(['program', 0.9])
    expect(score(program, { ...recordingOf(400, marks), program: digestOf(program) }, nobody.athlete).confidence).toBe(1)
    expect(steps.map(step => [step.path, step.round, step.status, step.held, step.seconds])).toEqual([
      ['1.1', [1], 'done', 1, 120],
      ['1.2', [1], 'done', null, 60],
      ['1.1', [2], 'done', 1, 120],
      ['2', [], 'done', null, 100],
    ])
    expect(steps[0]!.mean).toMatchObject({ speed: expect.closeTo(4, 1), heartRate: 140, power: null })
    expect(totals).toEqual({ seconds: 400, metres: expect.closeTo(1600, 0), held: 1, done: 4, planned: 4 })
  })

  it.each<[string, (t: number) => number | null, string]>([
    ['too fast', t => (t > 180 && t <= 300 ? 4.5 : 4), 'too-hard'],
    ['too slow', t => (t > 180 && t <= 300 ? 3.5 : 4), 'too-easy'],
    ['uneven', t => (t > 180 && t <= 300 ? (Math.floor(t / 15) % 2 === 0 ? 5 : 3) : 4), 'uneven'],
    ['no signal', t => (t > 180 && t <= 300 ? null : 4), 'no-signal'],
  ])('says which round went wrong and why: %s', (_, speed, reason) => {
    const { steps } = score(program, recordingOf(400, marks, speed), nobody.athlete)
    expect(steps[0]!.reason).toBeUndefined()
    expect(steps[2]).toMatchObject({ path: '1.1', round: [2], reason })
  })

  it('puts the ceiling before everything else', () => {
    const called = [...marks.slice(0, 3), mark(200, 'ceiling', '1.1', [2]), ...marks.slice(3)]
    expect(
      score(
        program,
        recordingOf(400, called, () => 3),
        nobody.athlete,
      ).steps[2]!.reason,
    ).toBe('ceiling')
  })

  it('tells cut short from skipped, and what was never begun', () => {
    const early = [
      mark(0, 'step', '1.1', [1]),
      mark(60, 'skip', '1.1', [1]),
      mark(60, 'step', '1.2', [1]),
      mark(61, 'skip', '1.2', [1]),
      mark(61, 'step', '1.1', [2]),
      mark(100, 'stop'),
    ]
    const { steps, beganAt, endedAt, totals } = score(program, recordingOf(100, early), nobody.athlete)
    expect(steps.map(step => [step.path, step.round, step.status])).toEqual([
      ['1.1', [1], 'cut-short'],
      ['1.2', [1], 'skipped'],
      ['1.1', [2], 'cut-short'],
    ])
    expect([beganAt, endedAt, totals.planned, totals.done]).toEqual([undefined, { path: '1.1', round: [2] }, 4, 0])
  })

  it('says with which step it began, and calls what stood before it not skipped', () => {
    const late = [mark(0, 'step', '1.1', [2]), mark(120, 'step', '2'), mark(200, 'stop')]
    const { steps, beganAt, endedAt, totals } = score(program, recordingOf(200, late), nobody.athlete)
    expect(steps.map(step => [step.path, step.round, step.status])).toEqual([
      ['1.1', [2], 'done'],
      ['2', [], 'done'],
    ])
    expect([beganAt, endedAt, totals.planned]).toEqual([{ path: '1.1', round: [2] }, undefined, 4])
  })

  it('judges by the mean first: surges that even out are uneven, and a mean inside is never too hard', () => {
    const surging = (t: number) => (Math.floor(t / 30) % 2 === 0 ? 4.6 : 3.4)
    const { steps } = score(program, recordingOf(400, marks, surging), nobody.athlete)
    expect(steps[0]!.held).toBeLessThan(0.5)
    expect(steps[0]).toMatchObject({ reason: 'uneven', mean: { speed: expect.closeTo(4, 0) } })
    const hasOneSprint = (t: number) => (t > 60 && t <= 66 ? 6 : 3.95)
    expect(score(program, recordingOf(400, marks, hasOneSprint), nobody.athlete).steps[0]!.reason).toBeUndefined()
  })

  it('takes a wait for the clock of the next start for rest', () => {
    const byClock = programOf('sport run\n\n2 times\n  400 m on 3:00 @ 4:00-4:20 /km')
    const waited = [mark(0, 'step', '1.1', [1]), mark(180, 'step', '1.1', [2]), mark(280, 'stop')]
    const { steps } = score(
      byClock,
      recordingOf(280, waited, t => (t > 100 && t <= 180 ? 0 : 4)),
      nobody.athlete,
    )
    expect(steps[0]).toMatchObject({ held: 1, mean: { speed: expect.closeTo(4, 1) } })
    expect(steps[0]!.reason).toBeUndefined()
  })

  it('claims no share of a step by power that is shorter than its settling and ten seconds', () => {
    const short = programOf('sport ride\n\n0:14 @ 200-220 W\n1:00')
    const recording = recordingOf(80, [mark(0, 'step', '1'), mark(14, 'step', '2'), mark(74, 'stop')])
    const ridden = { ...recording, sport: 'ride' as const, samples: { ...recording.samples, power: recording.samples.t.map(() => 260) } }
    expect(score(short, ridden, nobody.athlete).steps[0]).toMatchObject({ held: null, reason: 'too-hard', mean: { power: 260 } })
  })

  it('leaves pauses out of every mean', () => {
    const paused = [mark(0, 'step', '1.1', [1]), mark(60, 'pause'), mark(160, 'resume'), mark(220, 'step', '1.2', [1]), mark(280, 'stop')]
    const stood = (t: number) => (t > 60 && t <= 160 ? 0 : 4)
    const { steps } = score(program, recordingOf(280, paused, stood), nobody.athlete)
    expect(steps[0]).toMatchObject({ seconds: 120, held: 1, mean: { speed: expect.closeTo(4, 1) } })
    expect(steps[0]!.reason).toBeUndefined()
  })

  it('gives no share from less than ten judged seconds', () => {
    const short = [mark(0, 'step', '1.1', [1]), mark(19, 'skip'), mark(19, 'step', '1.2', [1]), mark(30, 'stop')]
    expect(score(program, recordingOf(30, short), nobody.athlete).steps[0]!.held).toBeNull()
  })

  it('lets a heart rate lag for a minute before it is judged', () => {
    const heart = programOf('sport run\n\n3:00 @ 150-160 bpm')
    const rising = recordingOf(
      180,
      [mark(0, 'step', '1'), mark(180, 'stop')],
      () => 3,
      t => Math.min(155, 100 + t),
    )
    expect(score(heart, rising, nobody.athlete).steps[0]).toMatchObject({ held: 1, status: 'done' })
  })

  it('claims nothing without marks and signal, and little where the program is another', () => {
    const untold = recordingOf(400, [])
    untold.samples = { t: untold.samples.t, metres: untold.samples.metres.map(() => null) }
    expect(score(program, untold, nobody.athlete)).toMatchObject({ basis: 'none', confidence: 0, totals: { done: 0, planned: 4 } })
    expect(score(program, untold, nobody.athlete).steps.every(step => step.status === 'unknown')).toBe(true)
    expect(score(program, { ...recordingOf(400, marks), program: 'f'.repeat(64) }, nobody.athlete).confidence).toBe(0.9)
  })

  it('calls no step skipped when most of the recording is of something else', () => {
    const elsewhere = [mark(0, 'step', '7.1', [1]), mark(60, 'step', '7.2', [1]), mark(120, 'step', '1.1', [1]), mark(240, 'stop')]
    const { confidence, steps } = score(program, recordingOf(240, elsewhere), nobody.athlete)
    expect(confidence).toBe(0.3)
    expect(steps.map(step => step.status)).toEqual(['extra', 'extra', 'done', 'unknown', 'unknown', 'unknown'])
  })

  it('keeps rounds of a repeat until a distance that no plan could count', () => {
    const open = programOf('sport run\n\nrepeat for 1 km\n  1:00 @ 4:00-4:20 /km')
    const { steps } = score(
      open,
      recordingOf(250, [mark(0, 'step', '1.1', [1]), mark(60, 'step', '1.1', [2]), mark(120, 'step', '1.1', [3]), mark(250, 'stop')]),
      nobody.athlete,
    )
    expect(steps.map(step => step.round)).toEqual([[1], [2], [3]])
  })

  it('finds a rehearsal done from first to last', () => {
    const recording = rehearse(program, ilse, { seed: 3, startedAt: '2026-03-31T06:00:00Z' })
    const { totals, confidence } = score(program, recording, nobody.athlete)
    expect([totals.done, totals.planned, confidence]).toEqual([4, 4, 1])
    expect([...plannedSteps(program.items)]).toHaveLength(4)
  })
})

describe('recordings', () => {
  it('are sound as the recorder writes them', () => {
    const recorder = emptyRecorder()
    for (const t of [1, 2, 2, 3]) addReading(recorder, { t, metres: t * 3.33, heartRate: 140.4, power: null, cadence: null })
    addMarks(recorder, [mark(2.00049, 'step', '2'), mark(0, 'step', '1')])
    const recording = finishRecording(recorder, { sport: 'run', startedAt: '2026-03-31T06:00:00Z' })
    expect(recording.samples).toEqual({ t: [1, 2, 3], metres: [3.3, 6.7, 10], heartRate: [140, 140, 140] })
    expect(recording.marks.map(entry => entry.t)).toEqual([0, 2])
    expect(validateRecording(recording).ok).toBe(true)
    expect(checkRecording(recording)).toBeNull()
  })
  it('with a fault are told what and where', () => {
    const good = recordingOf(3, [])
    expect(checkRecording({ ...good, samples: { ...good.samples, metres: [1] } })).toBe('samples.metres has 1 values, samples.t has 3')
    expect(checkRecording({ ...good, samples: { t: [1, 3, 3], metres: [1, 2, 3] } })).toBe('samples.t does not increase at position 3')
    expect(checkRecording({ ...good, marks: [mark(5, 'lap'), mark(1, 'lap')] })).toBe('marks are out of order at position 2')
  })
})
