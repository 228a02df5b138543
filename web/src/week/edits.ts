import { daysAfter } from '../shared/day'
import type { Schemas, VisitDocument } from '../api/client'
import { USUAL_WEEK } from '../visit/fields'

export type Week = Schemas['Week']
export type Evening = Schemas['Evening']
export type Track = Schemas['Track']
export type Weeks = Schemas['Weeks']

export const weekOf = (document: VisitDocument): Week => document.week ?? USUAL_WEEK

type Edit = (document: VisitDocument) => VisitDocument

const edited =
  (edit: (week: Week) => Week): Edit =>
  (document) => ({ ...document, week: edit(weekOf(document)) })

/**
 * @param nights after which they come again; none for as the method has it
 * @param first the night from which a rhythm of other nights than a week's is counted
 */
export const every = (nights: number | null, first: string) =>
  edited((w) => ({ ...w, every: nights, first: nights === null || nights === 7 ? null : first }))

/** All nights one later; the method's own become hers with that. */
export const shifted = (now: Schemas['Rhythm']) => every(now.every, daysAfter(now.first, 1))

export const withEvening = (evening: Schemas['OwnEvening']) =>
  edited((w) => ({
    ...w,
    evenings: [...w.evenings.filter((e) => !sameEvening(e, evening)), evening],
  }))

export const withoutEvening = (evening: Schemas['OwnEvening']) =>
  edited((w) => ({ ...w, evenings: w.evenings.filter((e) => !sameEvening(e, evening)) }))

const sameEvening = (a: Schemas['OwnEvening'], b: Schemas['OwnEvening']) =>
  a.kind === b.kind && (a.weekday ?? '') === (b.weekday ?? '') && (a.date ?? '') === (b.date ?? '')

export const withCourse = (course: Schemas['CourseOf']) =>
  edited((w) => ({ ...w, courses: [...w.courses.filter((c) => c.product !== course.product), course] }))

export const withoutCourse = (product: string) =>
  edited((w) => ({ ...w, courses: w.courses.filter((c) => c.product !== product) }))

/** One evening of one thing by hand; it takes the place of an earlier word about the same evening. */
export const byHand = (night: Schemas['NightByHand']) =>
  edited((w) => ({ ...w, byHand: [...others(w, night.product, night.date), night] }))

/** The nights of some things as they are now, whatever is planned for these evenings later. */
export const kept = (evenings: Evening[], products: string[], why: string) =>
  edited((w) => ({
    ...w,
    byHand: [
      ...w.byHand.filter((n) => !(products.includes(n.product) && evenings.some((e) => e.date === n.date))),
      ...evenings.flatMap((e) =>
        products.map((product) => {
          const before = w.byHand.find((n) => n.product === product && n.date === e.date)
          return before ?? { product, date: e.date, on: e.uses.some((u) => u.product === product), why }
        }),
      ),
    ],
  }))

/** Every evening as it is planned. */
export const allPlanned = edited((w) => ({ ...w, byHand: [] }))

/** The evening as it is planned again. */
export const planned = (product: string, date: string) =>
  edited((w) => ({ ...w, byHand: others(w, product, date) }))

const others = (w: Week, product: string, date: string) =>
  w.byHand.filter((n) => n.product !== product || n.date !== date)
