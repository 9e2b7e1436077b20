import { describe, expect, it } from 'vitest'
import { isAltKey, shownAlt, shownKeys, takenByBrowsers } from './alt-key'
import { rowActions } from '../desk/row-keys'
import { deskKeys } from '../desk/desk-keys'

const pressed = (change: object) => ({ code: '', key: '', altKey: true, ctrlKey: false, metaKey: false, shiftKey: false, ...change })

describe('keys with Alt', () => {
  it('go by their place, whatever Option makes of the letter', () => {
    const repeat = { code: 'KeyR', sign: 'R' }
    expect(isAltKey(pressed({ code: 'KeyR', key: 'r' }), repeat)).toBe(true)
    expect(isAltKey(pressed({ code: 'KeyR', key: '®' }), repeat)).toBe(true)
    expect(isAltKey(pressed({ code: 'KeyR', key: 'r', altKey: false }), repeat)).toBe(false)
    expect(isAltKey(pressed({ code: 'KeyR', key: 'r', ctrlKey: true }), repeat)).toBe(false)
  })

  it('find plus and minus by their sign where a keyboard has them elsewhere', () => {
    expect(isAltKey(pressed({ code: 'BracketRight', key: '+' }), { code: 'Equal', sign: '+' })).toBe(true)
    expect(isAltKey(pressed({ code: 'Slash', key: '-' }), { code: 'Minus', sign: '−' })).toBe(true)
    expect(isAltKey(pressed({ code: 'Minus', key: 'ß' }), { code: 'Equal', sign: '+' })).toBe(false)
  })

  it('are shown as they stand on the keyboard in front of one', () => {
    expect(shownAlt({ code: 'KeyR', sign: 'R' }, false)).toBe('Alt R')
    expect(shownAlt({ code: 'KeyR', sign: 'R' }, true)).toBe('⌥ R')
    expect(shownKeys('Ctrl Shift Z', true)).toBe('⌘ ⇧ Z')
  })

  it('are each of one tool, and none a browser takes for itself', () => {
    const codes = [...rowActions, ...deskKeys].map(({ code }) => code)
    expect(new Set(codes).size).toBe(codes.length)
    expect(codes.filter(code => takenByBrowsers.includes(code))).toEqual([])
  })
})
