import { limits } from '../session/limits'

/** Why words of a message cannot be read, as a code with its fields. */
export type Fault =
  | {
      code:
        | 'no-target'
        | 'half-said'
        | 'until-what'
        | 'choice'
        | 'bracket-open'
        | 'nothing-before'
        | 'clock-without-distance'
        | 'empty-repeat'
        | 'rounds'
        | 'portion'
        | 'change'
        | 'not-positive'
        | 'too-long'
        | 'line-too-long'
        | 'unknown'
    }
  | { code: 'no-unit' | 'number'; words: string }
  | { code: 'count' | 'nesting' }

/** A fault as a sentence without its capital and stop. */
export function sayFault(fault: Fault): string {
  switch (fault.code) {
    case 'no-target':
      return 'the target after @ is not one the reader knows: 4:05 /km, 95-105 %CP, zone 2, 5k effort'
    case 'half-said':
      return 'on what? on 1:50'
    case 'until-what':
      return 'until what? until press, or until HR below 120'
    case 'choice':
      return 'two ways are named; write the one that is meant'
    case 'bracket-open':
      return 'a bracket is not closed'
    case 'nesting':
      return `brackets stand more than ${limits.nesting} deep in each other`
    case 'nothing-before':
      return 'this is about a step before it, and there is none'
    case 'clock-without-distance':
      return 'a clock for the next start needs a distance: 100 m on 1:50'
    case 'empty-repeat':
      return 'a repeat needs its steps'
    case 'count':
      return `a repeat goes 1 to ${limits.times} times`
    case 'rounds':
      return 'these rounds are not the rounds of the repeat'
    case 'portion':
      return 'this part is longer than the whole, or of nothing'
    case 'change':
      return 'what changes from round to round is not clear'
    case 'not-positive':
      return 'a length or a target is more than zero'
    case 'too-long':
      return `longer than ${limits.seconds / 3600} h, the limit of a session`
    case 'line-too-long':
      return 'a line of so many characters is not read; part it'
    case 'no-unit':
      return `"${fault.words}" is no unit the reader knows: 400 m, or 4:00`
    case 'number':
      return `what ${fault.words} counts is not clear`
    case 'unknown':
      return 'no words the reader knows'
  }
}
