import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { api, ask, type Desk as DeskData } from '../api/client'
import { keys, useDesk, type DeskQuery } from '../api/hooks'
import { dateWords, timeWords } from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { useTyped } from '../shared/typed'
import { NewClient } from './NewClient'
import { AirBand } from '../weather/AirBand'
import { useAirAtThePractice } from '../weather/useAirToday'
import { say } from '../words/say'
import '../words/desk'
import '../words/weather'
import './desk.css'

type Docket = DeskData['clients'][number]
type Scope = NonNullable<DeskQuery['scope']>

const SCOPES: { value: Scope; label: string }[] = [
  { value: 'ALL', label: say('desk.everybody') },
  { value: 'DAY', label: say('desk.byDay') },
  { value: 'WEEK', label: say('desk.byWeek') },
  { value: 'ARCHIVED', label: say('desk.withThoseWhoLeft') },
]
const DAY_MS = 24 * 60 * 60 * 1000

const sameDay = (a: string, b: string) => a.slice(0, 10) === b.slice(0, 10)

/** A day so many days on, as its date. */
function daysOn(day: string, by: number) {
  const [year = 1970, month = 1, date = 1] = day.split('-').map(Number)
  return new Date(Date.UTC(year, month - 1, date) + by * DAY_MS).toISOString().slice(0, 10)
}

/** Who comes when, and everybody else. */
export function Desk() {
  const [scope, setScope] = useState<Scope>('ALL')
  const [day, setDay] = useState<string | null>(null)
  const [text, setText] = useState('')
  const [skipped, setSkipped] = useState(0)
  const dated = scope === 'DAY' || scope === 'WEEK'
  const desk = useDesk({
    scope,
    text: text.trim(),
    skipped,
    ...(dated && day !== null ? { day } : {}),
  })
  const today = useDesk({ scope: 'DAY' })
  const [begunClient, , forgetClient] = useTyped('new-client', '')
  const [adding, setAdding] = useState(begunClient !== undefined)
  const begin = useBegin()
  if (desk.isPending) return <Fetching what={say('desk.theDesk')} />
  if (desk.isError && !desk.data) {
    return (
      <div className="page">
        <ErrorBand error={desk.error} again={() => void desk.refetch()} />
      </div>
    )
  }
  const { clients, now, total } = desk.data
  const booked = today.data?.clients ?? []
  const next = booked.find((c) => c.nextVisit && c.nextVisit >= now) ?? booked[0]
  const shown = day ?? now.slice(0, 10)
  const look = (change: () => void) => {
    change()
    setSkipped(0)
  }
  return (
    <div className="page">
      <div className="desk-head">
        <h1>
          {next
            ? `${inTheChair(next, now) ? say('desk.inTheChair') : say('desk.next')}: ${next.name}, ${timeWords(next.nextVisit ?? now)}`
            : say('desk.nobodyIsBookedToday')}
        </h1>
        <span className="second">{dateWords(now)}</span>
        <Button onClick={() => setAdding(true)} sx={{ ml: 'auto' }}>
          {say('desk.newClient')}
        </Button>
        {next && (
          <Button variant="contained" onClick={() => begin.mutate(next)} disabled={begin.isPending}>
            {inTheChair(next, now)
              ? say('desk.goOnWith', { name: first(next.name) })
              : say('desk.beginWith', { name: first(next.name) })}
          </Button>
        )}
      </div>
      {begin.isError && <ErrorBand error={begin.error} />}
      {adding && (
        <NewClient
          close={() => {
            forgetClient()
            setAdding(false)
          }}
        />
      )}
      <AirAtThePractice />
      <PatchesDue due={desk.data.patchTests} now={now} />
      <div className="desk-look" role="group" aria-label={say('desk.whichClients')}>
        <ToggleButtonGroup
          exclusive
          value={scope}
          aria-label={say('desk.whichClients')}
          onChange={(_, to: Scope | null) => to !== null && look(() => setScope(to))}
        >
          {SCOPES.map((s) => (
            <ToggleButton key={s.value} value={s.value}>
              {s.label}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        {dated && (
          <>
            <Button
              aria-label={scope === 'DAY' ? say('desk.theDayBefore') : say('desk.theWeekBefore')}
              onClick={() => look(() => setDay(daysOn(shown, scope === 'DAY' ? -1 : -7)))}
            >
              ‹
            </Button>
            <b>
              {scope === 'DAY'
                ? dateWords(shown)
                : say('desk.to', { shown: dateWords(shown), dateWords: dateWords(daysOn(shown, 6)) })}
            </b>
            <Button
              aria-label={scope === 'DAY' ? say('desk.theDayAfter') : say('desk.theWeekAfter')}
              onClick={() => look(() => setDay(daysOn(shown, scope === 'DAY' ? 1 : 7)))}
            >
              ›
            </Button>
            {shown !== now.slice(0, 10) && (
              <Button onClick={() => look(() => setDay(null))}>{say('desk.today')}</Button>
            )}
          </>
        )}
        <TextField
          label={say('desk.nameTradeOrContact')}
          value={text}
          onChange={(e) => look(() => setText(e.target.value))}
          sx={{ width: 240, ml: 'auto' }}
        />
      </div>
      {clients.length === 0 ? (
        <Empty scope={scope} text={text} />
      ) : (
        <div className="band desk-table" role="table" aria-label={say('desk.clients')} aria-rowcount={total}>
          <div role="rowgroup">
            <div role="row" className="desk-row desk-names">
              <span role="columnheader">{say('desk.client')}</span>
              <span role="columnheader">{say('desk.nextVisit')}</span>
              <span role="columnheader">{say('desk.skinAsLastRead')}</span>
              <span role="columnheader">{say('desk.mind')}</span>
              <span role="columnheader">
                <span className="visually-hidden">{say('desk.whatToDo')}</span>
              </span>
            </div>
          </div>
          <div role="rowgroup">
            {clients.map((c) => (
              <ClientRow
                key={c.id}
                client={c}
                now={now}
                begin={() => begin.mutate(c)}
                busy={begin.isPending}
              />
            ))}
          </div>
        </div>
      )}
      {total > clients.length && (
        <div className="row desk-pages">
          <Button disabled={skipped === 0} onClick={() => setSkipped(Math.max(0, skipped - PAGE))}>
            {say('desk.thoseBefore')}
          </Button>
          <span>{say('desk.toOf', { value: skipped + 1, value2: skipped + clients.length, total })}</span>
          <Button disabled={skipped + clients.length >= total} onClick={() => setSkipped(skipped + PAGE)}>
            {say('desk.thoseAfter')}
          </Button>
        </div>
      )}
    </div>
  )
}

/** Today's air; the desk does not wait for it. */
function AirAtThePractice() {
  const air = useAirAtThePractice()
  if (air.isPending || air.isError) return null
  return air.data ? (
    <AirBand air={air.data} />
  ) : (
    <p className="second">
      <Link to="/places">{say('weather.whereIsThePractice')}</Link>
    </p>
  )
}

/** As many as the server lays on one page. */
const PAGE = 50

function Empty({ scope, text }: { scope: Scope; text: string }) {
  if (text.trim() !== '') {
    return (
      <div className="band desk-empty">
        <h2>{say('desk.nobodyFits', { trim: text.trim() })}</h2>
        <p>{say('desk.nameTradeAndContactAreLookedThrough')}</p>
      </div>
    )
  }
  return scope === 'DAY' || scope === 'WEEK' ? (
    <div className="band desk-empty">
      <h2>
        {say('desk.nobodyIsBooked')}
        {scope === 'DAY' ? say('desk.forThisDay') : say('desk.inTheseSevenDays')}
      </h2>
      <p>{say('desk.theNextVisitIsAgreedOnThe')}</p>
    </div>
  ) : (
    <div className="band desk-empty">
      <h2>{say('desk.noClientsYet')}</h2>
      <p>{say('desk.addTheFirstOneThenAskRead')}</p>
    </div>
  )
}

/** Patch tests whose next reading is today or late, and those that come. */
function PatchesDue({ due, now }: { due: DeskData['patchTests']; now: string }) {
  if (due.length === 0) return null
  return (
    <section className="desk-due" aria-label={say('desk.patchTestsToRead')}>
      <h2>{say('desk.patchTestsToRead')}</h2>
      <ul>
        {due.map((d) => (
          <li key={d.test}>
            <Link to={`/patch/${d.client}`}>
              <b className={d.late ? 'late' : ''}>
                {d.late ? say('desk.dueSince') : say('desk.due')}{' '}
                {sameDay(d.due, now) ? say('desk.today2') : dateWords(d.due)} {timeWords(d.due)}
              </b>
              <span>
                {d.clientName}, {d.name}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}

function ClientRow({
  client,
  now,
  begin,
  busy,
}: {
  client: Docket
  now: string
  begin: () => void
  busy: boolean
}) {
  const label = inTheChair(client, now)
    ? say('desk.goOn')
    : client.lastVisit
      ? say('desk.beginAVisit')
      : say('desk.firstVisit')
  return (
    <div role="row" className="desk-row">
      <span role="cell">
        <Link className="desk-name" to={`/clients/${client.id}`}>
          {client.name}
        </Link>
        <span className="second">{client.trade}</span>
      </span>
      <span role="cell">{when(client.nextVisit ?? null, now)}</span>
      <span role="cell">
        {client.fault === '' ? client.skin : <b className="late">{client.fault}</b>}
        {client.readDate && (
          <span className="second">{say('desk.read', { readDate: dateWords(client.readDate) })}</span>
        )}
      </span>
      <span role="cell" className={client.mind.length > 0 ? 'desk-mind' : 'second'}>
        {client.mind.length > 0
          ? client.mind.join(', ')
          : client.lastVisit
            ? say('desk.nothingTold')
            : say('desk.notAskedYet')}
      </span>
      <span role="cell">
        <Button onClick={begin} disabled={busy} fullWidth aria-label={`${label}, ${client.name}`}>
          {label}
        </Button>
      </span>
    </div>
  )
}

function when(nextVisit: string | null, now: string) {
  if (!nextVisit) return <span className="second">{say('desk.notAgreed')}</span>
  return (
    <>
      <b>{sameDay(nextVisit, now) ? say('desk.today2') : dateWords(nextVisit)}</b>
      <span className="second">{timeWords(nextVisit)}</span>
    </>
  )
}

/** Whether today's visit has begun. */
const inTheChair = (c: Docket, now: string) => !!c.lastDate && sameDay(c.lastDate, now)

const first = (name: string) => name.split(' ')[0] ?? name

/** Begins today's visit, or goes on with it; never an earlier one. */
function useBegin() {
  const navigate = useNavigate()
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (client: { id: string }) =>
      ask(api.POST('/api/clients/{client}/visits', { params: { path: { client: client.id } } })),
    onSuccess: (visit) => {
      void queries.invalidateQueries({ queryKey: keys.desk })
      void queries.invalidateQueries({ queryKey: ['client'] })
      const read = visit.reading.grades.length > 0
      void navigate(`/visits/${visit.id}/${read ? 'read' : 'talk'}`)
    },
  })
}
