import { useState, type ReactNode } from 'react'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import type { Schemas, Step, VisitDocument, Vocabulary } from '../api/client'
import type { useDiary, useDiaryChange } from '../api/hooks'
import { DateField } from '../shared/DateField'
import { capital, dateWords, dayShort, week, type Day } from '../shared/format'
import { useKeptForm } from '../shared/form'
import { ErrorBand } from '../shared/States'
import { say } from '../words/say'
import '../words/week'
import { weekOf, withCourse, withEvening, withoutCourse, withoutEvening, type Weeks } from './edits'

type Props = {
  document: VisitDocument
  change: (edit: (document: VisitDocument) => VisitDocument) => void
  words: Vocabulary
  weeks: Weeks
  readOnly: boolean
}

/** Evenings of her own, pauses of strong work, and courses that end. */
export function HerDays({
  client,
  steps,
  diary,
  diaryChange,
  ...props
}: Props & {
  client: string
  steps: Step[]
  diary: NonNullable<ReturnType<typeof useDiary>['data']>
  diaryChange: ReturnType<typeof useDiaryChange>
}) {
  return (
    <div className="her-days">
      <Evenings {...props} />
      <Pauses client={client} diary={diary} change={diaryChange} words={props.words} weeks={props.weeks} />
      <Courses steps={steps} {...props} />
    </div>
  )
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="band week-part" aria-label={title}>
      <h2>{title}</h2>
      {children}
    </section>
  )
}

function Evenings({ document, change, words, readOnly }: Props) {
  const { evenings } = weekOf(document)
  const kinds = words.weeks.evenings
  const [kind, setKind] = useState(kinds[0]?.id ?? '')
  const [date, setDate] = useState('')
  const label = (id: string) => kinds.find((k) => k.id === id)?.label ?? id
  const days = new Set(evenings.filter((e) => e.kind === kind && e.weekday).map((e) => e.weekday))
  const one = (weekday: Day): Schemas['OwnEvening'] => ({ kind, weekday, date: null })
  return (
    <Part title={say('week.eveningsOfTheirOwn')}>
      {!readOnly && (
        <>
          <TextField
            select
            label={say('week.kindOfEvening')}
            value={kind}
            sx={{ minWidth: 220 }}
            onChange={(e) => setKind(e.target.value)}
          >
            {kinds.map((k) => (
              <MenuItem key={k.id} value={k.id}>
                {capital(k.label)}
              </MenuItem>
            ))}
          </TextField>
          <div className="day-pads" role="group" aria-label={say('week.everyWeekOn', { kind: label(kind) })}>
            {week().map((day) => (
              <button
                key={day}
                type="button"
                aria-pressed={days.has(day)}
                onClick={() => change(days.has(day) ? withoutEvening(one(day)) : withEvening(one(day)))}
              >
                {dayShort(day)}
              </button>
            ))}
          </div>
          <div className="row">
            <DateField label={say('week.orOnce')} value={date} width={195} pick={setDate} />
            <Button
              disabled={date === ''}
              onClick={() => {
                change(withEvening({ kind, weekday: null, date }))
                setDate('')
              }}
            >
              {say('week.addIt')}
            </Button>
          </div>
        </>
      )}
      {evenings.length === 0 && <p className="second">{say('week.noneOfTheirOwn')}</p>}
      <ul>
        {evenings.map((e) => (
          <li key={`${e.kind} ${e.weekday ?? ''} ${e.date ?? ''}`} className="row">
            <span>
              <b>
                {e.weekday ? say('week.everyDay', { day: dayShort(e.weekday) }) : dateWords(e.date ?? '')}
              </b>{' '}
              {label(e.kind)}
            </span>
            {!readOnly && (
              <Button
                onClick={() => change(withoutEvening(e))}
                aria-label={say('week.takeOut', { what: label(e.kind) })}
              >
                {say('week.takeBack')}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </Part>
  )
}

function Pauses({
  client,
  diary,
  change,
  words,
  weeks,
}: {
  client: string
  diary: NonNullable<ReturnType<typeof useDiary>['data']>
  change: ReturnType<typeof useDiaryChange>
  words: Vocabulary
  weeks: Weeks
}) {
  const kinds = words.weeks.pauses
  const form = useKeptForm('pause', client, {
    kind: kinds[0]?.id ?? '',
    from: weeks.now,
    until: weeks.now,
    remark: '',
  })
  const kind = kinds.find((k) => k.id === form.now.kind)
  return (
    <Part title={say('week.pauses')}>
      <form
        aria-label={say('week.pauses')}
        onSubmit={form.submit(async (typed) => {
          await change.pause.mutateAsync({
            ...typed,
            until: typed.until,
          })
          form.leave()
        })}
      >
        <div className="row">
          <TextField select label={say('week.whatFor')} sx={{ minWidth: 200 }} {...form.pick('kind')}>
            {kinds.map((k) => (
              <MenuItem key={k.id} value={k.id}>
                {capital(k.label)}
              </MenuItem>
            ))}
          </TextField>
          <DateField
            label={say('week.firstDay')}
            value={form.now.from}
            width={195}
            error={form.errorOf('from')}
            pick={(from) => form.put({ from, ...(form.now.until === form.now.from ? { until: from } : {}) })}
          />
          <DateField
            label={say('week.lastDay')}
            value={form.now.until}
            width={195}
            error={form.errorOf('until')}
            pick={(until) => form.put({ until })}
          />
          <Button type="submit" disabled={form.busy || form.now.from === '' || form.now.until === ''}>
            {say('week.pauseIt')}
          </Button>
        </div>
        {kind && (
          <p className="second">
            {kind.because.sentence}
            {(kind.before > 0 || kind.after > 0) &&
              ` ${say('week.daysRound', { before: kind.before, after: kind.after })}`}
          </p>
        )}
        {form.fault && <ErrorBand error={form.fault} />}
      </form>
      <ul>
        {diary.pauses.map((p) => (
          <li key={p.id} className="row">
            <span>
              <b>
                {dateWords(p.pause.from)}
                {p.pause.until !== p.pause.from && ` – ${dateWords(p.pause.until)}`}
              </b>{' '}
              {kinds.find((k) => k.id === p.pause.kind)?.label}
            </span>
            <Button
              onClick={() => change.goOn.mutate(p.id)}
              aria-label={say('week.takeOut', {
                what: kinds.find((k) => k.id === p.pause.kind)?.label ?? '',
              })}
            >
              {say('week.takeBack')}
            </Button>
          </li>
        ))}
      </ul>
    </Part>
  )
}

function Courses({ document, change, words, weeks, steps, readOnly }: Props & { steps: Step[] }) {
  const { courses } = weekOf(document)
  const kinds = words.weeks.courses
  const [product, setProduct] = useState('')
  const [kind, setKind] = useState(kinds[0]?.id ?? '')
  const [from, setFrom] = useState(weeks.now)
  const name = (id: string) => steps.find((s) => s.product === id)?.name ?? id
  return (
    <Part title={say('week.courses')}>
      {!readOnly && (
        <div className="row">
          <TextField
            select
            label={say('week.ofWhat')}
            value={product}
            sx={{ minWidth: 220 }}
            onChange={(e) => setProduct(e.target.value)}
          >
            {steps.map((s) => (
              <MenuItem key={s.product} value={s.product}>
                {s.name}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            select
            label={say('week.howLong')}
            value={kind}
            sx={{ minWidth: 200 }}
            onChange={(e) => setKind(e.target.value)}
          >
            {kinds.map((k) => (
              <MenuItem key={k.id} value={k.id}>
                {k.label}
              </MenuItem>
            ))}
          </TextField>
          <DateField label={say('week.firstDay')} value={from} width={195} pick={setFrom} />
          <Button
            disabled={product === '' || from === ''}
            onClick={() => change(withCourse({ product, kind, from }))}
          >
            {say('week.setTheCourse')}
          </Button>
        </div>
      )}
      {courses.length === 0 && <p className="second">{say('week.noCourse')}</p>}
      <ul>
        {courses.map((c) => (
          <li key={c.product} className="row">
            <span>
              <b>{name(c.product)}:</b> {kinds.find((k) => k.id === c.kind)?.label},{' '}
              {say('week.fromDay', { day: dateWords(c.from) })}
            </span>
            {!readOnly && (
              <Button
                onClick={() => change(withoutCourse(c.product))}
                aria-label={say('week.takeOut', { what: name(c.product) })}
              >
                {say('week.takeBack')}
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Verdicts weeks={weeks} words={words} />
    </Part>
  )
}

/** When the plan may be judged, and by what. */
function Verdicts({ weeks, words }: { weeks: Weeks; words: Vocabulary }) {
  if (weeks.verdicts.length === 0) return null
  return (
    <>
      <h3>{say('week.whenToJudge')}</h3>
      <ul>
        {weeks.verdicts.map((v) => (
          <li key={v.concern}>
            <b>
              {capital(words.concerns.find((c) => c.concern === v.concern)?.label ?? '')}:{' '}
              {say('week.fromDay', { day: dateWords(v.fair) })}
            </b>{' '}
            {v.look}
          </li>
        ))}
      </ul>
    </>
  )
}
