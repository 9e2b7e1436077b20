import { describe, expect, it } from 'vitest'
import { seedsOr } from '../../tests/support/seeds'
import { simulate } from './simulate'

const seeds = seedsOr(1000)
const only = process.env.SEED

describe('desk, servers, link and two watches under faults', () => {
  it(
    only ? `keep every promise for seed ${only}` : `keep every promise for ${seeds} seeds`,
    async () => {
      const totals = { commits: 0, recordings: 0, crashes: 0, receipts: 0 }
      for (let seed = only ? Number(only) : 1; seed <= (only ? Number(only) : seeds); seed++) {
        const course = await simulate(seed)
        expect(course.faults, `seed ${seed}`).toEqual([])
        totals.commits += course.commits
        totals.recordings += course.recordings
        totals.crashes += course.crashes
        totals.receipts += course.receipts
      }
      if (only) return
      expect(totals.commits / seeds).toBeGreaterThan(1)
      expect(totals.receipts / seeds).toBeGreaterThan(1)
      expect(totals.recordings / seeds).toBeGreaterThan(0.5)
      expect(totals.crashes / seeds).toBeGreaterThan(1)
    },
    1_800_000,
  )

  it('takes the same course for the same seed', async () => {
    expect(await simulate(7)).toEqual(await simulate(7))
  })
})
