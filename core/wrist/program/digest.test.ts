import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { canonicalBytes, digestOf, digestOfBytes } from './digest'
import { fromBase64, joinBytes, toBase64 } from '../link/protocol'

const text = (value: unknown) => new TextDecoder().decode(canonicalBytes(value))

describe('digests', () => {
  it('are SHA-256 (FIPS 180-4 examples)', () => {
    const bytes = (words: string) => new TextEncoder().encode(words)
    expect(digestOfBytes(bytes('abc'))).toBe('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad')
    expect(digestOfBytes(bytes(''))).toBe('e3b0c44298fc1c149afbf4c8996fb92427ae41e4649b934ca495991b7852b855')
  })
  it('are taken of canonical JSON (RFC 8785): keys sorted by UTF-16, numbers as ECMAScript writes them', () => {
    expect(text({ 'b': 1, 'a': [true, null, 'ø'], '\u20ac': 1e21, 'A': 4.5 })).toBe('{"A":4.5,"a":[true,null,"ø"],"b":1,"€":1e+21}')
    expect(text({ literals: [null, true, false], numbers: [333333333.3333333, 1e30, 4.5, 2e-3, 0.000000000000000000000000001] })).toBe(
      '{"literals":[null,true,false],"numbers":[333333333.3333333,1e+30,4.5,0.002,1e-27]}',
    )
  })
  it('are equal for equal documents in any order of keys, and differ otherwise', () => {
    expect(digestOf({ a: 1, b: { c: 2, d: 3 } })).toBe(digestOf({ b: { d: 3, c: 2 }, a: 1 }))
    expect(digestOf({ a: 1 })).not.toBe(digestOf({ a: 2 }))
    expect(() => digestOf(undefined)).toThrow(TypeError)
  })
})

describe('bytes on the link', () => {
  it('come back as they went, whole or in parts', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 300 }), fc.nat(300), (bytes, cut) => {
        expect(fromBase64(toBase64(bytes))).toEqual(bytes)
        expect(joinBytes([bytes.slice(0, cut), bytes.slice(cut)])).toEqual(bytes)
      }),
    )
  })
})
