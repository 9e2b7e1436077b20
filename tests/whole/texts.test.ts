import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, test } from 'vitest'
import * as texts from '../../app/texts/en'
import { partOfTexts } from '../../scripts/texts'
import { sentencesIn } from '../support/sentences'

/** What is written in the script's own words, and what only a developer reads. */
const ofTheScript = /^app\/(?:desk\/completion\.ts|theme\/|texts\/)/

const sources = readdirSync('app', { recursive: true, encoding: 'utf8' })
  .map(path => join('app', path))
  .filter(path => /(?<!\.test)\.(?:vue|ts)$/.test(path) && !ofTheScript.test(path))

describe('the sentences of the screens', () => {
  test('stand in the files of their language and nowhere else', () => {
    expect(sources.length).toBeGreaterThan(150)
    const elsewhere = sources.flatMap(path => sentencesIn(path, readFileSync(path, 'utf8')).map(text => `${path}: ${text.trim()}`))
    expect(elsewhere).toEqual([])
  })

  test('are found in a text, an attribute, a choice, a sum and a script', () => {
    const room = `<script setup lang="ts">
const said = isKept ? 'it is kept' : \`not kept for \${reason}\`
</script>
<template>
  <p aria-label="Days" class="two words" :title="\`Day \${day}\`">Put on {{ isDone ? 'done' : texts.open }} {{ kind === 'run' ? 1 : 2 }}</p>
</template>`
    expect(sentencesIn('room.vue', room).map(text => text.trim())).toEqual([
      'it is kept',
      'not kept for …',
      'Days',
      'Day …',
      'Put on',
      'done',
    ])
  })

  test('are each used by the file whose part they are in', () => {
    const used = sources.map(path => readFileSync(path, 'utf8')).filter(source => source.includes("from '~/texts/en'"))
    const unused = Object.entries(texts).flatMap(([part, own]) => {
      const users = used.filter(source => new RegExp(`import \\{ ${part}(?: as texts)? \\}`).test(source))
      return Object.keys(own)
        .filter(key => !users.some(source => new RegExp(`texts\\.${key}\\b`).test(source)))
        .map(key => `${part}.${key}`)
    })
    expect(unused).toEqual([])
  })

  test('come to a room without those of another', () => {
    const language = "type Said = string\nexport const here = { a: 'one' }\n\nexport const there = { b: 'two' }\n"
    expect(partOfTexts(language, 'there')).toBe("type Said = string\n\nexport const there = { b: 'two' }")
  })
})
