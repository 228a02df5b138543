import { useState } from 'react'
import type { Part, Routine, Schemas, Step } from '../api/client'
import type { VisitContext } from '../visit/VisitShell'
import { adjust, moveTo } from './byHandEdits'

/** A move that rules speak against and that waits for a reason, or one that is never done. */
export type Asking = { part: Part; step: Step; to: number; shift: Schemas['Shift'] }

/** Moves steps: at once where the rules leave it open, with a reason where they do not. */
export function useMove({ work }: VisitContext, routines: Routine[]) {
  const [asking, setAsking] = useState<Asking | null>(null)
  const stepsOf = (part: Part) => routines.find((r) => r.part === part)?.steps ?? []
  const done = (part: Part, product: string, to: number, why: string) =>
    work.change((d) => adjust(d, part, product, { move: moveTo(stepsOf(part), product, to, why) }))
  const move = (part: Part, product: string, to: number) => {
    const step = stepsOf(part).find((s) => s.product === product)
    const shift = step?.shifts.find((s) => s.to === to)
    if (!step || !shift) return
    if (shift.allowed && shift.against.length === 0) done(part, product, to, '')
    else setAsking({ part, step, to, shift })
  }
  return {
    move,
    asking,
    settle: (why: string) => {
      if (asking) done(asking.part, asking.step.product, asking.to, why)
      setAsking(null)
    },
    leave: () => setAsking(null),
  }
}
