import { useCallback, useEffect, useRef, useState } from 'react'
import { useQueryClient } from '@tanstack/react-query'
import {
  api,
  ask,
  Refused,
  Unreachable,
  type FieldProblem,
  type Visit,
  type VisitDocument,
} from '../api/client'
import { keys } from '../api/hooks'
import { forget, fresh, keep, kept, type Draft } from './draft'

/** Where the saving stands. */
export type Saving =
  | { state: 'saved' }
  | { state: 'saving' }
  | { state: 'offline' }
  | { state: 'refused'; sentence: string; fields: FieldProblem[] }
  | { state: 'clash'; sentence: string; theirs: Visit }

const PAUSE_MS = 350
const RETRY_MS = 3000

/** Unsaved work of before goes on; without any, what the server has, with what was only half typed. */
function begin(visit: Visit): Draft {
  const before = kept(visit.id)
  return before?.dirty ? before : { ...fresh(visit), typed: before?.typed ?? {} }
}

/** A visit being worked on: shown at once, kept on this machine, saved after a short pause. */
export function useVisit(visit: Visit) {
  const queries = useQueryClient()
  const [draft, setDraft] = useState<Draft>(() => begin(visit))
  const [saving, setSaving] = useState<Saving>({ state: 'saved' })
  const latest = useRef(draft)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const busy = useRef(false)
  const again = useRef(() => {})
  const id = visit.id

  const put = useCallback(
    (next: Draft) => {
      latest.current = next
      setDraft(next)
      keep(id, next)
    },
    [id],
  )

  const save = useCallback(async () => {
    if (busy.current || !latest.current.dirty) return
    busy.current = true
    const sent = latest.current.document
    setSaving({ state: 'saving' })
    let wait = 0
    try {
      const saved = await ask(api.PUT('/api/visits/{id}', { params: { path: { id } }, body: sent }))
      const now = latest.current
      const changed = now.document !== sent
      put({ ...now, document: { ...now.document, version: saved.version }, dirty: changed })
      queries.setQueryData(keys.visit(id), saved)
      setSaving({ state: 'saved' })
      wait = changed ? PAUSE_MS : 0
    } catch (failure) {
      if (failure instanceof Refused && failure.theirs) {
        setSaving({ state: 'clash', sentence: failure.message, theirs: failure.theirs })
      } else if (failure instanceof Refused) {
        setSaving({ state: 'refused', sentence: failure.message, fields: failure.fields })
      } else if (failure instanceof Unreachable) {
        setSaving({ state: 'offline' })
        wait = RETRY_MS
      } else {
        throw failure
      }
    } finally {
      busy.current = false
      if (wait > 0) timer.current = setTimeout(() => again.current(), wait)
    }
  }, [id, put, queries])

  const change = useCallback(
    (edit: (document: VisitDocument) => VisitDocument, typed?: Record<string, string>) => {
      const before = latest.current
      const document = edit(before.document)
      put({
        document,
        typed: typed ?? before.typed,
        dirty: before.dirty || document !== before.document,
      })
      clearTimeout(timer.current)
      timer.current = setTimeout(() => void save(), PAUSE_MS)
    },
    [put, save],
  )

  /** A half-typed value: kept as typed until it is one. */
  const type = useCallback(
    (pointer: string, text: string | null) => {
      const typed = { ...latest.current.typed }
      if (text === null) delete typed[pointer]
      else typed[pointer] = text
      put({ ...latest.current, typed })
    },
    [put],
  )

  /** Saves what is open now and waits for it. */
  const settle = useCallback(async () => {
    clearTimeout(timer.current)
    await save()
  }, [save])

  const keepMine = useCallback(
    (theirs: Visit) => {
      put({
        ...latest.current,
        document: { ...latest.current.document, version: theirs.version },
        dirty: true,
      })
      setSaving({ state: 'saving' })
      void save()
    },
    [put, save],
  )

  const takeTheirs = useCallback(
    (theirs: Visit) => {
      forget(id)
      put(fresh(theirs))
      queries.setQueryData(keys.visit(id), theirs)
      setSaving({ state: 'saved' })
    },
    [id, put, queries],
  )

  useEffect(() => {
    again.current = () => void save()
  }, [save])

  useEffect(() => {
    if (latest.current.dirty) timer.current = setTimeout(() => void save(), 0)
    const online = () => void save()
    window.addEventListener('online', online)
    return () => {
      clearTimeout(timer.current)
      window.removeEventListener('online', online)
    }
  }, [save])

  return { draft, saving, change, type, settle, keepMine, takeTheirs }
}

export type VisitWork = ReturnType<typeof useVisit>
