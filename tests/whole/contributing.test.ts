import { existsSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'

const inTree = (path: string) => fileURLToPath(new URL(`../../${path}`, import.meta.url))
const rows = readFileSync(inTree('CONTRIBUTING.md'), 'utf8').match(/^\| (?!to change|---).+$/gm) ?? []

it('names at least twenty changes', () => expect(rows.length).toBeGreaterThanOrEqual(20))

it.each(rows)('names rooms that are there: %s', row => {
  const paths = [...row.matchAll(/`([^`\s]+[./][^`\s]+)`/g)].map(match => match[1]!)
  expect(paths.length).toBeGreaterThan(0)
  expect(paths.filter(path => !existsSync(inTree(path)))).toEqual([])
})
