import type { Page } from '@playwright/test'
import type { Face, FaceTarget } from '../../core/wrist/engine/face'
import type { Glass } from '../../shared/api'
import { formatTime } from '../../core/quantity/time'
import { expect, test } from './page'

/** Stands in for the stream of the glass, so that any face can be shown. */
async function feedable(page: Page): Promise<void> {
  await page.addInitScript(() => {
    class Fed extends EventTarget {
      static readonly OPEN = 1
      readyState = 1
      onopen: (() => void) | null = null
      onmessage: ((event: { data: string }) => void) | null = null
      constructor(url: string) {
        super()
        if (url.includes('/standin/')) Object.assign(window, { fed: this })
        setTimeout(() => this.onopen?.())
      }
      close() {}
    }
    Object.assign(window, { EventSource: Fed })
  })
}

const glass: Omit<Glass, 'face' | 'look'> = {
  watch: 'quay',
  profile: 'all-sport',
  slots: [{ slot: 1, name: 'Any', isOwn: false }],
  chosen: 1,
  rows: [],
  said: null,
  entrances: null,
  changes: null,
  knobs: { top: 'resume', middle: 'press', bottom: 'look' },
  code: null,
  isOn: true,
  isPaired: true,
  clockOff: 0,
  recordingsWaiting: 0,
  speed: 1,
  links: {} as Glass['links'],
}
const target: FaceTarget = { words: '4:00-4:20 /km', easiest: '4:20', hardest: '4:00', unit: '/km', value: '4:10', side: 'inside', at: 0.5 }
const face: Face = {
  phase: 'running',
  title: 'Any',
  where: '400 m · set 1 of 2 · rep 1 of 3',
  step: '400 m',
  role: 'work',
  figure: '0:30',
  figureIs: 'left',
  progress: 0.5,
  target,
  also: null,
  next: 'then recovery 2:00',
  heartRate: 140,
  total: { time: '10:00', distance: '2.4 km' },
  ceilingCrossed: false,
  silent: null,
}
const figures = [
  ...[0, 9, 59, 60, 599, 600, 3599, 3600, 35_999, 36_000, 172_800].map(formatTime),
  ...[1, 25, 400, 9999, 99_999, 1_000_000].map(metres => `${metres} m`),
  ...['0.01 mi', '26.22 mi', '621.37 mi', '1760 yd', '300 kcal', '40000 kcal', '999'],
]
const targets: FaceTarget[] = [
  target,
  { ...target, easiest: '59:59', hardest: '59:58', value: '59:59', unit: '/100yd' },
  { ...target, easiest: null, hardest: '2500', value: '2500', unit: 'W' },
  { ...target, easiest: '119.9', hardest: '120.0', value: '119.9', unit: 'km/h', at: 1, side: 'too-hard' },
  { ...target, easiest: '140', hardest: null, value: null, unit: 'bpm', side: null, at: null },
  { ...target, easiest: '9.5', hardest: '10', value: '9.5', unit: 'of 10', at: 0, side: 'too-easy' },
]
const faces: Face[] = [
  ...figures.flatMap(figure => targets.map(one => ({ ...face, figure, target: one }))),
  ...figures.map(figure => ({ ...face, figure, target: null })),
  ...figures.map(figure => ({ ...face, figure, ceilingCrossed: true, heartRate: 199 })),
  {
    ...face,
    figure: '47:59:59',
    where: `recovery 1000000 m · ${'set 12: 999 of 999 · '.repeat(5)}rep 999 of 999`,
    next: `then ${'recovery 48:00:00 @ 119.9 km/h '.repeat(4)}`,
  },
  { ...face, silent: 'no heart rate, no pace, no power, no cadence', phase: 'paused' },
]

/** What of the shown face wraps, overlaps or leaves the glass; run in the page. */
function faults(): string[] {
  const box = document.querySelector('[data-test=glass]')!.getBoundingClientRect()
  const parts = [...document.querySelectorAll<HTMLElement>('[data-test=glass] > p, [data-test=glass] dd, [data-test=glass] dt')]
  const found: string[] = []
  const numbers = [...document.querySelectorAll<HTMLElement>('.figure, .value, .ends span, .look dd')]
  for (const number of numbers) {
    const range = document.createRange()
    range.selectNodeContents(number)
    const rows = new Set([...range.getClientRects()].filter(rect => rect.width > 0).map(rect => Math.round(rect.bottom / 8)))
    const own = range.getBoundingClientRect()
    if (number.matches('.figure, .ends span') && rows.size > 1) found.push(`wraps: ${number.textContent}`)
    if (own.left < box.left - 0.5 || own.right > box.right + 0.5) found.push(`leaves the glass: ${number.textContent}`)
  }
  const ends = [...document.querySelectorAll('.ends span')].map(end => end.getBoundingClientRect())
  if (ends.length === 2 && ends[0]!.right > ends[1]!.left + 0.5) found.push('the ends of the band overlap')
  parts.forEach((part, index) => {
    const next = parts[index + 1]
    if (!next || part.matches('dt')) return
    const [above, below] = [part.getBoundingClientRect(), next.getBoundingClientRect()]
    if (above.height > 0 && below.height > 0 && above.bottom > below.top + 1 && above.right > below.left && below.right > above.left)
      found.push(`overlaps: ${part.textContent} / ${next.textContent}`)
  })
  const last = parts.at(-1)!.getBoundingClientRect()
  if (last.bottom > box.bottom + 0.5) found.push(`too tall: ${parts.map(part => part.textContent).join(' | ')}`)
  return found
}

for (const [name, size] of [
  ['a desk', { width: 1280, height: 800 }],
  ['a phone', { width: 390, height: 800 }],
  ['a small phone', { width: 320, height: 640 }],
] as const) {
  test(`on ${name} no number of a face wraps, overlaps or leaves the glass`, async ({ app }) => {
    await feedable(app)
    await app.setViewportSize(size)
    await app.goto('/standin')
    await app.waitForFunction(() => 'fed' in window)
    const shown: string[] = []
    for (const one of faces) {
      for (const look of one.target === target ? [false, true] : [false]) {
        const words = JSON.stringify({ ...glass, face: one, look })
        shown.push(
          ...((await app.evaluate(async data => {
            const { fed } = window as unknown as { fed: { onmessage: (event: { data: string }) => void } }
            fed.onmessage({ data })
            await new Promise(requestAnimationFrame)
            await new Promise(requestAnimationFrame)
            return null
          }, words)) ?? []),
          ...(await app.evaluate(faults)),
        )
      }
    }
    expect(await app.locator('[data-test=look] dd').count()).toBeGreaterThan(2)
    expect([...new Set(shown)]).toEqual([])
  })
}
