import { readFileSync, writeFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { agonis, file, useFolder } from '../tests/support/agonis'

useFolder()

describe('agonis, of sessions carried out', () => {
  it('rehearses with the same bytes for the same seed, and scores the recording', () => {
    const args = ['rehearse', file('line.txt'), '--athlete', file('athlete.json'), '--watch', 'all-sport', '--seed', '4']
    const first = agonis(args)
    expect(first.stdout).toBe(agonis(args).stdout)
    writeFileSync(file('recording.json'), first.stdout)
    const scored = agonis(['score', file('line.txt'), file('recording.json'), '--athlete', file('athlete.json')]).json<{
      basis: string
      confidence: number
      steps: { status: string }[]
    }>()
    expect([scored.basis, scored.confidence, scored.steps.length]).toEqual(['program', 1, 19])
    expect(scored.steps.every(step => step.status === 'done')).toBe(true)
  })

  it('says what to do the next time, never harder after pain, and needs to know whose', () => {
    const rehearsed = ['rehearse', file('line.txt'), '--athlete', file('athlete.json'), '--watch', 'all-sport', '--seed', '4']
    const recording = JSON.parse(agonis(rehearsed).stdout) as { felt?: object }
    const next = (felt: object) => {
      writeFileSync(file('felt.json'), JSON.stringify({ ...recording, felt }))
      return agonis(['next', file('line.txt'), file('felt.json'), '--athlete', file('athlete.json')])
    }
    const kinds = (felt: object) =>
      next(felt)
        .json<{ kind: string }[]>()
        .map(({ kind }) => kind)
    expect(['progress', 'repeat']).toContain(kinds({ rpe: 3 })[0])
    expect(kinds({ rpe: 3, pain: true })).toEqual(['rest'])
    const [rest] = next({ pain: true }).json<{ session: { format: string }; because: string[]; cautions: string[] }[]>()
    expect([rest!.session.format, rest!.because[0], rest!.cautions.join(' ')]).toEqual([
      'agonis.session',
      'There was pain.',
      expect.stringMatching(/doctor or physiotherapist/),
    ])
    expect(agonis(['next', file('line.txt'), file('felt.json')]).status).toBe(2)
    expect(agonis(['next', file('line.txt'), '--athlete', file('athlete.json')]).status).toBe(2)
  })

  it('forecasts nudges with the same bytes for the same seed, and the quiet band nudges less', () => {
    const args = ['nudges', file('line.txt'), '--athlete', file('athlete.json'), '--watch', 'all-sport', '--runs', '200']
    const first = agonis(args)
    expect(first.stdout).toBe(agonis(args).stdout)
    expect(agonis([...args, '--seed', '2']).stdout).not.toBe(first.stdout)
    const { perStep, total, quietBand } = first.json<{
      perStep: { path: string; expected: number }[]
      total: { expected: number; low: number; high: number }
      quietBand: object
    }>()
    expect(perStep.map(step => step.path)).toEqual(Array.from({ length: 8 }, () => '2.1.1'))
    expect(perStep.reduce((sum, step) => sum + step.expected, 0)).toBeCloseTo(total.expected, 1)
    expect(total.low <= total.expected && total.expected <= total.high).toBe(true)
    expect(quietBand).toMatchObject({ of: 'power', unit: '%CP' })
    expect(agonis([...args, '--runs', '0']).status).toBe(2)
    expect(agonis(['nudges', file('line.txt'), '--watch', 'all-sport']).status).toBe(2)
  })

  it('takes presses from a file', () => {
    writeFileSync(file('presses.json'), '[{"t":100,"button":"skip"},{"t":400,"button":"stop"}]')
    const { marks } = agonis([
      'rehearse',
      file('line.txt'),
      '--athlete',
      file('athlete.json'),
      '--watch',
      'all-sport',
      '--presses',
      file('presses.json'),
    ]).json<{ marks: { kind: string; t: number }[] }>()
    expect(marks.filter(mark => mark.kind === 'skip' || mark.kind === 'stop').map(mark => mark.t)).toEqual([100, 400])
  })

  it('fits a watch and says what is lost', () => {
    const { fits, losses } = agonis(['fit', file('line.txt'), '--watch', 'basic', '--athlete', file('athlete.json')]).json<{
      fits: boolean
      losses: { kind: string }[]
    }>()
    expect(fits).toBe(true)
    expect(new Set(losses.map(loss => loss.kind))).toEqual(new Set(['target', 'nesting']))
  })

  it('converts a recording to a table and back, and says what cannot be held', () => {
    writeFileSync(
      file('rec.json'),
      agonis(['rehearse', file('line.txt'), '--athlete', file('athlete.json'), '--watch', 'all-sport', '--seed', '4']).stdout,
    )
    const recording = JSON.parse(readFileSync(file('rec.json'), 'utf8')) as { marks: unknown[]; samples: unknown }
    const out = agonis(['convert', file('rec.json'), file('rec.csv')])
    expect(out.status).toBe(0)
    expect(out.stderr).toContain('left out: which program it was')
    expect(agonis(['convert', file('rec.csv'), file('again.json')])).toMatchObject({ status: 0, stderr: '' })
    expect(JSON.parse(readFileSync(file('again.json'), 'utf8'))).toMatchObject({
      format: 'agonis.recording',
      samples: recording.samples,
      marks: recording.marks,
    })
    expect(agonis(['convert', file('rec.json'), file('rec.gpx')])).toMatchObject({ status: 1, problems: [{ pointer: '/samples/lat' }] })
    expect(agonis(['convert', file('rec.json'), file('rec.pdf')])).toMatchObject({
      status: 1,
      problems: [{ problem: expect.stringMatching(/recording is written as/) }],
    })
    writeFileSync(file('bad.csv'), 't,metres\n0,0\n1,far\n')
    expect(agonis(['convert', file('bad.csv'), file('x.json'), '--as', 'recording'])).toMatchObject({
      status: 1,
      problems: [{ problem: expect.stringMatching(/when it began/), line: 2 }],
    })
  })

  it('fits with choices, and says with what each loss could be met', () => {
    writeFileSync(file('belt.txt'), 'sport run\nplace treadmill\n\n6:00 @ 5:10 /km\n')
    writeFileSync(file('choices.json'), JSON.stringify({ standing: { 'target pace run treadmill': 'none' } }))
    const fitted = (more: string[]) =>
      agonis(['fit', file('belt.txt'), '--watch', 'basic', '--athlete', file('athlete.json'), ...more]).json<{
        fits: boolean
        losses: { path: string; kind: string; way: string; ways: { way: string }[]; instead: string }[]
      }>()
    expect(fitted([]).losses).toMatchObject([
      { path: '1', kind: 'target', way: 'heart-rate', ways: [{ way: 'heart-rate' }, { way: 'none' }] },
    ])
    expect(fitted(['--choices', file('choices.json')]).losses).toMatchObject([{ way: 'none', instead: 'no target' }])
    writeFileSync(file('choices.json'), '{"standing":[]}')
    expect(agonis(['fit', file('belt.txt'), '--watch', 'basic', '--choices', file('choices.json')]).status).toBe(1)
  })

  it('rehearses with jumps, from any round, and with the faults of bodies and sensors', () => {
    writeFileSync(file('six.txt'), 'sport run\n\n2:00\n6 times\n  1:00 @ 4:20-4:40 /km\n  recovery 0:30\n')
    const rehearsed = (more: string[]) =>
      agonis(['rehearse', file('six.txt'), '--athlete', file('athlete.json'), '--watch', 'all-sport', '--seed', '2', ...more])
    const rounds = (more: string[]) =>
      rehearsed(more)
        .json<{ marks: { kind: string; path?: string; round?: number[] }[] }>()
        .marks.filter(mark => mark.kind === 'step' && mark.path === '2.1')
        .map(mark => mark.round![0])
    expect(rounds(['--from', '2.1@4'])).toEqual([4, 5, 6])
    writeFileSync(file('jump.json'), JSON.stringify([{ t: 10, button: 'jump', path: '2.1', round: [5] }]))
    expect(rounds(['--presses', file('jump.json')])).toEqual([5, 6])
    writeFileSync(
      file('faults.json'),
      JSON.stringify({ silentHeart: { from: 30, to: 60 }, forgetsStop: 20, hills: { percent: 5, metres: 500 } }),
    )
    const { samples } = rehearsed(['--faults', file('faults.json')]).json<{
      samples: { t: number[]; heartRate: (number | null)[]; altitude: number[] }
    }>()
    expect(samples.heartRate.slice(29, 59).every(value => value === null)).toBe(true)
    expect(samples.altitude).toHaveLength(samples.t.length)
    expect(samples.t.at(-1)).toBe(680)
  })

  it.each([
    ['{"silentHeart":{"from":9,"to":3}}', '/silentHeart'],
    ['{"sneezes":true}', '/sneezes'],
    ['{"missesCue":2}', '/missesCue'],
    ['[]', ''],
  ])('answers the faults %s with exit 1 and where', (faults, pointer) => {
    writeFileSync(file('faults.json'), faults)
    const { status, problems } = agonis([
      'rehearse',
      file('line.txt'),
      '--athlete',
      file('athlete.json'),
      '--watch',
      'all-sport',
      '--faults',
      file('faults.json'),
    ])
    expect([status, problems[0]!.pointer]).toEqual([1, pointer])
  })

  it('says that there is no such step to begin at', () => {
    expect(
      agonis(['rehearse', file('line.txt'), '--athlete', file('athlete.json'), '--watch', 'all-sport', '--from', '9@4']).problems[0]!
        .problem,
    ).toContain('no step 9@4')
  })
})
