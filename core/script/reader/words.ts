import { patternOf } from '../../quantity/pattern'
import type { Manner, Role, Stroke, SwimKit } from '../../session/document'
import type { Form } from './scanner'

export const roleWords: readonly Form<Role>[] = [
  ['w', /(?:warm[\s-]?up|warming\s+up|warm|w\/u|WU)(?![a-z\d]):?/iy, 'warm-up'],
  ['cw', /(?:cool[\s-]?down|cooling\s+down|warm[\s-]?down|c\/d|CD)(?![a-z\d]):?/iy, 'cool-down'],
  ['r', /(?:recovery|recoveries|recover|rec)(?![a-z\d])[:=]?/iy, 'recovery'],
  ['rs', /(?:resting|rest|standing|stand|RI)(?![a-z\d])[:=]?/iy, 'rest'],
  ['r', /r\s*[:=]?(?=\s*\d)/iy, 'rest'],
  ['t', /(?:transition|T[12])(?![a-z\d])/iy, 'transition'],
  ['w', /work(?![a-z\d])/iy, 'work'],
]

export const mannerWords: readonly Form<Manner>[] = [
  ['w', /(?:walking|walk)(?![a-z\d])/iy, 'walk'],
  ['j', /(?:jogging|jogged|jog)(?![a-z\d])/iy, 'jog'],
  ['f', /(?:floating|float)(?![a-z\d])/iy, 'float'],
  ['sa', /(?:strides|stride|accelerations?)(?![a-z\d])/iy, 'stride'],
]

export const strokes: readonly Form<Stroke>[] = [
  ['f', /(?:free(?:style)?|front crawl|FS|FR)(?![a-z])/iy, 'free'],
  ['b', /back(?:stroke)?(?![a-z])/iy, 'back'],
  ['b', /breast(?:stroke)?(?![a-z])/iy, 'breast'],
  ['bf', /(?:butter)?fly(?![a-z])/iy, 'fly'],
  ['mi', /(?:medley|IM)(?![a-z])/iy, 'medley'],
  ['c', /(?:choice|crawl)(?![a-z])/iy, 'choice'],
]

export const swimModes = /(swim|kick|pull|drill)(?:ing|s)?(?![a-z])/iy

export const kitWords: readonly Form<SwimKit>[] = [
  ['wfa&', /(?:(?:w(?:ith|\/)|and|&)\s*)?fins?(?![a-z])/iy, 'fins'],
  ['wpa&', /(?:(?:w(?:ith|\/)|and|&)\s*)?paddles?(?![a-z])/iy, 'paddles'],
  ['wbpa&', /(?:(?:w(?:ith|\/)|and|&)\s*)?(?:pull-?)?buoy(?![a-z])/iy, 'buoy'],
  ['wsa&', /(?:(?:w(?:ith|\/)|and|&)\s*)?snorkel(?![a-z])/iy, 'snorkel'],
  ['wbka&', /(?:(?:w(?:ith|\/)|and|&)\s*)?(?:kick-?)?board(?![a-z])/iy, 'board'],
]

/** A word for how hard that differs from coach to coach. */
export const askedWords = /tempo(?![a-z])/iy

/** Words for how, without a number: kept as the step's note. */
export const effortWords = new RegExp(
  `(?:${[
    '(?:very\\s+|really\\s+|super\\s+|nice\\s+(?:and\\s+)?|fairly\\s+|moderately\\s+)?(?:hard|sprint(?:ing|s)?|fast|brisk(?:ly)?|' +
      'smooth(?:ly)?|relaxed|strong|quick(?:ly)?|controlled|comfortabl[ey]|gentl[ey]|moderate|light(?:ly)?|' +
      'slow(?:ly)?|cruise|cruising|endurance|long|all[\\s-]out|flat[\\s-]out|technique)',
    '(?:desc(?:end(?:ing)?)?|build(?:ing)?|negative\\s+split|progressive(?:ly)?|progressing|progression)' +
      '(?:\\s+\\d{1,2}\\s*(?:-|to)\\s*\\d{1,2}(?![\\d:]))?',
    '(?:breath(?:e|ing)?|sight(?:ing)?)\\s+(?:every\\s+)?\\d(?:\\s*[/-]\\s*\\d)*',
    'as\\s+\\d+\\s+[a-z]+[\\s,/]+\\d+\\s+[a-z]+',
    'off\\s+the\\s+(?:bike|ride)|seated|standing\\s+up|in\\s+the\\s+saddle|bilateral',
  ].join('|')})(?![a-z])`,
  'iy',
)

/** A slope without its steepness. */
export const slopeWords = /(?:(?:up|down)[\s-]?hills?|hills?|hilly)(?![a-z])(?!\s+\d)/iy

/** Words that only join others. */
export const joiningWords = patternOf('iy', [
  String.raw`(?:each|of|for|down|the|an?|reps?|running|run|riding|ride|biking|bike|cycling|cycle|spinning`,
  String.raw`|spin|swimming|active|full|complete|passive|efforts?|am|pm|morning|evening|afternoon`,
  String.raw`|on(?!\s*[,/]?\s*\d)|all(?=\s+(?:at|@))|in(?=\s+(?:zone|z\s?\d))|from(?=\s+\d))(?![a-z\d])`,
])

/** Names of efforts that say how hard even without `@` and `effort`. */
export const bareEffortNames: readonly Form<'threshold' | 'steady' | 'max'>[] = [
  ['t', /threshold(?![a-z])/iy, 'threshold'],
  ['s', /(?:steady|steadily)(?![a-z])/iy, 'steady'],
  ['m', /max(?:imal|imum)?(?![a-z])(?!\s+(?:HR|heart))/iy, 'max'],
]
