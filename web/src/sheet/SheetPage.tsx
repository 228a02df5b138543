import { useEffect } from 'react'
import { Link } from 'react-router'
import Button from '@mui/material/Button'
import type { Regimen, Routine, Schemas, Step } from '../api/client'
import {
  capital,
  dateWords,
  dayShort,
  DAYS,
  longDate,
  monthName,
  nightsWords,
  secondsWords,
  timeWords,
} from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { Bands, FILL_WORDS, PatternSet } from '../strip/Bands'
import { usePlan, withheld } from '../regimen/usePlan'
import { useVisitContext } from '../visit/VisitShell'
import './sheet.css'

/** More steps than this are printed a little smaller, so that one side always holds them. */
const MANY = 10

/** One A4 sheet for the client: two lists, the week, the cautions. */
export default function SheetPage() {
  const context = useVisitContext()
  const { work, client, visit } = context
  const plan = usePlan(context, work.draft.document.month)
  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      if (e.key.toLowerCase() === 'p' && !e.ctrlKey && !e.metaKey && !e.altKey) window.print()
    }
    window.addEventListener('keydown', key)
    return () => window.removeEventListener('keydown', key)
  }, [])
  if (plan.isError) {
    return (
      <div className="page">
        <ErrorBand error={plan.error} again={() => void plan.refetch()} />
      </div>
    )
  }
  const why = withheld(context)
  if (why !== null) {
    return (
      <div className="page">
        <div className="look" role="alert">
          <b>No sheet is shown now.</b> {why}
        </div>
      </div>
    )
  }
  if (!plan.data) return <Fetching what="the sheet" />
  if (!plan.data.regimen) {
    return (
      <div className="page">
        <div className="stop">
          <h1>No sheet yet</h1>
          <p>
            Something must be referred first.{' '}
            <Link to={`/visits/${visit.id}/referral`}>The note to take along</Link> can be printed.
          </p>
        </div>
      </div>
    )
  }
  return (
    <div className="sheet-page">
      <Paper
        regimen={plan.data.regimen}
        client={client}
        made={visit.date}
        cautions={plan.data.verdict.safety.cautions.filter((c) => c.forClient !== '')}
        mind={[...new Set(plan.data.verdict.safety.bans.map((b) => b.name))]}
      />
      <aside className="no-print sheet-side">
        <Button variant="contained" fullWidth sx={{ minHeight: 52 }} onClick={() => window.print()}>
          Print the sheet
        </Button>
        <p className="second">One side of A4, across, in black only: the patterns carry the meaning.</p>
      </aside>
    </div>
  )
}

function Paper({
  regimen,
  client,
  made,
  cautions,
  mind,
}: {
  regimen: Regimen
  client: Schemas['ClientView']
  made: string
  cautions: Schemas['Caution'][]
  mind: string[]
}) {
  const waits = regimen.patches
    .filter((p) => p.state === 'MISSING' || p.state === 'RUNNING')
    .map((p) => p.product)
  const nightly = regimen.evening.steps.filter((s) => s.nights.length < 7)
  return (
    <article
      className={`paper ${regimen.morning.steps.length + regimen.evening.steps.length > MANY ? 'many' : ''}`}
      data-paper
      aria-label={`Plan for ${client.name}`}
    >
      <PatternSet />
      <header>
        <div>
          <h1>{client.name}’s skin plan</h1>
          <p>For the air of {monthName(regimen.month)}</p>
        </div>
        <p className="paper-from">
          <b>Gannet Steps Skin Room</b>
          <br />
          above the ferry slip, Skarrow
          <br />
          {client.nextVisit && client.nextVisit.slice(0, 10) > made
            ? `Next visit: ${dateWords(client.nextVisit)}, ${timeWords(client.nextVisit)}`
            : 'Next visit: about six weeks from now'}
        </p>
      </header>
      <div className="paper-lists">
        <List routine={regimen.morning} waits={waits} />
        <List routine={regimen.evening} waits={waits} />
      </div>
      {nightly.length > 0 && (
        <section>
          <h2>Your evenings</h2>
          <div className="paper-week">
            {DAYS.map((d) => (
              <div key={d}>
                <b>{dayShort(d)}</b>
                <span>{evening(nightly, d)}</span>
              </div>
            ))}
          </div>
        </section>
      )}
      <section className="paper-notes">
        {regimen.sheetNotes.map((n) => (
          <p key={n.title}>
            <b>{n.title}</b> {n.text}
          </p>
        ))}
        {cautions.map((c) => (
          <p key={c.name}>
            <b>{capital(c.name)}</b> {c.forClient}
          </p>
        ))}
      </section>
      <footer>
        {FILL_WORDS.map((w, i) => (
          <span key={w}>
            <svg width="24" height="16" aria-hidden="true">
              <rect
                width="24"
                height="16"
                fill={`url(#${['p-water', 'p-oils', 'p-seal', 'p-filter'][i]})`}
                stroke="#111"
              />
            </svg>
            {w}
          </span>
        ))}
        <span className="paper-made">
          Made {longDate(made)}.{mind.length > 0 && ` Kept in mind: ${mind.join(', ')}.`}
        </span>
      </footer>
    </article>
  )
}

const evening = (nightly: Step[], day: (typeof DAYS)[number]) =>
  nightly
    .filter((s) => s.nights.includes(day))
    .map((s) => `${s.number} ${s.name}`)
    .join(', ') || 'rest'

function List({ routine, waits }: { routine: Routine; waits: string[] }) {
  const t = routine.timeline
  const minutes =
    t.minutes === t.shortestMinutes
      ? `${Math.ceil(t.minutes)} minutes`
      : `${Math.ceil(t.shortestMinutes)} to ${Math.ceil(t.minutes)} minutes`
  return (
    <section>
      <div className="paper-title">
        <h2>{capital(routine.part.toLowerCase())}</h2>
        <span>{minutes}</span>
      </div>
      <Core routine={routine} />
      <ol>
        {routine.steps.map((s) => (
          <li key={s.product} className={nightsWords(s) ? 'some' : ''}>
            <i>{s.number}</i>
            <b>
              {s.name}
              {nightsWords(s) && <em>{nightsWords(s)}</em>}
              {s.hand.optional && <em>may be left out</em>}
              {waits.includes(s.product) && <em>not before its patch test is read</em>}
            </b>
            <span>
              {s.amount.words}; {s.hand.on !== '' && `${s.part}; `}
              {s.hand.words === '' ? s.technique : s.hand.words}
              {s.settle > 0 && `; wait ${secondsWords(s.settle)}`}
              {s.contact > 0 && `; leave ${secondsWords(s.contact)}`}
            </span>
          </li>
        ))}
      </ol>
    </section>
  )
}

/** The strip as a small core: what comes off, the skin, what stays on. */
function Core({ routine }: { routine: Routine }) {
  const off = routine.steps.filter((s) => s.comesOff)
  const on = routine.steps.filter((s) => !s.comesOff)
  const width = 430
  const unit = Math.min(11, (width - 22) / routine.steps.reduce((a, s) => a + s.texture, 0))
  const skin = 10 + off.reduce((a, s) => a + s.texture * unit, 0)
  const start = (list: Step[], i: number) => list.slice(0, i).reduce((a, s) => a + s.texture * unit, 0)
  return (
    <svg viewBox={`0 0 ${width} 54`} className="core" aria-hidden="true">
      {off.map((s, i) => {
        const x = 10 + start(off, i)
        return (
          <g key={s.product}>
            <rect x={x} y="14" width={s.texture * unit} height="38" fill="url(#p-day)" stroke="#111" />
            <text x={x + (s.texture * unit) / 2} y="10" fontSize="11" fontWeight="700" textAnchor="middle">
              {s.number}
            </text>
          </g>
        )
      })}
      <rect x={skin} y="11" width="9" height="43" fill="#555" />
      {on.map((s, i) => {
        const x = skin + 9 + start(on, i)
        const y = s.part === '' ? 14 : 33
        return (
          <g key={s.product}>
            <Bands shares={s.shares} x={x} y={y} width={s.texture * unit} height={52 - y} />
            <rect
              x={x}
              y={y}
              width={s.texture * unit}
              height={52 - y}
              fill="none"
              stroke="#111"
              strokeDasharray={s.nights.length < 7 ? '4 3' : undefined}
            />
            <text x={x + (s.texture * unit) / 2} y="10" fontSize="11" fontWeight="700" textAnchor="middle">
              {s.number}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
