import { giveUnits } from '../../core/script/token/give'
import fc from 'fast-check'
import type { Band, Block, Ceiling, End, Item, Session, Step, Sport, Target } from '../../core/session/document'
import type { BandUnit } from '../../core/quantity/units'
import { isPaceUnit } from '../../core/quantity/intensity'

/** Documents over every branch of the session schema that the semantic check accepts. */

const optional = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: undefined, freq: 2 })
const tenths = (min: number, max: number) => fc.integer({ min: min * 10, max: max * 10 }).map(value => value / 10)
const compact = <T extends object>(value: T): T => JSON.parse(JSON.stringify(value)) as T

const line = fc
  .string({ unit: 'grapheme', minLength: 1, maxLength: 24 })
  .map(text => text.replace(/[\r\n\u2028\u2029]/g, ' ').trim())
  .filter(text => text !== '' && /^\S([^\n\r]*\S)?$/.test(text))
const note = fc
  .oneof(
    line,
    fc.array(fc.oneof(line, fc.constant('')), { minLength: 2, maxLength: 3 }).map(lines => lines.join('\n')),
  )
  .filter(text => text !== '')

const distanceUnit = fc.constantFrom('m', 'km', 'mi', 'yd' as const)
const seconds = fc.oneof(fc.integer({ min: 1, max: 9000 }), tenths(1, 300))
const distance = fc.record({ value: fc.oneof(fc.integer({ min: 1, max: 20000 }), tenths(1, 50)), unit: distanceUnit })

const timeEnd: fc.Arbitrary<End> = seconds.map(value => ({ on: 'time', seconds: value }))
const distanceEnd: fc.Arbitrary<End> = distance.map(value => ({ on: 'distance', ...value }))
const simpleEnd: fc.Arbitrary<End> = fc.oneof(
  { weight: 4, arbitrary: timeEnd },
  { weight: 4, arbitrary: distanceEnd },
  fc.constant<End>({ on: 'press' }),
  fc.integer({ min: 60, max: 200 }).map<End>(below => ({ on: 'heart-rate', below })),
  fc.integer({ min: 60, max: 200 }).map<End>(above => ({ on: 'heart-rate', above })),
  fc.integer({ min: 1, max: 2000 }).map<End>(kilocalories => ({ on: 'energy', kilocalories })),
  fc.tuple(distance, seconds).map<End>(([way, clock]) => ({ on: 'send-off', ...way, seconds: clock })),
)
const firstEnd: fc.Arbitrary<End> = fc.tuple(simpleEnd, simpleEnd).map(of => ({ on: 'first', of }))
const end: fc.Arbitrary<End> = fc.oneof(
  { weight: 8, arbitrary: simpleEnd },
  { weight: 1, arbitrary: firstEnd },
  { weight: 1, arbitrary: fc.tuple(simpleEnd, firstEnd).map<End>(of => ({ on: 'first', of })) },
  { weight: 1, arbitrary: fc.tuple(firstEnd, simpleEnd).map<End>(of => ({ on: 'first', of })) },
)

const unitsOf = {
  'pace': ['s/km', 's/mi', 's/100m', 's/100yd', 's/step', '%CS'],
  'speed': ['km/h', 'mi/h', 'm/s'],
  'heart-rate': ['bpm', '%HRmax', '%HRR', '%LTHR'],
  'power': ['W', '%CP'],
  'cadence': ['rpm', 'spm'],
  'rpe': ['of 10'],
} as const

function bandFor(unit: BandUnit): fc.Arbitrary<Band> {
  const amount = unit === 'of 10' ? fc.integer({ min: 1, max: 10 }) : fc.oneof(fc.integer({ min: 1, max: 1600 }), tenths(1, 400))
  return fc.tuple(amount, amount, fc.constantFrom('both', 'both', 'easiest', 'hardest')).map(([a, b, sides]) => {
    const [low, high] = a <= b ? [a, b] : [b, a]
    const band = isPaceUnit(unit) ? { easiest: high, hardest: low } : { easiest: low, hardest: high }
    return sides === 'both' ? band : { [sides]: band[sides as 'easiest'] }
  })
}

const give = fc
  .tuple(
    fc.integer({ min: 0, max: 30 }),
    fc.integer({ min: 0, max: 30 }),
    fc.constantFrom('both', 'easier', 'harder'),
    fc.constantFrom(...giveUnits, 's/step'),
  )
  .map(([easier, harder, sides, unit]) => ({ ...(sides !== 'harder' ? { easier } : {}), ...(sides !== 'easier' ? { harder } : {}), unit }))
const manner = { over: optional(fc.integer({ min: 1, max: 60 })), give: optional(give) }

const band = (mayStep: boolean, mayChange: boolean): fc.Arbitrary<Target> =>
  fc.constantFrom(...(Object.keys(unitsOf) as (keyof typeof unitsOf)[])).chain(of =>
    fc
      .constantFrom(...unitsOf[of])
      .filter(unit => mayStep || unit !== 's/step')
      .chain(unit =>
        fc
          .record({ band: bandFor(unit), to: mayChange ? optional(bandFor(unit)) : fc.constant(undefined), ...manner })
          .map(({ band, to, over, give }) => compact({ of, unit, ...band, to: to && { of, unit, ...to }, over, give } as Target)),
      ),
  )

const zone = fc.oneof(
  fc.integer({ min: 1, max: 9 }),
  fc.tuple(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 0, max: 4 })).map(([low, more]): [number, number] => [low, low + more]),
)
const scheme = optional(fc.constantFrom(3, 5, 'own' as const))
const zoneTarget = (mayChange: boolean): fc.Arbitrary<Target> =>
  fc
    .constantFrom('heart-rate', 'power', 'pace' as const)
    .chain(of =>
      fc
        .record({ zone, scheme, to: mayChange ? optional(fc.record({ zone, scheme })) : fc.constant(undefined), ...manner })
        .map(target => compact({ of, ...target, to: target.to && { of, ...target.to } } as Target)),
    )

const effort = fc.record({
  name: fc.constantFrom(
    '1500m',
    'mile',
    '3k',
    '5k',
    '10k',
    'half-marathon',
    'marathon',
    'threshold',
    'critical',
    'steady',
    'easy',
    'max',
    'goal' as const,
  ),
  offset: optional(
    fc.record({
      value: fc.oneof(fc.integer({ min: 1, max: 30 }), fc.integer({ min: -30, max: -1 })),
      unit: fc.constantFrom('s/mi', 's/km', 's/100m', '%' as const),
    }),
  ),
})
const effortTarget = (mayChange: boolean): fc.Arbitrary<Target> =>
  fc
    .record({ effort, to: mayChange ? optional(effort) : fc.constant(undefined), ...manner })
    .map(({ effort, to, over, give }) => compact({ of: 'effort', ...effort, to: to && { of: 'effort', ...to }, over, give } as Target))

const targetFor = (value: End): fc.Arbitrary<Target> => {
  const mayChange = value.on === 'time' || value.on === 'distance'
  return fc.oneof(band(value.on === 'distance', mayChange), zoneTarget(mayChange), effortTarget(mayChange))
}

const ceiling: fc.Arbitrary<Ceiling> = fc
  .record({
    of: fc.constant('heart-rate' as const),
    above: fc.integer({ min: 50, max: 200 }),
    unit: optional(fc.constantFrom('bpm', '%HRmax', '%LTHR' as const)),
  })
  .map(compact)

const doubt = fc.record({ said: line, others: optional(fc.array(line, { maxLength: 2 })) }).map(compact)
const swim = fc
  .record({
    stroke: optional(fc.constantFrom('free', 'back', 'breast', 'fly', 'medley', 'choice' as const)),
    mode: optional(fc.constantFrom('swim', 'kick', 'pull', 'drill' as const)),
    drill: optional(fc.string({ unit: 'grapheme', minLength: 1, maxLength: 12 })),
    kit: optional(fc.uniqueArray(fc.constantFrom('fins', 'paddles', 'buoy', 'snorkel', 'board' as const), { maxLength: 3 })),
  })
  .map(compact)
const percent = fc.integer({ min: -20, max: 20 })
const grade = fc.tuple(percent, percent).map(([a, b]) => ({ low: Math.min(a, b), high: Math.max(a, b) }))

const step: fc.Arbitrary<Step> = end
  .chain(value =>
    fc.record({
      kind: fc.constant('step' as const),
      role: fc.constantFrom('warm-up', 'work', 'work', 'work', 'recovery', 'rest', 'cool-down', 'transition' as const),
      end: fc.constant(value),
      target: optional(targetFor(value)),
      also: optional(targetFor(value)),
      manner: optional(fc.constantFrom('walk', 'jog', 'float', 'stride' as const)),
      grade: optional(grade),
      swim: optional(swim),
      ceiling: optional(ceiling),
      note: optional(note),
      off: optional(fc.constant(true as const)),
      doubt: optional(doubt),
    }),
  )
  .map(compact)

const unread: fc.Arbitrary<Item> = line.map(text => ({ kind: 'unread', text }))

const wayStep: fc.Arbitrary<Item> = fc
  .tuple(timeEnd, optional(note))
  .map(([value, words]) => compact({ kind: 'step', role: 'work', end: value, note: words } as Step))

function blockOf(items: fc.Arbitrary<Item[]>): fc.Arbitrary<Block> {
  const around = { ceiling: optional(ceiling), note: optional(note), doubt: optional(doubt), off: optional(fc.constant(true as const)) }
  const counted = fc.record({
    kind: fc.constant('block' as const),
    repeat: fc.record({ times: fc.integer({ min: 1, max: 12 }), stopAfterMissed: optional(fc.integer({ min: 1, max: 4 })) }),
    items,
    lastRecovery: optional(fc.constant('drop' as const)),
    ...around,
  })
  const until = fc.record({
    kind: fc.constant('block' as const),
    repeat: fc.oneof(
      distance.map(value => ({ distance: value })),
      fc.integer({ min: 1, max: 7200 }).map(value => ({ seconds: value })),
    ),
    items: fc.tuple(items, wayStep).map(([some, way]) => [...some, way]),
    ...around,
  })
  return fc.oneof({ weight: 3, arbitrary: counted }, { weight: 1, arbitrary: until }).map(value => compact(value as Block))
}

const itemsAt = (depth: number): fc.Arbitrary<Item[]> =>
  fc.array(
    depth <= 0
      ? fc.oneof({ weight: 8, arbitrary: step as fc.Arbitrary<Item> }, unread)
      : fc.oneof(
          { weight: 6, arbitrary: step as fc.Arbitrary<Item> },
          { weight: 2, arbitrary: blockOf(itemsAt(depth - 1)) as fc.Arbitrary<Item> },
          unread,
        ),
    { minLength: 1, maxLength: 3 },
  )

const place = fc.oneof(
  fc.constantFrom('road', 'trail', 'treadmill', 'outdoors', 'trainer', 'open-water' as const).map(kind => ({ kind })),
  optional(fc.integer({ min: 1, max: 9 })).map(lane => compact({ kind: 'track' as const, lane })),
  fc.record({ kind: fc.constant('pool' as const), length: fc.constantFrom(25, 50, 33.3), unit: fc.constantFrom('m', 'yd' as const) }),
)
const leg: fc.Arbitrary<Item> = fc
  .record({
    kind: fc.constant('leg' as const),
    sport: fc.constantFrom<Sport>('run', 'ride', 'swim'),
    place: optional(place),
    items: itemsAt(1),
  })
  .map(compact) as fc.Arbitrary<Item>

const day = fc.oneof(
  fc.constantFrom('mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'),
  fc.integer({ min: 0, max: 5000 }).map(days => new Date(Date.UTC(2024, 0, 1 + days)).toISOString().slice(0, 10)),
)
const prompt = fc
  .record({
    say: line,
    from: fc.integer({ min: 0, max: 7200 }),
    every: fc.integer({ min: 1, max: 3600 }),
    count: optional(fc.integer({ min: 1, max: 20 })),
  })
  .map(compact)

const head = {
  format: fc.constant('agonis.session' as const),
  version: fc.constant(1 as const),
  title: optional(line),
  place: optional(place),
  day: optional(day),
  ceiling: optional(ceiling),
  prompts: optional(fc.array(prompt, { maxLength: 2 })),
  note: optional(note),
  source: optional(fc.string()),
}

/** Any good session document. */
export const arbitrarySession: fc.Arbitrary<Session> = fc
  .oneof(
    { weight: 5, arbitrary: fc.record({ ...head, sport: fc.constantFrom('run', 'ride', 'swim' as const), items: itemsAt(2) }) },
    {
      weight: 1,
      arbitrary: fc.record({
        ...head,
        sport: fc.constant('multi' as const),
        items: fc.array(fc.oneof(leg, step as fc.Arbitrary<Item>), { minLength: 1, maxLength: 3 }),
      }),
    },
  )
  .map(value => compact(value as Session))
