import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Draft } from './draft'
import {
  clearDraft,
  draftsOf,
  forgetFresh,
  isFresh,
  keepDraft,
  keptDraft,
  lastOnDesk,
  leaveDraft,
  rememberFresh,
  rememberOnDesk,
} from './draft'

/** A disk that keeps drafts, is slow where it is told to be, and can be full. */
const disk = vi.hoisted(() => ({
  kept: new Map<string, Draft & { session: string; tab: string }>(),
  written: 0,
  isFull: false,
  wait: null as Promise<void> | null,
}))
vi.mock('./draft-store', () => ({
  async writeDraft(session: string, tab: string, draft: Draft) {
    await disk.wait
    if (disk.isFull) throw new DOMException('no room', 'QuotaExceededError')
    disk.written++
    disk.kept.set(`${session} ${tab}`, { ...draft, session, tab })
  },
  removeDraft: async (session: string, tab: string) => void disk.kept.delete(`${session} ${tab}`),
  readDrafts: async (session: string) => [...disk.kept.values()].filter(draft => draft.session === session),
}))

/** A store like the browser's own, whose names can be listed. */
function storage() {
  const kept = new Map<string, string>()
  const methods = {
    getItem: (name: string) => kept.get(name) ?? null,
    setItem: (name: string, value: string) => void kept.set(name, value),
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
  Object.assign(disk, { kept: new Map(), written: 0, isFull: false, wait: null })
})
afterEach(() => vi.unstubAllGlobals())

const draft = (script: string): Draft => ({ script, base: 3, source: null, by: 'a', change: 1 })

describe('a draft', () => {
  it('belongs to one tab', async () => {
    await Promise.all([
      keepDraft('one', 'a', draft('10:00')),
      keepDraft('one', 'b', draft('20:00')),
      keepDraft('other', 'a', draft('30:00')),
    ])
    expect((await keptDraft('one', 'a'))?.script).toBe('10:00')
    expect((await keptDraft('one', 'b'))?.script).toBe('20:00')
    expect((await draftsOf('one')).map(({ tab, script }) => `${tab} ${script}`)).toEqual(['a 10:00', 'b 20:00'])
  })
  it('goes alone when it is on the server, also while it is being written', async () => {
    await keepDraft('one', 'a', draft('10:00'))
    await keepDraft('one', 'b', draft('20:00'))
    await clearDraft('one', 'a')
    expect((await draftsOf('one')).map(({ tab }) => tab)).toEqual(['b'])
    const going = keepDraft('one', 'c', draft('30:00'))
    await clearDraft('one', 'c')
    await going
    expect((await draftsOf('one')).map(({ tab }) => tab)).toEqual(['b'])
  })
  it('is written one at a time, and of those that wait only the newest', async () => {
    let release = () => {}
    disk.wait = new Promise(resolve => (release = resolve))
    const all = ['1', '2', '3', '4'].map(script => keepDraft('one', 'a', draft(script)))
    release()
    expect(await Promise.all(all)).toEqual([true, true, true, true])
    expect([disk.written, (await keptDraft('one', 'a'))?.script]).toEqual([2, '4'])
  })
  it('is kept when it is on the disk and not before', async () => {
    let release = () => {}
    disk.wait = new Promise(resolve => (release = resolve))
    let isKept: boolean | null = null
    const keeping = keepDraft('one', 'a', draft('10:00')).then(kept => (isKept = kept))
    await Promise.resolve()
    expect(isKept).toBeNull()
    release()
    await keeping
    expect(isKept).toBe(true)
  })
  it.each(['one', 'one.b'])('of an earlier version, under %s, is taken over', async name => {
    localStorage.setItem(`agonis.desk.${name}`, JSON.stringify({ script: '10:00', base: 3, source: null }))
    const tab = name.slice(4)
    expect(await draftsOf('one')).toEqual([{ script: '10:00', base: 3, source: null, by: tab, change: 0, tab }])
    expect(localStorage.getItem(`agonis.desk.${name}`)).toBeNull()
  })
  it('left in the last moment of a page goes on top of what the disk took before', async () => {
    await keepDraft('one', 'a', { ...draft('10:00'), change: 5 })
    leaveDraft('one', 'a', { ...draft('10:00 easy'), change: 6 })
    expect(await keptDraft('one', 'a')).toMatchObject({ script: '10:00 easy', base: 3, by: 'a', change: 6 })
    leaveDraft('one', 'a', { ...draft('10'), change: 4 })
    expect((await keptDraft('one', 'a'))?.script).toBe('10:00 easy')
    leaveDraft('one', 'a', { ...draft('20:00'), change: 7 })
    await clearDraft('one', 'a')
    expect(await draftsOf('one')).toEqual([])
  })
  it.each(['{', 'null', '{"script":1,"base":2}', '{"script":"10:00"}'])('that is broken is none: %s', async text => {
    localStorage.setItem('agonis.desk.one.a', text)
    expect(await keptDraft('one', 'a')).toBeNull()
    expect(await draftsOf('one')).toEqual([])
  })
  it('says when the browser has no room', async () => {
    expect(await keepDraft('one', 'a', draft('10:00'))).toBe(true)
    disk.isFull = true
    expect(await keepDraft('one', 'a', draft('20:00'))).toBe(false)
    disk.isFull = false
    expect(await keepDraft('one', 'a', draft('30:00'))).toBe(true)
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
