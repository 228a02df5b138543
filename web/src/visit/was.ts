import type { Intake } from '../api/client'

/** What a field said at the visit before, in words, when it says something else now. */
export function was<F extends keyof Intake>(
  before: Intake | null | undefined,
  now: Intake,
  field: F,
  words: (value: Intake[F]) => string,
): string | undefined {
  if (!before) return undefined
  const then = before[field]
  return JSON.stringify(then ?? null) === JSON.stringify(now[field] ?? null) ? undefined : words(then)
}
