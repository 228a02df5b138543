import type { Schemas, Step } from '../api/client'
import { MONTHS } from '../shared/format'

export type YearView = Schemas['YearView']
export type Stretch = Schemas['StretchView']

const DAY_MS = 24 * 60 * 60 * 1000

const day = (iso: string) => Date.parse(`${iso}T00:00:00Z`) / DAY_MS

/** How far into the year a day lies: 0 on its first, 1 after its last; days outside it are drawn at its ends. */
export function at(year: Pick<YearView, 'from' | 'until'>, iso: string): number {
  const share = (day(iso) - day(year.from)) / (day(year.until) - day(year.from))
  return Math.min(1, Math.max(0, share))
}

/** The last day of a part of the year. */
export const lastDay = (part: Pick<Stretch, 'until'>) =>
  new Date((day(part.until) - 1) * DAY_MS).toISOString().slice(0, 10)

/** A month on the line of days: where it begins and ends. */
export type MonthAt = { year: number; month: Schemas['MonthAhead']['month']; from: number; to: number }

const first = (year: number, month: number) => `${year}-${String(month).padStart(2, '0')}-01`

/** The months, the first and its like a year later cut where the year begins and ends. */
export function months(year: YearView): MonthAt[] {
  const all = year.months.map((m) => {
    const n = MONTHS.indexOf(m.month) + 1
    const next = n === 12 ? first(m.year + 1, 1) : first(m.year, n + 1)
    return { year: m.year, month: m.month, from: at(year, first(m.year, n)), to: at(year, next) }
  })
  const last = all.at(-1)
  return last && last.to < 1 && all[0]
    ? [...all, { year: all[0].year + 1, month: all[0].month, from: last.to, to: 1 }]
    : all
}

/** A layer of a stretch, drawn as a band along the days. */
export type LayerAt = { step: Step; top: number; height: number }

const LEAST = 5

const thick = (s: Step) => s.texture * (s.aWeek / 7)

/** What stays on the skin, in the order in which it goes on; what is for lips and eyes is no layer of the face. */
export const staysOn = (steps: Step[]) =>
  steps.filter((s) => !s.comesOff && s.kind !== 'LIP' && s.kind !== 'EYE')

/** The thickest routine of a year, in grades of texture: by it both halves are drawn. */
export function thickest(year: YearView): number {
  const all = year.stretches.flatMap((s) => [s.morning, s.evening])
  return Math.max(1, ...all.map((r) => staysOn(r.steps).reduce((sum, s) => sum + thick(s), 0)))
}

/**
 * Layers from the skin outwards.
 *
 * @param unit px for a grade of texture
 * @returns distance from the skin and height of each, px
 */
export function layers(steps: Step[], unit: number): LayerAt[] {
  let top = 0
  return staysOn(steps).map((step) => {
    const height = Math.max(LEAST, thick(step) * unit)
    const layer = { step, top, height }
    top += height
    return layer
  })
}

/** A pack of a bottle as a bar, with what is written on it where there is room. */
export type PackAt = { from: number; to: number; ends: string | null; past: boolean; hers: boolean }

export const packs = (year: YearView, bottle: Schemas['BottleView']): PackAt[] =>
  bottle.packs.map((p) => ({
    from: at(year, p.from),
    to: at(year, p.until),
    ends: p.lasts ? null : p.until,
    past: p.end === 'PAST_ITS_TIME',
    hers: p.hers,
  }))
