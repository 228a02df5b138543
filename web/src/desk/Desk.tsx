import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import { api, ask, type Desk as DeskData } from '../api/client'
import { keys, useDesk } from '../api/hooks'
import { dateWords, timeWords } from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { NewClient } from './NewClient'
import './desk.css'

type Docket = DeskData['clients'][number]

const sameDay = (a: string, b: string) => a.slice(0, 10) === b.slice(0, 10)

/** Who comes when, and everybody else. */
export function Desk() {
  const desk = useDesk()
  const [adding, setAdding] = useState(false)
  const open = useOpen()
  if (desk.isPending) return <Fetching what="the desk" />
  if (desk.isError) {
    return (
      <div className="page">
        <ErrorBand error={desk.error} again={() => void desk.refetch()} />
      </div>
    )
  }
  const { clients, now } = desk.data
  const today = clients.filter((c) => c.nextVisit && sameDay(c.nextVisit, now))
  const next = today.find((c) => c.nextVisit && c.nextVisit >= now) ?? today[0]
  return (
    <div className="page">
      <div className="desk-head">
        <h1>
          {next
            ? `${inTheChair(next, now) ? 'In the chair' : 'Next'}: ${next.name}, ${timeWords(next.nextVisit ?? now)}`
            : 'Nobody is booked today'}
        </h1>
        <span className="second">{dateWords(now)}</span>
        <Button onClick={() => setAdding(true)} sx={{ ml: 'auto' }}>
          New client
        </Button>
        {next && (
          <Button
            variant="contained"
            onClick={() => open.mutate(inTheChair(next, now) ? next : { id: next.id })}
            disabled={open.isPending}
          >
            {inTheChair(next, now) ? `Go on with ${first(next.name)}` : `Begin with ${first(next.name)}`}
          </Button>
        )}
      </div>
      {open.isError && <ErrorBand error={open.error} />}
      {adding && <NewClient close={() => setAdding(false)} />}
      <PatchesDue due={desk.data.patchTests} now={now} />
      {clients.length === 0 ? (
        <div className="band desk-empty">
          <h2>No clients yet</h2>
          <p>Add the first one, then ask, read and build.</p>
        </div>
      ) : (
        <div className="band desk-table" role="table" aria-label="Clients">
          <div role="rowgroup">
            <div role="row" className="desk-row desk-names">
              <span role="columnheader">Client</span>
              <span role="columnheader">Next visit</span>
              <span role="columnheader">Skin, as last read</span>
              <span role="columnheader">Mind</span>
              <span role="columnheader">
                <span className="visually-hidden">What to do</span>
              </span>
            </div>
          </div>
          <div role="rowgroup">
            {clients.map((c) => (
              <ClientRow key={c.id} client={c} now={now} open={() => open.mutate(c)} busy={open.isPending} />
            ))}
          </div>
        </div>
      )}
    </div>
  )
}

/** Patch tests whose next reading is today or late, and those that come. */
function PatchesDue({ due, now }: { due: DeskData['patchTests']; now: string }) {
  if (due.length === 0) return null
  return (
    <section className="desk-due" aria-label="Patch tests to read">
      <h2>Patch tests to read</h2>
      <ul>
        {due.map((d) => (
          <li key={d.test}>
            <Link to={`/patch/${d.client}`}>
              <b className={d.late ? 'late' : ''}>
                {d.late ? 'due since' : 'due'} {sameDay(d.due, now) ? 'today' : dateWords(d.due)}{' '}
                {timeWords(d.due)}
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
  open,
  busy,
}: {
  client: Docket
  now: string
  open: () => void
  busy: boolean
}) {
  return (
    <div role="row" className="desk-row">
      <span role="cell">
        <b className="desk-name">{client.name}</b>
        <span className="second">{client.trade}</span>
      </span>
      <span role="cell">{when(client.nextVisit ?? null, now)}</span>
      <span role="cell">
        {client.skin}
        {client.readDate && <span className="second">read {dateWords(client.readDate)}</span>}
      </span>
      <span role="cell" className={client.mind.length > 0 ? 'desk-mind' : 'second'}>
        {client.mind.length > 0 ? client.mind.join(', ') : 'nothing known'}
      </span>
      <span role="cell">
        <Button
          onClick={open}
          disabled={busy}
          fullWidth
          aria-label={`${client.lastVisit ? 'Open visit' : 'First visit'}, ${client.name}`}
        >
          {client.lastVisit ? 'Open visit' : 'First visit'}
        </Button>
      </span>
    </div>
  )
}

function when(nextVisit: string | null, now: string) {
  if (!nextVisit) return <span className="second">not agreed</span>
  return (
    <>
      <b>{sameDay(nextVisit, now) ? 'today' : dateWords(nextVisit)}</b>
      <span className="second">{timeWords(nextVisit)}</span>
    </>
  )
}

/** Whether today's visit has begun. */
const inTheChair = (c: Docket, now: string) => !!c.lastDate && sameDay(c.lastDate, now)

const first = (name: string) => name.split(' ')[0] ?? name

/** Opens the last visit, or begins the first. */
function useOpen() {
  const navigate = useNavigate()
  const queries = useQueryClient()
  return useMutation({
    mutationFn: async (client: { id: string; lastVisit?: string | null }) =>
      client.lastVisit
        ? { id: client.lastVisit, begun: false }
        : {
            id: (
              await ask(api.POST('/api/clients/{client}/visits', { params: { path: { client: client.id } } }))
            ).id,
            begun: true,
          },
    onSuccess: ({ id, begun }) => {
      void queries.invalidateQueries({ queryKey: keys.desk })
      void navigate(`/visits/${id}/${begun ? 'talk' : 'read'}`)
    },
  })
}
