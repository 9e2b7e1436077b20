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
