import { patternOf } from '../../quantity/pattern'
const saysSomething = patternOf('i', [
  String.raw`\d|\b(?:until|till|half|quarter|warm[\s-]*up|cool[\s-]*down|WU|CD|w\/u|c\/d|recovery|rest|jog`,
  String.raw`|walk|float|easy|strides?|then|times|sets|rounds|between|off|same|mile|km|twice|thrice)\b`,
])

/** Whether words say how long, what role or how often: such words are never passed over. */
export const hasContent = (text: string) => saysSomething.test(text)

const lengthWords = patternOf('i', [
  String.raw`\d\s*(?:km|k|m|mi|miles?|min|mins|minutes?|s|sec|seconds?|h|hours?|yd|kcal|x|\u00D7|times`,
  String.raw`|rounds|sets|laps|lengths|'|"|%|W|bpm|rpm)(?![a-z])|\d:\d\d|@|\b(?:until|WU|CD|warm|cool`,
  String.raw`|recovery|jog|strides?)\b`,
])

/** Whether a line that could not be read at least names a length, so that it is more than talk with a number in it. */
export const namesLength = (text: string) => lengthWords.test(text)
