import type { Step } from '../api/client'
import { say } from '../words/say'
import '../words/strip'
import './strip.css'

/** Patterns by what a layer is made of; darker is more sealing, in light, dark and print. Drawn once a page. */
export function PatternSet() {
  return (
    <svg width="0" height="0" style={{ position: 'absolute' }} aria-hidden="true">
      <defs>
        <pattern id="p-water" width="12" height="9" patternUnits="userSpaceOnUse">
          <rect width="12" height="9" fill="var(--w0)" />
          <path d="M0 5q3-4 6 0t6 0" fill="none" stroke="var(--w1)" strokeWidth="1.3" />
        </pattern>
        <pattern id="p-oils" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="8" height="8" fill="var(--o0)" />
          <rect width="2.2" height="8" fill="var(--o1)" />
        </pattern>
        <pattern id="p-seal" width="14" height="12" patternUnits="userSpaceOnUse">
          <rect width="14" height="12" fill="var(--s0)" />
          <path
            d="M0 0a7 6 0 0 0 14 0M-7 6a7 6 0 0 0 14 0M7 6a7 6 0 0 0 14 0"
            fill="none"
            stroke="var(--s1)"
            strokeWidth="1.2"
          />
        </pattern>
        <pattern id="p-filter" width="10" height="9" patternUnits="userSpaceOnUse">
          <rect width="10" height="9" fill="var(--f0)" />
          <path d="M0 7l5-5l5 5" fill="none" stroke="var(--f1)" strokeWidth="1.8" />
        </pattern>
        <pattern id="p-day" width="7" height="7" patternUnits="userSpaceOnUse">
          <rect width="7" height="7" fill="var(--r0)" />
          <circle cx="2" cy="2" r="1.4" fill="var(--r1)" />
          <circle cx="5.5" cy="5.5" r="1.1" fill="var(--r1)" />
        </pattern>
        <pattern id="p-skin" width="13" height="30" patternUnits="userSpaceOnUse">
          <rect width="13" height="30" fill="var(--skin)" />
          <path
            d="M3.3 1C6.6 7 6.6 23 3.3 29C0 23 0 7 3.3 1ZM9.8-14C13-8 13 8 9.8 14C6.5 8 6.5-8 9.8-14ZM9.8 16C13 22 13 38 9.8 44C6.5 38 6.5 22 9.8 16Z"
            fill="var(--skin0)"
          />
        </pattern>
        <pattern id="p-wait" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="1" height="6" fill="var(--edge)" />
        </pattern>
      </defs>
    </svg>
  )
}

const FILLS = ['p-water', 'p-oils', 'p-seal', 'p-filter'] as const
export const FILL_WORDS = [
  say('strip.holdsWater'),
  say('strip.softens'),
  say('strip.seals'),
  say('strip.screensSun'),
] as const

/** The four shares of a layer, top to bottom. */
export function Bands({
  shares,
  x,
  y,
  width,
  height,
}: {
  shares: Step['shares']
  x: number
  y: number
  width: number
  height: number
}) {
  const parts = [shares.water, shares.oils, shares.sealing, shares.filter]
  const tops = parts.map((_, i) => parts.slice(0, i).reduce((a, b) => a + b, 0))
  return (
    <>
      {parts.map(
        (part, i) =>
          part > 0 && (
            <rect
              key={FILLS[i]}
              x={x}
              y={y + (tops[i] ?? 0) * height}
              width={width}
              height={part * height}
              fill={`url(#${FILLS[i]})`}
            />
          ),
      )}
    </>
  )
}

/** A step that comes again, by its number; a hand's stroke where it is one without a product. */
export function BesideRing({ number }: { number: number }) {
  return (
    <>
      <circle r="10" fill="var(--sheet)" stroke="var(--pri)" strokeWidth="2" />
      {number > 0 ? (
        <text y={4.5} fontSize="12" fontWeight="700" textAnchor="middle" fill="var(--pri)">
          {number}
        </text>
      ) : (
        <path d="M-5 2c3 -6 7 -6 10 0" fill="none" stroke="var(--pri)" strokeWidth="2" />
      )}
    </>
  )
}

/** What the patterns mean, taught in place; alone for single products, with the marks of a strip beside it. */
export function Key({ strip = false, beside = false }: { strip?: boolean; beside?: boolean }) {
  return (
    <ul className="strip-key" aria-label={say('strip.whatThePatternsMean')}>
      {FILLS.map((f, i) => (
        <li key={f}>
          <svg width="26" height="18" aria-hidden="true">
            <rect width="26" height="18" fill={`url(#${f})`} stroke="var(--ink)" />
          </svg>
          {FILL_WORDS[i]}
        </li>
      ))}
      {strip && (
        <>
          <li>
            <svg width="26" height="18" aria-hidden="true">
              <rect width="26" height="18" fill="url(#p-day)" stroke="var(--ink)" />
            </svg>
            {say('strip.stillOnTheSkin')}
          </li>
          <li>
            <svg width="26" height="18" aria-hidden="true">
              <rect
                x="1"
                y="1"
                width="24"
                height="16"
                fill="none"
                stroke="var(--ink)"
                strokeWidth="2"
                strokeDasharray="6 4"
              />
            </svg>
            {say('strip.notEveryEvening')}
          </li>
          {beside && (
            <li>
              <svg width="24" height="24" viewBox="-12 -12 24 24" aria-hidden="true">
                <BesideRing number={0} />
              </svg>
              {say('strip.doneBesideIt')}
            </li>
          )}
          <li>{say('strip.widerIsRicher')}</li>
        </>
      )}
    </ul>
  )
}
