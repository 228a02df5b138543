import { useRef } from 'react'
import type { Zone } from '../api/client'
import { say } from '../words/say'
import '../words/visit'

/** Outlines of the zones on a 420 × 470 drawing; the left side of the client is the mirror of the right. */
const RIGHT = {
  EYE: 'M112 196C126 182 160 180 184 192C188 202 188 212 184 220C164 232 132 230 114 216C110 209 109 203 112 196Z',
  CHEEK:
    'M105 224C128 240 160 242 182 230C184 244 180 256 176 268C170 280 170 292 174 302C166 312 158 326 153 346C132 328 116 302 109 272C105 256 104 240 105 224Z',
}
const MIDDLE: Partial<Record<Zone, string>> = {
  FOREHEAD:
    'M108 178C106 142 120 112 150 98C188 86 232 86 270 98C300 112 314 142 312 178C290 166 258 168 238 178C220 184 200 184 182 178C162 168 130 166 108 178Z',
  NOSE: 'M200 194C206 190 214 190 220 194C221 222 226 246 238 262C244 276 234 288 222 286C214 292 206 292 198 286C186 288 176 276 182 262C194 246 199 222 200 194Z',
  UPPER_LIP:
    'M180 304C194 298 226 298 240 304C245 310 248 316 249 324C238 317 224 314 210 318C196 314 182 317 171 324C172 316 175 310 180 304Z',
  LIPS: 'M172 329C184 320 200 317 210 322C220 317 236 320 248 329C238 342 224 347 210 347C196 347 182 342 172 329Z',
  CHIN: 'M162 334C174 352 192 358 210 358C228 358 246 352 258 334C264 344 266 356 263 366C248 390 230 401 210 401C190 401 172 390 157 366C154 356 156 344 162 334Z',
  NECK: 'M156 378C174 402 192 410 210 410C228 410 246 402 264 378C264 404 268 426 282 446C256 460 164 460 138 446C152 426 156 404 156 378Z',
}

/** Places beyond the drawn face: a collar below the neck, both ears, the jaw, the crown, and a hand beside it. */
const BEYOND: Partial<Record<Zone, string>> = {
  DECOLLETE:
    'M132 449C156 462 264 462 288 449C312 458 334 464 352 472C340 478 332 480 320 480L100 480C88 480 80 478 68 472C86 464 108 458 132 449Z',
  EARS: 'M102 209C88 201 81 214 84 232C86 250 95 264 105 261C103 246 102 226 102 209ZM318 209C332 201 339 214 336 232C334 250 325 264 315 261C317 246 318 226 318 209Z',
  BEARD:
    'M120 292C130 326 142 346 157 366C172 390 190 401 210 401C230 401 248 390 263 366C278 346 290 326 300 292C302 330 292 352 274 374C254 402 232 412 210 412C188 412 166 402 146 374C128 352 118 330 120 292Z',
  SCALP:
    'M104 160C104 112 128 74 168 68C196 62 224 62 252 68C292 74 316 112 316 160C306 118 284 96 250 88C224 83 196 83 170 88C136 96 114 118 104 160Z',
  HANDS:
    'M352 424C350 412 352 396 356 388C359 383 363 385 363 391L365 406L368 380C369 373 375 373 375 380L376 405L381 383C383 377 388 379 387 385L385 409L391 396C394 391 398 394 397 399C395 412 392 424 386 436C380 446 362 446 356 436Z',
}

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
const TOP = 118
const BOTTOM = 440

const APART = 52

/** Names down each side, each as near its zone as its neighbours let it. */
function calls(zones: Zone[]): Map<Zone, number> {
  const heights = new Map<Zone, number>()
  for (const side of ['left', 'right'] as const) {
    const mine = ORDER.filter((z) => SIDE[z] === side && zones.includes(z))
    const apart = mine.length > 1 ? Math.min(APART, (BOTTOM - TOP) / (mine.length - 1)) : APART
    let floor = TOP
    const down = mine.map((z) => {
      const y = Math.max(floor, Math.min(BOTTOM, SPOT[z][1]))
      floor = y + apart
      return y
    })
    let ceiling = BOTTOM
    for (let i = mine.length - 1; i >= 0; i -= 1) {
      const zone = mine[i]
      if (zone === undefined) continue
      const y = Math.min(ceiling, down[i] ?? BOTTOM)
      ceiling = y - apart
      heights.set(zone, y)
    }
  }
  return heights
}

const WIDTH = 760
const SHIFT = 170

/** A calm face whose zones are tapped; a zone and its callout are one target. */
export function Face({
  zones,
  label,
  grade,
  text,
  current,
  pick,
  paint,
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
}) {
  const drag = useDrag(pick, paint)
  const heights = calls(zones)
  return (
    <svg
      viewBox={`0 60 ${WIDTH} 424`}
      width={WIDTH}
      role="group"
      aria-label={say('visit.faceTheClientSLeftIsOn')}
      style={{ touchAction: paint ? 'none' : undefined }}
      {...drag}
    >
      <Patterns />
      <g transform={`translate(${SHIFT} 0)`}>
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
          y={heights.get(zone) ?? TOP}
          current={zone === current}
          pick={() => pick(zone)}
        />
      ))}
      <text x="8" y="76" fontSize="15" fill="var(--ink2)">
        {say('visit.theClientSRight')}
      </text>
      <text x={WIDTH - 8} y="76" fontSize="15" textAnchor="end" fill="var(--ink2)">
        {say('visit.theClientSLeft')}
      </text>
    </svg>
  )
}

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
  pick,
}: {
  zone: Zone
  name: string
  /** what stands in its box */
  text: string
  /** height of its name */
  y: number
  current: boolean
  pick: () => void
}) {
  const side = SIDE[zone]
  const [sx, sy] = SPOT[zone]
  const box = side === 'left' ? 8 : WIDTH - 52
  const text = side === 'left' ? box + 54 : box - 10
  const looked = boxText !== '?'
  const from = side === 'left' ? 158 : WIDTH - 158
  const to = sx + SHIFT
  return (
    <>
      <g
        className="zone"
        role="button"
        tabIndex={0}
        aria-current={current}
        aria-label={`${name}: ${boxText === '?' ? say('visit.notLookedAt') : boxText}`}
        data-zone={zone}
        onClick={pick}
        onFocus={pick}
      >
        <path
          d={outline(zone)}
          transform={`translate(${SHIFT} 0)${mirrored(zone) ? ' translate(420 0) scale(-1 1)' : ''}`}
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
          y={y - 21}
          width="44"
          height="42"
          fill="var(--sheet)"
          stroke={current ? 'var(--pri)' : 'var(--edge)'}
          strokeWidth={current ? 4 : 1.5}
          strokeDasharray={!looked && !current ? '4 4' : undefined}
        />
        <rect x={side === 'left' ? 4 : WIDTH - 166} y={y - 24} width="162" height="48" fill="transparent" />
      </g>
      <g aria-hidden="true" pointerEvents="none" fill="var(--ink)">
        {boxText.length < 3 && (
          <text x={to} y={sy + 5} fontSize="14" fontWeight="700" textAnchor="middle">
            {boxText}
          </text>
        )}
        <text
          x={box + 22}
          y={y + (boxText.length < 3 ? 7 : 5)}
          fontSize={boxText.length < 3 ? 20 : 17}
          fontWeight="700"
          textAnchor="middle"
        >
          {boxText}
        </text>
        <text
          x={text}
          y={y + 5}
          fontSize="17"
          fontWeight={current ? 700 : 600}
          textAnchor={side === 'left' ? 'start' : 'end'}
          fill={current ? 'var(--pri)' : 'var(--ink)'}
        >
          {name.replace(/^(right|left) /, '')}
        </text>
      </g>
    </>
  )
}

const mirrored = (zone: Zone) => zone.endsWith('_L')

function outline(zone: Zone): string {
  if (zone.startsWith('EYE')) return RIGHT.EYE
  if (zone.startsWith('CHEEK')) return RIGHT.CHEEK
  return MIDDLE[zone] ?? BEYOND[zone] ?? ''
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

/** Hair, ears, neck and shoulders: plain thin lines that fit any age, sex and skin. */
function Backdrop() {
  return (
    <g fill="none" stroke="var(--edge)" strokeWidth="1.3" strokeLinecap="round">
      <path d="M97 210C82 150 100 76 160 68C190 60 232 60 262 68C320 78 338 150 323 210" />
      <path d="M112 150C128 116 150 100 176 96M308 150C292 116 270 100 244 96M146 84C176 74 244 74 274 84" />
      <path d="M100 208C88 202 82 214 85 232C87 250 95 262 104 260M320 208C332 202 338 214 335 232C333 250 325 262 316 260" />
      <path d="M103 214C103 262 118 314 152 360C172 388 190 401 210 401C230 401 248 388 268 360C302 314 317 262 317 214" />
      <path d="M156 376C157 404 152 426 138 446C112 456 84 462 62 476M264 376C263 404 268 426 282 446C308 456 336 462 358 476" />
    </g>
  )
}

function Features() {
  const eye = (
    <g fill="none" stroke="var(--ink2)" strokeLinecap="round">
      <path d="M124 206C134 196 160 195 172 207" strokeWidth="1.8" />
      <path d="M126 207C138 213 160 213 171 207" strokeWidth="1" />
      <circle cx="148" cy="205" r="4.5" fill="var(--ink2)" stroke="none" />
      <path d="M118 182C134 173 158 173 176 180" strokeWidth="1.6" />
    </g>
  )
  return (
    <g>
      {eye}
      <g transform="translate(420 0) scale(-1 1)">{eye}</g>
      <g fill="none" stroke="var(--ink2)" strokeLinecap="round">
        <path d="M176 330C194 333 202 331 210 333C218 331 226 333 244 330" strokeWidth="1.5" />
        <path d="M194 282q7 4 12 0M226 282q-7 4 -12 0" strokeWidth="1.2" />
      </g>
    </g>
  )
}
