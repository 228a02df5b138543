import { useCallback, useSyncExternalStore } from 'react'

/**
 * Everything that is typed and not yet taken, in one place: by form, and by whom or what it is about. It outlives a
 * reload and a change of page, and what was typed about one client never shows in a form about another.
 */
const PREFIX = 'outfell.typed.'
const listeners = new Set<() => void>()
const values = new Map<string, unknown>()

const keyOf = (form: string, of: string) => `${PREFIX}${form}.${of}`

function read(key: string): unknown {
  if (!values.has(key)) {
    try {
      const text = localStorage.getItem(key)
      values.set(key, text === null ? undefined : JSON.parse(text))
    } catch {
      // a damaged or forbidden store costs the net, not the form
      values.set(key, undefined)
    }
  }
  return values.get(key)
}

function write(key: string, value: unknown) {
  values.set(key, value)
  try {
    if (value === undefined) localStorage.removeItem(key)
    else localStorage.setItem(key, JSON.stringify(value))
  } catch {
    // a full or forbidden store costs the net, not what stands in the form
  }
  listeners.forEach((tell) => tell())
}

/** What was typed into a form about something; nothing when it was taken or never begun. */
export const typed = <T>(form: string, of: string) => read(keyOf(form, of)) as T | undefined

export const keepTyped = (form: string, of: string, value: unknown) => write(keyOf(form, of), value)

/** It was taken, or given up. */
export const forgetTyped = (form: string, of: string) => write(keyOf(form, of), undefined)

function listen(tell: () => void) {
  listeners.add(tell)
  return () => listeners.delete(tell)
}

/**
 * A form's own text.
 *
 * @param form which form, such as "label"
 * @param of what it is about: a client, a product, a visit; '' when there is only one
 * @returns what was typed, how to keep the next, how to forget it
 */
export function useTyped<T>(form: string, of: string): [T | undefined, (value: T) => void, () => void] {
  const key = keyOf(form, of)
  const value = useSyncExternalStore(listen, () => read(key)) as T | undefined
  const keep = useCallback((next: T) => write(key, next), [key])
  const forget = useCallback(() => write(key, undefined), [key])
  return [value, keep, forget]
}

/** Everything typed about these, as when a record is erased. */
export function forgetAbout(ids: string[]) {
  for (const key of keptKeys()) {
    if (ids.some((id) => key.endsWith(`.${id}`))) write(key, undefined)
  }
}

/** What of one form is no longer worth keeping: a machine's store is small. */
export function sweepTyped<T>(form: string, worth: (value: T) => boolean) {
  for (const key of keptKeys()) {
    if (!key.startsWith(`${PREFIX}${form}.`)) continue
    const value = read(key)
    if (value !== undefined && !worth(value as T)) write(key, undefined)
  }
}

function keptKeys(): string[] {
  try {
    return Object.keys(localStorage).filter((key) => key.startsWith(PREFIX))
  } catch {
    return []
  }
}

/** For tests: as after a reload. */
export const rereadTyped = () => values.clear()
