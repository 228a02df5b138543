import type { Regimen, Schemas } from '../api/client'
import { partName, shortDay } from '../shared/format'
import { say } from '../words/say'
import '../words/sheet'

/** What is done otherwise on days that are not like others, by the numbers of the steps. */
export function Ifs({ regimen }: { regimen: Regimen }) {
  // a plan that was kept before there were such words has none
  const told = regimen.tonight.filter((v) => v.told)
  const parts = [regimen.morning.part, regimen.evening.part].filter((part) =>
    told.some((v) => v.part === part),
  )
  return parts.length === 0 ? null : (
    <p className="paper-part" data-spare="ifs">
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

/** What changes through the year. */
export function Year({ year }: { year: Schemas['SheetLine'][] }) {
  return year.length === 0 ? null : (
    <section className="paper-part" data-spare="year">
      <h2>{say('sheet.throughTheYear')}</h2>
      <div className="paper-columns">
        {year.map((l) => (
          <p key={l.title + (l.from ?? '')}>
            <b>{when(l)}</b> {l.text}
          </p>
        ))}
      </div>
    </section>
  )
}

/** How a layer should not feel, and what is done then. */
export function Feel({ regimen }: { regimen: Regimen }) {
  // a plan that was kept before this was told has none
  const feel = regimen.feel ?? []
  return feel.length === 0 ? null : (
    <section className="paper-part" data-spare="feel">
      <div className="paper-columns">
        {feel.map((f) => (
          <p key={f.sign}>
            <b>{f.sign}</b> {f.then}
          </p>
        ))}
      </div>
    </section>
  )
}

/** Lines to write on by hand. */
export function Room() {
  return (
    <section className="paper-part paper-room" data-spare="room">
      <b>{say('sheet.roomToWrite')}</b>
      <span />
      <span />
      <span />
    </section>
  )
}
