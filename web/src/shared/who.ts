import { useState } from 'react'

const KEY = 'outfell.who'

/** Who works here: asked once on this machine, signed under everything that is decided by hand. */
export function useWho(): [string, (who: string) => void] {
  const [who, setWho] = useState(() => {
    try {
      return localStorage.getItem(KEY) ?? ''
    } catch {
      return ''
    }
  })
  return [
    who,
    (next) => {
      setWho(next)
      try {
        localStorage.setItem(KEY, next)
      } catch {
        // a full or forbidden store costs the default, not the name
      }
    },
  ]
}
