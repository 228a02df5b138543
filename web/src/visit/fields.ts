import type { Schemas, VisitDocument } from '../api/client'

/**
 * A visit as its single fields: one for each answer, each grade, each step, so that two people who change different
 * things change different fields. What has no order of its own is named by what it is about, never by its place.
 */
export type Fields = Map<string, unknown>

/** One field that is changed; a side that is undefined has no such field. */
export type Change = { path: string; from: unknown; to: unknown }

/** A field that both sides changed, and not to the same. */
export type Conflict = { path: string; base: unknown; mine: unknown; theirs: unknown }

type Entry = Record<string, unknown>

/** Lists of records, by what names one of them. */
const KEYED: Record<string, string[]> = {
  'intake/answers': ['question'],
  'intake/settled': ['referral'],
  'reading/grades': ['sign', 'zone'],
  'reading/probe': ['quantity', 'zone'],
  'reading/settlements': ['contradiction'],
  'reading/byHand': ['verdict'],
  pins: ['part', 'product'],
  takenOut: ['part', 'product'],
  steps: ['part', 'product'],
  'week/evenings': ['kind', 'weekday', 'date'],
  'week/courses': ['product'],
  'week/byHand': ['product', 'date'],
}
/** Lists of words, each its own name. */
const WORDS = new Set([
  'intake/places',
  'intake/medicines',
  'intake/otherAllergies',
  'intake/matters',
  'intake/assumed',
])
const GROUPS = new Set(['intake', 'reading', 'week'])

/** As the method has it, with nothing of hers; what was kept before nights had a rhythm says nothing of it. */
export const USUAL_WEEK: Schemas['Week'] = { every: null, first: null, evenings: [], courses: [], byHand: [] }

export function fieldsOf(document: VisitDocument): Fields {
  const all: Fields = new Map()
  for (const [name, value] of Object.entries({ ...document, week: document.week ?? USUAL_WEEK })) {
    if (name === 'version') continue
    if (GROUPS.has(name)) {
      for (const [inner, own] of Object.entries(value as Entry)) put(all, `${name}/${inner}`, own)
    } else put(all, name, value)
  }
  return all
}

function put(all: Fields, path: string, value: unknown) {
  const names = KEYED[path]
  if (names) {
    for (const entry of value as Entry[]) {
      all.set(`${path}/${names.map((n) => String(entry[n])).join(' ')}`, entry)
    }
  } else if (WORDS.has(path)) {
    for (const word of (value ?? []) as string[]) all.set(`${path}/${word}`, word)
  } else all.set(path, value ?? null)
}

/** The visit that has these fields; everything that `like` has and no field names is a list that is empty now. */
export function documentOf(fields: Fields, like: VisitDocument): VisitDocument {
  const made: Entry = {
    ...like,
    intake: { ...like.intake },
    reading: { ...like.reading },
    week: { ...(like.week ?? USUAL_WEEK) },
  }
  const lists = new Map<string, unknown[]>([...Object.keys(KEYED), ...WORDS].map((path) => [path, []]))
  for (const [path, value] of fields) {
    const list = lists.get(listOf(path))
    if (list) list.push(value)
    else set(made, path, value)
  }
  for (const [path, list] of lists) set(made, path, list)
  return made as unknown as VisitDocument
}

/** The list that a path lies in, if it lies in one. */
function listOf(path: string) {
  const parts = path.split('/')
  const head = parts[0] ?? ''
  return GROUPS.has(head) ? `${head}/${parts[1] ?? ''}` : head
}

function set(made: Entry, path: string, value: unknown) {
  const [head = '', inner] = path.split('/')
  if (GROUPS.has(head) && inner !== undefined) (made[head] as Entry)[inner] = value
  else made[head] = value
}

/** Alike whatever the order of their names is, and whether nothing is said as null or not at all. */
export function same(a: unknown, b: unknown): boolean {
  if (a === b || (a ?? null) === (b ?? null)) return true
  if (typeof a !== 'object' || typeof b !== 'object' || !a || !b) return false
  if (Array.isArray(a) || Array.isArray(b)) {
    return (
      Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((one, i) => same(one, b[i]))
    )
  }
  const names = new Set([...Object.keys(a), ...Object.keys(b)])
  return [...names].every((name) => same((a as Entry)[name], (b as Entry)[name]))
}

/** What lies between two versions, field by field. */
export function changes(from: VisitDocument, to: VisitDocument): Change[] {
  const before = fieldsOf(from)
  const after = fieldsOf(to)
  const all: Change[] = []
  for (const [path, value] of before) {
    if (!same(value, after.get(path))) all.push({ path, from: value, to: after.get(path) })
  }
  for (const [path, value] of after) {
    if (!before.has(path)) all.push({ path, from: undefined, to: value })
  }
  return all
}

/** The version with some fields changed. */
export function changed(document: VisitDocument, all: Change[]): VisitDocument {
  if (all.length === 0) return document
  const fields = fieldsOf(document)
  for (const { path, to } of all) {
    if (to === undefined) fields.delete(path)
    else fields.set(path, to)
  }
  return documentOf(fields, document)
}

/**
 * What was changed here, laid over what was changed there. Only what both changed, and not alike, is asked about; until
 * then it stands as it is there. What is there as it was sent from here is not somebody else's.
 */
export function merge(
  base: VisitDocument,
  mine: VisitDocument,
  theirs: VisitDocument,
  sent: VisitDocument[] = [],
): { document: VisitDocument; conflicts: Conflict[] } {
  const there = new Map(changes(base, theirs).map((c) => [c.path, c]))
  const own = sent.map(fieldsOf)
  const clean: Change[] = []
  const conflicts: Conflict[] = []
  for (const here of changes(base, mine)) {
    const other = there.get(here.path)
    if (!other || own.some((fields) => same(fields.get(here.path), other.to))) clean.push(here)
    else if (!same(other.to, here.to)) {
      conflicts.push({ path: here.path, base: here.from, mine: here.to, theirs: other.to })
    }
  }
  return { document: changed(theirs, clean), conflicts }
}
