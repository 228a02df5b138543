import { useRef } from 'react'
import type { Zone } from '../api/client'
import { say } from '../words/say'
import '../words/visit'
import { Backdrop, Features } from './FaceDrawing'
import { mirrored, outline } from './outlines'
import { neighbour } from './reading'

const SPOT: Record<Zone, [number, number]> = {
  FOREHEAD: [210, 126],
  NOSE: [210, 258],
  CHIN: [210, 382],
  CHEEK_R: [140, 284],
  CHEEK_L: [280, 284],
  EYE_R: [148, 226],
  EYE_L: [272, 226],
  UPPER_LIP: [210, 309],
  LIPS: [210, 336],
  NECK: [210, 430],
  DECOLLETE: [210, 470],
  EARS: [92, 236],
  BEARD: [132, 348],
  SCALP: [210, 76],
  HANDS: [374, 424],
}

/** On which side of the drawing the name of a zone stands. */
const SIDE: Record<Zone, 'left' | 'right'> = {
  SCALP: 'left',
  FOREHEAD: 'left',
  EYE_R: 'left',
  EARS: 'left',
  CHEEK_R: 'left',
  LIPS: 'left',
  BEARD: 'left',
  NECK: 'left',
  NOSE: 'right',
  EYE_L: 'right',
  CHEEK_L: 'right',
  UPPER_LIP: 'right',
  CHIN: 'right',
  HANDS: 'right',
  DECOLLETE: 'right',
}
const ORDER = Object.keys(SIDE) as Zone[]
const BOTTOM = 440

/**
 * How the names stand beside the face: on a phone each over its own box, which is large enough for a fingertip there.
 * The drawing grows downward where they need more room than it has.
 */
type Frame = {
  width: number
  shift: number
  box: number
  apart: number
  squeezes: boolean
  margin: number
  top: number
}
const WIDE: Frame = { width: 760, shift: 170, box: 44, apart: 52, squeezes: true, margin: 8, top: 118 }
const NARROW: Frame = { width: 470, shift: 25, box: 58, apart: 86, squeezes: false, margin: 2, top: 144 }

/** Names down each side, each as near its zone as its neighbours let it. */
function calls(zones: Zone[], frame: Frame): Map<Zone, number> {
  const heights = new Map<Zone, number>()
  for (const side of ['left', 'right'] as const) {
    const mine = ORDER.filter((z) => SIDE[z] === side && zones.includes(z))
    const last = frame.squeezes ? BOTTOM : Math.max(BOTTOM, frame.top + frame.apart * (mine.length - 1))
    const apart =
      mine.length > 1 ? Math.min(frame.apart, (last - frame.top) / (mine.length - 1)) : frame.apart
    let floor = frame.top
    const down = mine.map((z) => {
      const y = Math.max(floor, Math.min(last, SPOT[z][1]))
      floor = y + apart
      return y
    })
    let ceiling = last
    for (let i = mine.length - 1; i >= 0; i -= 1) {
      const zone = mine[i]
      if (zone === undefined) continue
      const y = Math.min(ceiling, down[i] ?? last)
      ceiling = y - apart
      heights.set(zone, y)
    }
  }
  return heights
}

/** A calm face whose zones are tapped; a zone and its callout are one target. */
export function Face({
  zones,
  label,
  grade,
  text,
  current,
  pick,
  paint,
  narrow = false,
  enter,
}: {
  /** zones where this sign is read */
  zones: Zone[]
  /** name of a zone */
  label: (zone: Zone) => string
  /** grade of a zone, null when not looked at */
  grade: (zone: Zone) => number | null
  /** what stands in the box beside a zone; its grade when absent */
  text?: (zone: Zone) => string
  /** the zone that keys and pads grade */
  current: Zone
  /** a zone was tapped */
  pick: (zone: Zone) => void
  /** a drag went over a zone; absent when nothing can be painted */
  paint?: (zone: Zone) => void
  /** drawn for a phone */
  narrow?: boolean
  /** Enter or Space on a zone */
  enter?: () => void
}) {
  const drag = useDrag(pick, paint)
  const frame = narrow ? NARROW : WIDE
  const { width, shift } = frame
  const heights = calls(zones, frame)
  const lowest = Math.max(BOTTOM, ...heights.values())
  return (
    <svg
      viewBox={`0 60 ${width} ${lowest - 16}`}
      width={width}
      role="group"
      aria-label={say('visit.faceTheClientSLeftIsOn')}
      style={{ touchAction: paint ? 'none' : undefined }}
      {...drag}
    >
      <Patterns />
      <g transform={`translate(${shift} 0)`}>
        <Backdrop />
        {zones.map((zone) => (
          <path
            key={zone}
            d={outline(zone)}
            transform={mirrored(zone) ? 'translate(420 0) scale(-1 1)' : undefined}
            className="shape-fill"
            fill={fill(grade(zone))}
          />
        ))}
        <Features />
      </g>
      {zones.map((zone) => (
        <ZoneTarget
          key={zone}
          zone={zone}
          name={label(zone)}
          text={text?.(zone) ?? String(grade(zone) ?? '?')}
          y={heights.get(zone) ?? frame.top}
          current={zone === current}
          frame={frame}
          pick={() => pick(zone)}
          go={(by, face) => focusZone(face, neighbour(zones, zone, by))}
          enter={enter}
        />
      ))}
      <text x="8" y="76" fontSize="15" fill="var(--ink2)">
        {say('visit.theClientSRight')}
      </text>
      <text x={width - 8} y="76" fontSize="15" textAnchor="end" fill="var(--ink2)">
        {say('visit.theClientSLeft')}
      </text>
    </svg>
  )
}

const STEPS: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }

/** The cursor goes where the focus is. */
const focusZone = (face: Element, zone: Zone) =>
  face.querySelector<SVGElement>(`[data-zone="${zone}"]`)?.focus()

const zoneUnder = (x: number, y: number) =>
  document.elementFromPoint(x, y)?.closest<SVGElement>('[data-zone]')?.dataset.zone as Zone | undefined

/** A press picks its zone; drawn on over other zones, it paints all of them. */
function useDrag(pick: (zone: Zone) => void, paint?: (zone: Zone) => void) {
  const from = useRef<Zone | null>(null)
  const last = useRef<Zone | null>(null)
  if (!paint) return {}
  const end = () => {
    from.current = null
    last.current = null
  }
  return {
    onPointerDown: (e: React.PointerEvent) => {
      const zone = zoneUnder(e.clientX, e.clientY)
      if (zone) {
        from.current = zone
        last.current = zone
        pick(zone)
      }
    },
    onPointerMove: (e: React.PointerEvent) => {
      const zone = from.current && zoneUnder(e.clientX, e.clientY)
      if (!zone || zone === last.current) return
      if (last.current === from.current) paint(last.current as Zone)
      last.current = zone
      paint(zone)
    },
    onPointerUp: end,
    onPointerLeave: end,
    onPointerCancel: end,
  }
}

function ZoneTarget({
  zone,
  name,
  text: boxText,
  y,
  current,
  frame,
  pick,
  go,
  enter,
}: {
  zone: Zone
  name: string
  /** what stands in its box */
  text: string
  /** height of its name */
  y: number
  current: boolean
  frame: Frame
  pick: () => void
  /** to the zone after or before it on this face */
  go: (by: number, face: Element) => void
  enter?: () => void
}) {
  const { width, shift, box: size, margin } = frame
  const over = !frame.squeezes
  const side = SIDE[zone]
  const [sx, sy] = SPOT[zone]
  const left = side === 'left'
  const box = left ? margin : width - size - margin
  const looked = boxText !== '?'
  const reach = over ? size + margin : 158
  const from = left ? reach : width - reach
  const to = sx + shift
  // beside its box, or over it and flush with its outer edge
  const text = over ? (left ? box : box + size) : left ? box + 54 : box - 10
  const hit = over
    ? { x: left ? 0 : width - size - 22, y: y - size / 2 - 20, width: size + 22, height: size + 22 }
    : { x: left ? 4 : width - 166, y: y - 24, width: 162, height: 48 }
  return (
    <>
      <g
        className="zone"
        role="button"
        // one stop for all of them: where the cursor is, there is the focus
        tabIndex={current ? 0 : -1}
        aria-current={current}
        aria-label={`${name}: ${boxText === '?' ? say('visit.notLookedAt') : boxText}`}
        data-zone={zone}
        onClick={pick}
        onFocus={pick}
        onKeyDown={(e) => {
          const by = STEPS[e.key]
          if (by === undefined && e.key !== 'Enter' && e.key !== ' ') return
          e.preventDefault()
          // what a key does on a zone, it does not do for the page once more
          e.stopPropagation()
          const face = e.currentTarget.ownerSVGElement
          if (by !== undefined) {
            if (face) go(by, face)
            return
          }
          pick()
          enter?.()
        }}
      >
        <path
          d={outline(zone)}
          transform={`translate(${shift} 0)${mirrored(zone) ? ' translate(420 0) scale(-1 1)' : ''}`}
          className="shape"
          fill="transparent"
          stroke="var(--ink)"
          strokeWidth={looked ? 1.4 : 1}
          strokeDasharray={looked ? undefined : '4 4'}
        />
        <path d={`M${from} ${y}L${to} ${sy}`} stroke="var(--sheet)" strokeWidth="4" opacity="0.8" />
        <path d={`M${from} ${y}L${to} ${sy}`} stroke="var(--ink2)" strokeWidth="1" />
        <circle cx={to} cy={sy} r="11" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.2" />
        <rect
          x={box}
          y={y - size / 2 + 1}
          width={size}
          height={size - 2}
          fill="var(--sheet)"
          stroke={current ? 'var(--pri)' : 'var(--edge)'}
          strokeWidth={current ? 4 : 1.5}
          strokeDasharray={!looked && !current ? '4 4' : undefined}
        />
        <rect {...hit} fill="transparent" />
      </g>
      <g aria-hidden="true" pointerEvents="none" fill="var(--ink)">
        {boxText.length < 3 && (
          <text x={to} y={sy + 5} fontSize="14" fontWeight="700" textAnchor="middle">
            {boxText}
          </text>
        )}
        <text
          x={box + size / 2}
          y={y + (boxText.length < 3 ? 7 : 5)}
          fontSize={boxText.length < 3 ? 20 : 17}
          fontWeight="700"
          textAnchor="middle"
        >
          {boxText}
        </text>
        <text
          x={text}
          y={over ? y - size / 2 - 5 : y + 5}
          fontSize="17"
          fontWeight={current ? 700 : 600}
          textAnchor={left ? 'start' : 'end'}
          fill={current ? 'var(--pri)' : 'var(--ink)'}
        >
          {name.replace(/^(right|left) /, '')}
        </text>
      </g>
    </>
  )
}

const fill = (grade: number | null) => (grade === null ? 'none' : `url(#grade-${grade})`)

/** Grades by density of one cool tone, never by warmth: warm colours would tint how redness is judged. */
function Patterns() {
  return (
    <defs>
      <pattern id="grade-0" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill="var(--sheet)" />
      </pattern>
      {[1, 2, 3, 4].map((g) => (
        <pattern
          key={g}
          id={`grade-${g}`}
          width="8"
          height="8"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="8" height="8" fill={g === 4 ? 'var(--pri)' : 'var(--sheet)'} />
          {g === 1 && <circle cx="4" cy="4" r="1.3" fill="var(--pri)" />}
          {g === 2 && <rect width="1.6" height="8" fill="var(--pri)" />}
          {g === 3 && <rect width="4" height="8" fill="var(--pri)" />}
          {g === 4 && <circle cx="4" cy="4" r="1" fill="var(--sheet)" />}
        </pattern>
      ))}
    </defs>
  )
}
