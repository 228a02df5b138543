import type { Regimen } from '../api/client'
import { partName } from '../shared/format'
import { Why } from '../shared/Why'
import { say } from '../words/say'
import '../words/regimen'

type Gauge = Regimen['balances'][number]['gauge']
type Line = Gauge['lines'][number]

const FILL: Record<Line['need'], string> = { WATER: 'p-water', OILS: 'p-oils', SEAL: 'p-seal' }
const NAME: Record<Line['need'], string> = {
  WATER: say('regimen.waterHeld'),
  OILS: say('regimen.softened'),
  SEAL: say('regimen.keptIn'),
}
const LIES: Record<Line['lies'], string> = {
  LOW: say('regimen.tooLittle'),
  LOW_EDGE: say('regimen.aLittleLow'),
  INSIDE: say('regimen.right'),
  HIGH_EDGE: say('regimen.aLittleHigh'),
  HIGH: say('regimen.tooMuch'),
}

/** Water, oils and seal of each routine against what skin and air ask, and the one change that would bring them in. */
export function BalanceGauges({ regimen }: { regimen: Regimen }) {
  if (regimen.balances.length === 0) return null
  return (
    <section aria-label={say('regimen.balance')} className="balance">
      <h2>{say('regimen.waterOilsAndSeal')}</h2>
      <div className="balance-parts">
        {regimen.balances.map(({ part, gauge, whyNot }) => (
          <div key={part}>
            <h3>{partName(part)}</h3>
            <p>{gauge.verdict.sentence}</p>
            {gauge.lines.map((line) => (
              <Bar key={line.need} line={line} />
            ))}
            {gauge.change && <p>{gauge.change.sentence}</p>}
            {gauge.sealRule && <p>{gauge.sealRule.sentence}</p>}
            {whyNot && <p>{whyNot.sentence}</p>}
            <p className="second">
              <Why because={gauge.because} />
            </p>
          </div>
        ))}
      </div>
    </section>
  )
}

/** One sum as a bar; the bracket is the band it should end in. The figures are in the why. */
function Bar({ line }: { line: Line }) {
  const most = Math.max(line.range.high * 1.6, 100)
  const x = (points: number) => (Math.min(points, most) / most) * 300
  const words = say('regimen.toAsked', {
    value: NAME[line.need],
    value2: LIES[line.lies],
  })
  return (
    <div className="balance-line" role="img" aria-label={words}>
      <span>{NAME[line.need]}</span>
      <svg viewBox="0 0 302 26" preserveAspectRatio="none" aria-hidden="true">
        <rect
          x="1"
          y="5"
          width={Math.max(1, x(line.points))}
          height="13"
          fill={`url(#${FILL[line.need]})`}
          stroke="var(--ink)"
        />
        <path
          d={`M${x(line.range.low) + 1} 1v22M${x(line.range.high) + 1} 1v22M${x(line.range.low) + 1} 23H${x(line.range.high) + 1}`}
          stroke="var(--skin)"
          strokeWidth="2.5"
          fill="none"
        />
      </svg>
      <span className={line.lies === 'LOW' || line.lies === 'HIGH' ? 'balance-off' : ''}>
        {LIES[line.lies]}
      </span>
      {line.most !== '' && <span className="second">{say('regimen.mostFrom', { most: line.most })}</span>}
    </div>
  )
}
