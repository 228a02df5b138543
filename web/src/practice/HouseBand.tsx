import { useRef } from 'react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { api, ask, Refused, type Schemas } from '../api/client'
import { keys, useHouse } from '../api/hooks'
import { capital, dateWords, dayShort, DAYS, longDate, timeWords, type Formats } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { useKeptForm } from '../shared/form'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'
import { languages, say } from '../words/say'
import '../words/practice'

type House = Schemas['HouseView']
type Typed = { version: number; name: string; address: string; telephone: string; hours: string } & Formats

const DATES: { value: Formats['dates']; label: string }[] = [
  { value: 'DAY_MONTH_YEAR', label: say('practice.25November2026') },
  { value: 'MONTH_DAY_YEAR', label: say('practice.november252026') },
  { value: 'YEAR_MONTH_DAY', label: '2026-11-25' },
]

/** The practice itself: what stands on the sheet, how days and measures are written, who works here, its mark. */
export function HouseBand() {
  const house = useHouse()
  if (!house.data) return null
  return (
    <section className="band practice" aria-label={say('practice.thisPractice')}>
      <div>
        <h2>{say('practice.thisPractice')}</h2>
        <p className="second">{say('practice.whatStandsOnTheClientSSheet')}</p>
        {house.data.by && house.data.at && (
          <p className="second">
            {say('practice.setBy', {
              at: longDate(house.data.at),
              at2: timeWords(house.data.at),
              by: house.data.by,
            })}
          </p>
        )}
      </div>
      <div className="house">
        <DetailsForm house={house.data} />
        <Workers house={house.data} />
        <Mark house={house.data} />
      </div>
    </section>
  )
}

/** A language by its own name. */
const languageName = (code: string) => new Intl.DisplayNames([code], { type: 'language' }).of(code) ?? code

const typedFrom = ({ details, version }: House): Typed => ({
  version,
  name: details.name,
  address: details.address,
  telephone: details.telephone,
  hours: details.hours,
  ...details.formats,
})

function DetailsForm({ house }: { house: House }) {
  const queries = useQueryClient()
  const [who] = useWho()
  const form = useKeptForm<Typed>('house', '', typedFrom(house), '', ['version'])
  const { now, begun } = form
  const put = (t: Typed) => {
    const { version, name, address, telephone, hours, ...formats } = t
    return ask(
      api.PUT('/api/practice/house', {
        body: { version, name, address, telephone, hours, formats, by: who },
      }),
    )
  }
  const save = useMutation({
    mutationFn: async (t: Typed) => {
      try {
        return await put(t)
      } catch (failure) {
        const theirs = failure instanceof Refused ? (failure.theirs as House | null) : null
        const merged = theirs && laidTogether(typedFrom(house), t, typedFrom(theirs))
        if (!merged) throw failure
        return put(merged)
      }
    },
    onSuccess: (view) => {
      form.leave()
      queries.setQueryData(keys.house, view)
    },
  })
  const text = (name: 'name' | 'address' | 'telephone' | 'hours', label: string, lines = 1) => (
    <TextField
      label={label}
      multiline={lines > 1}
      minRows={lines}
      sx={{ flex: 1, minWidth: 240 }}
      {...form.text(name)}
    />
  )
  const pick = <K extends keyof Formats>(
    name: K,
    label: string,
    options: { value: Formats[K]; label: string }[],
    width = 170,
  ) => (
    <TextField
      select
      label={label}
      value={String(now[name])}
      onChange={(e) => {
        const option = options.find((o) => String(o.value) === e.target.value)
        if (option) form.put({ [name]: option.value })
      }}
      sx={{ width }}
    >
      {options.map((o) => (
        <MenuItem key={String(o.value)} value={String(o.value)}>
          {o.label}
        </MenuItem>
      ))}
    </TextField>
  )
  return (
    <form
      aria-label={say('practice.detailsOfThePractice')}
      onSubmit={form.submit((typed) => save.mutateAsync(typed))}
    >
      <div className="row">
        {text('name', say('practice.nameOfThePractice'))}
        {text('telephone', say('practice.telephone'))}
      </div>
      <div className="row">
        {text('address', say('practice.address'), 2)}
        {text('hours', say('practice.hours'), 2)}
      </div>
      <div className="row">
        {pick(
          'language',
          say('practice.language'),
          languages().map((l) => ({ value: l, label: languageName(l) })),
          150,
        )}
        {pick('dates', say('practice.daysAreWritten'), DATES, 200)}
        {pick(
          'clock24',
          say('practice.theAfternoonIs'),
          [
            { value: true, label: '14:00' },
            { value: false, label: say('practice.200Pm') },
          ],
          130,
        )}
        {pick(
          'firstDay',
          say('practice.theWeekBegins'),
          DAYS.map((d) => ({ value: d, label: capital(dayShort(d)) })),
          140,
        )}
        {pick(
          'volume',
          say('practice.packsAreToldIn'),
          [
            { value: 'ML', label: say('practice.mlAndG') },
            { value: 'FL_OZ', label: say('practice.flOzAndOz') },
          ],
          150,
        )}
        {pick(
          'temperature',
          say('practice.warmthIsToldIn'),
          [
            { value: 'CELSIUS', label: '°C' },
            { value: 'FAHRENHEIT', label: '°F' },
          ],
          140,
        )}
      </div>
      <div className="row">
        <Who help={say('practice.neededBeforeAChange')} />
        <Button type="submit" disabled={!begun || who.trim() === '' || form.busy}>
          {say('practice.saveThePracticeSPage')}
        </Button>
        {begun && <Button onClick={form.leave}>{say('practice.leaveItAsItWas')}</Button>}
      </div>
      {form.fault && <ErrorBand error={form.fault} />}
    </form>
  )
}

/** Mine over theirs, field by field; nothing when one field was changed on both sides. */
function laidTogether(base: Typed, mine: Typed, theirs: Typed): Typed | null {
  const names = (Object.keys(base) as (keyof Typed)[]).filter((n) => n !== 'version')
  const both = names.some((n) => mine[n] !== base[n] && theirs[n] !== base[n] && mine[n] !== theirs[n])
  if (both) return null
  const own = Object.fromEntries(names.filter((n) => mine[n] !== base[n]).map((n) => [n, mine[n]]))
  return { ...theirs, ...own }
}

function Workers({ house }: { house: House }) {
  const queries = useQueryClient()
  const form = useKeptForm('worker', '', { name: '' })
  const settle = (view: House) => queries.setQueryData(keys.house, view)
  const join = useMutation({
    mutationFn: (body: { name: string }) => ask(api.POST('/api/practice/house/workers', { body })),
    onSuccess: (view) => {
      form.leave()
      settle(view)
    },
  })
  const leave = useMutation({
    mutationFn: (id: string) =>
      ask(api.DELETE('/api/practice/house/workers/{id}', { params: { path: { id } } })),
    onSuccess: settle,
  })
  return (
    <div>
      <h3>{say('practice.whoWorksHere')}</h3>
      <p className="second">{say('practice.pickedOnceOnEachMachineAndSigned')}</p>
      <ul className="row">
        {house.workers.map((w) => (
          <li key={w.id} className="who">
            <b>{w.name}</b>
            <Button
              size="small"
              aria-label={say('practice.hasLeft', { name: w.name })}
              onClick={() => leave.mutate(w.id)}
            >
              {say('practice.hasLeft2')}
            </Button>
          </li>
        ))}
        {house.workers.length === 0 && <li className="second">{say('practice.nobodyIsNamedYet')}</li>}
      </ul>
      <form className="row" onSubmit={form.submit((typed) => join.mutateAsync(typed))}>
        <TextField label={say('practice.anotherName')} {...form.text('name')} />
        <Button type="submit" disabled={form.now.name.trim() === '' || form.busy}>
          {say('practice.worksHere')}
        </Button>
      </form>
      {(join.error ?? leave.error) && <ErrorBand error={(join.error ?? leave.error) as Error} />}
    </div>
  )
}

function Mark({ house }: { house: House }) {
  const queries = useQueryClient()
  const chooser = useRef<HTMLInputElement>(null)
  const [who] = useWho()
  const settle = (view: House) => queries.setQueryData(keys.house, view)
  const set = useMutation({
    mutationFn: (file: File) =>
      ask(
        api.PUT('/api/practice/house/mark', {
          params: { query: { by: who.trim() || say('practice.notSaid') } },
          headers: { 'content-type': 'application/octet-stream' },
          // the file goes as it is; the generated type knows binary bodies as text only
          body: file as unknown as string,
          bodySerializer: (body) => body as unknown as File,
        }),
      ),
    onSuccess: settle,
  })
  const drop = useMutation({
    mutationFn: () => ask(api.DELETE('/api/practice/house/mark')),
    onSuccess: settle,
  })
  return (
    <div>
      <h3>{say('practice.itsMark')}</h3>
      <div className="row">
        {house.mark !== '' && (
          <img
            src={`/api/practice/house/mark?v=${encodeURIComponent(house.markVersion)}`}
            alt={say('practice.theMarkOfThisPractice')}
            style={{ maxHeight: 64, maxWidth: 160 }}
          />
        )}
        <Button onClick={() => chooser.current?.click()}>
          {house.mark === '' ? say('practice.chooseAPictureSvgOrPng') : say('practice.chooseAnother')}
        </Button>
        <input
          ref={chooser}
          type="file"
          accept="image/svg+xml,image/png"
          hidden
          onChange={(e) => {
            const file = e.target.files?.[0]
            if (file) set.mutate(file)
            e.target.value = ''
          }}
        />
        {house.mark !== '' && <Button onClick={() => drop.mutate()}>{say('practice.takeItOff')}</Button>}
      </div>
      {(set.error ?? drop.error) && <ErrorBand error={(set.error ?? drop.error) as Error} />}
      {house.markVersion !== '' && (
        <p className="second">{say('practice.since', { markVersion: dateWords(house.markVersion) })}</p>
      )}
    </div>
  )
}
