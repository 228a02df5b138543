import type { CSSProperties } from 'react'
import type { Step } from '../api/client'
import { dateWords, sometimes } from '../shared/format'
import { Bands } from '../strip/Bands'
import { say } from '../words/say'
import '../words/week'
import type { Evening, Track, Weeks } from './edits'

const OFF = 15
const SKIN = 13
const ON = 7
const WIDTH = 100
const BLOCK = 74
const LOAD = 66

/** Evenings side by side: the skin runs through them as one line, what comes off stands above it, what stays on below. */
export function Evenings({
  weeks,
  shown,
  steps,
  chosen,
  choose,
}: {
  weeks: Weeks
  shown: Evening[]
  /** every step that an evening may have */
  steps: Map<string, Step>
  /** date of the evening that is open */
  chosen: string | null
  choose: (date: string) => void
}) {
  const drawn = shown.map((e) => ({
    evening: e,
    steps: e.products.flatMap((p) => steps.get(p) ?? []),
  }))
  const above = Math.max(1, ...drawn.map((d) => d.steps.filter((s) => s.comesOff).length)) * (OFF + 2)
  const below = Math.max(20, ...drawn.map((d) => depth(d.steps.filter((s) => !s.comesOff))))
  const most = Math.max(weeks.bears.night * 1.25, ...shown.map((e) => e.load), 1)
  const columns = { gridTemplateColumns: `repeat(${shown.length}, minmax(92px, 1fr))` }
  const height = above + SKIN + below + 6
  return (
    <div className="nights-scroll" tabIndex={-1}>
      {weeks.rhythm.every !== 7 && <Rounds shown={shown} columns={columns} />}
      <div className="nights" style={columns} role="list" aria-label={say('week.evenings')}>
        {drawn.map(({ evening, steps: used }) => (
          <div key={evening.date} role="listitem" className="night-column">
            <button
              type="button"
              className={`night${evening.date === weeks.now ? ' now' : ''}`}
              aria-expanded={evening.date === chosen}
              data-date={evening.date}
              onClick={() => choose(evening.date)}
            >
              <b className="night-date">{dateWords(evening.date).replace(/ \d{4}$/, '')}</b>
              <svg
                viewBox={`0 0 ${WIDTH} ${height}`}
                preserveAspectRatio="none"
                style={{ height }}
                aria-hidden="true"
              >
                <Section steps={used} above={above} evening={evening} />
              </svg>
              <span className="night-what">{what(evening)}</span>
              <span className="second">{say('week.minutes', { minutes: Math.round(evening.minutes) })}</span>
            </button>
            <Load evening={evening} most={most} limit={weeks.bears.night} />
          </div>
        ))}
      </div>
    </div>
  )
}

/** Which evenings come round together, bracketed. */
function Rounds({ shown, columns }: { shown: Evening[]; columns: CSSProperties }) {
  const rounds = [...new Set(shown.map((e) => e.round))]
  return (
    <div className="nights rounds" style={columns} aria-hidden="true">
      {rounds.map((r) => (
        <i key={r} style={{ gridColumn: `span ${shown.filter((e) => e.round === r).length}` }} />
      ))}
    </div>
  )
}

const depth = (on: Step[]) => on.reduce((sum, s) => sum + s.texture * ON, 0)

function what(evening: Evening) {
  if (evening.calm) return [say('week.calm'), ...evening.uses.map((u) => u.name)].join(', ')
  const sure = evening.uses.length === 0 ? say('week.rest') : evening.uses.map((u) => u.name).join(', ')
  const maybe = evening.maybe.filter((m) => m.points > 0).map((m) => say('week.orMaybe', { name: m.name }))
  return [sure, ...maybe].join(', ')
}

function Section({ steps, above, evening }: { steps: Step[]; above: number; evening: Evening }) {
  const maybe = new Set(evening.maybe.map((m) => m.product))
  const off = steps.filter((s) => s.comesOff)
  const on = steps.filter((s) => !s.comesOff)
  const left = (WIDTH - BLOCK) / 2
  const tops = on.map((_, i) => above + SKIN + depth(on.slice(0, i)))
  return (
    <>
      <g transform={`translate(0 ${above + SKIN}) rotate(-90)`}>
        <rect width={SKIN} height={WIDTH} fill="url(#p-skin)" />
      </g>
      {off.map((s, i) => (
        <rect
          key={s.product}
          x={left}
          y={above - (off.length - i) * (OFF + 2)}
          width={BLOCK}
          height={OFF}
          fill="url(#p-day)"
          stroke="var(--ink)"
          strokeWidth="1.4"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {on.map((s, i) => (
        <g key={s.product}>
          <Layer step={s} x={left} y={tops[i] ?? 0} maybe={maybe.has(s.product)} />
        </g>
      ))}
    </>
  )
}

/** @param maybe whether it is used only when its condition is met */
function Layer({ step, x, y, maybe }: { step: Step; x: number; y: number; maybe: boolean }) {
  const width = step.part === '' ? BLOCK : BLOCK / 2
  const height = step.texture * ON
  const middle = y + height / 2
  return (
    <>
      {/* a layer of the strip turned: its shares stand side by side */}
      <g transform={`translate(${x} ${y + height}) rotate(-90)`}>
        <Bands shares={step.shares} x={0} y={0} width={height} height={width} />
      </g>
      <rect
        x={x}
        y={y}
        width={width}
        height={height}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.6"
        strokeDasharray={maybe ? '6 4' : undefined}
        vectorEffect="non-scaling-stroke"
      />
      {sometimes(step) && step.letter !== '' && (
        <g transform={`translate(${x + width / 2} ${middle})`}>
          <path d="M0 -11l11 11l-11 11l-11 -11z" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.4" />
          <text y="4.5" fontSize="12" fontWeight="700" textAnchor="middle" fill="var(--ink)">
            {step.letter}
          </text>
        </g>
      )}
    </>
  )
}

/** Load of an evening: what every day brings, then each thing; the limit runs across all of them. */
function Load({ evening, most, limit }: { evening: Evening; most: number; limit: number }) {
  const up = (points: number) => (points / most) * LOAD
  const parts = [
    { key: 'daily', points: evening.daily, letter: '' },
    ...evening.uses.map((u) => ({ key: u.product, points: u.points, letter: u.letter })),
  ].filter((p) => p.points > 0)
  return (
    <div className={`night-load${evening.over ? ' over' : ''}`} style={{ height: LOAD + 4 }}>
      <i className="night-limit" style={{ bottom: up(limit) }} />
      <div className="night-bars">
        {parts.map((p) => (
          <span key={p.key} className={p.key === 'daily' ? 'daily' : ''} style={{ height: up(p.points) }}>
            {up(p.points) >= 15 && p.letter}
          </span>
        ))}
      </div>
      {evening.load > 0 && <b>{say('week.points', { load: evening.load.toFixed(1) })}</b>}
    </div>
  )
}

/** The letters that stand for things with nights of their own. */
export function Letters({ tracks }: { tracks: Track[] }) {
  return (
    <ul className="week-letters">
      {tracks
        .filter((t) => t.letter !== '')
        .map((t) => (
          <li key={t.product}>
            <svg width="26" height="26" viewBox="-13 -13 26 26" aria-hidden="true">
              <path
                d="M0 -12l12 12l-12 12l-12 -12z"
                fill="var(--sheet)"
                stroke="var(--ink)"
                strokeWidth="1.5"
              />
              <text y="4.5" fontSize="12" fontWeight="700" textAnchor="middle" fill="var(--ink)">
                {t.letter}
              </text>
            </svg>
            {t.name}
          </li>
        ))}
    </ul>
  )
}
