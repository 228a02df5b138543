import type { ReactNode } from 'react'
import type { Schemas } from '../api/client'
import { capital, dayShort, shortDay, warmthWords } from '../shared/format'
import { Why } from '../shared/Why'
import { say } from '../words/say'
import '../words/weather'
import '../words/year'
import './weather.css'

type AirToday = Schemas['AirTodayView']
type SpellTold = AirToday['spells'][number]

const WEEKDAYS = ['SUNDAY', 'MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY', 'SATURDAY'] as const
const weekday = (iso: string) => dayShort(WEEKDAYS[new Date(iso + 'T12:00').getDay()] ?? 'MONDAY')

/** Today's air in one line, the days ahead in another, and what is not as usual. */
export function AirBand({
  air,
  act,
}: {
  air: AirToday
  /** what can be done about a spell of the days ahead */
  act?: (spell: SpellTold) => ReactNode
}) {
  const out = air.air.outdoors
  const spellOf = (day: string) => air.spells.find((s) => s.from <= day && day <= s.until)
  return (
    <section className="air" aria-label={say('weather.airToday', { place: air.place })}>
      <div className="air-now">
        <p>
          <b className="air-warmth">{warmthWords(Math.round(out.celsius))}</b>{' '}
          <b>{say(air.told ? 'weather.today' : 'weather.usually', { place: air.place })}</b> {air.name}
        </p>
        <p className="second">
          {air.told && <>{air.compared.sentence} </>}
          {say('weather.figures', {
            humidity: Math.round(out.humidity),
            wind: Math.round(out.wind),
            uv: Math.round(out.uvIndex),
          })}{' '}
          <Why because={air.air.rooms} quiet />
          {air.simulated && <em className="air-simulated"> {say('weather.simulated')}</em>}
        </p>
      </div>
      <ol className="air-days" aria-label={say('weather.daysAhead')}>
        {air.days.map((d) => {
          const spell = spellOf(d.day)
          return (
            <li
              key={d.day}
              className={[spell ? 'odd' : '', d.told ? '' : 'untold'].join(' ')}
              title={spell ? capital(spell.label) : undefined}
            >
              <span>{d.day === air.day ? say('weather.now') : weekday(d.day)}</span>
              <b>{Math.round(d.celsius)}°</b>
              <span className="visually-hidden">
                {spell ? spell.label : ''} {d.told ? '' : say('weather.notTold')}
              </span>
            </li>
          )
        })}
      </ol>
      {air.missing && (
        <p className="look air-wide" role="status">
          {air.missing.sentence}
        </p>
      )}
      {air.spells.map((s) => (
        <p key={s.id + s.from} className="air-wide air-spell">
          <b>
            {capital(s.label)}, {say('year.fromTo', { from: shortDay(s.from), to: shortDay(s.until) })}:
          </b>{' '}
          <Why because={s.because} quiet /> {act?.(s)}
        </p>
      ))}
    </section>
  )
}
