import { describe, expect, it } from 'vitest'
import { loadCorpus, readSpecimen } from './corpus'

const corpus = loadCorpus()

describe('lines and messages as many hands write them', () => {
  it('are at least 400', () => expect(corpus.length).toBeGreaterThanOrEqual(400))

  it.each(corpus)('$file: $said', ({ file, said, reads, asks }) => {
    expect(readSpecimen(file, said)).toEqual({ reads, asks })
  })
})
