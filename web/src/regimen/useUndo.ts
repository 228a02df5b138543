import { useEffect, useRef, useState } from 'react'
import type { VisitDocument } from '../api/client'
import type { VisitContext } from '../visit/VisitShell'

type Hand = Pick<VisitDocument, 'pins' | 'takenOut' | 'steps' | 'method'>
interface Past {
  back: Hand[]
  forth: Hand[]
}

/** What was changed by hand on each visit since the page was loaded; kept while other steps of the visit are shown. */
const pasts = new Map<string, Past>()

const hand = ({ pins, takenOut, steps, method }: VisitDocument): Hand => ({ pins, takenOut, steps, method })
const same = (a: Hand, b: Hand) => JSON.stringify(a) === JSON.stringify(b)

const past = (visit: string): Past => pasts.get(visit) ?? { back: [], forth: [] }

function remember(visit: string, before: Hand) {
  pasts.set(visit, { back: [...past(visit).back, before], forth: [] })
}

/** Takes the newest from one side, lays what stands now on the other, and gives what to go to. */
function walk(visit: string, from: keyof Past, to: keyof Past, now: Hand): Hand | undefined {
  const both = past(visit)
  const target = both[from].at(-1)
  if (target) {
    pasts.set(visit, {
      ...both,
      [from]: both[from].slice(0, -1),
      [to]: [...both[to], now],
    })
  }
  return target
}

/** Undo and redo without end for what is put in, taken out, changed on a step or planned by another method. */
export function useUndo({ visit, work }: VisitContext) {
  const now = hand(work.draft.document)
  const last = useRef(now)
  const moving = useRef(false)
  const [, redraw] = useState(0)
  useEffect(() => {
    if (same(last.current, now)) return
    if (!moving.current) remember(visit.id, last.current)
    moving.current = false
    last.current = now
    redraw((n) => n + 1)
  }, [now, visit.id])
  const go = (from: keyof Past, to: keyof Past) => {
    const target = walk(visit.id, from, to, now)
    if (!target) return
    moving.current = true
    work.change((d) => ({ ...d, ...target }))
  }
  return {
    undo: past(visit.id).back.length > 0 ? () => go('back', 'forth') : null,
    redo: past(visit.id).forth.length > 0 ? () => go('forth', 'back') : null,
  }
}
