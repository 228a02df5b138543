import type { Schemas, Step } from '../api/client'
import { dateWords, dayShort, week, type Day } from '../shared/format'
import { say } from '../words/say'
import '../words/sheet'

const FORTNIGHT = 14

/** What is special on an evening. */
const told = (e: Schemas['Weeks']['evenings'][number]) =>
  e.calm
    ? [say('sheet.calm'), ...e.uses.map((u) => u.name)].join(', ')
    : e.uses.map((u) => u.name).join(', ') || say('sheet.rest')

/** The next fourteen evenings, and what changes after them. */
export function EveningsByDate({ weeks }: { weeks: Schemas['Weeks'] }) {
  const shown = weeks.evenings.filter((e) => e.date >= weeks.now).slice(0, FORTNIGHT)
  const turns = weeks.tracks
    .map((t) => ({ name: t.name, turns: t.turns.filter((turn) => turn.from > weeks.now) }))
    .filter((t) => t.turns.length > 0)
  const heading = say('sheet.yourEveningsFrom', {
    first: dateWords(shown[0]?.date ?? weeks.now),
    last: dateWords(shown.at(-1)?.date ?? weeks.now),
  })
  const alike = new Set(shown.map(told)).size === 1
  return (
    <section className="paper-part">
      {alike && shown[0] ? (
        <p className="paper-turns">
          <b>{heading}:</b> {say('sheet.everyOne', { told: told(shown[0]) })}
        </p>
      ) : (
        <>
          <h2>{heading}</h2>
          <div className="paper-week dated">
            {shown.map((e) => (
              <div key={e.date}>
                <b>{dateWords(e.date).replace(/ \d{4}$/, '')}</b>
                <span>{told(e)}</span>
              </div>
            ))}
          </div>
        </>
      )}
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

/** The evenings of a week, for what is not done on every one. */
export function EveningsByDay({ nightly }: { nightly: Step[] }) {
  return nightly.length === 0 ? null : (
    <section className="paper-part">
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
}
