import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readScript } from '../../script/reader/read-script'
import type { Cue } from './engine-state'
import { fit } from '../fit/fit'
import { profileNamed } from '../program/profile'
import type { Utterance } from './speaker'
import { sayCue, secondsToSay, silentSpeaker, speak } from './speaker'
import { nobody } from '../../athlete/standpoint'

const program = fit(
  readScript('sport run\n\n400 m @ 4:00-4:10 /km\nrest 1:00', nobody).sessions[0]!,
  profileNamed('all-sport')!,
  nobody,
).program
const say = (cue: Cue) => sayCue(cue, program)

const cueOf = (kind: Cue['kind'], t: number): Cue => {
  switch (kind) {
    case 'step':
      return { kind, t, path: '1', round: [] }
    case 'nudge':
      return { kind, t, side: 'too-hard' }
    case 'ceiling':
      return { kind, t, above: 160 }
    case 'prompt':
      return { kind, t, say: t % 2 === 0 ? 'drink' : 'eat' }
    case 'lap':
      return { kind, t, metres: 1000, seconds: 252 }
    case 'signal':
      return { kind, t, of: 'heart-rate', isBack: false }
    case 'missed':
      return { kind, t, rounds: 2 }
    case 'countdown':
    case 'halfway':
    case 'finished':
      return { kind, t }
  }
}
const kinds: Cue['kind'][] = ['step', 'nudge', 'ceiling', 'prompt', 'lap', 'signal', 'missed', 'countdown', 'halfway', 'finished']

/** Everything said of cues that come at their times, asked ten times a second. */
function listen(cues: readonly Cue[], seconds: number): Utterance[] {
  let state = silentSpeaker
  const said: Utterance[] = []
  for (let tick = 0; tick <= seconds * 10; tick++) {
    const t = tick / 10
    const spoken = speak(
      state,
      cues.filter(cue => cue.t === t),
      t,
      say,
    )
    state = spoken.state
    if (spoken.utterance) said.push(spoken.utterance)
  }
  return said
}

describe('the speaker', () => {
  it('never lets two talk at once, and says what matters most in time', () => {
    const cue = fc.tuple(fc.constantFrom(...kinds), fc.nat(60)).map(([kind, t]) => cueOf(kind, t))
    fc.assert(
      fc.property(fc.array(cue, { maxLength: 25 }), cues => {
        const said = listen(cues, 120)
        said.forEach((utterance, index) => {
          const before = said[index - 1]
          if (before && before.until > utterance.t + 1e-9) expect(utterance.cuts).toBe(true)
        })
        for (const { kind, t } of cues) {
          if (kind !== 'ceiling' && kind !== 'step') continue
          const first = said.find(utterance => utterance.kind === kind && utterance.t >= t)
          const newer = kind === 'step' && said.some(utterance => utterance.kind === 'finished' && utterance.t >= t && utterance.t <= t + 6)
          const ceiling = kind === 'step' && cues.some(other => other.kind === 'ceiling' && other.t > t - 4 && other.t <= t + 6)
          if (!newer && !ceiling) expect(first?.t ?? Infinity, `${kind} at ${t}`).toBeLessThanOrEqual(t + 1)
        }
      }),
      { numRuns: 400 },
    )
  })

  it('cuts a nudge off for a ceiling, and lets it go when it has waited too long', () => {
    const said = listen([cueOf('nudge', 1), cueOf('ceiling', 2), cueOf('nudge', 3)], 20)
    expect(said.map(({ kind, t, cuts }) => [kind, t, cuts])).toEqual([
      ['nudge', 1, false],
      ['ceiling', 2, true],
      ['nudge', 3.8, false],
    ])
    expect(listen([cueOf('ceiling', 1), cueOf('countdown', 1)], 20).map(({ kind }) => kind)).toEqual(['ceiling'])
  })

  it('cuts a change of step off for the next one', () => {
    const steps: Cue[] = [
      { kind: 'step', t: 1, path: '1', round: [] },
      { kind: 'step', t: 2, path: '2', round: [] },
    ]
    expect(listen(steps, 10).map(({ t, words, cuts }) => [t, words, cuts])).toEqual([
      [1, '400 m, 4:00-4:10 /km', false],
      [2, 'rest 1:00', true],
    ])
  })

  it('says prompts of two programmes together, once the voice is free', () => {
    expect(listen([cueOf('step', 2), cueOf('prompt', 2), cueOf('prompt', 3)], 20).map(({ words }) => words)).toEqual([
      '400 m, 4:00-4:10 /km',
      'drink and eat',
    ])
  })

  it('is over sooner with taps alone than with a voice', () => {
    const [tapped] = [speak(silentSpeaker, [cueOf('nudge', 0)], 0, say, { voice: false, tone: false, tap: true }).utterance!]
    expect(tapped.until).toBeCloseTo(0.32)
    expect(secondsToSay('ease a little')).toBeCloseTo(1.39)
  })

  it.each([
    ['step', '400 m, 4:00-4:10 /km'],
    ['nudge', 'ease a little'],
    ['ceiling', 'ease: above 160 bpm'],
    ['lap', '1000 m in 4:12'],
    ['signal', 'no heart rate'],
    ['missed', '2 rounds missed: on to what comes next'],
    ['countdown', 'five seconds'],
    ['halfway', 'half way'],
    ['finished', 'done'],
  ] as const)('has words for a %s', (kind, words) => expect(say(cueOf(kind, 1))).toBe(words))

  it('says that the distance waits without a position, and when it is back', () => {
    expect(say({ kind: 'signal', t: 1, of: 'position', isBack: false })).toBe('no position: the distance waits')
    expect(say({ kind: 'signal', t: 1, of: 'position', isBack: true })).toBe('position is back')
  })
})
