import { useMutation, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { api, ask, Refused, type Schemas } from '../api/client'
import { keys, useHouse } from '../api/hooks'
import { capital, dateWords, dayShort, DAYS, longDate, timeWords, type Formats } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { useTyped } from '../shared/typed'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'

type House = Schemas['HouseView']
type Typed = { version: number; name: string; address: string; telephone: string; hours: string } & Formats

const DATES: { value: Formats['dates']; label: string }[] = [
  { value: 'DAY_MONTH_YEAR', label: '25 November 2026' },
  { value: 'MONTH_DAY_YEAR', label: 'November 25, 2026' },
  { value: 'YEAR_MONTH_DAY', label: '2026-11-25' },
]

/** The practice itself: what stands on the sheet, how days and measures are written, who works here, its mark. */
export function HouseBand() {
  const house = useHouse()
  if (!house.data) return null
  return (
    <section className="band practice" aria-label="This practice">
      <div>
        <h2>This practice</h2>
        <p className="second">
          What stands on the client’s sheet and on a note to a doctor, and how days and measures are written.
        </p>
        {house.data.by && house.data.at && (
          <p className="second">
            Set {longDate(house.data.at)} {timeWords(house.data.at)} by {house.data.by}.
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
  const [typed, keep, forget] = useTyped<Typed>('house', '')
  const now = typed ?? typedFrom(house)
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
      forget()
      queries.setQueryData(keys.house, view)
    },
  })
  const refused = save.error instanceof Refused ? save.error : null
  const text = (name: 'name' | 'address' | 'telephone' | 'hours', label: string, lines = 1) => {
    const problem = refused?.fields.find((f) => f.pointer === `/${name}`)?.sentence
    return (
      <TextField
        label={label}
        value={now[name]}
        multiline={lines > 1}
        minRows={lines}
        error={!!problem}
        helperText={problem}
        onChange={(e) => keep({ ...now, [name]: e.target.value })}
        sx={{ flex: 1, minWidth: 240 }}
      />
    )
  }
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
        if (option) keep({ ...now, [name]: option.value })
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
      aria-label="Details of the practice"
      onSubmit={(e) => {
        e.preventDefault()
        save.mutate(now)
      }}
    >
      <div className="row">
        {text('name', 'Name of the practice')}
        {text('telephone', 'Telephone')}
      </div>
      <div className="row">
        {text('address', 'Address', 2)}
        {text('hours', 'Hours', 2)}
      </div>
      <div className="row">
        {pick('dates', 'Days are written', DATES, 200)}
        {pick(
          'clock24',
          'The afternoon is',
          [
            { value: true, label: '14:00' },
            { value: false, label: '2:00 pm' },
          ],
          130,
        )}
        {pick(
          'firstDay',
          'The week begins',
          DAYS.map((d) => ({ value: d, label: capital(dayShort(d)) })),
          140,
        )}
        {pick(
          'volume',
          'Packs are told in',
          [
            { value: 'ML', label: 'ml and g' },
            { value: 'FL_OZ', label: 'fl oz and oz' },
          ],
          150,
        )}
        {pick(
          'temperature',
          'Warmth is told in',
          [
            { value: 'CELSIUS', label: '°C' },
            { value: 'FAHRENHEIT', label: '°F' },
          ],
          140,
        )}
      </div>
      <div className="row">
        <Who help="Needed before a change" />
        <Button type="submit" disabled={typed === undefined || who.trim() === '' || save.isPending}>
          Save the practice’s page
        </Button>
        {typed !== undefined && <Button onClick={forget}>Leave it as it was</Button>}
      </div>
      {save.isError && !(refused && refused.fields.length > 0) && <ErrorBand error={save.error} />}
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
  const [name, keepName, forgetName] = useTyped<string>('worker', '')
  const settle = (view: House) => queries.setQueryData(keys.house, view)
  const join = useMutation({
    mutationFn: () => ask(api.POST('/api/practice/house/workers', { body: { name: name ?? '' } })),
    onSuccess: (view) => {
      forgetName()
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
      <h3>Who works here</h3>
      <p className="second">Picked once on each machine, and signed under everything decided by hand.</p>
      <ul className="row">
        {house.workers.map((w) => (
          <li key={w.id} className="who">
            <b>{w.name}</b>
            <Button size="small" aria-label={`${w.name} has left`} onClick={() => leave.mutate(w.id)}>
              Has left
            </Button>
          </li>
        ))}
        {house.workers.length === 0 && <li className="second">Nobody is named yet.</li>}
      </ul>
      <form
        className="row"
        onSubmit={(e) => {
          e.preventDefault()
          join.mutate()
        }}
      >
        <TextField label="Another name" value={name ?? ''} onChange={(e) => keepName(e.target.value)} />
        <Button type="submit" disabled={(name ?? '').trim() === '' || join.isPending}>
          Works here
        </Button>
      </form>
      {(join.error ?? leave.error) && <ErrorBand error={(join.error ?? leave.error) as Error} />}
    </div>
  )
}

function Mark({ house }: { house: House }) {
  const queries = useQueryClient()
  const [who] = useWho()
  const settle = (view: House) => queries.setQueryData(keys.house, view)
  const set = useMutation({
    mutationFn: (file: File) =>
      ask(
        api.PUT('/api/practice/house/mark', {
          params: { query: { by: who.trim() || 'not said' } },
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
      <h3>Its mark</h3>
      <div className="row">
        {house.mark !== '' && (
          <img
            src={`/api/practice/house/mark?v=${encodeURIComponent(house.markVersion)}`}
            alt="The mark of this practice"
            style={{ maxHeight: 64, maxWidth: 160 }}
          />
        )}
        <Button component="label">
          {house.mark === '' ? 'Choose a picture, SVG or PNG' : 'Choose another'}
          <input
            type="file"
            accept="image/svg+xml,image/png"
            className="visually-hidden"
            onChange={(e) => {
              const file = e.target.files?.[0]
              if (file) set.mutate(file)
              e.target.value = ''
            }}
          />
        </Button>
        {house.mark !== '' && <Button onClick={() => drop.mutate()}>Take it off</Button>}
      </div>
      {(set.error ?? drop.error) && <ErrorBand error={(set.error ?? drop.error) as Error} />}
      {house.markVersion !== '' && <p className="second">Since {dateWords(house.markVersion)}.</p>}
    </div>
  )
}
