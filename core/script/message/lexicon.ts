import { patternOf } from '../../quantity/pattern'
import type { PlainPlaceKind, Role, Stroke, SwimKit } from '../../session/document'
import type { Meaning } from './token'

/**
 * The words of the message, each with what it may be. A row gives its spellings as one expression, tried at a word's
 * beginning, and its price: what it costs to read it so, near 1 for a plain word. Languages that people mix in stand beside.
 */
export type Entry = readonly [spellings: RegExp, meaning: Meaning, cost: number]

const role = (name: Role): Meaning => ({ is: 'role', role: name })
const stroke = (name: Stroke): Meaning => ({ is: 'swim', swim: { stroke: name } })
const kit = (name: SwimKit): Meaning => ({ is: 'swim', swim: { kit: [name] } })
/** Spellings that a number may follow without a space. */
const before = (...spellings: string[]) => patternOf('iuy', [`(?:${spellings.join('|')})(?!\\p{L})`])
/** Spellings that stand as whole words. */
export const words = (...spellings: string[]) => patternOf('iuy', [`(?:${spellings.join('|')})(?![\\p{L}\\d])`])

const ofWhole = '(?:\\s+of\\s+(?:the\\s+)?(?:run|ride|swim|session|time|distance|way))?'
/** Words of an easy beginning. */
const edgeWord = '(?:easy|warm(?:[\\s-]?up)?|w\\/?u|jog|walk|spin)(?!\\p{L})'
const easily = '(?:very\\s+)?(?:easy|ez|steady|z(?:one)?\\s?[12]|aerobic)'

/** Words and signs that mean the same in every sport. */
export const everywhere: readonly Entry[] = [
  [
    before(
      'warm(?:ing)?[\\s-]*up',
      'warm',
      'w\\s?\\/\\s?u',
      'w\\.\\s?u\\.?',
      'wu',
      'wup',
      'einlaufen',
      'ein-?(?=\\s*(?:und|\\+|\\/|&)\\s*aus)',
      'einschwimmen',
      'einfahren',
      'aufw\\u00E4rmen',
      '\\u00E9chauffement',
      'echauffement',
      'calentamiento',
      'oppvarming',
      'riscaldamento',
    ),
    role('warm-up'),
    1,
  ],
  [
    before(
      'cool(?:ing)?[\\s-]*down',
      'warm(?:ing)?[\\s-]*down',
      'c\\s?\\/\\s?down',
      'c\\s?\\/\\s?d',
      'c\\.\\s?d\\.?',
      'cd',
      'auslaufen',
      'ausschwimmen',
      'ausfahren',
      'aus',
      'retour\\s+au\\s+calme',
      'rac',
      'vuelta\\s+a\\s+la\\s+calma',
      '(?<=[,;+][^,;+]{0,15})cool(?=\\s*(?:[.;!]|$))',
      'nedtrapping',
      'nedjogg',
      'defaticamento',
    ),
    role('cool-down'),
    1,
  ],
  [
    words('recover(?:y|ies)?', 'recovering', 'rec\\.?', 'r\\u00E9cup(?:\\u00E9ration)?', 'recup(?:eration|eraci\\u00F3n)?', 'trabpause'),
    role('recovery'),
    1,
  ],
  [
    words(
      '(?:extra\\s+)?rest(?:ing)?(?:\\s+interval)?',
      'standing\\s+(?:rest|recovery)',
      'stand(?:ing)?',
      'ri',
      'sr',
      'pause',
      'repos',
      'descanso',
      'pausa',
      'p(?=\\s*\\d)',
    ),
    role('rest'),
    1,
  ],
  [/(?:r|RI|rest|rec)\s*[:=]\s*/iy, role('rest'), 0.6],
  [/r(?=\s*\d)/iy, role('rest'), 0.8],
  [words('transition', 't[12]'), role('transition'), 1],
  [words('work(?=\\s*:?\\s*\\d{1,4}(?![\\dx])(?!\\s*x))'), role('work'), 1.2],
  [before('jog(?:ging|ged)?', 'trab(?:en)?'), { is: 'soft', word: 'jog' }, 1],
  [before('walk(?:ing)?\\s+back(?:\\s+down)?'), { is: 'soft', word: 'walk', isBack: true }, 0.5],
  [before('jog(?:ging)?\\s+back(?:\\s+down)?'), { is: 'soft', word: 'jog', isBack: true }, 0.5],
  [before('walk(?:ing)?', 'hike', 'gehen', 'marche'), { is: 'soft', word: 'walk' }, 1],
  [words('float(?:ing)?'), { is: 'soft', word: 'float' }, 1],
  [
    before(
      '(?:nice|easy|smooth|relaxed)\\s+(?:and|&)\\s+(?:easy|relaxed|slow|steady)',
      'recovery\\s+(?:run|ride|spin|swim)',
      'rolig',
      'lett',
      'ruhig',
      'facile',
      'tranquille',
      'f\\u00E1cil',
      '(?:very\\s+)?eas(?:y|ily)',
      'slow(?:ly)?',
      'lent(?:e|o)?',
      'ez',
      'e(?!\\d)',
      'footing',
      'locker',
      'souple',
      'suave',
      'spin(?:ning)?',
      'roll(?:ing)?\\s+down',
    ),
    { is: 'soft', word: 'easy' },
    1,
  ],
  [words('strides?', 'accelerations?', 'lignes?\\s+droites?'), { is: 'stride' }, 1],
  [/@\s*~?\s*/y, { is: 'at' }, 0.5],
  [/@\s*(?=\d{1,3}\s*(?:s|secs?|seconds?|"|')?\s*(?:rest|recovery|RI|SR)\b)/iy, { is: 'with' }, 0.2],
  [words('at(?=\\s+[\\p{L}\\d])'), { is: 'at' }, 0.8],
  [words('w\\s?\\/', 'with', 'of\\s+which', 'including', 'incl\\.?', 'inc', 'avec', 'mit', 'con', 'med'), { is: 'with' }, 0.6],
  [/w\/\s*/iy, { is: 'with' }, 0.5],
  [/w(?=\s*\d)/iy, { is: 'with' }, 0.6],
  [words('off(?=\\s*[\\d:])'), { is: 'with' }, 0.9],
  [words('on'), { is: 'on-off', which: 'on' }, 1],
  [words('off'), { is: 'on-off', which: 'off' }, 1],
  [
    words(
      '(?:in\\s+)?between\\s+(?:the\\s+)?(?:reps?|repeats?|each(?:\\s+one)?|efforts?|intervals?|them)',
      'b(?:\\/|t)w\\s+reps?',
      'rep\\s+rec(?:overy)?',
    ),
    { is: 'between', level: 'reps' },
    0.5,
  ],
  [
    words(
      '(?:in\\s+)?between\\s+(?:the\\s+)?(?:sets?|rounds?|series|blocks?)',
      'b(?:\\/|t)w\\s+(?:sets?|rounds?)',
      'set\\s+(?:rec(?:overy)?|rest)',
      '(?:after|every)\\s+each\\s+set',
    ),
    { is: 'between', level: 'sets' },
    0.5,
  ],
  [words('(?:in\\s+)?between\\s+(?:them\\s+)?all', 'b(?:\\/|t)w\\s+all'), { is: 'between', level: 'all' }, 0.5],
  [words('(?:in\\s+)?between', 'b(?:\\/|t)w', 'dazwischen', 'entre'), { is: 'between', level: 'any' }, 0.8],
  [
    words('(?:for\\s+)?(?:equal|same)(?:\\s+(?:time|distance|amount))?(?:\\s+of)?', 'half\\s+again'),
    { is: 'share', by: 1, isOfTime: false },
    0.7,
  ],
  [words('1\\s?:\\s?1', '100\\s?%'), { is: 'share', by: 1, isOfTime: true }, 0.7],
  [words('half(?:\\s+the)?\\s+(?:time|distance)', 'half\\s+as\\s+(?:much|long)'), { is: 'share', by: 0.5, isOfTime: false }, 0.7],
  [words('50\\s?%', '2\\s?:\\s?1'), { is: 'share', by: 0.5, isOfTime: true }, 0.7],
  [
    words(`(?:the\\s+)?(?:rest|remainder|remaining)${ofWhole}(?=\\s+(?:all\\s+|at\\s+|in\\s+|is\\s+|@\\s*)?${easily}(?![\\p{L}\\d]))`),
    { is: 'portion', which: 'remainder' },
    0.2,
  ],
  [words('(?:the\\s+)?(?:first|1st)\\s+half'), { is: 'portion', which: 'first', isHalf: true }, 0.5],
  [words('(?:the\\s+)?(?:second|2nd|last|other)\\s+half'), { is: 'portion', which: 'last', isHalf: true }, 0.5],
  [
    words(
      `(?:after|following|preceded\\s+by)(?=\\s+(?:an?\\s+|the\\s+|your\\s+|some\\s+)?(?:\\d|warm|w\\/?u\\b|easy)[^,.;]{0,20}${edgeWord})`,
    ),
    { is: 'order', which: 'after' },
    0.3,
  ],
  [words(`after(?=\\s+(?:an?\\s+|the\\s+|your\\s+)?${edgeWord})`), { is: 'order', which: 'after' }, 0.3],
  [
    words(
      'before\\s+(?:and|&|\\+)\\s+after(?:wards)?',
      '(?:on\\s+)?(?:either|each|both)\\s+(?:sides?|ends?)',
      'to\\s+(?:start|begin)\\s+and\\s+(?:end|finish)',
    ),
    { is: 'order', which: 'around' },
    0.3,
  ],
  [words('first(?=\\s*(?:[.;,!]|$))'), { is: 'order', which: 'first' }, 0.3],
  [words('last(?=\\s*(?:[.;,!]|$))'), { is: 'order', which: 'last' }, 0.3],
  [words('here(?=\\s*(?:[.;,!]|$))'), { is: 'order', which: 'here' }, 0.5],
  [words('(?:the\\s+)?first'), { is: 'portion', which: 'first' }, 1],
  [words('(?:the\\s+)?(?:second|third)(?=\\s+\\d)'), { is: 'portion', which: 'next' }, 0.8],
  [words('(?:the\\s+)?next'), { is: 'portion', which: 'next' }, 1],
  [words('(?:with\\s+)?(?:the\\s+)?middle'), { is: 'portion', which: 'middle' }, 1],
  [words('(?:with\\s+)?(?:the\\s+)?(?:last|final)'), { is: 'portion', which: 'last' }, 1],
  [words('(?:(?:and|then)\\s+)?(?:the\\s+)?(?:same|all\\s+of\\s+(?:it|that))(?:\\s+set)?\\s+(?:again|once\\s+more)'), { is: 'same' }, 0.3],
  [words('alternat(?:ing|e|ely)'), { is: 'alternating' }, 1],
  [
    words('in\\s+total', 'total', 'all\\s+in', 'overall', 'as(?=\\s+\\d)', 'progressive(?:ly)?(?=\\s*:)', 'incl(?=\\s*[.:]?$)'),
    { is: 'total' },
    1,
  ],
  [/=\s*(?=\d)/y, { is: 'total' }, 0.5],
  [
    words(
      'then',
      'followed\\s+by',
      'after(?:wards|\\s+(?:that|which))',
      'before(?=\\s+(?:the\\s+)?(?:\\d|main))',
      '(?:straight\\s+(?:off\\s+)?)?into',
      'plus',
      'and',
      'puis',
      'dann',
      'und',
      'et',
      'luego',
    ),
    { is: 'mark', sign: '+' },
    0.8,
  ],
  [/[+&]/y, { is: 'mark', sign: '+' }, 0.5],
  [/(?:->|=>|[>\u2192\u21D2])/y, { is: 'mark', sign: '+' }, 0.6],
  [/,/y, { is: 'mark', sign: ',' }, 0.3],
  [/;/y, { is: 'mark', sign: ';' }, 0.3],
  [/\//y, { is: 'mark', sign: '/' }, 0.6],
  [/:/y, { is: 'mark', sign: ':' }, 0.8],
  [/[.!?]+(?=\s|$|["'])/y, { is: 'mark', sign: '.' }, 0.3],
  [/-(?=\s)/y, { is: 'mark', sign: '-' }, 0.6],
  [/[([{]/y, { is: 'open' }, 0.3],
  [/[)\]}]/y, { is: 'close' }, 0.3],
  [
    /(?:main|pre|post|speed|kick|pull|drill)?[\s-]*(?:set|series|part|block|main|session|workout|ms)(?:\s+(?:\d{1,2}|[a-d]))?\s*:/iy,
    { is: 'label', words: '' },
    0.6,
  ],
  [words('(?:main|pre|post)[\\s-]*(?:set|series)(?=\\s+\\d)'), { is: 'label', words: '' }, 0.6],
]

const place = (kind: PlainPlaceKind): Meaning => ({ is: 'place', place: { kind } })

/** Where it is done: said within the message, it is the session's place. */
export const places: readonly Entry[] = [
  [words('(?:on\\s+(?:the|a)\\s+)?treadmill', 'tm', 'laufband'), place('treadmill'), 0.9],
  [words('(?:on\\s+the\\s+)?(?:indoor\\s+)?(?:trainer|turbo|rolls?)'), place('trainer'), 0.9],
  [words('(?:in\\s+)?open\\s+water', 'ow', 'freiwasser'), place('open-water'), 0.9],
  [words('(?:on|at)\\s+the\\s+track'), { is: 'place', place: { kind: 'track' } }, 0.9],
]

/** Words of how a swimmer swims; outside the pool they are other words. */
export const atThePool: readonly Entry[] = [
  [words('free(?:style)?', 'front\\s+crawl', 'fs', 'fr', 'crawl', 'kraul'), stroke('free'), 1],
  [words('back(?:stroke)?', 'bk', 'bs', 'r\\u00FCcken'), stroke('back'), 1],
  [words('breast(?:stroke)?', 'br', 'brust'), stroke('breast'), 1],
  [words('(?:butter)?fly', 'fl'), stroke('fly'), 1],
  [words('medley', 'im', 'imo', 'i\\.m\\.'), stroke('medley'), 1],
  [words('choice', 'ch'), stroke('choice'), 1],
  [words('kick(?:ing|s)?', 'k', 'beine'), { is: 'swim', swim: { mode: 'kick' } }, 1],
  [words('pull(?:ing|s)?', 'p(?!\\s*\\d)', 'arme'), { is: 'swim', swim: { mode: 'pull' } }, 1],
  [words('drills?', 'dr'), { is: 'swim', swim: { mode: 'drill' } }, 1],
  [words('swim(?:ming)?'), { is: 'filler' }, 1],
  [words('s'), { is: 'filler' }, 0.3],
  [words('fins?'), kit('fins'), 1],
  [words('paddles?'), kit('paddles'), 1],
  [words('buoy'), kit('buoy'), 1],
  [words('snorkel'), kit('snorkel'), 1],
  [words('(?:kick-?)?board'), kit('board'), 1],
]
