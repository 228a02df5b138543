import { byHand } from '../week/edits'
import type { Grade, Visit, VisitDocument } from '../api/client'
import {
  begun,
  documentOfVisit,
  isDirty,
  next,
  resumed,
  toKeep,
  worthKeeping,
  type Event,
  type Kept,
  type Work,
} from './engine'
import { changes, documentOf, fieldsOf, merge, same } from './fields'

/** What is kept of a piece of work, as it comes back from where text is kept. */
const throughText = (work: Work) => JSON.parse(JSON.stringify(toKeep(work))) as Kept

const visit = (edit: (d: Visit) => void = () => {}, version = 3): Visit => {
  const made = {
    id: 'v',
    client: 'c',
    date: '2026-11-25',
    version,
    intake: {
      site: 'skarrow-harbour',
      places: ['SEA'],
      morningMinutes: 8,
      budget: null,
      answers: [{ question: 'pregnant', yes: false, on: null, asked: '2026-11-25' }],
      medicines: [],
      otherAllergies: [],
      matters: [],
      assumed: ['OILS'],
      settled: [],
      note: 'hello',
    },
    reading: { grades: [], probe: [], conditions: null, settlements: [], byHand: [] },
    method: 'classic',
    month: 'NOVEMBER',
    pins: [],
    takenOut: [],
    steps: [],
    week: { every: null, first: null, evenings: [], courses: [], byHand: [] },
  } as unknown as Visit
  edit(made)
  return made
}

const grade = (zone: Grade['zone'], value: number) =>
  ({ zone, sign: 'SHINE', grade: value, how: 'SEEN' }) as Grade
const note = (text: string) => (d: VisitDocument) => ({ ...d, intake: { ...d.intake, note: text } })
const minutes = (n: number) => (d: VisitDocument) => ({ ...d, intake: { ...d.intake, morningMinutes: n } })
const shine = (zone: Grade['zone'], value: number) => (d: VisitDocument) => ({
  ...d,
  reading: { ...d.reading, grades: [...d.reading.grades.filter((g) => g.zone !== zone), grade(zone, value)] },
})
const run = (work: Work, ...events: Event[]) => events.reduce(next, work)
const edit = (f: (d: VisitDocument) => VisitDocument, at = 10_000): Event => ({ type: 'edited', edit: f, at })

describe('saving', () => {
  test('a refused value that is put back as it was leaves nothing refused', () => {
    const refused = run(
      begun(visit()),
      edit(minutes(900)),
      { type: 'sent' },
      { type: 'refused', sentence: 'Too long.', fields: [] },
    )
    expect(refused.saving.state).toBe('refused')
    expect(next(refused, edit(minutes(9), 20_000)).saving.state).toBe('refused')
    expect(next(refused, edit(minutes(8), 20_000)).saving.state).toBe('saved')
  })

  test('what was typed during a save and then taken back needs no other save', () => {
    const typed = run(begun(visit()), edit(note('windy')), { type: 'sent' }, edit(minutes(25), 20_000))
    const answered = next(typed, { type: 'kept', visit: visit((d) => (d.intake.note = 'windy'), 4) })
    expect(answered.saving.state).toBe('saving')
    const back = next(answered, { type: 'undone', at: 30_000 })
    expect(isDirty(back)).toBe(false)
    expect(back.saving.state).toBe('saved')
  })

  test('what is typed is on its way, is answered, and is then the server’s', () => {
    const typed = run(begun(visit()), edit(note('windy')))
    expect(isDirty(typed)).toBe(true)
    const sent = next(typed, { type: 'sent' })
    expect(sent.saving.state).toBe('saving')
    const kept = next(sent, { type: 'kept', visit: visit((v) => (v.intake.note = 'windy'), 4) })
    expect(kept.saving.state).toBe('saved')
    expect(isDirty(kept)).toBe(false)
    expect(kept.document.version).toBe(4)
  })

  test('what is typed while a save is on its way is not lost by its answer', () => {
    const work = run(begun(visit()), edit(note('windy')), { type: 'sent' }, edit(minutes(12), 20_000), {
      type: 'kept',
      visit: visit((v) => (v.intake.note = 'windy'), 4),
    })
    expect(work.document.intake.morningMinutes).toBe(12)
    expect(work.document.intake.note).toBe('windy')
    expect(work.saving.state).toBe('saving')
    expect(isDirty(work)).toBe(true)
  })

  test('a lost connection, a fault of the server and a wrong field each keep what was typed', () => {
    const sent = run(begun(visit()), edit(note('windy')), { type: 'sent' })
    for (const event of [
      { type: 'unreachable' },
      { type: 'failed', sentence: 'Something failed.' },
      { type: 'refused', sentence: 'Too long.', fields: [] },
      { type: 'earlier', sentence: 'Of an earlier day.' },
    ] as Event[]) {
      const after = next(sent, event)
      expect(after.document.intake.note).toBe('windy')
      expect(after.sending).toBeNull()
      expect(isDirty(after)).toBe(true)
    }
  })

  test('a fault is tried again later and later', () => {
    const failing = { type: 'failed', sentence: 'Something failed.' } as const
    const work = run(begun(visit()), edit(note('windy')), failing, failing, failing)
    expect(work.saving).toMatchObject({ state: 'fault', tries: 3 })
  })
})

describe('two windows', () => {
  test('what was changed on one side only is merged without a question', () => {
    const work = run(begun(visit()), edit(note('mine')), edit(shine('NOSE', 3), 20_000), {
      type: 'clashed',
      theirs: visit((v) => {
        v.intake.morningMinutes = 20
        v.reading.grades = [grade('CHIN', 2)]
      }, 5),
    })
    expect(work.saving.state).toBe('saving')
    expect(work.document.intake.note).toBe('mine')
    expect(work.document.intake.morningMinutes).toBe(20)
    expect(work.document.reading.grades.map((g) => g.zone).sort()).toEqual(['CHIN', 'NOSE'])
    expect(work.document.version).toBe(5)
  })

  test('only a field that both changed is asked about, and each can be decided by itself', () => {
    const clash = run(
      begun(visit()),
      edit(note('mine')),
      edit(minutes(12), 20_000),
      edit(shine('NOSE', 3), 30_000),
      {
        type: 'clashed',
        theirs: visit((v) => {
          v.intake.note = 'theirs'
          v.intake.morningMinutes = 20
        }, 5),
      },
    )
    if (clash.saving.state !== 'clash') throw new Error('a clash was expected')
    expect(clash.saving.conflicts.map((c) => c.path).sort()).toEqual(['intake/morningMinutes', 'intake/note'])
    const decided = next(clash, { type: 'decided', mine: ['intake/note'] })
    expect(decided.document.intake.note).toBe('mine')
    expect(decided.document.intake.morningMinutes).toBe(20)
    expect(decided.document.reading.grades).toHaveLength(1)
    expect(isDirty(decided)).toBe(true)
  })

  test('a save whose answer was lost is nobody else’s, after a reload too', () => {
    const sent = run(begun(visit()), edit(note('first')), { type: 'sent' }, edit(note('first, and more')))
    const stored = visit((v) => (v.intake.note = 'first'), 4)
    const after = resumed(throughText(sent), stored)
    expect(after.saving.state).toBe('saving')
    expect(after.document.intake.note).toBe('first, and more')
    const offline = run(sent, { type: 'unreachable' }, { type: 'clashed', theirs: stored })
    expect(offline.saving.state).toBe('saving')
    expect(offline.document.intake.note).toBe('first, and more')
    const other = resumed(
      throughText(sent),
      visit((v) => (v.intake.note = 'hers'), 4),
    )
    expect(other.saving.state).toBe('clash')
  })

  test('what was fetched before the last save is nobody else’s, after a reload too', () => {
    const saved = next(next(begun(visit()), edit(note('first'))), { type: 'sent' })
    const kept = run(
      saved,
      { type: 'kept', visit: visit((v) => (v.intake.note = 'first'), 4) },
      edit(note('first, and more')),
    )
    const after = resumed(throughText(kept), visit())
    expect(after.saving.state).toBe('saving')
    expect(after.document.intake.note).toBe('first, and more')
    expect(after.base.version).toBe(4)
  })

  test('what is all saved is shown as the server tells it, a backup that was put back too', () => {
    const saved = run(begun(visit((v) => (v.intake.note = 'newer'), 7)))
    const after = resumed(throughText(saved), visit())
    expect(after.document.intake.note).toBe('hello')
    expect(after.saving.state).toBe('saved')
  })

  test('nothing is called saved between a change and its saving', () => {
    const changed = next(begun(visit()), edit(note('a')))
    expect(changed.saving.state).toBe('saving')
    expect(next(changed, { type: 'undone', at: 11_000 }).saving.state).toBe('saved')
  })

  test('the same change on both sides is no clash', () => {
    const work = run(begun(visit()), edit(note('both')), {
      type: 'clashed',
      theirs: visit((v) => (v.intake.note = 'both'), 5),
    })
    expect(work.saving.state).toBe('saved')
  })

  test('a newer version that is fetched while nothing waits is simply shown', () => {
    const work = next(begun(visit()), { type: 'fetched', visit: visit((v) => (v.intake.note = 'new'), 9) })
    expect(work.document.intake.note).toBe('new')
    expect(next(work, { type: 'fetched', visit: visit() })).toBe(work)
  })
})

describe('undo and redo', () => {
  test('go through everything that was done, and a new change forgets what was taken back', () => {
    const done = run(begun(visit()), edit(minutes(12)), edit(shine('NOSE', 3), 20_000))
    const once = next(done, { type: 'undone', at: 1 })
    expect(once.document.reading.grades).toHaveLength(0)
    expect(once.document.intake.morningMinutes).toBe(12)
    const twice = next(once, { type: 'undone', at: 1 })
    expect(isDirty(twice)).toBe(false)
    const again = run(twice, { type: 'redone', at: 1 }, { type: 'redone', at: 1 })
    expect(again.document.reading.grades).toHaveLength(1)
    expect(run(once, edit(note('new'))).future).toHaveLength(0)
  })

  test('letters typed in one breath are taken back together, those of later are not', () => {
    const work = run(
      begun(visit()),
      edit(note('w'), 10_000),
      edit(note('wi'), 10_200),
      edit(note('windy'), 10_400),
      edit(note('windy day'), 60_000),
    )
    expect(work.past).toHaveLength(2)
    expect(next(work, { type: 'undone', at: 1 }).document.intake.note).toBe('windy')
  })

  test('never take a signed verdict or a settled contradiction with them', () => {
    const signed = (d: VisitDocument) => ({
      ...d,
      reading: {
        ...d.reading,
        byHand: [{ verdict: 'BARRIER', value: 'STRAINED', who: 'Runa', why: 'thin' }],
        settlements: [{ contradiction: 'TYPE:WORD', keeps: 'READING', who: 'Runa', why: 'seen' }],
      },
    })
    const work = run(
      begun(visit()),
      edit(shine('NOSE', 3)),
      edit(signed as (d: VisitDocument) => VisitDocument, 20_000),
      { type: 'undone', at: 1 },
    )
    expect(work.document.reading.grades).toHaveLength(0)
    expect(work.document.reading.byHand).toHaveLength(1)
    expect(work.document.reading.settlements).toHaveLength(1)
    expect(work.past).toHaveLength(0)
  })

  test('leave alone what somebody else has changed since', () => {
    const work = run(
      begun(visit()),
      edit(minutes(12)),
      { type: 'sent' },
      { type: 'kept', visit: visit((v) => (v.intake.morningMinutes = 12), 4) },
      { type: 'fetched', visit: visit((v) => (v.intake.morningMinutes = 30), 5) },
      { type: 'undone', at: 1 },
    )
    expect(work.document.intake.morningMinutes).toBe(30)
  })

  test('outlive a reload, with what was not saved', () => {
    const before = run(begun(visit()), edit(minutes(12)), edit(note('windy'), 20_000))
    const after = resumed(throughText(before), visit())
    expect(after.document.intake.note).toBe('windy')
    expect(isDirty(after)).toBe(true)
    expect(next(after, { type: 'undone', at: 1 }).document.intake.note).toBe('hello')
  })

  test('what was kept is swept out after two days, unless it is not saved', () => {
    const unsaved = run(begun(visit()), edit(minutes(12), 1000))
    const saved = run(
      unsaved,
      { type: 'sent' },
      { type: 'kept', visit: visit((v) => (v.intake.morningMinutes = 12), 4) },
    )
    const later = 1000 + 3 * 24 * 60 * 60 * 1000
    expect(worthKeeping(toKeep(unsaved), later)).toBe(true)
    expect(worthKeeping(toKeep(saved), 2000)).toBe(true)
    expect(worthKeeping(toKeep(saved), later)).toBe(false)
  })

  test('what was kept of an older version is merged with the newer when it is opened again', () => {
    const before = run(begun(visit()), edit(note('mine')))
    const after = resumed(
      toKeep(before),
      visit((v) => (v.intake.morningMinutes = 25), 7),
    )
    expect(after.document.intake.note).toBe('mine')
    expect(after.document.intake.morningMinutes).toBe(25)
    expect(after.document.version).toBe(7)
  })
})

describe('fields', () => {
  test('a visit taken apart and put together again is the same', () => {
    const document = documentOfVisit(visit((v) => (v.reading.grades = [grade('NOSE', 1), grade('CHIN', 2)])))
    expect(documentOf(fieldsOf(document), document)).toEqual(document)
  })

  test('what was kept before nights had a rhythm is by weekday', () => {
    const { week, ...older } = begun(visit()).document
    const kept = older as VisitDocument
    expect(fieldsOf(kept).get('week/every')).toBe(week?.every)
    expect(documentOf(fieldsOf(kept), kept).week).toEqual(week)
  })

  test('the order of names and the way of saying nothing are no difference', () => {
    expect(same({ a: 1, b: null }, { b: undefined, a: 1 })).toBe(true)
    expect(same([1, 2], [2, 1])).toBe(false)
    const one = visit((v) => (v.reading.grades = [grade('NOSE', 1), grade('CHIN', 2)]))
    const other = visit((v) => (v.reading.grades = [grade('CHIN', 2), grade('NOSE', 1)]))
    expect(changes(one, other)).toEqual([])
  })

  /** Whatever is done on either side: a field that one side left alone is as the other has it. */
  test.each(Array.from({ length: 60 }, (_, seed) => seed))(
    'merging keeps every one-sided change (seed %i)',
    (seed) => {
      let state = seed * 2654435761 + 1
      const random = (n: number) => {
        state = (state * 1103515245 + 12345) % 2147483648
        return state % n
      }
      const zones = ['NOSE', 'CHIN', 'FOREHEAD', 'LEFT_CHEEK'] as Grade['zone'][]
      const some = (d: VisitDocument): VisitDocument => {
        switch (random(5)) {
          case 3:
            return byHand({
              product: 'retinol',
              date: `2026-12-0${1 + random(3)}`,
              on: random(2) === 0,
              why: '',
            })(d)
          case 0:
            return note(`note ${random(5)}`)(d)
          case 1:
            return minutes(random(30))(d)
          case 2:
            return shine(zones[random(4)] ?? 'NOSE', random(5))(d)
          default:
            return { ...d, reading: { ...d.reading, grades: d.reading.grades.slice(1) } }
        }
      }
      const base = shine('NOSE', 1)(shine('CHIN', 2)(begun(visit()).document))
      const mine = [some, some, some].reduce((d, f) => f(d), base)
      const theirs = [some, some, some].reduce((d, f) => f(d), base)
      const { document, conflicts } = merge(base, mine, theirs)
      const asked = new Set(conflicts.map((c) => c.path))
      const [b, m, t, got] = [base, mine, theirs, document].map(fieldsOf)
      for (const path of new Set([...b!.keys(), ...m!.keys(), ...t!.keys()])) {
        const changedHere = !same(b!.get(path), m!.get(path))
        const expected = changedHere && !asked.has(path) ? m!.get(path) : t!.get(path)
        expect(same(got!.get(path), expected)).toBe(true)
      }
    },
  )
})
