import { useRef, type ReactNode } from 'react'
import type { Regimen, Schemas } from '../api/client'
import { capital, dateWords, longDate, monthName, timeWords } from '../shared/format'
import { useSettings } from '../shared/settings'
import { FILL_WORDS, PatternSet } from '../strip/Bands'
import { A4 } from '../shared/A4'
import { From } from './From'
import { EveningsByDate, EveningsByDay } from './PaperEvenings'
import { PaperList } from './PaperList'
import { PaperSettings } from './PaperSettings'
import { Feel, Ifs, Room, Year } from './PaperSpare'
import { useFit, type Spare } from './useFit'
import { say } from '../words/say'
import '../words/app'
import '../words/sheet'

/**
 * The client's sheet: two lists, the evenings, the cautions; of a kept plan with its number and day, else marked as a draft. It is
 * drawn as it is printed, and what its front has no room for goes to the back.
 */
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
  const [{ sheetLetters, paper, boxes, room, back }] = useSettings()
  const sheet = useRef<HTMLElement>(null)
  const { over, whole } = useFit(sheet, paper)
  const waits = regimen.patches
    .filter((p) => p.state === 'MISSING' || p.state === 'RUNNING')
    .map((p) => p.product)
  const large = sheetLetters === 'large'
  const spare: Record<Spare, ReactNode> = {
    ifs: <Ifs key="ifs" regimen={regimen} />,
    year: <Year key="year" year={year} />,
    feel: <Feel key="feel" regimen={regimen} />,
    room: room && <Room key="room" />,
  }
  const on = (Object.keys(spare) as Spare[]).filter((name) => !over.includes(name))
  const printsBack = over.length > 0 && (back || large || !whole)
  return (
    <div className="paper-holder">
      <PaperSettings over={over} whole={whole} />
      <article
        ref={sheet}
        className={`paper ${paper}${large ? ' large' : ''}${boxes ? ' boxes' : ''}${printsBack ? '' : ' one-side'}${whole ? '' : ' flows'}`}
        data-paper
        aria-label={say('sheet.planFor', { name: client.name })}
      >
        <A4 lies={paper} />
        <PatternSet />
        <div className="front">
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
            <p key={u.sentence} className="paper-part">
              <span className="paper-unsure">{u.sentence}</span>
            </p>
          ))}
          <div className="paper-lists">
            <PaperList routine={regimen.morning} waits={waits} boxes={boxes} />
            <PaperList routine={regimen.evening} waits={waits} boxes={boxes} />
          </div>
          {weeks?.byDate ? (
            <EveningsByDate weeks={weeks} />
          ) : (
            <EveningsByDay nightly={regimen.evening.steps.filter((s) => s.nights.length < 7)} />
          )}
          <section className="paper-part paper-columns">
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
          {on.map((name) => spare[name])}
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
        </div>
        {over.length > 0 && (
          <div className="back">
            <h2>
              {say('sheet.backOf', { name: client.name })}
              {!printsBack && <span className="no-print"> {say('sheet.backNotPrinted')}</span>}
            </h2>
            {over.map((name) => spare[name])}
          </div>
        )}
      </article>
    </div>
  )
}
