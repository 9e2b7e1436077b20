import type { Card, Measure, PaperSize } from './card'
import { cardSizes, layCard } from './card'
import { plainRow } from './plain-row'

/** A page for the wall, and a third of one for the door of a fridge. */
export const weekSizes = {
  page: { ...cardSizes.a4, largest: 6.5, smallest: 3 },
  strip: { width: 70, height: 297, margin: 6, largest: 5, smallest: 2.6 },
} as const satisfies Record<string, PaperSize>
export type WeekSize = keyof typeof weekSizes

/** A day of the week on paper: its name, and what is on it, in words. */
export interface WeekCardDay {
  name: string
  lines: readonly string[]
}

/** A week on paper: each day with a bracket around what is on it; onto more pages where one has no room for all of it. */
export function weekCard(
  { title, summary, days }: { title: string; summary: string; days: readonly WeekCardDay[] },
  size: WeekSize,
  measure?: Measure,
): Card {
  const rows = days.flatMap(({ name, lines }, index) => [
    plainRow(`${index + 1}`, 'block', name),
    ...lines.map((line, place) => plainRow(`${index + 1}.${place + 1}`, 'step', line)),
  ])
  return layCard({ title, summary, rows }, weekSizes[size], measure)
}
