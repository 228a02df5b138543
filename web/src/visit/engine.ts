import type { FieldProblem, Visit, VisitDocument } from '../api/client'
import { changed, changes, merge, type Change, type Conflict } from './fields'

/** Where the saving stands. */
export type Saving =
  | { state: 'saved' }
  | { state: 'saving' }
  | { state: 'offline' }
  | { state: 'fault'; sentence: string; tries: number }
  | { state: 'refused'; sentence: string; fields: FieldProblem[] }
  | { state: 'earlier'; sentence: string }
  | { state: 'clash'; conflicts: Conflict[]; theirs: VisitDocument }

/** One thing that was done, to be taken back as one. */
type Done = { changes: Change[]; at: number }

/** A visit being worked on. */
export type Work = {
  /** as the server has it */
  base: VisitDocument
  /** as it stands here */
  document: VisitDocument
  /** what is on its way, until it is answered */
  sending: VisitDocument | null
  /** what was sent and never answered: the server may have it, and then it is nobody else's */
  unanswered: VisitDocument[]
  past: Done[]
  future: Done[]
  saving: Saving
  /** when something was last changed here, in ms; 0 when everything is the server's */
  typedAt: number
}

export type Event =
  | { type: 'edited'; edit: (document: VisitDocument) => VisitDocument; at: number }
  | { type: 'undone'; at: number }
  | { type: 'redone'; at: number }
  | { type: 'sent' }
  | { type: 'kept'; visit: Visit }
  | { type: 'fetched'; visit: Visit }
  | { type: 'clashed'; theirs: Visit }
  | { type: 'decided'; mine: string[] }
  | { type: 'refused'; sentence: string; fields: FieldProblem[] }
  | { type: 'earlier'; sentence: string }
  | { type: 'unreachable' }
  | { type: 'failed'; sentence: string }

const LONGEST_PAST = 200
const MOST_UNANSWERED = 4
/** Letters typed into one field within this time are taken back together. */
const ONE_BREATH_MS = 1200
/** What is signed, or settled with a name, is never taken back by the way. */
const SIGNED = ['reading/byHand/', 'reading/settlements/', 'intake/settled/']

export function documentOfVisit(visit: Visit): VisitDocument {
  const { version, intake, reading, method, month, pins, takenOut, steps, week } = visit
  return { version, intake, reading, method, month, pins, takenOut, steps, week }
}

export function begun(visit: Visit): Work {
  const document = documentOfVisit(visit)
  return {
    base: document,
    document,
    sending: null,
    unanswered: [],
    past: [],
    future: [],
    saving: { state: 'saved' },
    typedAt: 0,
  }
}

/** Whether something here is not the server's yet. */
export const isDirty = (work: Work) => !sameContent(work.document, work.base)

const sameContent = (a: VisitDocument, b: VisitDocument) => a === b || changes(a, b).length === 0

/** The visit's whole life at the chair: pure, so that every order of events can be tried. */
export function next(work: Work, event: Event): Work {
  return rested(after(work, event))
}

const WAITING: Saving['state'][] = ['saving', 'refused', 'offline', 'fault']

/** What was taken back to how the server has it needs no saving. */
const rested = (work: Work): Work =>
  WAITING.includes(work.saving.state) && !work.sending && !isDirty(work)
    ? { ...work, saving: { state: 'saved' }, typedAt: 0 }
    : work

function after(work: Work, event: Event): Work {
  switch (event.type) {
    case 'edited':
      return edited(work, event.edit(work.document), event.at)
    case 'undone':
      return walked(work, 'past', 'future', event.at)
    case 'redone':
      return walked(work, 'future', 'past', event.at)
    case 'sent':
      return {
        ...work,
        sending: work.document,
        unanswered: [...work.unanswered, work.document].slice(-MOST_UNANSWERED),
        saving: work.saving.state === 'saving' ? work.saving : { state: 'saving' },
      }
    case 'kept':
      return kept(work, event.visit)
    case 'fetched':
      return event.visit.version > work.base.version ? met(work, documentOfVisit(event.visit)) : work
    case 'clashed':
      return met({ ...work, sending: null }, documentOfVisit(event.theirs))
    case 'decided':
      return decided(work, new Set(event.mine))
    case 'refused':
      return {
        ...work,
        sending: null,
        saving: { state: 'refused', sentence: event.sentence, fields: event.fields },
      }
    case 'earlier':
      return { ...work, sending: null, saving: { state: 'earlier', sentence: event.sentence } }
    case 'unreachable':
      return { ...work, sending: null, saving: { state: 'offline' } }
    case 'failed': {
      const tries = work.saving.state === 'fault' ? work.saving.tries + 1 : 1
      return { ...work, sending: null, saving: { state: 'fault', sentence: event.sentence, tries } }
    }
  }
}

function edited(work: Work, document: VisitDocument, at: number): Work {
  if (document === work.document) return work
  const all = changes(work.document, document)
  if (all.length === 0) return work
  const own = all.filter((c) => !SIGNED.some((s) => c.path.startsWith(s)))
  return {
    ...work,
    document,
    past: own.length === 0 ? work.past : remembered(work.past, own, at),
    future: own.length === 0 ? work.future : [],
    typedAt: at,
    saving: unsaved(work.saving),
  }
}

/** What was changed a moment ago is not saved, though its saving waits for the next letter. */
const unsaved = (saving: Saving): Saving => (saving.state === 'saved' ? { state: 'saving' } : saving)

function remembered(past: Done[], now: Change[], at: number): Done[] {
  const last = past.at(-1)
  const [only] = now
  const before = last?.changes[0]
  const sameBreath =
    last && only && now.length === 1 && last.changes.length === 1 && before && at - last.at < ONE_BREATH_MS
  if (
    sameBreath &&
    before.path === only.path &&
    typeof only.to === 'string' &&
    typeof before.to === 'string'
  ) {
    return [...past.slice(0, -1), { changes: [{ ...before, to: only.to }], at }]
  }
  return [...past, { changes: now, at }].slice(-LONGEST_PAST)
}

/** One step back or forth; a field that somebody else has changed since is left as it is. */
function walked(work: Work, from: 'past' | 'future', to: 'past' | 'future', at: number): Work {
  const done = work[from].at(-1)
  if (!done) return work
  const back = from === 'past'
  const all = done.changes
    .map((c) => (back ? { path: c.path, from: c.to, to: c.from } : c))
    .filter((c) => stands(work.document, c))
  return {
    ...work,
    document: changed(work.document, all),
    [from]: work[from].slice(0, -1),
    [to]: [...work[to], done],
    typedAt: at,
    saving: unsaved(work.saving),
  }
}

const stands = (document: VisitDocument, change: Change) =>
  changes(document, changed(document, [{ path: change.path, from: undefined, to: change.from }])).length === 0

function kept(work: Work, visit: Visit): Work {
  const base = documentOfVisit(visit)
  const sent = work.sending ?? work.document
  // what was typed while the save was on its way is laid over what came back
  const since = changes(sent, work.document)
  const document = since.length === 0 ? base : changed(base, since)
  // what came by another way meanwhile may be all that has changed since
  const clean = sameContent(document, base)
  return {
    ...work,
    base,
    document,
    sending: null,
    unanswered: [],
    saving: { state: clean ? 'saved' : 'saving' },
    typedAt: clean ? 0 : work.typedAt,
  }
}

/** Somebody else's version is there. */
function met(work: Work, theirs: VisitDocument): Work {
  const { document, conflicts } = merge(work.base, work.document, theirs, work.unanswered)
  if (conflicts.length > 0) return { ...work, saving: { state: 'clash', conflicts, theirs } }
  const clean = sameContent(document, theirs)
  return {
    ...work,
    base: theirs,
    unanswered: [],
    document: { ...document, version: theirs.version },
    saving: { state: clean ? 'saved' : 'saving' },
  }
}

/** The fields that were asked about are decided: these stay as they are here, the others as they are there. */
function decided(work: Work, mine: Set<string>): Work {
  if (work.saving.state !== 'clash') return work
  const { theirs, conflicts } = work.saving
  const merged = merge(work.base, work.document, theirs, work.unanswered).document
  const chosen = conflicts
    .filter((c) => mine.has(c.path))
    .map((c) => ({ path: c.path, from: c.theirs, to: c.mine }))
  const document = { ...changed(merged, chosen), version: theirs.version }
  return {
    ...work,
    base: theirs,
    unanswered: [],
    document,
    saving: { state: sameContent(document, theirs) ? 'saved' : 'saving' },
  }
}

/** What is kept on this machine of a visit: enough to go on after a reload, undo and redo included. */
export type Kept = Pick<Work, 'base' | 'document' | 'unanswered' | 'past' | 'future' | 'typedAt'>

export const toKeep = ({ base, document, unanswered, past, future, typedAt }: Work): Kept => ({
  base,
  document,
  unanswered,
  past,
  future,
  typedAt,
})

/** Goes on with what was kept, on what the server has now. */
export function resumed(kept: Kept | undefined, visit: Visit): Work {
  const now = begun(visit)
  if (!kept || !isKept(kept)) return now
  const work: Work = { ...now, ...kept, unanswered: kept.unanswered ?? [], sending: null }
  // what this browser fetched before it saved is shown until it is fetched anew: it is older, and nobody else's
  // (what is all saved is shown as the server tells it: an older one may be a backup that was put back)
  if (kept.base.version === visit.version || (kept.base.version > visit.version && isDirty(work))) {
    return { ...work, saving: { state: isDirty(work) ? 'saving' : 'saved' } }
  }
  return met(work, documentOfVisit(visit))
}

const LONGEST_KEPT_MS = 2 * 24 * 60 * 60 * 1000

/** Whether what was kept of a visit is still worth its room: something unsaved, or done within two days. */
export const worthKeeping = (kept: Kept, now: number) =>
  isKept(kept) &&
  (!sameContent(kept.document, kept.base) ||
    Math.max(0, ...[...kept.past, ...kept.future].map((d) => d.at)) > now - LONGEST_KEPT_MS)

/** A store of an earlier Outfell is not gone on with. */
const isKept = (kept: Kept) =>
  typeof kept.base === 'object' && Array.isArray(kept.past) && Array.isArray(kept.future)
