/** The addresses of all rooms, as the router has them: each page once, with what an address of it needs. */
import { readdirSync } from 'node:fs'
import { join } from 'node:path'

const pages = join(import.meta.dirname, '../app/pages')

/**
 * @param {Record<string, string>} ids what stands for `[id]`, by room
 * @returns {string[]} such as `/shelf`
 */
export const addressesOfRooms = ids =>
  readdirSync(pages, { recursive: true })
    .map(String)
    .filter(file => file.endsWith('.vue'))
    .map(file => `/${file.slice(0, -'.vue'.length).split('\\').join('/')}`)
    .map(way => way.replace(/\/\[\[\w+\]\]$/, '').replace(/\/index$/, ''))
    .map(way => way.replace(/\/\[\w+\]$/, () => `/${ids[way.split('/')[1]]}`))
    .sort()
