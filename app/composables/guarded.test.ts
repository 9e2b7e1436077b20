import { afterAll, beforeAll, beforeEach, expect, it, vi } from 'vitest'
import { computed, ref, shallowRef } from 'vue'
import { useGuarded } from './guarded'
import { useLastAsked } from './last-asked'
import { usePlan } from './plan'

const toldOf = (error: unknown) => ({ status: 0, problem: (error as Error).message, where: 'here', hint: '' })
const api = vi.fn<(path: string, options?: object) => Promise<unknown>>()
beforeAll(() => {
  for (const [name, one] of Object.entries({ computed, ref, shallowRef, toldOf, useGuarded, useLastAsked, api })) vi.stubGlobal(name, one)
})
afterAll(() => void vi.unstubAllGlobals())
beforeEach(() => void api.mockReset())

/** Something under way, ended by hand. */
function underWay() {
  let end!: (value?: unknown) => void
  let fail!: (error: Error) => void
  const work = new Promise<unknown>((resolve, reject) => ([end, fail] = [resolve, reject]))
  return { work, end, fail }
}
const refuse = (words: string) => async () => {
  throw new Error(words)
}

it('is busy until the last of what was asked for is done, and never with what nobody asked for', async () => {
  const { isBusy, guarded, quietly } = useGuarded()
  const [first, second, own] = [underWay(), underWay(), underWay()]
  const looked = quietly(() => own.work)
  expect(isBusy.value).toBe(false)
  const done = [guarded(() => first.work), guarded(() => second.work)]
  first.end()
  await done[0]
  expect(isBusy.value).toBe(true)
  second.fail(new Error('no'))
  await done[1]
  expect(isBusy.value).toBe(false)
  own.end()
  await looked
})

it('leaves a problem that is being read, and takes back its own once it is over', async () => {
  const { problem, guarded, quietly } = useGuarded()
  await guarded(refuse('asked'))
  await quietly(refuse('unasked'))
  await quietly(async () => {})
  expect(problem.value?.problem).toBe('asked')
  await guarded(async () => {})
  expect(problem.value).toBeNull()
  await quietly(refuse('away'))
  expect(problem.value?.problem).toBe('away')
  await quietly(async () => {})
  expect(problem.value).toBeNull()
})

it('shows the plan as it was asked for last, though the answers come the other way round', async () => {
  const plan = usePlan(
    () => '2026-11-02',
    () => '2026-11-08',
  )
  const [earlier, later] = [underWay(), underWay()]
  api.mockReturnValueOnce(earlier.work).mockReturnValueOnce(later.work)
  const looked = [plan.lookAgain(), plan.lookAgain()]
  later.end({ entries: ['as it is'] })
  await looked[1]
  earlier.end({ entries: ['as it was'] })
  await looked[0]
  expect(plan.span.value).toEqual({ entries: ['as it is'] })
})
