import { say } from '../words/say'
import '../words/shared'

/** A typed number, with point or comma; empty is nought, null when it is none. */
export function numberFrom(typed: string): number | null {
  const text = typed.trim().replace(',', '.')
  const value = text === '' ? 0 : Number(text)
  return Number.isNaN(value) ? null : value
}

/** The same where there must be one: empty is none. */
export const numberNeeded = (typed: string) => (typed.trim() === '' ? null : numberFrom(typed))

/** The beginning of a number: "", "-", "1.", "12,". It is no value yet, and no mistake either. */
export const isHalfANumber = (typed: string) => /^\s*[-+]?(\d+[.,])?\s*$/.test(typed)

/** Why a typed text is no number; nothing when it is one. */
export function notANumber(typed: string, needed = false): string | undefined {
  if ((needed ? numberNeeded : numberFrom)(typed) !== null) return undefined
  return typed.trim() === '' ? say('shared.aNumberIsNeeded') : say('shared.isNotANumber', { typed })
}
