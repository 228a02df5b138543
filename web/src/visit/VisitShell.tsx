import { useMemo, useState } from 'react'
import { Outlet, useNavigate, useOutletContext, useParams } from 'react-router'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { api, ask, type Schemas, type Verdict, type Visit, type Vocabulary } from '../api/client'
import { JUST_TOLD_MS, keys, useClient, useVisitDay, useVocabulary } from '../api/hooks'
import { VisitDocket } from '../docket/Docket'
import { later } from '../shared/later'
import { longDate } from '../shared/format'
import { useShortcut } from '../shared/shortcuts'
import { ErrorBand, Fetching } from '../shared/States'
import { fieldName, fieldValue } from './fieldNames'
import { useVisit, type Saving, type VisitWork } from './useVisit'
import { say } from '../words/say'
import '../words/visit'
import './visit.css'

const EarlierDay = later(
  () => import('./EarlierDay'),
  (m) => m.EarlierDay,
)
const KeysHelp = later(
  () => import('../docket/KeysHelp'),
  (m) => m.KeysHelp,
)

export type VisitContext = {
  /** whether its day has passed, so that it is read and no longer changed */
  earlier: boolean
  /** the day of the practice */
  today: string
  visit: Visit
  client: Schemas['Person']
  words: Vocabulary
  work: VisitWork
  verdict: Verdict | undefined
}

/** The visit that the page within works on. */
export const useVisitContext = () => useOutletContext<VisitContext>()

export default function VisitShell() {
  const { id = '' } = useParams()
  const visit = useQuery({
    queryKey: keys.visit(id),
    queryFn: () => ask(api.GET('/api/visits/{id}', { params: { path: { id } } })),
  })
  const client = useClient(visit.data?.client ?? '')
  const words = useVocabulary()
  const day = useVisitDay(id)
  if (visit.data && client.data && words.data) {
    return <OpenVisit key={id} visit={visit.data} client={client.data} words={words.data} day={day.data} />
  }
  const failed = visit.error ?? client.error ?? words.error
  if (failed) {
    return (
      <div className="page">
        <ErrorBand error={failed} again={() => void visit.refetch()} />
        <a href="/">{say('visit.backToTheDesk')}</a>
      </div>
    )
  }
  return <Fetching what={say('visit.theVisit')} />
}

function OpenVisit({
  visit,
  client,
  words,
  day,
}: {
  visit: Visit
  client: Schemas['Person']
  words: Vocabulary
  day: Schemas['DayView'] | undefined
}) {
  const earlier = day?.earlier ?? false
  const readOnly = earlier && !day?.open
  const [touched, setTouched] = useState(0)
  const work = useVisit(visit, readOnly, () => setTouched((n) => n + 1))
  const [help, setHelp] = useState(false)
  useShortcut('keys', () => setHelp(true))
  useVisitKeys(visit.id, work)
  const document = work.draft.document
  const heard = useQuery({
    queryKey: keys.verdict(visit.id, document),
    queryFn: () =>
      ask(api.POST('/api/visits/{id}/verdict', { params: { path: { id: visit.id } }, body: document })),
    // a save on its way tells it
    enabled: !work.draft.dirty || (work.saving.state !== 'saved' && work.saving.state !== 'saving'),
    staleTime: JUST_TOLD_MS,
    placeholderData: keepPreviousData,
    retry: false,
  }).data
  // a wrong field has no verdict: the last one stays in sight until it is right
  const [last, setLast] = useState<Verdict>()
  if (heard && heard !== last) setLast(heard)
  const verdict = heard ?? last
  const referFirst = verdict?.safety.referrals.some((r) => !r.settled) ? [say('visit.referFirst2')] : []
  const today = day?.today ?? visit.date
  const context = useMemo<VisitContext>(
    () => ({ visit, client, words, work, verdict, earlier: readOnly, today }),
    [visit, client, words, work, verdict, readOnly, today],
  )
  const mind = [...new Set([...referFirst, ...(verdict?.safety.bans.map((b) => b.name) ?? [])])]
  return (
    <div className={earlier ? 'earlier' : undefined}>
      <VisitDocket
        visit={visit.id}
        client={client.id}
        name={client.name}
        line={client.trade || say('visit.visitOf', { day: longDate(visit.date) })}
        mind={mind}
        done={{ talk: visit.version > 0, read: document.reading.grades.length > 0 }}
        saving={savingWords(work.saving)}
        onKeys={() => setHelp(true)}
      />
      {day && earlier && (
        <EarlierDay
          visit={visit}
          day={day}
          unsaved={work.saving.state === 'earlier'}
          touched={touched}
          work={work}
        />
      )}
      <SavingBand work={work} words={words} />
      <main id="page">
        <Outlet context={context} />
      </main>
      {earlier && (
        <p className="earlier-foot" aria-hidden="true">
          {Array.from({ length: 8 }, () => say('visit.asItWas', { date: longDate(visit.date) })).join(' · ')}
        </p>
      )}
      {help && <KeysHelp close={() => setHelp(false)} />}
    </div>
  )
}

function savingWords(saving: Saving) {
  switch (saving.state) {
    case 'saved':
      return say('visit.saved')
    case 'saving':
      return say('visit.saving')
    case 'offline':
      return say('visit.notSavedYetKeptOnThisMachine')
    case 'fault':
      return say('visit.notSavedYetAFaultKeptHere')
    case 'refused':
      return say('visit.notSavedOneFieldIsNotRight')
    case 'earlier':
      return say('visit.notSavedAnEarlierVisit')
    case 'clash':
      return say('visit.notSavedChangedElsewhere')
  }
}

function SavingBand({ work, words }: { work: VisitWork; words: Vocabulary }) {
  const { saving } = work
  if (saving.state === 'refused') {
    return (
      <div className="look no-print" role="alert">
        <b>{saving.sentence}</b>
        {say('visit.whatYouTypedIsKeptItIs')}
      </div>
    )
  }
  if (saving.state === 'fault') {
    return (
      <div className="look no-print" role="alert">
        <b>{saving.sentence}</b>
        {say('visit.itIsSentAgainByItself')}
      </div>
    )
  }
  return saving.state === 'clash' ? <Clash saving={saving} work={work} words={words} /> : null
}

/** Only what both windows changed is asked, field by field; everything else is laid together already. */
function Clash({
  saving,
  work,
  words,
}: {
  saving: Extract<Saving, { state: 'clash' }>
  work: VisitWork
  words: Vocabulary
}) {
  const [mine, setMine] = useState<string[]>([])
  const all = saving.conflicts.map((c) => c.path)
  return (
    <div className="look no-print clash" role="alert" aria-label={say('visit.changedInAnotherWindow')}>
      <p>
        <b>{say('visit.thisVisitWasChangedInAnotherWindow')}</b>
        {say('visit.nothingIsLost')}{' '}
        {all.length === 1
          ? say('visit.oneFieldWasChanged')
          : say('visit.fieldsWereChanged', { length: all.length })}
        {say('visit.inBothAndYouChoose')}
      </p>
      <ul>
        {saving.conflicts.map((c) => (
          <li key={c.path} className="row">
            <b className="clash-name">{fieldName(c.path, words)}</b>
            <ToggleButtonGroup
              exclusive
              value={mine.includes(c.path) ? 'here' : 'there'}
              aria-label={say('visit.whichOfTheTwo', { field: fieldName(c.path, words) })}
              onChange={(_, side: 'here' | 'there' | null) =>
                side !== null &&
                setMine(side === 'here' ? [...mine, c.path] : mine.filter((path) => path !== c.path))
              }
            >
              <ToggleButton value="here">{say('visit.here', { mine: fieldValue(c.mine) })}</ToggleButton>
              <ToggleButton value="there">
                {say('visit.there', { theirs: fieldValue(c.theirs) })}
              </ToggleButton>
            </ToggleButtonGroup>
          </li>
        ))}
      </ul>
      <div className="row">
        <Button onClick={() => work.decide(mine)}>{say('visit.saveItSo')}</Button>
        <Button onClick={() => work.decide(all)}>{say('visit.keepWhatIsHere')}</Button>
        <Button onClick={() => work.decide([])}>{say('visit.takeWhatIsThere')}</Button>
      </div>
    </div>
  )
}

function useVisitKeys(id: string, work: VisitWork) {
  const navigate = useNavigate()
  const to = (step: string) => () => void navigate(`/visits/${id}/${step}`)
  useShortcut('talk', to('talk'))
  useShortcut('read', to('read'))
  useShortcut('regimen', to('regimen'))
  useShortcut('nights', to('nights'))
  useShortcut('year', to('year'))
  useShortcut('sheet', to('sheet'))
  useShortcut('desk', () => void navigate('/'))
  useShortcut('undo', () => work.undo?.())
  useShortcut('redo', () => work.redo?.())
}
