import { useCallback, useEffect, useMemo, useReducer, useRef } from 'react'
import { useQueryClient, type QueryKey } from '@tanstack/react-query'
import {
  api,
  ask,
  giveUp,
  Refused,
  Unreachable,
  type Month,
  type Visit,
  type VisitDocument,
} from '../api/client'
import { keys } from '../api/hooks'
import { forgetTyped, keepTyped, sweepTyped, typed, useTyped } from '../shared/typed'
import { pause, PAUSE_MS } from './pause'
import { isDirty, next, resumed, toKeep, worthKeeping, type Event, type Kept, type Work } from './engine'

export type { Saving } from './engine'

const RETRY_MS = 3000
const LONGEST_RETRY_MS = 30_000
const FORM = 'visit'

type Half = Record<string, string>

/** The plan that a page shows, and where it looks for that of a version. */
export type InSight = { month: Month; key: (version: number) => QueryKey }

/**
 * A visit being worked on: shown at once, kept on this machine, saved at once, or after a short pause where letters are typed.
 *
 * @param readOnly of an earlier day: nothing is taken, and whoever tries is told
 * @param touched something was tried to be changed that cannot be
 */
export function useVisit(visit: Visit, readOnly = false, touched: () => void = () => {}) {
  const queries = useQueryClient()
  const id = visit.id
  const [work, put] = useReducer(
    (_: Work, now: Work) => now,
    undefined,
    () => resumed(typed<Kept>(FORM, id), visit),
  )
  useEffect(() => sweepTyped<Kept>(FORM, (kept) => worthKeeping(kept, Date.now())), [])
  const [half, keepHalf] = useTyped<Half>('visit-half', id)
  const latest = useRef(work)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const save = useRef(async () => {})
  const inSight = useRef<InSight | null>(null)
  /** by which name what follows from the save on its way is worked out */
  const working = useRef<string | null>(null)

  const tell = useCallback(
    (event: Event) => {
      const now = next(latest.current, event)
      const was = latest.current
      if (now === was) return
      latest.current = now
      const worthKeeping = isDirty(now) || now.past.length > 0 || now.future.length > 0
      if (worthKeeping) keepTyped(FORM, id, toKeep(now))
      else forgetTyped(FORM, id)
      if (differs(was, now)) put(now)
    },
    [id],
  )

  const later = useCallback((ms: number) => {
    clearTimeout(timer.current)
    timer.current = setTimeout(() => void save.current(), ms)
  }, [])

  useEffect(() => {
    save.current = async () => {
      clearTimeout(timer.current)
      const { sending, saving } = latest.current
      if (sending || saving.state === 'clash' || !isDirty(latest.current)) return
      const typedAt = latest.current.typedAt
      tell({ type: 'sent' })
      const body = latest.current.document
      const shown = inSight.current
      const name = crypto.randomUUID()
      working.current = name
      try {
        const {
          visit: saved,
          plan,
          verdict,
        } = await ask(
          api.PUT('/api/visits/{id}', {
            params: { path: { id }, query: { typed: localTime(typedAt), shown: shown?.month } },
            headers: { 'X-Ask': name },
            body,
          }),
        )
        working.current = null
        // a reading that began before this save would put the visit back as it was
        await queries.cancelQueries({ queryKey: keys.visit(id), exact: true })
        queries.setQueryData(keys.visit(id), saved)
        if (plan && shown) queries.setQueryData(shown.key(saved.version), plan)
        const told = verdict ?? plan?.verdict
        if (told) queries.setQueryData(keys.verdict(id, saved), told)
        tell({ type: 'kept', visit: saved })
        void queries.invalidateQueries({ queryKey: keys.visitDay(id) })
      } catch (failure) {
        tell(failed(failure))
      }
      const state = latest.current.saving.state
      if (state === 'offline') later(RETRY_MS)
      else if (latest.current.saving.state === 'fault') {
        later(Math.min(LONGEST_RETRY_MS, 1000 * 2 ** latest.current.saving.tries))
      } else if (state === 'saving' && isDirty(latest.current)) later(pause())
      else if (state === 'refused' && latest.current.document !== body) later(pause())
    }
  }, [id, later, queries, tell])

  /** What follows from the save on its way is no longer of what stands here; the save itself goes on. */
  const dropLate = useCallback(() => {
    if (working.current !== null && latest.current.sending !== latest.current.document) {
      giveUp(working.current)
      working.current = null
    }
  }, [])

  const change = useCallback(
    (edit: (document: VisitDocument) => VisitDocument) => {
      if (readOnly) {
        touched()
        return
      }
      tell({ type: 'edited', edit, at: Date.now() })
      dropLate()
      if (isDirty(latest.current)) later(pause())
    },
    [dropLate, later, readOnly, tell, touched],
  )

  /** A half-typed value: kept as typed until it is one. */
  const type = useCallback(
    (pointer: string, text: string | null) => {
      const all = { ...typed<Half>('visit-half', id) }
      if (text === null) delete all[pointer]
      else all[pointer] = text
      keepHalf(all)
    },
    [id, keepHalf],
  )

  /** Saves what is open now and waits for it. */
  const settle = useCallback(() => save.current(), [])

  const walk = useCallback(
    (way: 'undone' | 'redone') => {
      tell({ type: way, at: Date.now() })
      dropLate()
      later(0)
    },
    [dropLate, later, tell],
  )

  /** Decides a clash: which of the fields that both changed stay as they are here. */
  const decide = useCallback(
    (mine: string[]) => {
      tell({ type: 'decided', mine })
      void save.current()
    },
    [tell],
  )

  // whatever order things came in: what is not saved yet and not on its way has a time at which it will be
  useEffect(() => {
    const { saving, sending } = latest.current
    const open = saving.state === 'saved' || saving.state === 'saving'
    if (open && !sending && isDirty(latest.current)) later(pause())
  }, [work, later])

  useEffect(() => {
    tell({ type: 'fetched', visit })
    if (isDirty(latest.current)) later(PAUSE_MS)
  }, [visit, tell, later])

  useEffect(() => {
    const again = () => void save.current()
    if (isDirty(latest.current)) later(0)
    window.addEventListener('online', again)
    return () => {
      clearTimeout(timer.current)
      // what is typed is on its way before the page is left, not after its next opening
      void save.current()
      window.removeEventListener('online', again)
    }
  }, [later])

  /** Says which plan is in sight, until what this gives back is called. */
  const show = useCallback((plan: InSight) => {
    inSight.current = plan
    return () => {
      if (inSight.current === plan) inSight.current = null
    }
  }, [])

  return useMemo(
    () => ({
      draft: { document: work.document, typed: half ?? {}, dirty: isDirty(work) },
      saving: work.saving,
      change,
      type,
      settle,
      decide,
      show,
      undo: work.past.length > 0 && !readOnly ? () => walk('undone') : null,
      redo: work.future.length > 0 && !readOnly ? () => walk('redone') : null,
    }),
    [work, half, readOnly, change, type, settle, decide, show, walk],
  )
}

/** Whether anything that is shown is another; that something is on its way is not. */
const differs = (a: Work, b: Work) =>
  a.document !== b.document ||
  a.base !== b.base ||
  a.saving !== b.saving ||
  a.past !== b.past ||
  a.future !== b.future

/** The clock on the wall, as the practice's days are counted; nothing when nothing waits. */
function localTime(ms: number): string | undefined {
  if (ms === 0) return undefined
  const at = new Date(ms)
  return new Date(ms - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 19)
}

function failed(failure: unknown): Event {
  if (failure instanceof Unreachable) return { type: 'unreachable' }
  if (!(failure instanceof Refused)) throw failure
  if (failure.theirs) return { type: 'clashed', theirs: failure.theirs as Visit }
  if (failure.code === 'earlier-visit') return { type: 'earlier', sentence: failure.message }
  if (failure.status >= 500) return { type: 'failed', sentence: failure.message }
  return { type: 'refused', sentence: failure.message, fields: failure.fields }
}

export type VisitWork = ReturnType<typeof useVisit>
