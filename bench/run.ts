/** npm run bench: figures as ratios within one run, so that the machine's mood divides out. */
import { Bench } from 'tinybench'
import { ilse } from '../demo/athlete'
import { rehearse } from '../standin/body/rehearse'
import { score } from '../core/record/score'
import { SaxesParser } from 'saxes'
import { readRecordingGpx } from '../core/exchange/read-gpx'
import { observe } from '../core/record/observe'
import { advise } from '../core/advise/advise'
import { forecastOf } from '../core/forecast/forecast'
import { finish, forecastingNudges, heldSteps } from '../core/forecast/nudges'
import { reckon } from '../core/reckon/reckon'
import { sheetRows } from '../core/reckon/sheet'
import { readScript } from '../core/script/reader/read-script'
import { advance, initialState } from '../core/wrist/engine/engine'
import { fit } from '../core/wrist/fit/fit'
import { readFrame, seal } from '../core/wrist/link/frame'
import { profileNamed } from '../core/wrist/program/profile'
import { nobody } from '../core/athlete/standpoint'
import { seenBy } from '../tests/support/standpoint'

const rows = Array.from({ length: 200 }, (_, index) => `${1 + (index % 9)}:00 @ 4:${20 + (index % 30)}-4:${25 + (index % 30)} /km`)
const canonical = `sport run\n\n${rows.join('\n')}\n`
const shorthand = Array.from({ length: 100 }, (_, index) => `${2 + (index % 8)} x ${1 + (index % 5)} min w/ 90 s easy`).join('\n')
const megabyte = shorthand.repeat(Math.floor((1024 * 1024) / shorthand.length / 1.01))
const jsonText = JSON.stringify(readScript(canonical, nobody).sessions[0])
/** A megabyte in which no line comes twice. */
const varied = Array.from(
  { length: 30_000 },
  (_, index) =>
    [
      `${2 + (index % 8)} x ${1 + (index % 5)} min w/ ${30 + (index % 997)} s easy`,
      `${400 + index} m @ 5k effort + ${index % 20} s/km`,
      `${1 + (index % 59)}:${String(index % 60).padStart(2, '0')} @ 4:${10 + (index % 50)}-5:${10 + (index % 50)} /km`,
      `${index % 90}.${index} km WU, ${3 + (index % 6)}x${2 + (index % 9)}min w ${60 + (index % 60)}s float`,
      `good morning all, the boathouse key number ${index} is with the club`,
    ][index % 5]!,
)
  .join('\n')
  .slice(0, 1024 * 1024 - 2)
const jsonMegabyte = JSON.stringify({ text: varied.split('\n') })

const all = profileNamed('all-sport')!
const sixHours = fit(
  readScript('sport run\n\n12 times\n  20:00 @ 5:00-5:20 /km\n  recovery 10:00', nobody).sessions[0]!,
  all,
  seenBy(ilse),
).program
const recording = rehearse(sixHours, ilse, { seed: 1, startedAt: '2026-03-31T06:00:00.000Z' })
const sixtySteps = fit(
  readScript('sport run\n\n30 times\n  1:00 @ 4:00-4:20 /km\n  recovery 1:00', nobody).sessions[0]!,
  all,
  seenBy(ilse),
).program

/** Everything that a keystroke at the Desk computes. */
function keystroke(text: string) {
  const session = readScript(text, nobody).sessions[0]!
  const reckoning = reckon(session, seenBy(ilse))
  return [sheetRows(session, reckoning, seenBy(ilse)), advise(session, reckoning, seenBy(ilse))]
}

function hourOfEngine() {
  let { state } = advance(sixtySteps, initialState, { kind: 'start', t: 0 })
  for (let t = 1; state.phase !== 'finished'; t++)
    state = advance(sixtySteps, state, { kind: 'reading', t, metres: t * 3, heartRate: 140, power: null, cadence: null }).state
}

/** A simulated body carries the same hour out. */
const rehearsal = () => rehearse(sixtySteps, ilse, { seed: 1, startedAt: '2026-03-31T06:00:00.000Z' })
const sealed = () =>
  readFrame(seal('11'.repeat(32), 'server', 'w', 1, { kind: 'chunk', digest: 'f'.repeat(64), offset: 0, bytes: 'x'.repeat(684) }))

const hour = readScript('sport run\n\nwarm-up 15:00\n6 times\n  5:00 @ 4:20-4:26 /km\n  recovery 1:00\ncool-down 9:00', nobody).sessions[0]!
const hourHeld = heldSteps(hour, reckon(hour, seenBy(ilse)), seenBy(ilse), all)
const tenThousandHours = () => finish(forecastingNudges(hourHeld, all, { runs: 10_000 }))

/** A megabyte of GPX, a point a second with heart rate and cadence. */
const gpxPoints = Array.from({ length: 6500 }, (_, index) => {
  const time = new Date(Date.UTC(2026, 2, 31, 6) + index * 1000).toISOString()
  const beside = `<extensions><hr>${120 + (index % 50)}</hr><cad>${80 + (index % 9)}</cad></extensions>`
  return `<trkpt lat="${59 + index * 2e-5}" lon="5.4"><ele>${20 + (index % 40) / 4}</ele><time>${time}</time>${beside}</trkpt>`
})
const gpx = `<?xml version="1.0"?><gpx version="1.1"><trk><type>running</type><trkseg>${gpxPoints.join('\n')}</trkseg></trk></gpx>`
/** The parser alone: every event is told, and nothing made of it. */
function parserAlone(): number {
  let told = 0
  const parser = new SaxesParser({ position: true })
  for (const event of ['opentag', 'text', 'closetag'] as const) parser.on(event, () => void told++)
  for (let at = 0; at < gpx.length; at += 256 * 1024) parser.write(gpx.slice(at, at + 256 * 1024))
  parser.close()
  return told
}
const { marks: _, ...samplesAlone } = recording
const unled = { ...samplesAlone, marks: [] }

const bench = new Bench({ time: 1000, iterations: 5, warmupTime: 200, warmupIterations: 2 })
bench
  .add('JSON.parse of a 200-step session', () => JSON.parse(jsonText) as unknown)
  .add('keystroke, 200 steps: read, reckon, rows, thoughts', () => keystroke(canonical))
  .add('JSON.parse of a megabyte', () => JSON.parse(jsonMegabyte) as unknown)
  .add('read a megabyte of shorthand', () => readScript(megabyte, nobody))
  .add('read a megabyte, no line twice', () => readScript(varied, nobody))
  .add('score 6 h, one sample a second', () => score(sixHours, recording, nobody.athlete))
  .add('score 6 h without marks, by its shape', () => score(sixHours, unled, nobody.athlete))
  .add('what is noticed of 6 h', () => observe(recording, sixHours, null))
  .add('engine, an hour of 60 steps', hourOfEngine)
  .add('rehearsal, an hour of 60 steps', rehearsal)
  .add('one sealed frame of a radio', sealed)
  .add('what an hour does to the athlete', () => forecastOf(hour, seenBy(ilse)))
  .add('nudges of 10 000 sessions of 60 min', tenThousandHours)
await bench.run()

const median = (name: string) => bench.getTask(name)!.result!.latency.p50!
const worst = (name: string) => bench.getTask(name)!.result!.latency.p99!
for (const task of bench.tasks)
  console.log(
    `${task.name.padEnd(44)} median ${median(task.name).toFixed(2).padStart(8)} ms   p99 ${worst(task.name).toFixed(2).padStart(8)} ms`,
  )
const ratio = (name: string, base: string) => console.log(`${name} / ${base}: ${(median(name) / median(base)).toFixed(1)}`)
ratio('keystroke, 200 steps: read, reckon, rows, thoughts', 'JSON.parse of a 200-step session')
ratio('read a megabyte of shorthand', 'JSON.parse of a megabyte')
ratio('read a megabyte, no line twice', 'JSON.parse of a megabyte')
ratio('score 6 h, one sample a second', 'JSON.parse of a megabyte')
ratio('score 6 h without marks, by its shape', 'JSON.parse of a megabyte')
ratio('what is noticed of 6 h', 'JSON.parse of a megabyte')
ratio('engine, an hour of 60 steps', 'JSON.parse of a megabyte')
ratio('rehearsal, an hour of 60 steps', 'JSON.parse of a megabyte')
ratio('one sealed frame of a radio', 'JSON.parse of a 200-step session')
ratio('what an hour does to the athlete', 'JSON.parse of a megabyte')
ratio('nudges of 10 000 sessions of 60 min', 'JSON.parse of a megabyte')

/** Two works in turn, so that a machine that changes its pace meanwhile does so for both. */
function inTurn(one: () => unknown, other: () => unknown, rounds = 60): number[] {
  const times: number[][] = [[], []]
  for (let round = 0; round < rounds; round++) {
    for (const [index, work] of [one, other].entries()) {
      const begun = performance.now()
      work()
      times[index]!.push(performance.now() - begun)
    }
  }
  return times.map(taken => taken.sort((quick, slow) => quick - slow)[rounds / 2]!)
}
const [asRecording, alone] = inTurn(() => readRecordingGpx(gpx), parserAlone) as [number, number]
const inMs = (time: number) => `${time.toFixed(1)} ms`
const share = (asRecording / alone).toFixed(2)
console.log(`a megabyte of GPX: read as a recording ${inMs(asRecording)}, the parser alone ${inMs(alone)}: ${share}`)
