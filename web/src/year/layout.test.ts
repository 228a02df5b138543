import { expect, test } from 'vitest'
import type { Step } from '../api/client'
import { at, layers, months, packs, staysOn, thickest, type YearView } from './layout'

const year = (over: Partial<YearView> = {}): YearView =>
  ({
    from: '2026-12-01',
    until: '2027-12-01',
    months: [
      'DECEMBER',
      'JANUARY',
      'FEBRUARY',
      'MARCH',
      'APRIL',
      'MAY',
      'JUNE',
      'JULY',
      'AUGUST',
      'SEPTEMBER',
      'OCTOBER',
      'NOVEMBER',
    ].map((month, i) => ({ year: i === 0 ? 2026 : 2027, month })),
    stretches: [],
    bottles: [],
    ...over,
  }) as unknown as YearView

const step = (over: Partial<Step>): Step =>
  ({ product: 'p', kind: 'MOISTURISER', texture: 5, aWeek: 7, comesOff: false, ...over }) as Step

test('a day lies where it belongs in the year, and outside it at its ends', () => {
  expect(at(year(), '2026-12-01')).toBe(0)
  expect(at(year(), '2027-12-01')).toBe(1)
  expect(at(year(), '2027-06-01')).toBeCloseTo(182 / 365)
  expect(at(year(), '2026-01-01')).toBe(0)
  expect(at(year(), '2030-01-01')).toBe(1)
})

test('months follow one another; where the year begins within one, its rest stands at the end', () => {
  const whole = months(year())
  expect(whole).toHaveLength(12)
  expect(whole[0]).toMatchObject({ month: 'DECEMBER', year: 2026, from: 0 })
  expect(whole.at(-1)?.to).toBe(1)
  const within = months(year({ from: '2026-12-20', until: '2027-12-20' }))
  expect(within).toHaveLength(13)
  expect(within.at(-1)).toMatchObject({ month: 'DECEMBER', year: 2027, to: 1 })
  within.slice(1).forEach((m, i) => expect(m.from).toBe(within[i]?.to))
})

test('layers lie on one another from the skin outwards, thinner where they come on some nights only', () => {
  const steps = [
    step({ product: 'wash', kind: 'WASH', comesOff: true }),
    step({ product: 'serum', kind: 'SERUM', texture: 2 }),
    step({ product: 'retinal', kind: 'TREATMENT', texture: 7, aWeek: 2 }),
    step({ product: 'lips', kind: 'LIP', texture: 7 }),
    step({ product: 'cream', texture: 6 }),
  ]
  expect(staysOn(steps).map((s) => s.product)).toEqual(['serum', 'retinal', 'cream'])
  const drawn = layers(steps, 4)
  expect(drawn.map((l) => l.height)).toEqual([8, 8, 24])
  expect(drawn.map((l) => l.top)).toEqual([0, 8, 16])
  expect(layers([step({ texture: 1, aWeek: 1 })], 4)[0]?.height).toBe(5)
})

test('the thickest routine of the year sets the measure', () => {
  const routine = (...textures: number[]) => ({ steps: textures.map((texture) => step({ texture })) })
  const stretches = [
    { morning: routine(2, 4), evening: routine(5) },
    { morning: routine(1), evening: routine(6, 7) },
  ] as unknown as YearView['stretches']
  expect(thickest(year({ stretches }))).toBe(13)
  expect(thickest(year())).toBe(1)
})

test('a pack that lasts beyond the year has no day on which it ends', () => {
  const bottle = {
    packs: [
      { from: '2026-12-01', until: '2027-06-01', end: 'PAST_ITS_TIME', lasts: false, hers: true },
      { from: '2027-06-01', until: '2027-12-01', end: 'NOT_KNOWN', lasts: true, hers: false },
    ],
  } as unknown as YearView['bottles'][number]
  expect(packs(year(), bottle)).toMatchObject([
    { from: 0, ends: '2027-06-01', past: true, hers: true },
    { to: 1, ends: null, past: false, hers: false },
  ])
})
