import { get, set } from 'idb-keyval'
import { useSyncExternalStore } from 'react'
import { say } from '../words/say'
import '../words/api'

/** A write that could not be sent yet. */
export type Waiting = {
  id: string
  method: string
  url: string
  body: string | null
  /** when it was done, in ms */
  at: number
}

/** A write that waited and was then refused: it is told, and not sent again. */
export type Returned = { id: string; sentence: string; at: number }

type Outbox = { waiting: Waiting[]; returned: Returned[] }

const KEY = 'outfell.outbox'
const RETRY_MS = 3000

let now: Outbox = { waiting: [], returned: [] }
let busy = false
let timer: ReturnType<typeof setTimeout> | undefined
let sent: () => void = () => {}
const listeners = new Set<() => void>()

function become(next: Outbox) {
  now = next
  listeners.forEach((tell) => tell())
  void set(KEY, next).catch(() => {
    // without a store the writes still wait in this window
  })
}

/** Takes up what waited before the page was opened. */
export async function openOutbox(whenSent: () => void) {
  sent = whenSent
  window.addEventListener('online', () => void flush())
  try {
    const before = await get<Outbox>(KEY)
    if (before) become({ waiting: [...before.waiting, ...now.waiting], returned: before.returned })
  } catch {
    // a forbidden store holds nothing
  }
  if (now.waiting.length > 0) void flush()
}

/** Keeps a write until the server answers again. */
export function wait(write: Omit<Waiting, 'id' | 'at'>) {
  become({ ...now, waiting: [...now.waiting, { ...write, id: crypto.randomUUID(), at: Date.now() }] })
  later()
}

export const isWaiting = () => now.waiting.length > 0

function later() {
  clearTimeout(timer)
  timer = setTimeout(() => void flush(), RETRY_MS)
}

/**
 * Sends what waits, oldest first.
 *
 * @returns whether nothing waits any more
 */
export async function flush(): Promise<boolean> {
  if (busy) return false
  busy = true
  let some = false
  try {
    for (let first = now.waiting[0]; first; first = now.waiting[0]) {
      const answer = await send(first)
      if (answer === 'unreachable') {
        later()
        return false
      }
      some = true
      const rest = now.waiting.slice(1)
      const { id, at } = first
      become({
        waiting: rest,
        returned: answer === null ? now.returned : [...now.returned, { id, at, sentence: answer }],
      })
    }
    return true
  } finally {
    busy = false
    if (some) sent()
  }
}

/** @returns nothing when it was done, 'unreachable', or the sentence with which it was refused */
async function send(write: Waiting): Promise<string | null> {
  let response: Response
  try {
    response = await fetch(write.url, {
      method: write.method,
      headers: { 'content-type': 'application/json' },
      body: write.body,
    })
  } catch {
    return 'unreachable'
  }
  if (response.ok) return null
  if (response.status >= 500) return 'unreachable'
  const problem = (await response.json().catch(() => ({}))) as { detail?: string }
  return problem.detail ?? say('api.outfellCouldNotDoThis')
}

/** What came back is read and put away. */
export const putAway = (id: string) => become({ ...now, returned: now.returned.filter((r) => r.id !== id) })

function listen(tell: () => void) {
  listeners.add(tell)
  return () => listeners.delete(tell)
}

export const useOutbox = () => useSyncExternalStore(listen, () => now)
