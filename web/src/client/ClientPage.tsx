import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import { api, ask, type Schemas } from '../api/client'
import { keys, useClientPage, usePatches, useShelf } from '../api/hooks'
import { agoWords, capital, dateWords, longDate, monthName, timeWords } from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { Why } from '../shared/Why'
import { Core } from '../strip/Core'
import { PatternSet } from '../strip/Bands'
import { Details } from './Details'
import { Erase } from './Erase'
import { NextVisit } from './NextVisit'
import { say } from '../words/say'
import '../words/app'
import '../words/client'
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
        <a href="/">{say('client.backToTheDesk')}</a>
      </div>
    )
  }
  return <Fetching what={say('client.theClientSPage')} />
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
          <h1 data-title={say('app.client')}>{client.name}</h1>
          <p>
            {[client.trade, client.contact].filter(Boolean).join(', ') || say('client.noTradeOrContactTold')}
            <br />
            {since ? say('client.withUsSince', { date: longDate(since.date) }) : say('client.notHereYet')}
            {client.note !== '' && ` ${client.note}`}
          </p>
        </div>
        <Button onClick={() => setEditing(!editing)} aria-expanded={editing}>
          {say('client.details')}
        </Button>
        <Button component={Link} to={`/clients/${client.id}/check-in`}>
          {say('client.checkInOfTheirOwn')}
        </Button>
        <Button variant="contained" disabled={begin.isPending} onClick={() => begin.mutate()}>
          {page.todays ? say('client.goOnWithTodaySVisit') : say('client.beginTodaySVisit')}
        </Button>
      </div>
      {client.archived && (
        <p className="look" role="status">
          <b>{say('client.noLongerComesSince', { archived: longDate(client.archived) })}</b>
          {say('client.everythingIsKeptTheDeskLeavesIt')}
        </p>
      )}
      {begin.isError && <ErrorBand error={begin.error} />}
      {editing && <Details client={client} close={() => setEditing(false)} erase={() => setErasing(true)} />}
      {erasing && (
        <Erase client={client} visits={page.visits.map((v) => v.visit)} close={() => setErasing(false)} />
      )}
      <Mind page={page} />
      <VisitString page={page} />
      <div className="client-columns">
        <Plans page={page} />
        <ShelfAtHome client={client.id} />
        <section aria-label={say('client.appointments')}>
          <h2>{say('client.appointments')}</h2>
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
}

function Mind({ page }: { page: Page }) {
  const newest = page.visits.at(-1)
  return (
    <section aria-label={say('client.toMind')} className="mind">
      {page.mind.map((m) => (
        <div
          key={m.kind + m.title + m.text + m.because.map((b) => b.sentence).join()}
          className={MIND_CLASS[m.kind]}
        >
          <p>
            <b>{capital(m.title)}</b>
            <span>
              {m.text}
              {m.because.map((b) => (
                <Why key={b.sentence} because={b} />
              ))}
              {m.due && say('client.due', { due: dateWords(m.due), due2: timeWords(m.due) })}
            </span>
          </p>
          {m.kind === 'DUE' && (
            <Button component={Link} to={`/patch/${page.client.id}`}>
              {say('client.readIt')}
            </Button>
          )}
        </div>
      ))}
      {newest && newest.barrier !== '' && (
        <div className="mind-quiet">
          <p>
            <b>{capital(newest.barrier)}</b>
            <span>{say('client.read', { skin: newest.skin, date: dateWords(newest.date) })}</span>
          </p>
        </div>
      )}
      {page.mind.length === 0 && !newest && (
        <div className="mind-quiet">
          <p>
            <b>{say('client.nothingIsKnownYet')}</b>
            <span>{say('client.nothingHasBeenAskedAllergiesMedicinesAnd')}</span>
          </p>
        </div>
      )}
    </section>
  )
}

/** The visits as tags on a string, oldest first, with the weeks between them. */
function VisitString({ page }: { page: Page }) {
  return (
    <section aria-label={say('client.visits')} className="visits">
      <h2>{say('client.visits')}</h2>
      <p className="second">
        {page.visits.length === 0 ? say('client.noneYet') : say('client.onEachThePlanThatWasKept')}
      </p>
      <ol className="string">
        {page.visits.map((tag) => (
          <VisitTag key={tag.visit} tag={tag} />
        ))}
        {!page.todays && (
          <li className="tag-box">
            <div className="visit-tag todays">
              <b>{say('client.today', { today: dateWords(page.today) })}</b>
              <span>
                {page.visits.length === 0
                  ? say('client.theFirstVisit')
                  : say('client.wasTheLast', {
                      capital: capital(agoWords(page.visits.at(-1)?.date ?? page.today)),
                    })}
              </span>
            </div>
          </li>
        )}
      </ol>
    </section>
  )
}

function VisitTag({ tag }: { tag: Tag }) {
  return (
    <li className="tag-box">
      {tag.weeks > 0 && (
        <span className="tag-weeks">
          {tag.weeks === 1 ? say('client.1Week') : say('client.weeks', { weeks: tag.weeks })}
        </span>
      )}
      <Link
        to={`/visits/${tag.visit}/${tag.today ? 'talk' : 'regimen'}`}
        className={`visit-tag ${tag.today ? 'todays' : ''}`}
      >
        <b>{tag.today ? say('client.today2', { date: dateWords(tag.date) }) : dateWords(tag.date)}</b>
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
                {say('client.putRight')}
                {tag.corrections === 1
                  ? say('client.once')
                  : say('client.times', { corrections: tag.corrections })}
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
    <section aria-label={say('client.plansKept')}>
      <h2>
        {say('client.plansKept2')}
        <small>{page.plans.length}</small>
      </h2>
      <ul>
        {page.plans.map((p, i) => (
          <li key={p.plan.id}>
            <span>
              <b>{say('client.planOf', { number: p.plan.number, visitDate: dateWords(p.visitDate) })}</b>
              <span className="second">
                {i === 0 ? say('client.theNewest') : ''}
                {say('client.for')}
                {monthName(p.plan.month)}
                {say('client.kept')}
                {dateWords(p.plan.savedAt)} {timeWords(p.plan.savedAt)}
              </span>
            </span>
            <Button
              component={Link}
              to={`/plans/${p.plan.id}`}
              aria-label={say('client.openPlanOf', {
                number: p.plan.number,
                visitDate: longDate(p.visitDate),
              })}
            >
              {say('client.open')}
            </Button>
          </li>
        ))}
        {page.plans.length === 0 && <li className="second">{say('client.noneYetAPlanIsKeptOn')}</li>}
      </ul>
      {first && (
        <Button
          component={Link}
          to={`/plans/${(second ?? first).plan.id}?against=${second ? first.plan.id : 'now'}`}
        >
          {say('client.layTwoSideBySide')}
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
    <section aria-label={say('client.onTheShelfAtHome')}>
      <h2>
        {say('client.onTheShelfAtHome2')}
        <small>{items.length}</small>
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
                  : `${item.product.kindLabel}, ${item.use.left === 100 ? say('client.full') : item.use.left === 0 ? say('client.empty') : say('client.left', { left: item.use.left })}`}
              </span>
            </span>
          </li>
        ))}
        {shelf.data?.length === 0 && <li className="second">{say('client.nothingToldYet')}</li>}
      </ul>
      {items.length > 5 && (
        <Button onClick={() => setWhole(!whole)}>
          {whole ? say('client.theFirstFive') : say('client.all', { length: items.length })}
        </Button>
      )}
    </section>
  )
}

function PatchTests({ client }: { client: string }) {
  const patches = usePatches(client)
  const tests = patches.data?.tests ?? []
  return (
    <section aria-label={say('client.patchTests')}>
      <h2>
        {say('client.patchTests2')}
        <small>{tests.length}</small>
      </h2>
      <ul>
        {tests.map((t) => (
          <li key={t.id}>
            <span>
              <b>{t.name}</b>
              <span className="second">
                {say('client.begun', { sentence: t.verdict.because.sentence, started: dateWords(t.started) })}
              </span>
            </span>
          </li>
        ))}
        {patches.data?.tests.length === 0 && <li className="second">{say('client.noneYet')}</li>}
      </ul>
      {patches.isError && <ErrorBand error={patches.error} />}
      <Button component={Link} to={`/patch/${client}`}>
        {say('client.patchTests')}
      </Button>
    </section>
  )
}
