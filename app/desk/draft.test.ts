import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { clearDraft, draftsOf, forgetFresh, isFresh, keepDraft, keptDraft, lastOnDesk, rememberFresh, rememberOnDesk } from './draft'

/** A store like the browser's own, whose names can be listed and whose room can run out. */
function storage(hasRoom = true) {
  const kept = new Map<string, string>()
  const methods = {
    getItem: (name: string) => kept.get(name) ?? null,
    setItem: (name: string, value: string) => {
      if (!hasRoom) throw new Error('no room')
      kept.set(name, value)
    },
    removeItem: (name: string) => void kept.delete(name),
  }
  return new Proxy(methods, {
    ownKeys: () => [...kept.keys()],
    getOwnPropertyDescriptor: (_, name) => ({ value: kept.get(String(name)), enumerable: true, configurable: true }),
  })
}

beforeEach(() => {
  vi.stubGlobal('localStorage', storage())
  vi.stubGlobal('sessionStorage', storage())
})
afterEach(() => vi.unstubAllGlobals())

const draft = (script: string) => ({ script, base: 3, source: null })

describe('a draft', () => {
  it('belongs to one tab', () => {
    keepDraft('one', 'a', draft('10:00'))
    keepDraft('one', 'b', draft('20:00'))
    keepDraft('other', 'a', draft('30:00'))
    expect(keptDraft('one', 'a')?.script).toBe('10:00')
    expect(keptDraft('one', 'b')?.script).toBe('20:00')
    expect(draftsOf('one').map(({ tab, script }) => `${tab} ${script}`)).toEqual(['a 10:00', 'b 20:00'])
  })
  it('goes alone when it is on the server', () => {
    keepDraft('one', 'a', draft('10:00'))
    keepDraft('one', 'b', draft('20:00'))
    clearDraft('one', 'a')
    expect(draftsOf('one').map(({ tab }) => tab)).toEqual(['b'])
  })
  it('of a version before tabs had names is found and cleared', () => {
    localStorage.setItem('agonis.desk.one', JSON.stringify(draft('10:00')))
    expect(draftsOf('one')).toEqual([{ ...draft('10:00'), tab: '' }])
    clearDraft('one', '')
    expect(draftsOf('one')).toEqual([])
  })
  it.each(['{', 'null', '{"script":1,"base":2}', '{"script":"10:00"}'])('that is broken is none: %s', text => {
    localStorage.setItem('agonis.desk.one.a', text)
    expect(keptDraft('one', 'a')).toBeNull()
    expect(draftsOf('one')).toEqual([])
  })
  it('says when the browser has no room', () => {
    expect(keepDraft('one', 'a', draft('10:00'))).toBe(true)
    vi.stubGlobal('localStorage', storage(false))
    expect(keepDraft('one', 'a', draft('10:00'))).toBe(false)
  })
})

it('remembers what lay on the desk last, and which session nobody else can know', () => {
  rememberOnDesk('one')
  rememberFresh('one')
  expect([lastOnDesk(), isFresh('one'), isFresh('other')]).toEqual(['one', true, false])
  forgetFresh('other')
  expect(isFresh('one')).toBe(true)
  forgetFresh('one')
  expect(isFresh('one')).toBe(false)
})
