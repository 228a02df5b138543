import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import { api, ask, type Schemas } from '../api/client'
import { keys, useClientPage, usePatches, useShelf } from '../api/hooks'
import { agoWords, capital, dateWords, longDate, monthName, timeWords } from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { Core } from '../strip/Core'
import { PatternSet } from '../strip/Bands'
import { Details } from './Details'
import { Erase } from './Erase'
import { NextVisit } from './NextVisit'
import './client.css'

type Page = Schemas['Page']
type Tag = Page['visits'][number]

/** One client: what to mind first, the visits on their string, plans, shelf, appointments, patch tests. */
export default function ClientPage() {
  const { client: id = '' } = useParams()
  const page = useClientPage(id)
  if (page.data) return <Open key={id} page={page.data} />
  if (page.isError) {
    return (
      <div className="page">
        <ErrorBand error={page.error} again={() => void page.refetch()} />
        <a href="/">Back to the desk</a>
      </div>
    )
  }
  return <Fetching what="the client’s page" />
}

function Open({ page }: { page: Page }) {
  const { client } = page
  const [editing, setEditing] = useState(false)
  const [erasing, setErasing] = useState(false)
  const begin = useBegin(client.id)
  const since = page.visits[0]
  return (
    <div className="client-page">
      <PatternSet />
      <div className="client-head">
        <div className="client-name">
          <h1>{client.name}</h1>
          <p>
            {[client.trade, client.contact].filter(Boolean).join(', ') || 'No trade or contact told.'}
            <br />
            {since ? `With us since ${longDate(since.date)}.` : 'Not here yet.'}
            {client.note !== '' && ` ${client.note}`}
          </p>
        </div>
        <Button onClick={() => setEditing(!editing)} aria-expanded={editing}>
          Details
        </Button>
        <Button variant="contained" disabled={begin.isPending} onClick={() => begin.mutate()}>
          {page.todays ? 'Go on with today’s visit' : 'Begin today’s visit'}
        </Button>
      </div>
      {client.archived && (
        <p className="look" role="status">
          <b>No longer comes, since {longDate(client.archived)}.</b> Everything is kept; the desk leaves it
          out.
        </p>
      )}
      {begin.isError && <ErrorBand error={begin.error} />}
      {editing && <Details client={client} close={() => setEditing(false)} erase={() => setErasing(true)} />}
      {erasing && <Erase client={client} close={() => setErasing(false)} />}
      <Mind page={page} />
      <VisitString page={page} />
      <div className="client-columns">
        <Plans page={page} />
        <ShelfAtHome client={client.id} />
        <section aria-label="Appointments">
          <h2>Appointments</h2>
          <NextVisit client={client} />
        </section>
        <PatchTests client={client.id} />
      </div>
    </div>
  )
}

/** Begins today's visit, or goes on with it. */
function useBegin(client: string) {
  const navigate = useNavigate()
  const queries = useQueryClient()
  return useMutation({
    mutationFn: () => ask(api.POST('/api/clients/{client}/visits', { params: { path: { client } } })),
    onSuccess: (visit) => {
      void queries.invalidateQueries({ queryKey: keys.desk })
      void queries.invalidateQueries({ queryKey: ['client'] })
      void navigate(`/visits/${visit.id}/talk`)
    },
  })
}

const MIND_CLASS: Record<Page['mind'][number]['kind'], string> = {
  REFER: 'mind-stop',
  BAN: 'mind-stop',
  DUE: 'mind-look',
  ASK: 'mind-look',
  SKIN: 'mind-quiet',
}

function Mind({ page }: { page: Page }) {
  const newest = page.visits.at(-1)
  return (
    <section aria-label="To mind" className="mind">
      {page.mind.map((m) => (
        <div key={m.kind + m.title + m.text} className={MIND_CLASS[m.kind]}>
          <p>
            <b>{capital(m.title)}</b>
            <span>
              {m.text}
              {m.due && `, due ${dateWords(m.due)} ${timeWords(m.due)}`}
            </span>
          </p>
          {m.kind === 'DUE' && (
            <Button component={Link} to={`/patch/${page.client.id}`}>
              Read it
            </Button>
          )}
        </div>
      ))}
      {newest && newest.barrier !== '' && (
        <div className="mind-quiet">
          <p>
            <b>{capital(newest.barrier)}</b>
            <span>
              {newest.skin}, read {dateWords(newest.date)}
            </span>
          </p>
        </div>
      )}
      {page.mind.length === 0 && !newest && (
        <div className="mind-quiet">
          <p>
            <b>Nothing is known yet</b>
            <span>Nothing has been asked: allergies, medicines and the rest are open, not absent.</span>
          </p>
        </div>
      )}
    </section>
  )
}

/** The visits as tags on a string, oldest first, with the weeks between them. */
function VisitString({ page }: { page: Page }) {
  return (
    <section aria-label="Visits" className="visits">
      <h2>Visits</h2>
      <p className="second">
        {page.visits.length === 0
          ? 'None yet.'
          : 'On each: the plan that was kept, day above and night below; the skin; what came of it.'}
      </p>
      <ol className="string">
        {page.visits.map((tag) => (
          <VisitTag key={tag.visit} tag={tag} client={page.client.name} />
        ))}
        {!page.todays && (
          <li className="tag-box">
            <div className="visit-tag todays">
              <b>Today, {dateWords(page.today)}</b>
              <span>
                {page.visits.length === 0
                  ? 'The first visit.'
                  : `${capital(agoWords(page.visits.at(-1)?.date ?? page.today))} was the last.`}
              </span>
            </div>
          </li>
        )}
      </ol>
    </section>
  )
}

function VisitTag({ tag, client }: { tag: Tag; client: string }) {
  return (
    <li className="tag-box">
      {tag.weeks > 0 && (
        <span className="tag-weeks">{tag.weeks === 1 ? '1 week' : `${tag.weeks} weeks`}</span>
      )}
      <Link
        to={`/visits/${tag.visit}/${tag.today ? 'talk' : 'regimen'}`}
        className={`visit-tag ${tag.today ? 'todays' : ''}`}
        aria-label={`${tag.today ? 'Today’s visit' : `Visit of ${longDate(tag.date)}`}, ${client}`}
      >
        <b>{tag.today ? `Today, ${dateWords(tag.date)}` : dateWords(tag.date)}</b>
        {tag.fault !== '' ? (
          <span className="late">{tag.fault}</span>
        ) : (
          <>
            {tag.steps.morning.length > 0 && (
              <span className="tag-cores">
                <Core steps={tag.steps.morning} width={160} widest={5} numbers={false} />
                <Core steps={tag.steps.evening} width={160} widest={5} numbers={false} />
              </span>
            )}
            <span>
              <b>{tag.barrier === '' ? tag.skin : tag.barrier}</b>
            </span>
            <span>{tag.came}</span>
            {tag.corrections > 0 && (
              <span className="second">
                put right {tag.corrections === 1 ? 'once' : `${tag.corrections} times`}
              </span>
            )}
          </>
        )}
      </Link>
    </li>
  )
}

function Plans({ page }: { page: Page }) {
  const [first, second] = page.plans
  return (
    <section aria-label="Plans kept">
      <h2>
        Plans kept <small>{page.plans.length}</small>
      </h2>
      <ul>
        {page.plans.map((p, i) => (
          <li key={p.plan.id}>
            <span>
              <b>
                Plan {p.plan.number} of {dateWords(p.visitDate)}
              </b>
              <span className="second">
                {i === 0 ? 'the newest, ' : ''}for {monthName(p.plan.month)}, kept {dateWords(p.plan.savedAt)}{' '}
                {timeWords(p.plan.savedAt)}
              </span>
            </span>
            <Button
              component={Link}
              to={`/plans/${p.plan.id}`}
              aria-label={`Open plan ${p.plan.number} of ${longDate(p.visitDate)}`}
            >
              Open
            </Button>
          </li>
        ))}
        {page.plans.length === 0 && (
          <li className="second">None yet. A plan is kept on the regimen board.</li>
        )}
      </ul>
      {first && (
        <Button
          component={Link}
          to={`/plans/${(second ?? first).plan.id}?against=${second ? first.plan.id : 'now'}`}
        >
          Lay two side by side
        </Button>
      )}
    </section>
  )
}

function ShelfAtHome({ client }: { client: string }) {
  const shelf = useShelf(client)
  const items = shelf.data ?? []
  const [whole, setWhole] = useState(false)
  const shown = whole ? items : items.slice(0, 5)
  return (
    <section aria-label="On the shelf at home">
      <h2>
        On the shelf at home <small>{items.length}</small>
      </h2>
      {shelf.isError && <ErrorBand error={shelf.error} />}
      <ul>
        {shown.map((item) => (
          <li key={item.id}>
            <span>
              <Link to={`/products/${item.product.id}`}>{item.product.name}</Link>
              <span className={item.missing === '' ? 'second' : 'late'}>
                {item.missing !== ''
                  ? item.missing
                  : `${item.product.kindLabel}, ${item.use.left === 100 ? 'full' : item.use.left === 0 ? 'empty' : `${item.use.left} % left`}`}
              </span>
            </span>
          </li>
        ))}
        {items.length === 0 && <li className="second">Nothing told yet.</li>}
      </ul>
      {items.length > 5 && (
        <Button onClick={() => setWhole(!whole)}>{whole ? 'The first five' : `All ${items.length}`}</Button>
      )}
    </section>
  )
}

function PatchTests({ client }: { client: string }) {
  const patches = usePatches(client)
  const tests = patches.data?.tests ?? []
  return (
    <section aria-label="Patch tests">
      <h2>
        Patch tests <small>{tests.length}</small>
      </h2>
      <ul>
        {tests.map((t) => (
          <li key={t.id}>
            <span>
              <b>{t.name}</b>
              <span className="second">
                {t.verdict.because.sentence} Begun {dateWords(t.started)}.
              </span>
            </span>
          </li>
        ))}
        {tests.length === 0 && <li className="second">None yet.</li>}
      </ul>
      <Button component={Link} to={`/patch/${client}`}>
        Patch tests
      </Button>
    </section>
  )
}
