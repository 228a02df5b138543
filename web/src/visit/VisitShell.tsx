import { useEffect, useState } from 'react'
import { Outlet, useLocation, useNavigate, useOutletContext, useParams } from 'react-router'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import { api, ask, type Schemas, type Verdict, type Visit, type Vocabulary } from '../api/client'
import { keys, useClient, useVocabulary } from '../api/hooks'
import { VisitDocket } from '../app/Docket'
import { KeysHelp } from '../app/KeysHelp'
import { useQuestionMark } from '../app/App'
import { longDate } from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { useVisit, type Saving, type VisitWork } from './useVisit'
import './visit.css'

export type VisitContext = {
  visit: Visit
  client: Schemas['ClientView']
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
  const failed = visit.error ?? client.error ?? words.error
  if (failed) {
    return (
      <div className="page">
        <ErrorBand error={failed} again={() => void visit.refetch()} />
        <a href="/">Back to the desk</a>
      </div>
    )
  }
  if (!visit.data || !client.data || !words.data) return <Fetching what="the visit" />
  return <OpenVisit key={id} visit={visit.data} client={client.data} words={words.data} />
}

function OpenVisit({
  visit,
  client,
  words,
}: {
  visit: Visit
  client: Schemas['ClientView']
  words: Vocabulary
}) {
  const work = useVisit(visit)
  const [help, setHelp] = useState(false)
  useQuestionMark(() => setHelp(true))
  useVisitKeys(visit.id)
  const document = work.draft.document
  const heard = useQuery({
    queryKey: ['verdict', visit.id, document.intake, document.reading],
    queryFn: () =>
      ask(api.POST('/api/visits/{id}/verdict', { params: { path: { id: visit.id } }, body: document })),
    placeholderData: keepPreviousData,
    retry: false,
  }).data
  // a wrong field has no verdict: the last one stays in sight until it is right
  const [last, setLast] = useState<Verdict>()
  if (heard && heard !== last) setLast(heard)
  const verdict = heard ?? last
  const referFirst = verdict?.safety.referrals.some((r) => !r.settled) ? ['refer first'] : []
  const mind = [...new Set([...referFirst, ...(verdict?.safety.bans.map((b) => b.name) ?? [])])]
  return (
    <>
      <VisitDocket
        visit={visit.id}
        name={client.name}
        line={client.trade || `visit of ${longDate(visit.date)}`}
        mind={mind}
        done={{ talk: visit.version > 0, read: document.reading.grades.length > 0 }}
        saving={savingWords(work.saving)}
        onKeys={() => setHelp(true)}
      />
      <SavingBand work={work} />
      <main>
        <Outlet context={{ visit, client, words, work, verdict } satisfies VisitContext} />
      </main>
      <KeysHelp open={help} close={() => setHelp(false)} />
    </>
  )
}

function savingWords(saving: Saving) {
  switch (saving.state) {
    case 'saved':
      return 'Saved'
    case 'saving':
      return 'Saving'
    case 'offline':
      return 'Not saved yet. Kept on this machine, trying again.'
    case 'refused':
      return 'Not saved: one field is not right'
    case 'clash':
      return 'Not saved: changed elsewhere'
  }
}

function SavingBand({ work }: { work: VisitWork }) {
  const { saving } = work
  if (saving.state === 'refused') {
    return (
      <div className="look no-print" role="alert">
        <b>{saving.sentence}</b> What you typed is kept; it is saved once the field is right.
      </div>
    )
  }
  if (saving.state !== 'clash') return null
  const theirs = saving.theirs
  const mine = work.draft.document
  return (
    <div className="look no-print clash" role="alert" aria-label="Changed in another window">
      <p>
        <b>{saving.sentence}</b>
      </p>
      <p>
        Here: {mine.reading.grades.length} grades, method {mine.method}, note of {mine.intake.note.length}{' '}
        letters. There: {theirs.reading.grades.length} grades, method {theirs.method}, note of{' '}
        {theirs.intake.note.length} letters.
      </p>
      {differences(mine, theirs).length > 0 && <p>They part in: {differences(mine, theirs).join('; ')}.</p>}
      <div className="row">
        <Button onClick={() => work.keepMine(theirs)}>Keep what is here</Button>
        <Button onClick={() => work.takeTheirs(theirs)}>Take what is there</Button>
      </div>
    </div>
  )
}

/** Where two versions of a visit part, field by field. */
function differences(mine: VisitWork['draft']['document'], theirs: Visit): string[] {
  const parts: string[] = []
  for (const [field, value] of Object.entries(mine.intake)) {
    const other = theirs.intake[field as keyof typeof theirs.intake]
    if (JSON.stringify(value ?? null) !== JSON.stringify(other ?? null)) {
      parts.push(`${field} (${shortly(value)} here, ${shortly(other)} there)`)
    }
  }
  if (JSON.stringify(mine.reading) !== JSON.stringify(theirs.reading)) parts.push('grades')
  if (mine.method !== theirs.method) parts.push(`method (${mine.method} here, ${theirs.method} there)`)
  return parts
}

const shortly = (value: unknown) => {
  const text = typeof value === 'string' ? value : JSON.stringify(value ?? null)
  return text.length > 24 ? `${text.slice(0, 24)}…` : text
}

function useVisitKeys(id: string) {
  const navigate = useNavigate()
  const location = useLocation()
  useEffect(() => {
    const paths: Record<string, string> = {
      Digit1: `/visits/${id}/talk`,
      Digit2: `/visits/${id}/read`,
      Digit3: `/visits/${id}/regimen`,
      Digit4: `/visits/${id}/sheet`,
      KeyD: '/',
    }
    const key = (e: KeyboardEvent) => {
      const path = e.altKey ? paths[e.code] : undefined
      if (path) {
        e.preventDefault()
        void navigate(path)
      }
    }
    window.addEventListener('keydown', key)
    return () => window.removeEventListener('keydown', key)
  }, [id, navigate, location])
}
