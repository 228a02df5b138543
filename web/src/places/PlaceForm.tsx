import { useState } from 'react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { api, ask, type Month, type Schemas } from '../api/client'
import { keys } from '../api/hooks'
import { monthName, MONTHS } from '../shared/format'
import { useKeptForm } from '../shared/form'
import { numberFrom } from '../shared/numbers'
import { ErrorBand } from '../shared/States'
import { useWho } from '../shared/who'
import { say } from '../words/say'
import '../words/places'

type Air = Schemas['MonthlyAir']
const FIELDS = ['celsius', 'humidity', 'wind', 'uvIndex'] as const
type Field = (typeof FIELDS)[number]
const LABELS: Record<Field, string> = {
  celsius: say('places.celsius'),
  humidity: say('places.humidity'),
  wind: say('places.wind'),
  uvIndex: say('places.uv'),
}

const cell = (month: number, field: Field) => `${month} ${field}`

/** What is typed of a place: its name, a note, and forty-eight figures. */
type Typed = { name: string; note: string } & Record<string, string>

const cells = (months: Air[]): Record<string, string> =>
  Object.fromEntries(months.flatMap((m, i) => FIELDS.map((f) => [cell(i, f), String(m[f])])))

/** A place by a table, by three questions that fill it, or by a table pasted from a spreadsheet. */
export function PlaceForm({
  of,
  copy,
  questions,
  close,
}: {
  /** the place that it begins with; none for a new one */
  of: Schemas['PlaceView'] | null
  /** whether another is made of it */
  copy: boolean
  questions: Schemas['PlacesView']['questions']
  close: () => void
}) {
  const queries = useQueryClient()
  const [who] = useWho()
  const empty = Object.fromEntries(MONTHS.flatMap((_, i) => FIELDS.map((f) => [cell(i, f), ''])))
  const start: Typed = {
    name: of && !copy ? of.name : '',
    note: of?.note ?? '',
    ...(of ? cells(of.months) : empty),
  }
  const form = useKeptForm<Typed>('place', of && !copy ? of.id : `+${of?.id ?? ''}`, start)
  const [filled, setFilled] = useState(of !== null)
  const set = useMutation({
    mutationFn: (body: Schemas['PlaceForm']) =>
      of && !copy
        ? ask(api.PUT('/api/places/{id}', { params: { path: { id: of.id } }, body }))
        : ask(api.POST('/api/places', { body })),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.places }),
  })
  const fill = (months: Air[]) => {
    form.put(cells(months))
    setFilled(true)
  }
  const months = MONTHS.map((_, i) =>
    Object.fromEntries(FIELDS.map((f) => [f, numberFrom(form.now[cell(i, f)] ?? '')])),
  )
  const missing = months.some((m) => FIELDS.some((f) => m[f] === null || m[f] === undefined))
  const submit = form.submit(async () => {
    await set.mutateAsync({
      name: form.now.name,
      note: form.now.note,
      by: who,
      version: of && !copy ? of.version : 0,
      months: months as Air[],
    })
    form.leave()
    close()
  })
  return (
    <form
      className="band place-form"
      aria-label={of && !copy ? of.name : say('places.aNewOne')}
      onSubmit={submit}
    >
      <h2>{of && !copy ? say('places.changeOf', { name: of.name }) : say('places.aNewOne')}</h2>
      <div className="row">
        <TextField label={say('places.name')} {...form.text('name')} />
        <TextField label={say('places.noteOf')} sx={{ minWidth: 320 }} {...form.text('note')} />
      </div>
      <Asked questions={questions} fill={fill} />
      <Pasted fill={fill} />
      {(filled || Object.keys(empty).some((k) => form.now[k] !== '')) && (
        <div className="place-scroll">
          <table className="place-table typed">
            <thead>
              <tr>
                <th scope="col">{say('places.month')}</th>
                {FIELDS.map((f) => (
                  <th key={f} scope="col">
                    {LABELS[f]}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {MONTHS.map((m, i) => (
                <tr key={m}>
                  <th scope="row">{monthName(m)}</th>
                  {FIELDS.map((f) => (
                    <td key={f}>
                      <input
                        inputMode="decimal"
                        aria-label={`${monthName(m)}, ${LABELS[f]}`}
                        aria-invalid={numberFrom(form.now[cell(i, f)] ?? '') === null}
                        value={form.now[cell(i, f)] ?? ''}
                        onChange={(e) => form.put({ [cell(i, f)]: e.target.value })}
                      />
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {!filled && (
        <Button onClick={() => setFilled(true)} sx={{ alignSelf: 'flex-start' }}>
          {say('places.byHand')}
        </Button>
      )}
      {form.fault && <ErrorBand error={form.fault} />}
      <div className="row">
        <Button type="submit" variant="contained" disabled={missing || who.trim() === '' || set.isPending}>
          {say('places.keep')}
        </Button>
        <Button
          onClick={() => {
            form.leave()
            close()
          }}
        >
          {say('places.leaveIt')}
        </Button>
        {missing && filled && <span className="second">{say('places.figuresMissing')}</span>}
      </div>
    </form>
  )
}

/** Three questions and the wind, for who knows no table. */
function Asked({
  questions,
  fill,
}: {
  questions: Schemas['PlacesView']['questions']
  fill: (months: Air[]) => void
}) {
  const [asked, setAsked] = useState<Schemas['AskedForm']>({
    coldest: 'JANUARY',
    winter: 'HEATED',
    hottest: 'JULY',
    summer: 'WARM',
    sun: 'MODERATE',
    wind: 'BREEZY',
  })
  const make = useMutation({
    mutationFn: () => ask(api.POST('/api/places/asked', { body: asked })),
    onSuccess: fill,
  })
  const month = (key: 'coldest' | 'hottest', label: string) => (
    <TextField
      select
      label={label}
      value={asked[key]}
      sx={{ minWidth: 150 }}
      onChange={(e) => setAsked({ ...asked, [key]: e.target.value as Month })}
    >
      {MONTHS.map((m) => (
        <MenuItem key={m} value={m}>
          {monthName(m)}
        </MenuItem>
      ))}
    </TextField>
  )
  const answer = (key: 'winter' | 'summer' | 'sun' | 'wind', of: string, label: string) => (
    <TextField
      select
      label={label}
      value={asked[key]}
      onChange={(e) => setAsked({ ...asked, [key]: e.target.value })}
      sx={{ minWidth: 220 }}
    >
      {(questions[of] ?? []).map((a) => (
        <MenuItem key={a.id} value={a.id}>
          {a.words}
        </MenuItem>
      ))}
    </TextField>
  )
  return (
    <fieldset className="place-asked">
      <legend>{say('places.byQuestions')}</legend>
      <div className="row">
        {month('coldest', say('places.coldest'))}
        {answer('winter', 'winters', say('places.thenItIs'))}
        {month('hottest', say('places.hottest'))}
        {answer('summer', 'summers', say('places.thenItIs'))}
        {answer('sun', 'suns', say('places.middaySun'))}
        {answer('wind', 'winds', say('places.windWords'))}
        <Button disabled={make.isPending} onClick={() => make.mutate()}>
          {say('places.fillTheTable')}
        </Button>
      </div>
      {make.error && <ErrorBand error={make.error} />}
    </fieldset>
  )
}

/** A table copied from a spreadsheet, or a file of one. */
function Pasted({ fill }: { fill: (months: Air[]) => void }) {
  const [text, setText] = useState('')
  const read = useMutation({
    mutationFn: (text: string) => ask(api.POST('/api/places/table', { body: { text } })),
    onSuccess: (months) => {
      fill(months)
      setText('')
    },
  })
  return (
    <details className="place-pasted">
      <summary>{say('places.fromATable')}</summary>
      <p className="second">{say('places.tableNote')}</p>
      <TextField
        multiline
        minRows={3}
        maxRows={8}
        fullWidth
        label={say('places.paste')}
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <div className="row">
        <Button disabled={text.trim() === '' || read.isPending} onClick={() => read.mutate(text)}>
          {say('places.readIt')}
        </Button>
        <Button component="label">
          {say('places.aFile')}
          <input
            type="file"
            hidden
            accept=".csv,.txt,.tsv,text/csv"
            onChange={(e) => {
              const file = e.target.files?.[0]
              if (file) void file.text().then((t) => read.mutate(t))
            }}
          />
        </Button>
      </div>
      {read.error && <ErrorBand error={read.error} />}
    </details>
  )
}
