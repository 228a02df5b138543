import type { Visit, VisitDocument } from '../api/client'

/** What the therapist has entered, ahead of what the server has. */
export type Draft = {
  document: VisitDocument
  /** text that is not a value yet, by JSON pointer: a half-typed number is kept as typed */
  typed: Record<string, string>
  /** whether the server has all of it */
  dirty: boolean
}

const key = (visit: string) => `outfell.visit.${visit}`

/** The server's visit as the beginning of a draft. */
export function fresh(visit: Visit): Draft {
  const { version, intake, reading, method, month, pins, takenOut, steps } = visit
  return {
    document: { version, intake, reading, method, month, pins, takenOut, steps },
    typed: {},
    dirty: false,
  }
}

/** Keeps a draft on this machine, so that neither a reload nor a lost connection costs a word. */
export function keep(visit: string, draft: Draft) {
  try {
    if (draft.dirty || Object.keys(draft.typed).length > 0) {
      localStorage.setItem(key(visit), JSON.stringify(draft))
    } else {
      localStorage.removeItem(key(visit))
    }
  } catch {
    // A full or forbidden store costs the safety net, not the work: the server still gets every change.
  }
}

/** What was kept on this machine, if anything. */
export function kept(visit: string): Draft | null {
  try {
    const text = localStorage.getItem(key(visit))
    if (text === null) return null
    const draft = JSON.parse(text) as Draft
    // a draft of an earlier version knows nothing of steps changed by hand
    return { ...draft, document: { ...draft.document, steps: draft.document.steps ?? [] } }
  } catch {
    return null
  }
}

export function forget(visit: string) {
  try {
    localStorage.removeItem(key(visit))
  } catch {
    // nothing to forget
  }
}
