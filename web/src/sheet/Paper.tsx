import type { Regimen, Routine, Schemas, Step } from '../api/client'
import {
  capital,
  dateWords,
  dayShort,
  longDate,
  monthName,
  nightsWords,
  secondsWords,
  timeWords,
  week,
  type Day,
} from '../shared/format'
import { FILL_WORDS, PatternSet } from '../strip/Bands'
import { Core } from '../strip/Core'
import { From } from './From'

/** More steps than this are printed a little smaller, so that one side always holds them. */
const MANY = 10

/** The client's sheet: two lists, the week, the cautions; of a kept plan with its number and day, else marked as a draft. */
export function Paper({
  regimen,
  client,
  made,
  kept,
  cautions,
  mind,
}: {
  regimen: Regimen
  client: Schemas['Person']
  /** day of the visit */
  made: string
  /** the kept plan that this is; null for a draft */
  kept: Schemas['SavedPlan'] | null
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
          <p>
            For the air of {monthName(regimen.month)}
            {kept === null && <b className="paper-draft">Draft, not kept</b>}
          </p>
        </div>
        <From>
          {client.nextVisit && client.nextVisit.slice(0, 10) > made
            ? `Next visit: ${dateWords(client.nextVisit)}, ${timeWords(client.nextVisit)}`
            : 'Next visit: about six weeks from now'}
        </From>
      </header>
      <div className="paper-lists">
        <List routine={regimen.morning} waits={waits} />
        <List routine={regimen.evening} waits={waits} />
      </div>
      {nightly.length > 0 && (
        <section>
          <h2>Your evenings</h2>
          <div className="paper-week">
            {week().map((d) => (
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
          {kept === null
            ? `Draft of ${longDate(made)}, not kept.`
            : `Plan ${kept.number} of ${longDate(made)}, kept ${longDate(kept.savedAt)}.`}
          {mind.length > 0 && ` Kept in mind: ${mind.join(', ')}.`}
        </span>
      </footer>
    </article>
  )
}

const evening = (nightly: Step[], day: Day) =>
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
      <Core steps={routine.steps} />
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
