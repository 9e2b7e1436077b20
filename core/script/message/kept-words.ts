import { words } from './lexicon'

const howHard = [
  'hard(?:er)?|sprint(?:ing|s)?|fast(?:er)?|brisk(?:ly)?|smooth(?:ly)?|relaxed|strong(?:er)?|quick(?:ly)?|controlled|comfortabl[ey]',
  'conversational|gentl[ey]|moderate|light(?:ly)?|cruise|cruising|endurance|all[\\s-]out|flat[\\s-]out|technique|sit\\s+tall',
  'seated|standing|ss|sst|sweet\\s*spot|flat|straight|long|surges?|pick[\\s-]?ups?|race\\s+power|wetsuit|under\\s?water|cool|extra',
  'z\\u00FCgig|schnell|vite|rapide|fuerte|r\\u00E1pido|hardt|hurtig|snabbt',
].join('|')
const fuel = '(?:\\d+(?:-\\d+)?|one|two|three|an?)\\s*(?:g|ml|l|mg|bottles?|gels?|bars?|bidons?)(?![a-z])'
const fuelOf = '(?:\\s*(?:of\\s+)?(?:carbs?|carbohydrates?|water|sugar|caffeine|drink))?'
const fuelEach = '(?:\\s*(?:\\/|per|an?|every)\\s*(?:h(?:(?:ou)?r)?|\\d+\\s*(?:min|km|miles?)))?'
const fromTo = '\\d{1,2}\\s*(?:-|to)\\s*\\d{1,2}(?![\\d:])'

/** Words for how that no number stands behind: they are the step's note. */
export const manners = words(
  '(?:kick|drill|swim|pull|scull)(?:\\s*\\/\\s*(?:kick|drill|swim|pull|scull))+',
  `(?:very\\s+|really\\s+|super\\s+|nice\\s+(?:and\\s+)?|fairly\\s+|moderately\\s+)?(?:${howHard})`,
  `(?:desc(?:end(?:ing)?)?|build(?:ing)?|neg(?:ative)?\\s+split|progressive(?:ly)?|progression)(?:\\s+${fromTo})?(?:\\s*,\\s*${fromTo})?`,
  '(?:breath(?:e|ing)?|hypoxic|sight(?:ing)?)\\s+(?:every\\s+)?\\d(?:\\s*[\\/-]\\s*\\d)*(?:\\s+by\\s+\\d{2,3})?',
  '(?:[a-z]{1,6}\\s*\\/\\s*)+[a-z]{1,6}\\s+by\\s+\\d{2,3}',
  '(?:odds?|evens?)\\s*:?\\s*[a-z]+(?:\\s*[,/&;]?\\s*(?:and\\s+)?(?:odds?|evens?)\\s*:?\\s*[a-z]+)?',
  'off[\\s-]*road',
  'climb(?:s|ing)?',
  '\\d-up\\s+\\d-down',
  '(?:from\\s+)?standing\\s+start',
  'up(?:hill)?s?',
  'downhills?',
  'hills?(?:\\s+(?:reps?|repeats?|sprints?))?',
  '(?:off|from)\\s+the\\s+(?:bike|ride)',
  'vo2\\s?max(?:\\s+(?:pace|effort|power))?',
  '[rit][\\s-]pace',
  '(?:if|optional(?:ly)?|unless|when(?:ever)?|as\\s+long\\s+as)(?![a-z])[^,;.()\\n]*',
  'alternating\\s+\\d+\\s*(?:min|s|sec|m|km|\\u0027|")[^,;@()\\n]*\\/[^,;@()\\n]*?(?=\\s*(?:[,;@()]|$))',
  fuel + fuelOf + fuelEach,
  '@?\\s*\\d(?:\\.\\d+)?\\s*w\\s*\\/\\s*kg',
)

/** Talk around the session: what was, what is felt, when and where one meets. It is kept as it is and says no step. */
export const talk = words(
  'last\\s+(?:week|time|month|year|night)[^,;.\\n]*',
  'I\\s+(?:slept|ran|did|had|was|am|feel|felt|rode|swam|have)(?![a-z])[^,;.\\n]*',
  '\\d{1,2}(?::\\d\\d)?\\s*(?:am|pm|a\\.m\\.|p\\.m\\.|o.clock|uhr)',
  '@\\s*\\d{1,2}(?::\\d\\d)?\\s*(?:am|pm)',
  'at\\s+(?!(?:3|5|8|10|12|15|20|21|42)\\s*k)\\d+(?:\\.\\d+)?\\s*(?:k|km|mi|miles?)(?!\\s*(?:pace|effort|\\/))',
  '(?:closes?|opens?|meets?|meet|starts?|leaves?)\\s+(?:at\\s+)?\\d{1,2}[:.]\\d\\d',
)

/** Words that leave a choice open: nobody can carry that out without an answer. */
export const choices = words('or', 'whichever', 'either')

/** Words that leave an end open. */
export const untils = words('until', 'till', 'til')

/** Words that join others and say nothing of their own. */
export const fillers = words(
  'each',
  'finish(?:ing)?(?:\\s+(?:with|w\\/|off))?',
  'of',
  'for',
  'down',
  'the',
  'an?',
  'reps?',
  'run(?:ning)?',
  'rid(?:e|ing)',
  'bik(?:e|ing)',
  'cycl(?:e|ing)',
  'active',
  'complete',
  'full',
  'take',
  'have',
  'after\\s+the\\s+(?:last|final)(?:\\s+(?:rep|one|round|repeat|interval))?',
  'after',
  'open',
  'manual',
  'lap(?:\\s+button)?',
  'all(?=\\s+(?:at|@|in|with)\\b)',
  'all(?=\\s*@)',
  'passive',
  'efforts?',
  'pace',
  'effort',
  'speed',
  'am',
  'pm',
  'morning',
  'evening',
  'afternoon',
  'on',
  'in',
  'to',
  'it',
  'do',
  'this',
  'that',
  'now',
  'just',
  'back',
  'today',
  'session',
  'intervals?',
  'throw',
  'by',
  'approx\\.?',
  'about',
  'around',
  'circa',
  'ca\\.?',
  'nb',
  'ramp',
  'no\\s+rest',
  'hr',
)
