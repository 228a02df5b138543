import type { Part, Step, VisitDocument } from '../api/client'

type Choice = VisitDocument['pins'][number]
export type StepByHand = VisitDocument['steps'][number]
/** What becomes otherwise; no condition is null. */
export type ByHandChange = Partial<Omit<StepByHand, 'when'>> & { when?: StepByHand['when'] | null }

const not = (part: Part, product: string) => (c: Choice | StepByHand) =>
  !(c.part === part && c.product === product)

/** Puts a product into a routine by hand, or keeps it there when planning again. */
export const putIn = (d: VisitDocument, part: Part, product: string): VisitDocument => ({
  ...d,
  pins: [...d.pins.filter(not(part, product)), { part, product }],
  takenOut: d.takenOut.filter(not(part, product)),
})

/** Takes a product out of a routine by hand; what was changed on its step goes with it. */
export const takeOut = (d: VisitDocument, part: Part, product: string): VisitDocument => ({
  ...d,
  pins: d.pins.filter(not(part, product)),
  takenOut: [...d.takenOut.filter(not(part, product)), { part, product }],
  steps: d.steps.filter(not(part, product)),
})

/** The same against a rule, with her reason. */
export const putInAgainst = (
  d: VisitDocument,
  part: Part,
  product: string,
  overrule: string,
): VisitDocument => adjust(putIn(d, part, product), part, product, { overrule })

/** The same against a rule, with her reason. */
export const swapAgainst = (
  d: VisitDocument,
  part: Part,
  from: string,
  to: string,
  overrule: string,
): VisitDocument => putInAgainst(takeOut(d, part, from), part, to, overrule)

export const swap = (d: VisitDocument, part: Part, from: string, to: string): VisitDocument =>
  putIn(takeOut(d, part, from), part, to)

/** Lets the engine decide about a product and its step again. */
export const release = (d: VisitDocument, part: Part, product: string): VisitDocument => ({
  ...d,
  pins: d.pins.filter(not(part, product)),
  takenOut: d.takenOut.filter(not(part, product)),
  steps: d.steps.filter(not(part, product)),
})

const computed = (part: Part, product: string): StepByHand => ({
  part,
  product,
  optional: false,
  places: [],
  then: [],
  nights: [],
  secondCoat: false,
  words: '',
})

/** What is changed on a step; as computed where nothing is. */
export function byHandOf(d: VisitDocument, part: Part, product: string): StepByHand {
  const { on, ...step } =
    d.steps.find((s) => s.part === part && s.product === product) ?? computed(part, product)
  // what was typed before a step could go on several places
  return on ? { ...step, places: [on] } : step
}

const unchanged = (s: StepByHand) =>
  !s.optional &&
  (s.places ?? []).length === 0 &&
  s.nights.length === 0 &&
  s.when == null &&
  !s.secondCoat &&
  s.words === '' &&
  (s.overrule ?? '') === '' &&
  (s.then ?? []).length === 0 &&
  s.move == null

/** Changes something on one step. A move is done last of all moves, so it lands where it was put. */
export function adjust(d: VisitDocument, part: Part, product: string, change: ByHandChange): VisitDocument {
  const { when, ...rest } = { ...byHandOf(d, part, product), ...change }
  const next: StepByHand = when ? { ...rest, when } : rest
  const others = d.steps.filter(not(part, product))
  const at = d.steps.findIndex((s) => s.part === part && s.product === product)
  if (unchanged(next)) return { ...d, steps: others }
  return {
    ...d,
    steps:
      change.move || at < 0 ? [...others, next] : [...d.steps.slice(0, at), next, ...d.steps.slice(at + 1)],
  }
}

/** The neighbours that a step has once it is moved to a number. */
export function moveTo(steps: Step[], product: string, to: number, why: string) {
  const others = steps.filter((s) => s.product !== product)
  return { after: others[to - 2]?.product ?? null, before: others[to - 1]?.product ?? null, why }
}
