import type { Schemas, Step } from '../api/client'
import { Bands } from './Bands'

/** As much of a step as a small core shows. */
export type CoreStep = Pick<
  Step | Schemas['KeptStep'],
  'product' | 'number' | 'texture' | 'shares' | 'comesOff' | 'part' | 'nights'
>

const EVERY_DAY = 7

/** A routine as a small core: what comes off, the skin, what stays on. */
export function Core({
  steps,
  width = 430,
  widest = 11,
  numbers = true,
}: {
  steps: CoreStep[]
  /** of the drawing, in its own units */
  width?: number
  /** of one grade of texture */
  widest?: number
  /** whether each block carries its step's number */
  numbers?: boolean
}) {
  const off = steps.filter((s) => s.comesOff)
  const on = steps.filter((s) => !s.comesOff)
  const unit = Math.min(widest, (width - 22) / Math.max(1, sum(steps)))
  const skin = 10 + sum(off) * unit
  const top = numbers ? 14 : 3
  const bottom = numbers ? 52 : 27
  const block = (s: CoreStep, x: number) => {
    const y = s.part === '' || s.comesOff ? top : (top + bottom) / 2
    return (
      <g key={s.product}>
        {s.comesOff ? (
          <rect
            x={x}
            y={y}
            width={s.texture * unit}
            height={bottom - y}
            fill="url(#p-day)"
            stroke="currentColor"
          />
        ) : (
          <>
            <Bands shares={s.shares} x={x} y={y} width={s.texture * unit} height={bottom - y} />
            <rect
              x={x}
              y={y}
              width={s.texture * unit}
              height={bottom - y}
              fill="none"
              stroke="currentColor"
              strokeDasharray={s.nights.length < EVERY_DAY ? '4 3' : undefined}
            />
          </>
        )}
        {numbers && (
          <text
            x={x + (s.texture * unit) / 2}
            y="10"
            fontSize="11"
            fontWeight="700"
            textAnchor="middle"
            fill="currentColor"
          >
            {s.number}
          </text>
        )}
      </g>
    )
  }
  return (
    <svg viewBox={`0 0 ${width} ${bottom + 2}`} className="core" aria-hidden="true">
      {off.map((s, i) => block(s, 10 + sum(off.slice(0, i)) * unit))}
      <rect x={skin} y={top - 3} width="9" height={bottom - top + 5} fill="var(--skin, #555)" />
      {on.map((s, i) => block(s, skin + 9 + sum(on.slice(0, i)) * unit))}
    </svg>
  )
}

const sum = (steps: CoreStep[]) => steps.reduce((all, s) => all + s.texture, 0)
