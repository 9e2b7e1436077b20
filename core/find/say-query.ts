import { formatNumber, sayDuration } from '../quantity/time'
import type { Query } from './query'

const sportWords = { run: 'runs', ride: 'rides', swim: 'swims', multi: 'sessions of several sports' } as const

const sayLength = (length: string) => {
  const value = Number(length.slice(0, -1))
  if (length.endsWith('s')) return sayDuration(value)
  return value >= 1000 && value % 100 === 0 ? `${formatNumber(value / 1000)} km` : `${value} m`
}

function sayFacet(facet: string): string {
  const [kind = '', value = ''] = facet.split(':')
  switch (kind) {
    case 'rounds': {
      const [count, length] = value.split('x')
      return length ? `${count} x ${sayLength(length)}` : `${count} rounds`
    }
    case 'length':
      return `work of ${sayLength(value)}`
    case 'zone':
      return `zone ${value}`
    case 'effort':
      return `${value} effort`
    case 'by':
      return `targets by ${value.replace('-', ' ')}`
    case 'place':
      return value.replace('-', ' ')
    case 'send-off':
      return 'send-offs'
    case 'hill':
      return 'hills'
    default:
      return value || kind
  }
}

const sayMetres = (metres: number) => (metres >= 1000 ? `${formatNumber(metres / 1000)} km` : `${metres} m`)

/**
 * How a search was understood, so that one sees why something is or is not found.
 *
 * @example sayQuery(parseQuery('ride under 1 h with zone 3')) // 'rides under 1 h with zone 3'
 * @returns empty where it asks for nothing
 */
export function sayQuery(query: Query): string {
  const { seconds, metres } = query
  const bounds = [
    seconds.under === undefined ? '' : `under ${sayDuration(seconds.under)}`,
    seconds.over === undefined ? '' : `over ${sayDuration(seconds.over)}`,
    metres.under === undefined ? '' : `under ${sayMetres(metres.under)}`,
    metres.over === undefined ? '' : `over ${sayMetres(metres.over)}`,
  ].filter(Boolean)
  const contents = [
    ...query.facets.map(group => group.map(sayFacet).join(' or ')),
    ...query.words.map(word => `“${word}”`),
    ...query.tags.map(tag => `the tag ${tag}`),
  ]
  const parts = [
    query.archived ? 'archived' : '',
    query.sport ? sportWords[query.sport] : 'sessions',
    bounds.join(' and '),
    contents.length > 0 ? `with ${contents.join(', ')}` : '',
    query.families ? 'that have variants' : '',
    query.duplicates ? 'that are there twice' : '',
  ].filter(Boolean)
  return parts.length === 1 && !query.sport ? '' : parts.join(' ')
}
