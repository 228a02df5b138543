import { describe, expect, test } from 'vitest'
import type { VisitDocument } from '../api/client'
import type { Evening } from './edits'
import {
  allPlanned,
  byHand,
  every,
  kept,
  planned,
  shifted,
  weekOf,
  withCourse,
  withEvening,
  withoutCourse,
  withoutEvening,
} from './edits'

const document = {} as VisitDocument
const swims = { kind: 'swim', weekday: 'WEDNESDAY' as const, date: null }

describe('the nights of a visit', () => {
  test('a visit that says nothing goes as its method has it', () => {
    expect(weekOf(document)).toEqual({ every: null, first: null, evenings: [], courses: [], byHand: [] })
  })

  test('other nights are counted from a first one, and shifted with it', () => {
    const third = every(3, '2026-11-30')(document)
    expect(weekOf(third)).toMatchObject({ every: 3, first: '2026-11-30' })
    expect(weekOf(shifted({ every: 3, first: '2026-11-30' })(third)).first).toBe('2026-12-01')
    expect(weekOf(every(7, '2026-11-30')(third)).first).toBeNull()
    expect(weekOf(every(null, '2026-11-30')(third))).toMatchObject({ every: null, first: null })
    // the method's own, once shifted, are hers
    expect(weekOf(shifted({ every: 2, first: '1970-01-01' })(document))).toMatchObject({
      every: 2,
      first: '1970-01-02',
    })
  })

  test('an evening that is not free stands once, and is taken back by what it is', () => {
    const twice = withEvening(swims)(withEvening(swims)(document))
    expect(weekOf(twice).evenings).toEqual([swims])
    expect(weekOf(withoutEvening({ ...swims, weekday: 'MONDAY' })(twice)).evenings).toHaveLength(1)
    expect(weekOf(withoutEvening(swims)(twice)).evenings).toEqual([])
  })

  test('evenings that are kept stay with and without a thing, and what she said about one before', () => {
    const said = byHand({ product: 'a', date: '2026-12-01', on: true, why: 'a wedding' })(document)
    const evenings = ['2026-11-30', '2026-12-01', '2026-12-02'].map(
      (date) => ({ date, uses: date.endsWith('30') ? [{ product: 'a' }] : [] }) as unknown as Evening,
    )
    const all = kept(evenings, ['a'], 'kept')(said)
    expect(weekOf(all).byHand.map((n) => [n.date.slice(-2), n.on, n.why])).toEqual([
      ['30', true, 'kept'],
      ['01', true, 'a wedding'],
      ['02', false, 'kept'],
    ])
    expect(weekOf(kept(evenings, ['a'], 'kept')(all)).byHand).toEqual(weekOf(all).byHand)
    expect(weekOf(allPlanned(all)).byHand).toEqual([])
  })

  test('a product has one course at a time', () => {
    const one = withCourse({ product: 'a', kind: 'thirty_days', from: '2026-12-01' })(document)
    const other = withCourse({ product: 'a', kind: 'three_months', from: '2026-12-01' })(one)
    expect(weekOf(other).courses.map((c) => c.kind)).toEqual(['three_months'])
    expect(weekOf(withoutCourse('a')(other)).courses).toEqual([])
  })

  test('the last word about an evening counts, and as planned takes it back', () => {
    const night = { product: 'a', date: '2026-12-01', on: true, why: 'x' }
    const off = byHand({ ...night, on: false })(byHand(night)(document))
    expect(weekOf(off).byHand).toEqual([{ ...night, on: false }])
    expect(weekOf(planned('a', '2026-12-02')(off)).byHand).toHaveLength(1)
    expect(weekOf(planned('a', '2026-12-01')(off)).byHand).toEqual([])
  })
})
