import type { Athlete } from '../core/athlete/athlete'

/** Ilse Brandvik, 41, preparing for the Sund Crossing on the invented Skarholm archipelago. */
export const ilse: Athlete = {
  format: 'agonis.athlete', version: 1,
  name: 'Ilse Brandvik', timeZone: 'Europe/Oslo', weekStart: 1, birthDate: '1984-11-02', sex: 'female', massKg: 63,
  units: { run: 'km', ride: 'km', swim: 'm' },
  heart: { max: 182, rest: 50, threshold: 167, aerobicThreshold: 146 },
  run: { criticalPower: 248, wPrime: 12000, criticalSpeed: 3.6, dPrime: 150 },
  ride: { criticalPower: 215, wPrime: 15000, bike: { massKg: 9.5, cda: 0.33, crr: 0.006 } },
  swim: { criticalSpeed: 0.893 },
  efforts: [
    { sport: 'run', metres: 10000, seconds: 2820, date: '2026-03-07' },
    { sport: 'run', metres: 3000, seconds: 784, date: '2026-02-21' },
    { sport: 'run', metres: 2000, seconds: 510, date: '2026-02-14' },
    { sport: 'swim', metres: 400, seconds: 436, date: '2026-02-18' },
    { sport: 'swim', metres: 200, seconds: 212, date: '2026-02-18' },
    { sport: 'ride', seconds: 1200, watts: 228, date: '2026-02-25' },
    { sport: 'ride', seconds: 720, watts: 235, date: '2026-02-11' },
    { sport: 'ride', seconds: 180, watts: 299, date: '2026-02-11' },
  ],
  goals: [{ name: 'Sund Crossing, quay run', sport: 'run', metres: 10000, seconds: 2760, date: '2026-06-20' }],
  usual: { warmUpSeconds: 900, coolDownSeconds: 600, otherOpenSeconds: 180 },
  easyPace: { run: 355, swim: 1280 }, recoveryPace: { run: 390, swim: 1400 }, walkPace: { run: 600 },
  preferredMeasure: { run: 'heart-rate', ride: 'power', swim: 'pace' },
  schools: { band: { kind: 'lean-fast' }, racePrediction: 'power-law' },
}
