import { formatNumber, formatTime } from '../quantity/time'
import type { Band, BandTarget, Block, Ceiling, EffortTarget, End, Grade, Item, Step, Swim, Target, ZoneTarget } from '../session/document'
import type { BandUnit } from '../quantity/units'
import { isBandTarget, isEffortTarget } from '../session/document'
import { isPaceUnit } from '../quantity/intensity'

const plural = (count: number, one: string) => `${formatNumber(count)} ${one}${count === 1 ? '' : 's'}`

/** A time as it is spoken: `1 minute 30`, `2 hours 5 minutes`. */
export function sayTime(seconds: number): string {
  const [hours, minutes, rest] = [Math.floor(seconds / 3600), Math.floor((seconds % 3600) / 60), Math.round((seconds % 60) * 10) / 10]
  if (hours > 0)
    return [plural(hours, 'hour'), minutes > 0 ? plural(minutes, 'minute') : '', rest > 0 ? plural(rest, 'second') : '']
      .filter(Boolean)
      .join(' ')
  if (minutes === 0) return plural(rest, 'second')
  return rest === 0 ? plural(minutes, 'minute') : `${plural(minutes, 'minute')} ${formatNumber(rest)}`
}

const distanceNouns = { m: 'metre', km: 'kilometre', mi: 'mile', yd: 'yard' } as const

function sayEnd(end: End): string {
  switch (end.on) {
    case 'time':
      return sayTime(end.seconds)
    case 'distance':
      return plural(end.value, distanceNouns[end.unit])
    case 'press':
      return 'until you press'
    case 'heart-rate':
      return end.below !== undefined ? `until the heart rate is below ${end.below}` : `until the heart rate is above ${end.above}`
    case 'energy':
      return plural(end.kilocalories, 'kilocalorie')
    case 'send-off':
      return `${plural(end.value, distanceNouns[end.unit])}, leaving every ${sayTime(end.seconds)}`
    case 'first':
      return `${sayEnd(end.of[0])} or ${sayEnd(end.of[1])}, whichever comes first`
  }
}

const unitWords: Record<BandUnit, string> = {
  's/km': 'per kilometre',
  's/mi': 'per mile',
  's/100m': 'per 100 metres',
  's/100yd': 'per 100 yards',
  's/step': '',
  '%CS': 'percent of critical speed',
  'km/h': 'kilometres an hour',
  'mi/h': 'miles an hour',
  'm/s': 'metres a second',
  'bpm': 'beats a minute',
  '%HRmax': 'percent of the highest heart rate',
  '%HRR': 'percent of heart-rate reserve',
  '%LTHR': 'percent of threshold heart rate',
  'W': 'watts',
  '%CP': 'percent of critical power',
  'rpm': 'turns a minute',
  'spm': 'steps a minute',
  'of 10': 'of ten',
}

function sayBand({ easiest, hardest }: Band, unit: BandUnit): string {
  const say = (value: number) => (isPaceUnit(unit) ? formatTime(value) : formatNumber(value))
  const words = unitWords[unit] === '' ? '' : ` ${unitWords[unit]}`
  if (easiest === undefined) return `${say(hardest!)}${words} or easier`
  if (hardest === undefined) return `${say(easiest)}${words} or harder`
  if (easiest === hardest) return `${say(easiest)}${words}`
  const [first, second] = isPaceUnit(unit) ? [hardest, easiest] : [easiest, hardest]
  return `${say(first)} to ${say(second)}${words}`
}

function sayBandTarget(target: BandTarget): string {
  const lead = target.unit === 's/step' ? 'in ' : target.of === 'rpe' ? 'feeling like ' : 'at '
  return lead + sayBand(target, target.unit) + (target.to ? `, changing to ${sayBand(target.to, target.unit)}` : '')
}

const effortWords: Record<EffortTarget['name'], string> = {
  '1500m': '1500 metres',
  'mile': 'mile',
  '3k': '3 kilometres',
  '5k': '5 kilometres',
  '10k': '10 kilometres',
  'half-marathon': 'half-marathon',
  'marathon': 'marathon',
  'threshold': 'threshold',
  'critical': 'critical',
  'steady': 'steady',
  'easy': 'easy',
  'max': 'the greatest',
  'goal': 'goal',
}

function sayEffort({ name, offset }: Pick<EffortTarget, 'name' | 'offset'>): string {
  if (!offset) return `${effortWords[name]} effort`
  const amount = formatNumber(Math.abs(offset.value))
  if (offset.unit === '%') return `${effortWords[name]} effort, ${amount} percent ${offset.value > 0 ? 'harder' : 'easier'}`
  return `${effortWords[name]} effort, ${amount} seconds ${unitWords[offset.unit]} ${offset.value > 0 ? 'slower' : 'faster'}`
}

const sayZone = ({ zone, of }: Pick<ZoneTarget, 'zone'> & { of: ZoneTarget['of'] }) =>
  `in ${of === 'heart-rate' ? 'heart-rate' : of} zone ${Array.isArray(zone) ? `${zone[0]} to ${zone[1]}` : zone}`

function sayTarget(target: Target): string {
  if (isEffortTarget(target)) return `at ${sayEffort(target)}${target.to ? `, changing to ${sayEffort(target.to)}` : ''}`
  if (isBandTarget(target)) return sayBandTarget(target)
  return (
    sayZone(target) +
    (target.to ? `, changing to zone ${Array.isArray(target.to.zone) ? target.to.zone.join(' to ') : target.to.zone}` : '')
  )
}

const mannerWords = { walk: 'walking', jog: 'jogging', float: 'floating', stride: 'as a stride' } as const
const roleWords: Record<Step['role'], string> = {
  'work': '',
  'warm-up': 'warm-up',
  'cool-down': 'cool-down',
  'recovery': 'recovery',
  'rest': 'standing',
  'transition': 'transition',
}

function saySwim(swim: Swim): string {
  const stroke =
    swim.stroke &&
    (
      {
        free: 'freestyle',
        back: 'backstroke',
        breast: 'breaststroke',
        fly: 'butterfly',
        medley: 'medley',
        choice: 'a stroke of choice',
      } as const
    )[swim.stroke]
  const kit = swim.kit && swim.kit.length > 0 ? `with ${swim.kit.join(' and ')}` : ''
  return [stroke, swim.mode, swim.drill ? `(${swim.drill})` : '', kit].filter(Boolean).join(' ')
}

const sayGrade = ({ low, high }: Grade) => {
  const [least, most] = [Math.abs(low), Math.abs(high)].sort((a, b) => a - b)
  return `${high > 0 ? 'uphill' : 'downhill'} ${least === most ? most : `${least} to ${most}`} percent`
}
const sayCeiling = (ceiling: Ceiling) => `no higher than ${formatNumber(ceiling.above)} ${unitWords[ceiling.unit ?? 'bpm']}`

function sayStep(step: Step): string {
  const parts = [
    step.role === 'warm-up' || step.role === 'cool-down' || step.role === 'transition' ? `${roleWords[step.role]},` : '',
    sayEnd(step.end),
    step.manner ? mannerWords[step.manner] : step.role === 'recovery' || step.role === 'rest' ? roleWords[step.role] : '',
    step.swim ? saySwim(step.swim) : '',
    step.grade ? sayGrade(step.grade) : '',
    step.target ? sayTarget(step.target) : '',
    step.also ? `and ${sayTarget(step.also)}` : '',
    step.ceiling ? `, ${sayCeiling(step.ceiling)}` : '',
  ]
  return parts.filter(Boolean).join(' ').replace(/ ,/g, ',')
}

function sayRepeat(block: Block): string {
  if (block.repeat.times !== undefined) return plural(block.repeat.times, 'time')
  return 'distance' in block.repeat
    ? `again and again for ${plural(block.repeat.distance.value, distanceNouns[block.repeat.distance.unit])}`
    : `again and again for ${sayTime((block.repeat as { seconds: number }).seconds)}`
}

/**
 * An item in spoken words.
 *
 * @example sayItem(read('8 x 400 in 1:22-1:24 / 2 min rest')) // "8 times: 400 metres in 1:22 to 1:24, then 2 minutes standing"
 */
export function sayItem(item: Item): string {
  const off = 'off' in item && item.off ? 'switched off: ' : ''
  switch (item.kind) {
    case 'step':
      return off + sayStep(item)
    case 'unread':
      return `not read: ${item.text}`
    case 'leg':
      return `${item.sport}: ${item.items.map(sayItem).join(', then ')}`
    case 'block': {
      const body = item.items.map(inner => (inner.kind === 'block' ? `(${sayItem(inner)})` : sayItem(inner))).join(', then ')
      return `${off}${sayRepeat(item)}: ${body}${item.lastRecovery && item.repeat.times !== 1 ? '; no recovery after the last' : ''}`
    }
  }
}
