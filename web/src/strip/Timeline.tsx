import type { Routine } from '../api/client'
import { secondsWords, partName } from '../shared/format'
import { say } from '../words/say'
import '../words/strip'

const W = 1000
/** So many times the minutes of a routine its line is long at most. */
const FAR = 1.5

/** Minutes in order: ink is hands on, an empty frame hands on without a product, hatching is time left on or waiting, logwood in it is a step done meanwhile, the madder rule is her limit. */
export function Timeline({ routine }: { routine: Routine }) {
  const t = routine.timeline
  // make-up, hands and hair are drawn, too, though no minute of the care is counted for them
  const drawn = t.segments.reduce((sum, s) => sum + s.seconds, 0)
  const limit = t.limitMinutes * 60
  // a limit far off would make a short evening too small to read: it is told at the end of the line
  const beyond = drawn > 0 && limit > FAR * drawn
  const total = (beyond ? FAR * drawn : Math.max(limit, drawn)) * 1.02
  const scale = W / total
  const starts = t.segments.map((_, i) => t.segments.slice(0, i).reduce((a, s) => a + s.seconds, 0))
  const every = tickEvery(total / 60)
  const ticks = Array.from({ length: Math.floor(total / 60 / every) + 1 }, (_, i) => i * every)
  const words = say('strip.ofMinutesWithHandsOn', {
    minutes: t.minutes,
    limitMinutes: t.limitMinutes,
    handsOnMinutes: t.handsOnMinutes,
    value: t.filled === '' ? '' : `; ${t.filled}`,
  })
  return (
    <div className="timeline" role="img" aria-label={`${partName(routine.part).toLowerCase()}: ${words}`}>
      <svg viewBox={`0 0 ${W} 40`} preserveAspectRatio="none" aria-hidden="true">
        {t.segments.map((s, i) => {
          const x = (starts[i] ?? 0) * scale
          const width = s.seconds * scale
          return s.doing === 'ALONE' ? (
            <rect
              key={i}
              x={x + 1}
              y="3"
              width={Math.max(3, width - 2.5)}
              height="18"
              fill="none"
              stroke="var(--ink)"
              strokeWidth="2"
            />
          ) : s.doing === 'HANDS_ON' ? (
            <rect key={i} x={x} y="2" width={Math.max(3, width - 1.5)} height="20" fill="var(--ink)" />
          ) : s.doing === 'IN_A_WAIT' ? (
            <g key={i}>
              <rect x={x} y="2.5" width={width} height="19" fill="url(#p-wait)" stroke="var(--edge)" />
              <rect x={x} y="6" width={Math.max(3, width - 1.5)} height="12" fill="var(--pri)" />
            </g>
          ) : (
            <rect key={i} x={x} y="2.5" width={width} height="19" fill="url(#p-wait)" stroke="var(--edge)" />
          )
        })}
        <path d={`M0 22H${W}`} stroke="var(--edge)" />
        {ticks.map((m) => (
          <path key={m} d={`M${m * 60 * scale} 22v5`} stroke="var(--edge)" />
        ))}
        {!beyond && (
          <path
            d={`M${limit * scale} 0V30`}
            stroke="var(--stop)"
            strokeWidth="2.5"
            vectorEffect="non-scaling-stroke"
          />
        )}
      </svg>
      {t.segments.map(
        (s, i) =>
          (s.doing === 'HANDS_ON' || s.doing === 'IN_A_WAIT') &&
          s.seconds * scale > 16 && (
            <span
              key={i}
              className="timeline-number"
              style={{ left: `${(((starts[i] ?? 0) + s.seconds / 2) * scale) / 10}%` }}
              title={secondsWords(s.seconds)}
              aria-hidden="true"
            >
              {s.step}
            </span>
          ),
      )}
      {beyond && (
        <span className="timeline-beyond" aria-hidden="true">
          {say('strip.limitBeyond', { limitMinutes: t.limitMinutes })}
        </span>
      )}
      {ticks
        .filter((m) => every > 1 || total <= 900 || m % 2 === 0)
        .map((m) => (
          <span
            key={m}
            className={m === 0 ? 'timeline-tick first' : 'timeline-tick'}
            style={{ left: `${(m * 60 * scale) / 10}%` }}
            aria-hidden="true"
          >
            {m === 0 ? say('strip.0Min') : m}
          </span>
        ))}
    </div>
  )
}

/** Minutes between two ticks, so that their numbers do not run into one another. */
export const tickEvery = (minutes: number) => [1, 2, 5, 10].find((step) => minutes / step < 24) ?? 20
