import { useState, type ReactNode } from 'react'
import { NavLink, useNavigate } from 'react-router'
import Button from '@mui/material/Button'
import { useKeyWords, useShortcut, type ShortcutId } from '../shared/shortcuts'
import { later } from '../shared/later'
import '../shared/settings'
import { Waiting } from './Waiting'
import { say } from '../words/say'
import '../words/app'
import './docket.css'

const Find = later(
  () => import('./onRequest'),
  (m) => m.Find,
)

const Looks = later(
  () => import('./onRequest'),
  (m) => m.Looks,
)

const STEPS = [
  { path: 'talk', name: say('app.talk') },
  { path: 'read', name: say('app.read') },
  { path: 'regimen', name: say('app.regimen') },
  { path: 'nights', name: say('app.nights') },
  { path: 'year', name: say('app.year') },
  { path: 'sheet', name: say('app.sheet') },
]

function Mark() {
  return (
    <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden="true">
      <rect x="1" y="7" width="5" height="12" fill="none" stroke="#C9B8C8" strokeWidth="1.5" />
      <rect x="8.5" y="1" width="3.5" height="24" fill="#D29473" />
      <rect x="14" y="7" width="2.5" height="12" fill="#F1EAEE" />
      <rect x="17.6" y="7" width="3.4" height="12" fill="#C9B8C8" />
      <rect x="22" y="7" width="3.5" height="12" fill="#E9B92E" />
    </svg>
  )
}

function Brand() {
  return (
    <NavLink to="/" className="brand" aria-label={say('app.outfellToTheDesk')}>
      <Mark />
      <span>{say('app.outfell')}</span>
    </NavLink>
  )
}

/** The bar outside a visit. */
export function DeskDocket({ onKeys }: { onKeys: () => void }) {
  return (
    <header className="docket">
      <Brand />
      <nav aria-label={say('app.places')} className="steps">
        <NavLink to="/" end className="st">
          {say('app.desk')}
        </NavLink>
        <NavLink to="/products" className="st">
          {say('app.houseShelf')}
        </NavLink>
        <NavLink to="/practice" className="st">
          {say('app.practice')}
        </NavLink>
      </nav>
      <div className="tools">
        <Waiting />
        <Tools onKeys={onKeys} />
      </div>
    </header>
  )
}

/** The bar within a visit: the client's docket, then the visit in working order. */
export function VisitDocket({
  visit,
  client,
  name,
  line,
  mind,
  done,
  saving,
  onKeys,
}: {
  /** id of the visit */
  visit: string
  /** id of the client, for the way to the client's page */
  client: string
  name: string
  /** trade and skin in a few words */
  line: string
  /** bans that must stay in sight */
  mind: string[]
  /** which steps have something in them */
  done: Record<string, boolean>
  /** where the saving stands */
  saving: ReactNode
  onKeys: () => void
}) {
  const navigate = useNavigate()
  return (
    <>
      <header className="docket">
        <Brand />
        <NavLink to={`/clients/${client}`} className="tag" title={line}>
          <b>{name}</b>
          <span>{line}</span>
        </NavLink>
        <nav aria-label={say('app.theVisit')} className="steps">
          {STEPS.map((step, i) => (
            <NavLink
              key={step.path}
              to={`/visits/${visit}/${step.path}`}
              className="st"
              aria-keyshortcuts={`Alt+${i + 1}`}
              onClick={(e) => {
                e.preventDefault()
                void navigate(`/visits/${visit}/${step.path}`)
              }}
            >
              <i aria-hidden="true">{done[step.path] ? '✓' : i + 1}</i>
              {step.name}
            </NavLink>
          ))}
        </nav>
        <div className="tools">
          <div className="saving" role="status">
            {saving}
          </div>
          <Waiting />
          <Tools onKeys={onKeys} />
        </div>
      </header>
      {mind.length > 0 && (
        <section className="docket-mind" aria-label={say('app.mind')}>
          <b>{say('app.mind')}</b> {mind.join(', ')}
        </section>
      )}
    </>
  )
}

function Tools({ onKeys }: { onKeys: () => void }) {
  const [finding, setFinding] = useState(false)
  const [looks, setLooks] = useState(false)
  useShortcut('find', () => setFinding(true))
  return (
    <>
      <Button className="tb" onClick={() => setFinding(true)}>
        {say('app.find')}
        <Kbd of="find" />
      </Button>
      <Button className="tb keys-list" onClick={onKeys}>
        {say('app.keys')}
        <Kbd of="keys" />
      </Button>
      <Button className="tb looks" onClick={() => setLooks(true)} aria-label={say('app.looksButton')}>
        <span aria-hidden="true">{say('app.aa')}</span>
      </Button>
      {finding && <Find close={() => setFinding(false)} />}
      {looks && <Looks close={() => setLooks(false)} />}
    </>
  )
}

/** The key on a button, where it has one. */
function Kbd({ of }: { of: ShortcutId }) {
  const words = useKeyWords(of)
  return words === '' ? null : <kbd>{words}</kbd>
}
