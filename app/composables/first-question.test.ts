import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { askFirst, firstAnswer } from './first-question'

describe('the first question', () => {
  const ask = vi.fn()
  beforeEach(() => {
    vi.useFakeTimers()
    ask.mockReset().mockImplementation(async () => new Response('{"number":7}'))
    vi.stubGlobal('fetch', ask)
  })
  afterEach(() => {
    vi.useRealTimers()
    vi.unstubAllGlobals()
  })

  it('is answered once, also where two ask at the same time', async () => {
    askFirst()
    const [one, other] = await Promise.all([firstAnswer('/me', 'GET'), firstAnswer('/me', undefined)])
    expect(await one!.json()).toEqual({ number: 7 })
    expect(other).toBeNull()
    expect(ask).toHaveBeenCalledTimes(1)
  })

  it('answers no other question, and no change', async () => {
    askFirst()
    expect(await firstAnswer('/watches', 'GET')).toBeNull()
    expect(await firstAnswer('/me', 'PUT')).toBeNull()
    expect(await firstAnswer('/me', 'GET')).not.toBeNull()
  })

  it('is asked anew where its answer has waited too long, was refused, or never came', async () => {
    askFirst()
    vi.advanceTimersByTime(15_001)
    expect(await firstAnswer('/me', 'GET')).toBeNull()
    ask.mockImplementation(async () => new Response('', { status: 401 }))
    askFirst()
    expect(await firstAnswer('/me', 'GET')).toBeNull()
    ask.mockImplementation(async () => Promise.reject(new Error('away')))
    askFirst()
    expect(await firstAnswer('/me', 'GET')).toBeNull()
  })
})
