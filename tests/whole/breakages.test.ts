import { existsSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'
import { breakages } from '../breakages/all.mjs'

const inTree = (path: string) => fileURLToPath(new URL(`../../${path}`, import.meta.url))

it.each([...breakages])('the place of the breakage stands once: $what', ({ file, from, to, test }) => {
  expect(existsSync(inTree(test))).toBe(true)
  expect(readFileSync(inTree(file), 'utf8').split(from)).toHaveLength(2)
  expect(to).not.toBe(from)
})
