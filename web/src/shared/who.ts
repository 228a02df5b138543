import { useSyncExternalStore } from 'react'

const KEY = 'outfell.who'
const listeners = new Set<() => void>()
let who = kept()

function kept() {
  try {
    return localStorage.getItem(KEY) ?? ''
  } catch {
    return ''
  }
}

function sign(next: string) {
  who = next
  try {
    localStorage.setItem(KEY, next)
  } catch {
    // a full or forbidden store costs the default, not the name
  }
  listeners.forEach((tell) => tell())
}

function listen(tell: () => void) {
  listeners.add(tell)
  return () => listeners.delete(tell)
}

/** Who works here: asked once on this machine, signed under everything that is decided by hand, wherever it is asked. */
export function useWho(): [string, (who: string) => void] {
  return [useSyncExternalStore(listen, () => who), sign]
}
