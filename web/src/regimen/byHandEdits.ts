import type { Part, VisitDocument } from '../api/client'

type Choice = VisitDocument['pins'][number]

const not = (part: Part, product: string) => (c: Choice) => !(c.part === part && c.product === product)

/** Puts a product into a routine by hand. */
export const putIn = (d: VisitDocument, part: Part, product: string): VisitDocument => ({
  ...d,
  pins: [...d.pins.filter(not(part, product)), { part, product }],
  takenOut: d.takenOut.filter(not(part, product)),
})

/** Takes a product out of a routine by hand. */
export const takeOut = (d: VisitDocument, part: Part, product: string): VisitDocument => ({
  ...d,
  pins: d.pins.filter(not(part, product)),
  takenOut: [...d.takenOut.filter(not(part, product)), { part, product }],
})

export const swap = (d: VisitDocument, part: Part, from: string, to: string): VisitDocument =>
  putIn(takeOut(d, part, from), part, to)

/** Lets the engine decide about a product again. */
export const release = (d: VisitDocument, part: Part, product: string): VisitDocument => ({
  ...d,
  pins: d.pins.filter(not(part, product)),
  takenOut: d.takenOut.filter(not(part, product)),
})
