import { useEffect, useState, type CSSProperties } from 'react'
import { capital, monthName, shortDay } from '../shared/format'
import { Bands } from '../strip/Bands'
import { say } from '../words/say'
import '../words/year'
import { at, layers, months, packs, thickest, type Stretch, type YearView } from './layout'

const SUN = 66
const ROOMS = 54
const HALF = 86
const SKIN = 14
const MOST_BOTTLES = 8
/** Index from which the sun is minded, and the humidity of rooms under which they dry: as the pictures' lines. */

/** The year as one section through time: the sun, the rooms, the skin with its day above it and its night below. */
export function YearPicture({
  year,
  chosen,
  choose,
}: {
  year: YearView
  /** number of the stretch whose date is open, from 1; 0 for none */
  chosen: number
  choose: (n: number) => void
}) {
  const [box, width] = useWidth()
  const all = months(year)
  return (
    <div className="year-picture">
      <Row name={<b className="visually-hidden">{say('year.months')}</b>}>
        <div className="year-months">
          {all.map((m, i) => (
            <span
              key={`${m.year}-${m.month}`}
              style={left(m.from, m.to)}
              title={`${monthName(m.month)} ${m.year}`}
            >
              <b>{short(m.month)}</b>
              {(i === 0 || m.month === 'JANUARY') && (m.to - m.from) * width > 84 && <i>{m.year}</i>}
            </span>
          ))}
        </div>
      </Row>
      <Row name={<Name words={say('year.sun')} second={say('year.sunNote', { n: year.marks.sunToMind })} />}>
        <Sun year={year} width={width} />
      </Row>
      <Row
        name={<Name words={say('year.rooms')} second={say('year.roomsNote', { n: year.marks.dryRooms })} />}
      >
        <Rooms year={year} width={width} />
      </Row>
      <Row name={<b className="visually-hidden">{say('year.stretches')}</b>}>
        <div className="year-names">
          {year.stretches.map((s) => (
            <span key={s.from} style={left(at(year, s.from), at(year, s.until))} title={s.name}>
              {capital(s.name)}
            </span>
          ))}
        </div>
      </Row>
      <Row
        name={
          <>
            <Name words={say('year.byDay')} second={say('year.byDayNote')} />
            <b className="year-skin">{say('year.skin')}</b>
            <Name words={say('year.byNight')} second={say('year.byNightNote')} />
          </>
        }
      >
        <div ref={box} className="year-section" style={{ height: 2 * HALF + SKIN }}>
          <Section year={year} width={width} />
          <Plates year={year} width={width} />
        </div>
      </Row>
      <Row name={<b className="visually-hidden">{say('year.dates')}</b>}>
        <Dates year={year} chosen={chosen} choose={choose} width={width} />
      </Row>
      <Bottles year={year} width={width} />
    </div>
  )
}

function Row({ name, children }: { name: React.ReactNode; children: React.ReactNode }) {
  return (
    <div className="year-row">
      <div className="year-gutter">{name}</div>
      <div className="year-body">{children}</div>
    </div>
  )
}

function Name({ words, second }: { words: string; second: string }) {
  return (
    <span className="year-name">
      <b>{words}</b>
      <small>{second}</small>
    </span>
  )
}

const left = (from: number, to: number): CSSProperties => ({
  left: `${from * 100}%`,
  width: `${(to - from) * 100}%`,
})

const short = (month: Parameters<typeof monthName>[0]) => monthName(month).slice(0, 3)

/** Width of the drawing, px. */
function useWidth(): [(node: HTMLElement | null) => void, number] {
  const [width, setWidth] = useState(1100)
  const [node, setNode] = useState<HTMLElement | null>(null)
  useEffect(() => {
    if (!node || typeof ResizeObserver === 'undefined') return
    const observer = new ResizeObserver(([entry]) => {
      const now = entry?.contentRect.width ?? 0
      if (now > 0) setWidth(now)
    })
    observer.observe(node)
    return () => observer.disconnect()
  }, [node])
  return [setNode, width]
}

/** What is written once: as whole numbers, under ten with one decimal. */
const number = (n: number) => (n >= 10 || Number.isInteger(n) ? String(Math.round(n)) : n.toFixed(1))

function Sun({ year, width }: { year: YearView; width: number }) {
  const all = months(year)
  const air = (i: number) => year.months[i % year.months.length]?.air
  const uv = (i: number) => air(i)?.outdoors.uvIndex ?? 0
  const minded = year.marks.sunToMind
  const most = Math.max(8, ...year.months.map((m) => m.air.outdoors.uvIndex))
  const y = (n: number) => (SUN - 16) * (n / most)
  return (
    <div className="year-sun" style={{ height: SUN }}>
      <svg width={width} height={SUN} aria-hidden="true">
        {all.map((m, i) => {
          const x = m.from * width + 4
          const w = Math.max(2, (m.to - m.from) * width - 8)
          const high = Math.max(1, y(uv(i)))
          return (
            <rect
              key={m.from}
              x={x}
              y={SUN - high}
              width={w}
              height={high}
              fill={air(i)?.uvBand !== 'LOW' ? 'url(#p-filter)' : 'var(--f1)'}
              stroke="var(--ink)"
            />
          )
        })}
        <line
          x1="0"
          x2={width}
          y1={SUN - y(minded)}
          y2={SUN - y(minded)}
          stroke="var(--ink)"
          strokeDasharray="4 4"
        />
      </svg>
      {all.map(
        (m, i) =>
          (m.to - m.from) * width > 26 && (
            <span key={m.from} style={{ ...left(m.from, m.to), bottom: y(uv(i)) + 1 }}>
              {number(uv(i))}
            </span>
          ),
      )}
    </div>
  )
}

function Rooms({ year, width }: { year: YearView; width: number }) {
  const all = months(year)
  const of = (i: number) => year.months[i % year.months.length]?.air.roomHumidity ?? 0
  const dry = year.marks.dryRooms
  const humidities = year.months.map((m) => m.air.roomHumidity)
  const [least, most] = [Math.min(dry - 10, ...humidities), Math.max(dry + 10, ...humidities)]
  const y = (n: number) => ROOMS - 8 - ((ROOMS - 30) * (n - least)) / (most - least)
  const points = all.map((m, i) => [((m.from + m.to) / 2) * width, y(of(i))] as const)
  return (
    <div className="year-rooms" style={{ height: ROOMS }}>
      <svg width={width} height={ROOMS} aria-hidden="true">
        <rect x="0" y={y(dry)} width={width} height={ROOMS - y(dry)} fill="url(#p-wait)" opacity="0.5" />
        <line x1="0" x2={width} y1={y(dry)} y2={y(dry)} stroke="var(--stop)" strokeWidth="1.5" />
        <polyline
          points={points.map(([x, v]) => `${x},${v}`).join(' ')}
          fill="none"
          stroke="var(--w1)"
          strokeWidth="2.5"
        />
        {points.map(([x, v]) => (
          <circle key={x} cx={x} cy={v} r="4" fill="var(--w1)" />
        ))}
      </svg>
      {all.map(
        (m, i) =>
          (m.to - m.from) * width > 26 && (
            <span key={m.from} style={{ ...left(m.from, m.to), top: y(of(i)) - 20 }}>
              {Math.round(of(i))}
            </span>
          ),
      )}
    </div>
  )
}

const unitOf = (year: YearView) => (HALF - 4) / thickest(year)

/** Every layer of every stretch, the skin between them, dates and spells over them. */
function Section({ year, width }: { year: YearView; width: number }) {
  const unit = unitOf(year)
  const height = 2 * HALF + SKIN
  return (
    <svg width={width} height={height} aria-hidden="true">
      {year.stretches.map((s) => {
        const x = at(year, s.from) * width
        const w = at(year, s.until) * width - x
        return (
          <g key={s.from}>
            {layers(s.morning.steps, unit).map((l) => (
              <Layer
                key={l.step.product}
                x={x}
                y={HALF - l.top - l.height}
                w={w}
                h={l.height}
                step={l.step}
              />
            ))}
            {layers(s.evening.steps, unit).map((l) => (
              <Layer key={l.step.product} x={x} y={HALF + SKIN + l.top} w={w} h={l.height} step={l.step} />
            ))}
          </g>
        )
      })}
      <rect x="0" y={HALF} width={width} height={SKIN} fill="url(#p-skin)" />
      {year.spells.map((s) => {
        const x = at(year, s.from) * width
        const w = Math.max(10, at(year, after(s.until)) * width - x)
        return (
          <rect
            key={s.id + s.from}
            className="year-spell-shape"
            x={x}
            y="1"
            width={w}
            height={height - 2}
            fill="url(#p-wait)"
            stroke="var(--ink)"
            strokeDasharray="3 3"
          />
        )
      })}
      {year.stretches.slice(1).map((s) => (
        <rect
          key={s.from}
          x={at(year, s.from) * width - 1.5}
          y="0"
          width="3"
          height={height}
          fill="var(--pri)"
        />
      ))}
    </svg>
  )
}

function Layer({
  x,
  y,
  w,
  h,
  step,
}: {
  x: number
  y: number
  w: number
  h: number
  step: Stretch['morning']['steps'][number]
}) {
  return (
    <g>
      <Bands shares={step.shares} x={x} y={y} width={w} height={h} />
      <rect x={x} y={y} width={w} height={h} fill="none" stroke="var(--ink)" strokeWidth="1.2" />
    </g>
  )
}

const after = (iso: string) => {
  const next = new Date(`${iso}T00:00:00Z`)
  next.setUTCDate(next.getUTCDate() + 1)
  return next.toISOString().slice(0, 10)
}

const PLATE = 15

/** Names on the layers that are thick and long enough to carry one. */
function Plates({ year, width }: { year: YearView; width: number }) {
  const unit = unitOf(year)
  return (
    <>
      {year.stretches.flatMap((s) => {
        const from = at(year, s.from)
        const w = (at(year, s.until) - from) * width
        if (w < 96) return []
        const plate = (l: ReturnType<typeof layers>[number], top: number) =>
          l.height >= PLATE && (
            <span
              key={s.from + l.step.product + String(top)}
              className="year-plate"
              style={{ left: from * width + 8, top: top + l.height / 2, maxWidth: Math.min(190, w - 16) }}
            >
              {l.step.name}
            </span>
          )
        return [
          ...layers(s.morning.steps, unit).map((l) => plate(l, HALF - l.top - l.height)),
          ...layers(s.evening.steps, unit).map((l) => plate(l, HALF + SKIN + l.top)),
        ]
      })}
    </>
  )
}

/** Today, the dates on which the plan turns, and the spells, under the section. */
function Dates({
  year,
  chosen,
  choose,
  width,
}: {
  year: YearView
  chosen: number
  choose: (n: number) => void
  width: number
}) {
  return (
    <div className="year-dates" style={{ height: [46, 76][year.spells.length] ?? 102 }}>
      <span className="year-today">{say('year.today', { day: shortDay(year.from) })}</span>
      {year.stretches.slice(1).map((s, i) => {
        const x = at(year, s.from)
        const room = (at(year, s.until) - x) * width
        return (
          <button
            key={s.from}
            type="button"
            className="year-date"
            aria-pressed={chosen === i + 1}
            style={{ left: `${x * 100}%` }}
            onClick={() => choose(chosen === i + 1 ? 0 : i + 1)}
          >
            <i>{i + 1}</i> <span className={room > 78 ? 'day' : 'visually-hidden'}>{shortDay(s.from)}</span>
            <span className="visually-hidden">{s.name}</span>
          </button>
        )
      })}
      {year.spells.map((s, i) => (
        <span
          key={s.id + s.from}
          className="year-spell"
          style={{ ...beside(at(year, s.from)), top: i % 2 ? 74 : 48 }}
        >
          {capital(s.label)}
        </span>
      ))}
    </div>
  )
}

/** A label that begins at its day; near the end of the year it ends there. */
const beside = (share: number): CSSProperties =>
  share < 0.6 ? { left: `${share * 100}%` } : { right: `${(1 - share) * 100}%` }

/** Packs laid end to end. */
function Bottles({ year, width }: { year: YearView; width: number }) {
  const [whole, setWhole] = useState(false)
  const known = year.bottles.filter((b) => b.packs.length > 0)
  const shown = whole ? known : known.slice(0, MOST_BOTTLES)
  return (
    <section className="year-bottles" aria-label={say('year.packs')}>
      {shown.map((b) => (
        <Row key={b.product} name={<b className="year-bottle">{b.name}</b>}>
          <div className="year-packs">
            {packs(year, b).map((p, i) => {
              const room = (p.to - p.from) * width
              return (
                <span
                  key={p.from}
                  className={p.past ? 'pack past' : i % 2 ? 'pack odd' : 'pack'}
                  style={left(p.from, p.to)}
                  title={
                    p.ends
                      ? say(p.past ? 'year.useUpBy' : 'year.buyBy', { day: shortDay(p.ends) })
                      : undefined
                  }
                >
                  {p.ends && room > 104
                    ? say(p.past ? 'year.useUpBy' : 'year.buyBy', { day: shortDay(p.ends) })
                    : p.ends && room > 52
                      ? shortDay(p.ends)
                      : ''}
                </span>
              )
            })}
          </div>
        </Row>
      ))}
      {known.length > MOST_BOTTLES && (
        <Row name={null}>
          <button type="button" className="year-more" onClick={() => setWhole(!whole)}>
            {whole ? say('year.fewerPacks') : say('year.morePacks', { n: known.length - MOST_BOTTLES })}
          </button>
        </Row>
      )}
    </section>
  )
}
