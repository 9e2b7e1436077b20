/** Why an edit of a session does not fit, as a code with its fields. */
export type EditRefusal =
  | { code: 'no-row'; at: string }
  | { code: 'not-a-row' | 'not-a-length' | 'not-a-target'; words: string }
  | { code: 'count-out-of-bounds'; most: number }
  | { code: 'no-target-of-unit'; unit: string }
  | { code: PlainRefusal }

export type PlainRefusal =
  | 'not-splittable'
  | 'not-a-holder'
  | 'into-itself'
  | 'leg-inside'
  | 'not-beside'
  | 'leg-repeated'
  | 'not-a-repeat'
  | 'no-length'
  | 'no-target'
  | 'not-joinable'
  | 'not-ungroupable'
  | 'no-count'
  | 'no-last-recovery'
  | 'not-switchable'
  | 'not-in-doubt'

const plain: Readonly<Record<PlainRefusal, string>> = {
  'not-splittable': 'Only a time, a distance or a repeat of several rounds can be split.',
  'not-a-holder': 'Rows go inside a repeat or a leg.',
  'into-itself': 'A repeat cannot be moved into itself.',
  'leg-inside': 'A leg stands beside other legs, not inside.',
  'not-beside': 'Rows that are repeated together stand beside each other.',
  'leg-repeated': 'A leg cannot be repeated.',
  'not-a-repeat': 'A repeat is a number of times, a distance or a time.',
  'no-length': 'Only a step or a repeat has a length.',
  'no-target': 'Only a step has a target.',
  'not-joinable': 'Only two steps of times, or of distances, join.',
  'not-ungroupable': 'Only a repeat can be ungrouped.',
  'no-count': 'Only a repeat has a count.',
  'no-last-recovery': 'Only a repeat of a number of times has a last recovery.',
  'not-switchable': 'Only a step or a repeat can be switched off.',
  'not-in-doubt': 'Nothing here is in doubt.',
}

/** Why an edit does not fit, as a sentence. */
export function sayRefusal(refusal: EditRefusal): string {
  switch (refusal.code) {
    case 'no-row':
      return `There is no row ${refusal.at}.`
    case 'not-a-row':
      return `"${refusal.words}" is not a row.`
    case 'not-a-length':
      return `"${refusal.words}" is not a length: 400 m, 4:00, until press.`
    case 'not-a-target':
      return `"${refusal.words}" is not a target: 4:05 /km, 95-105 %CP, zone 2, 5k effort.`
    case 'count-out-of-bounds':
      return `A repeat goes 1 to ${refusal.most} times.`
    case 'no-target-of-unit':
      return `Nothing here has a target that ${refusal.unit} can change.`
    default:
      return plain[refusal.code]
  }
}
