import { useEffect, useId, useRef } from 'react'
import Button from '@mui/material/Button'
import { becomes, CAUSES, ChangeList } from '../regimen/Changes'
import { capital, partName, shortDay } from '../shared/format'
import { Why } from '../shared/Why'
import { units } from '../strip/layout'
import { Strip } from '../strip/Strip'
import { say } from '../words/say'
import '../words/changes'
import '../words/year'
import type { Stretch } from './layout'
import '../regimen/regimen.css'

const SHOWN = 5

/** A date in a few lines: what becomes of which step, and the one word of what does it. */
export function DateCard({
  n,
  stretch,
  before,
  open,
  toggle,
}: {
  n: number
  stretch: Stretch
  before: Stretch | undefined
  open: boolean
  toggle: () => void
}) {
  const rest = Math.max(0, stretch.changes.length - SHOWN)
  return (
    <section
      className={open ? 'year-card open' : 'year-card'}
      aria-label={say('year.dateLabel', { n, day: shortDay(stretch.from), name: stretch.name })}
    >
      <h2>
        <i aria-hidden="true">{n}</i>
        <span>
          {shortDay(stretch.from)}
          <small>
            {before?.name === stretch.name
              ? say('year.sameAir', { name: stretch.name })
              : capital(stretch.name)}
          </small>
        </span>
      </h2>
      <ul>
        {stretch.changes.slice(0, SHOWN).map((c) => (
          <li key={c.part + c.kind + c.what + c.from + c.to}>
            <span className="cause">{CAUSES[c.cause]}</span>
            <span>
              {becomes(c)} <small>{partName(c.part)}</small>
            </span>
          </li>
        ))}
        {stretch.told.map((t) => (
          <li key={t.title + String(t.begins)}>
            <span className="cause">{CAUSES.AIR}</span>
            <span>{say(t.begins ? 'year.sheetSays' : 'year.sheetDrops', { title: t.title })}</span>
          </li>
        ))}
        {rest > 0 && <li className="second">{say('year.andMore', { n: rest })}</li>}
      </ul>
      <Button aria-expanded={open} onClick={toggle}>
        {open ? say('year.closeDate') : say('year.openDate')}
      </Button>
    </section>
  )
}

/** A date opened: the plan before and after it as strips, every change with its reason, and what stays though the air has turned. */
export function OpenDate({
  n,
  before,
  stretch,
  close,
}: {
  n: number
  before: Stretch
  stretch: Stretch
  close: () => void
}) {
  const title = useId()
  const section = useRef<HTMLElement>(null)
  useEffect(() => section.current?.focus(), [])
  return (
    <section className="band year-open" aria-labelledby={title} tabIndex={-1} ref={section}>
      <div className="year-open-head">
        <h2 id={title}>{say('year.onTheDay', { n, day: shortDay(stretch.from), name: stretch.name })}</h2>
        <Button onClick={close}>{say('year.closeDate')}</Button>
      </div>
      <TwoStrips
        first={before}
        second={stretch}
        names={[say('year.before'), say('year.then')]}
        changes={stretch.changes}
      />
      {stretch.changes.length > 0 && <ChangeList changes={stretch.changes} />}
      {stretch.told.length > 0 && (
        <ul className="year-told">
          {stretch.told.map((t) => (
            <li key={t.title + String(t.begins)}>
              {say(t.begins ? 'year.sheetSays' : 'year.sheetDrops', { title: t.title })}
              {t.begins && <> {t.text}</>}
            </li>
          ))}
        </ul>
      )}
      {stretch.ripened.length > 0 && (
        <>
          <h3>{say('year.ripened')}</h3>
          <ChangeList changes={stretch.ripened} />
        </>
      )}
      {stretch.quiet.length > 0 && (
        <>
          <h3>{say('year.quiet')}</h3>
          <ul className="year-quiet">
            {stretch.quiet.map((q) => (
              <li key={q.words + q.day}>
                <b>{capital(q.words)}:</b> <Why because={q.because} quiet />
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}

/** Two parts of the year, routine by routine, one above the other. */
export function TwoStrips({
  first,
  second,
  names,
  changes,
}: {
  first: Stretch
  second: Stretch
  names: [string, string]
  /** what differs: its products are marked */
  changes: { part: 'MORNING' | 'EVENING'; products: string[] }[]
}) {
  const unit = units([first, second].flatMap((s) => [s.morning, s.evening]))
  return (['MORNING', 'EVENING'] as const).map((part) => (
    <div key={part} className="year-both">
      <h3>{partName(part)}</h3>
      {[first, second].map((s, i) => {
        const routine = part === 'MORNING' ? s.morning : s.evening
        return (
          <div key={s.from} className="two-row">
            <span className={i === 1 ? 'shown' : 'second'}>{names[i]}</span>
            <Strip
              routine={routine}
              unit={unit}
              folded
              open={null}
              changed={new Set(changes.filter((c) => c.part === part).flatMap((c) => c.products))}
              weather={part === 'MORNING' ? { uv: s.air.outdoors.uvIndex } : 'night'}
            />
            <span className="second">
              {say('changes.minutesLine', { minutes: routine.timeline.minutes })}
            </span>
          </div>
        )
      })}
    </div>
  ))
}
