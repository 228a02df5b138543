import { dateWords } from '../shared/format'
import { Why } from '../shared/Why'
import { say } from '../words/say'
import '../words/week'
import type { Track, Weeks } from './edits'

const SEVEN = 7

const STANDING: Record<Track['weeks'][number]['standing'], string> = {
  WAITS: say('week.waits'),
  LED_UP: say('week.ledUp'),
  SETTLED: say('week.settled'),
  HELD: say('week.held'),
  HALVED: say('week.halved'),
  PAUSED: say('week.paused'),
  RESET: say('week.reset'),
  OFF_COURSE: say('week.offCourse'),
}

/** Twelve weeks as a stair: each thing with nights of its own, rung by rung, with today's week and the check-ins. */
export function Stair({
  weeks,
  open,
  toggle,
}: {
  weeks: Weeks
  open: string | null
  toggle: (product: string) => void
}) {
  const [longest] = [...weeks.tracks].sort((a, b) => b.weeks.length - a.weeks.length)
  if (!longest) return <p className="second week-none">{say('week.nothingHasNights')}</p>
  const columns = longest.weeks.map((w) => w.from)
  const now = columns.filter((from) => from <= weeks.now).at(-1)
  const within = (from: string, day: string) =>
    day >= from && day < (columns[columns.indexOf(from) + 1] ?? '9999')
  return (
    <div className="stair-scroll" tabIndex={-1}>
      <table className="stair">
        <caption className="visually-hidden">{say('week.weekByWeek')}</caption>
        <thead>
          <tr>
            <th scope="col">{say('week.weekByWeek')}</th>
            {columns.map((from) => {
              const was = weeks.checkIns.filter((c) => within(from, c.checkIn.on))
              const due = weeks.dueCheckIns.find((d) => within(from, d))
              return (
                <th
                  key={from}
                  scope="col"
                  className={classes(from === now, was.length > 0, due !== undefined)}
                >
                  <span>
                    {from === now
                      ? say('week.now')
                      : dateWords(from)
                          .replace(/ \d{4}$/, '')
                          .replace(/^\S+ /, '')}
                  </span>
                  {was.map((c) => (
                    <em key={c.checkIn.on}>{say('week.checkedIn', { day: short(c.checkIn.on) })}</em>
                  ))}
                  {due && <em className="due">{say('week.checkInOn', { day: short(due) })}</em>}
                </th>
              )
            })}
          </tr>
        </thead>
        <tbody>
          {weeks.tracks.map((t) => (
            <Row
              key={t.product}
              track={t}
              columns={columns}
              now={now}
              open={open === t.product}
              toggle={toggle}
            />
          ))}
        </tbody>
      </table>
    </div>
  )
}

const short = (iso: string) =>
  dateWords(iso)
    .replace(/ \d{4}$/, '')
    .replace(/^\S+ /, '')

const classes = (now: boolean, was: boolean, due: boolean) =>
  [now && 'now', was && 'checked-in', due && 'check-in-due'].filter(Boolean).join(' ') || undefined

function Row({
  track,
  columns,
  now,
  open,
  toggle,
}: {
  track: Track
  columns: string[]
  now: string | undefined
  open: boolean
  toggle: (product: string) => void
}) {
  const from = new Map(track.weeks.map((w) => [w.from, w]))
  const turns = new Map(track.turns.map((t) => [t.from, t.nights]))
  return (
    <>
      <tr>
        <th scope="row">
          <button type="button" aria-expanded={open} onClick={() => toggle(track.product)}>
            {track.name}
            {track.queued && <span className="second">{say('week.nextInLine')}</span>}
            {track.course && <span className="second">{track.course.kind.label}</span>}
          </button>
        </th>
        {columns.map((column) => {
          const week = from.get(column)
          const turn = turns.get(column)
          return (
            <td key={column} className={column === now ? 'now' : undefined}>
              {week && (
                <>
                  {turn !== undefined && week.uses > 0 && <span className="stair-turn">{turn}</span>}
                  {week.uses > 0 && (
                    <i
                      className={`stair-bar ${column <= (now ?? '') ? 'past' : 'ahead'} ${week.standing.toLowerCase()}`}
                      style={{ height: (Math.min(week.uses, SEVEN) / SEVEN) * 46 }}
                    />
                  )}
                  {week.uses === 0 && <span className="stair-none">{STANDING[week.standing]}</span>}
                  <span className="visually-hidden">
                    {say('week.cell', { uses: week.uses, standing: STANDING[week.standing] })}
                  </span>
                </>
              )}
            </td>
          )
        })}
      </tr>
      {open && (
        <tr className="stair-why">
          <td colSpan={columns.length + 1}>
            <ul>
              {track.turns.map((t) => (
                <li key={t.from}>
                  <b>{say('week.fromDay', { day: dateWords(t.from) })}</b> {t.nights}
                </li>
              ))}
            </ul>
            {reasons(track).map((w) => (
              <p key={w.from}>
                <b>{STANDING[w.standing]}:</b> <Why because={w.because} />
              </p>
            ))}
            {track.more !== '' && <p>{track.more}</p>}
            {track.stronger && (
              <p>
                <Why because={track.stronger} />
              </p>
            )}
          </td>
        </tr>
      )}
    </>
  )
}

/** The first week of each reason. */
function reasons(track: Track) {
  return track.weeks.filter(
    (w, i) =>
      track.weeks.findIndex((o) => o.because.sentence === w.because.sentence && o.standing === w.standing) ===
      i,
  )
}
