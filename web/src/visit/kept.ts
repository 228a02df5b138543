import type { VisitWork } from './useVisit'

/** A text that is not part of the visit yet, kept as typed over a reload; '' forgets it. */
export function kept(work: VisitWork, pointer: string): [string, (text: string) => void] {
  return [work.draft.typed[pointer] ?? '', (text: string) => work.type(pointer, text === '' ? null : text)]
}
