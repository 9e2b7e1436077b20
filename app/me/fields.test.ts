import { describe, expect, it } from 'vitest'
import { validateAthlete } from '../../core/formats/validate'
import { ilse } from '../../demo/athlete'
import { fieldGroups, readyForFields } from './fields'

const fields = new Map(fieldGroups.flatMap(group => group.fields).map(field => [field.key, field]))

describe('the numbers of Me', () => {
  it.each([...fields.keys()])('%s shows what it keeps, and what it keeps is a good document', key => {
    const field = fields.get(key)!
    const shown = field.show(ilse)
    expect(shown).not.toBe('')
    const kept = field.keep(readyForFields(ilse), shown)
    if (typeof kept === 'string') throw new Error(kept)
    expect(field.show(kept)).toBe(shown)
    expect(validateAthlete(kept)).toMatchObject({ ok: true })
  })

  it.each([
    ['heart-max', '400', 'a number from 100 to 230 bpm'],
    ['heart-max', 'high', 'a number from'],
    ['run-critical', '4.38', 'a pace as in 4:38'],
    ['run-critical', '0:10', 'a pace'],
    ['usual-warm-up', 'long', 'a time as in 15:00'],
    ['heart-rest', '105', 'below your maximum of 104 bpm'],
    ['heart-max', '101', 'above your heart rate at rest of 102 bpm'],
  ])('%s refuses "%s" and says what it takes', (key, typed, words) => {
    const athlete = key === 'heart-rest' ? { ...ilse, heart: { max: 104 } } : typed === '101' ? { ...ilse, heart: { rest: 102 } } : ilse
    expect(fields.get(key)!.keep(athlete, typed)).toContain(words)
  })

  it('takes a decimal comma, and nothing for a number that is not known', () => {
    expect(fields.get('ride-power')!.keep(ilse, '212,5')).toMatchObject({ ride: { criticalPower: 212.5 } })
    const without = fields.get('ride-power')!.keep(ilse, ' ')
    expect(typeof without !== 'string' && without.ride).not.toHaveProperty('criticalPower')
  })

  it('keeps a pace as a speed and reads it back to the second', () => {
    const kept = fields.get('run-critical')!.keep(ilse, '4:30')
    expect(typeof kept !== 'string' && kept.run!.criticalSpeed).toBeCloseTo(1000 / 270, 4)
  })

  it("brings a single pace to the run's", () => {
    expect(readyForFields({ ...ilse, easyPace: 360 }).easyPace).toEqual({ run: 360 })
    expect(readyForFields({ format: 'agonis.athlete', version: 1, name: 'x' })).toMatchObject({
      usual: { warmUpSeconds: 900 },
      units: { run: 'km' },
    })
  })
})
