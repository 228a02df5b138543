import type { Regimen, Routine, Schemas, Step } from '../api/client'
import {
  capital,
  dateWords,
  dayShort,
  longDate,
  monthName,
  nightsWords,
  secondsWords,
  shortDay,
  timeWords,
  week,
  type Day,
  partName,
} from '../shared/format'
import { FILL_WORDS, PatternSet } from '../strip/Bands'
import { Core } from '../strip/Core'
import { From } from './From'
import { say } from '../words/say'
import '../words/app'
import '../words/sheet'

/** "From 18 Mar", "6 Feb, A flight", "If you fly". */
function when({ from, until, title }: Schemas['SheetLine']): string {
  if (!from) return title
  const day =
    until === null || until === undefined
      ? say('sheet.fromDay', { day: shortDay(from) })
      : until === from
        ? shortDay(from)
        : say('sheet.dayToDay', { from: shortDay(from), to: shortDay(until) })
  return title === '' ? day : `${day}, ${title}`
}

/** More steps than this are printed a little smaller, so that one side always holds them. */
const MANY = 9
/** A line of other evenings stands for so many steps. */
const IFS = 1
/** What the evenings by their dates take of a side, in steps. */
const DATED = 2
/** A plan of more steps than this is printed smaller still. */
const FULL = 11
/** What is told of how a layer should not feel takes, in steps. */
const TOLD = 1

/** The client's sheet: two lists, the week, the cautions; of a kept plan with its number and day, else marked as a draft. */
export function Paper({
  regimen,
  client,
  made,
  kept,
  cautions,
  mind,
  weeks,
  year = [],
}: {
  regimen: Regimen
  client: Schemas['Person']
  /** day of the visit */
  made: string
  /** the kept plan that this is; null for a draft */
  kept: Schemas['SavedPlan'] | null
  cautions: Schemas['Caution'][]
  mind: string[]
  /** the evenings by their dates; a plan that was handed over tells them by weekday */
  weeks?: Schemas['Weeks']
  /** what changes through the year; a plan that was handed over tells none */
  year?: Schemas['SheetLine'][]
}) {
  const waits = regimen.patches
    .filter((p) => p.state === 'MISSING' || p.state === 'RUNNING')
    .map((p) => p.product)
  const dated = weeks?.byDate ?? false
  const steps = regimen.morning.steps.length + regimen.evening.steps.length
  const told = (regimen.feel ?? []).length > 0 ? TOLD : 0
  const ifs = regimen.tonight.some((v) => v.told) ? IFS : 0
  const many = steps + (dated ? DATED : 0) + told + ifs + Math.ceil(year.length / 2) > MANY
  const nightly = regimen.evening.steps.filter((s) => s.nights.length < 7)
  return (
    <article
      className={`paper ${many ? 'many' : ''} ${steps > FULL ? 'full' : ''} ${dated ? 'dated' : ''} ${year.length > 0 ? 'yearly' : ''}`}
      data-paper
      aria-label={say('sheet.planFor', { name: client.name })}
    >
      <PatternSet />
      <header>
        <div>
          <h1 data-title={say('app.sheet')}>{say('sheet.sSkinPlan', { name: client.name })}</h1>
          <p>
            {say('sheet.forTheAirOf')}
            {monthName(regimen.month)}
            {kept === null && <b className="paper-draft">{say('sheet.draftNotKept')}</b>}
          </p>
        </div>
        <From>
          {client.nextVisit && client.nextVisit.slice(0, 10) > made
            ? say('sheet.nextVisit', {
                nextVisit: dateWords(client.nextVisit),
                nextVisit2: timeWords(client.nextVisit),
              })
            : say('sheet.nextVisitAboutSixWeeksFromNow')}
        </From>
      </header>
      {/* a plan that was kept before this was told has none */}
      {(regimen.unsure ?? []).map((u) => (
        <p key={u.sentence} className="paper-unsure">
          {u.sentence}
        </p>
      ))}
      <div className="paper-lists">
        <List routine={regimen.morning} waits={waits} />
        <List routine={regimen.evening} waits={waits} />
      </div>
      <Ifs regimen={regimen} />
      {weeks && dated ? (
        <Dated weeks={weeks} />
      ) : (
        nightly.length > 0 && (
          <section>
            <h2>{say('sheet.yourEvenings')}</h2>
            <div className="paper-week">
              {week().map((d) => (
                <div key={d}>
                  <b>{dayShort(d)}</b>
                  <span>{evening(nightly, d)}</span>
                </div>
              ))}
            </div>
          </section>
        )
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
        {/* a plan that was kept before this was told has none; a full side has no room for them */}
        {(regimen.feel ?? []).slice(0, many && year.length > 0 ? 0 : undefined).map((f) => (
          <p key={f.sign}>
            <b>{f.sign}</b> {f.then}
          </p>
        ))}
      </section>
      {year.length > 0 && (
        <section className="paper-year">
          <h2>{say('sheet.throughTheYear')}</h2>
          {year.map((l) => (
            <p key={l.title + (l.from ?? '')}>
              <b>{when(l)}</b> {l.text}
            </p>
          ))}
        </section>
      )}
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
            ? say('sheet.draftOfNotKept', { made: longDate(made) })
            : say('sheet.planOfKept', {
                number: kept.number,
                made: longDate(made),
                savedAt: longDate(kept.savedAt),
              })}
          {mind.length > 0 && say('sheet.keptInMind', { join: mind.join(', ') })}
        </span>
      </footer>
    </article>
  )
}

const FORTNIGHT = 14

/** The next fourteen evenings, and what changes after them. */
function Dated({ weeks }: { weeks: Schemas['Weeks'] }) {
  const shown = weeks.evenings.filter((e) => e.date >= weeks.now).slice(0, FORTNIGHT)
  const turns = weeks.tracks
    .map((t) => ({ name: t.name, turns: t.turns.filter((turn) => turn.from > weeks.now) }))
    .filter((t) => t.turns.length > 0)
  return (
    <section>
      <h2>
        {say('sheet.yourEveningsFrom', {
          first: dateWords(shown[0]?.date ?? weeks.now),
          last: dateWords(shown.at(-1)?.date ?? weeks.now),
        })}
      </h2>
      <div className="paper-week dated">
        {shown.map((e) => (
          <div key={e.date}>
            <b>{dateWords(e.date).replace(/ \d{4}$/, '')}</b>
            <span>
              {e.calm
                ? [say('sheet.calm'), ...e.uses.map((u) => u.name)].join(', ')
                : e.uses.map((u) => u.name).join(', ') || say('sheet.rest')}
            </span>
          </div>
        ))}
      </div>
      {turns.map((t) => (
        <p key={t.name} className="paper-turns">
          <b>{t.name}</b>{' '}
          {t.turns
            .map((turn) => say('sheet.fromDay', { day: dateWords(turn.from), nights: turn.nights }))
            .join('; ')}
        </p>
      ))}
    </section>
  )
}

const evening = (nightly: Step[], day: Day) =>
  nightly
    .filter((s) => s.nights.includes(day))
    .map((s) => `${s.number} ${s.name}`)
    .join(', ') || say('sheet.rest')

function List({ routine, waits }: { routine: Routine; waits: string[] }) {
  const t = routine.timeline
  const minutes =
    t.minutes === t.shortestMinutes
      ? say('sheet.minutes', { minutes: Math.ceil(t.minutes) })
      : say('sheet.toMinutes', {
          shortestMinutes: Math.ceil(t.shortestMinutes),
          minutes: Math.ceil(t.minutes),
        })
  return (
    <section>
      <div className="paper-title">
        <h2>{partName(routine.part)}</h2>
        <span>{minutes}</span>
      </div>
      <Core steps={routine.steps} />
      <ol>
        {routine.steps.map((s) => (
          <li key={s.product} className={nightsWords(s) ? 'some' : ''}>
            <i>{s.number}</i>
            <b>
              {s.name}
              {/* a plan that was kept before there were such words has none */}
              {s.does && <small> {s.does}</small>}
              {nightsWords(s) && <em>{nightsWords(s)}</em>}
              {s.hand.optional && <em>{say('sheet.mayBeLeftOut')}</em>}
              {waits.includes(s.product) && <em>{say('sheet.notBeforeItsPatchTestIsRead')}</em>}
            </b>
            <span>
              {s.amount.words}; {s.toldWhere && `${s.toldWhere}; `}
              {s.hand.words === '' ? s.technique : s.hand.words}
              {s.settle > 0 && say('sheet.wait', { settle: secondsWords(s.settle) })}
              {s.contact > 0 && say('sheet.leave', { contact: secondsWords(s.contact) })}
              {(s.then ?? []).map((a) => `; ${a.told}: ${a.how}`)}
            </span>
          </li>
        ))}
      </ol>
    </section>
  )
}

/** What is done otherwise on days that are not like others, by the numbers of the steps. */
function Ifs({ regimen }: { regimen: Regimen }) {
  // a plan that was kept before there were such words has none
  const told = regimen.tonight.filter((v) => v.told)
  const parts = [regimen.morning.part, regimen.evening.part].filter((part) =>
    told.some((v) => v.part === part),
  )
  if (parts.length === 0) return null
  return (
    <p className="paper-ifs">
      {parts.map((part) => (
        <span key={part}>
          <b>{partName(part)}:</b>{' '}
          {told
            .filter((v) => v.part === part)
            .map((v) => v.told)
            .join(' ')}{' '}
        </span>
      ))}
    </p>
  )
}
