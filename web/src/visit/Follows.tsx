import { dateWords } from '../shared/format'
import { Referrals } from './Referrals'
import { useVisitContext } from './VisitShell'
import { say } from '../words/say'
import '../words/visit'

/** What the answers lead to: referrals, bans with their end, cautions for the chair. */
export function Follows() {
  const { verdict } = useVisitContext()
  if (!verdict) return null
  const { bans, cautions, referrals, askAgain, unasked } = verdict.safety
  const told = new Set(bans.map((b) => b.name))
  const rest = cautions.filter((c) => c.forTherapist !== '')
  return (
    <div aria-live="polite">
      <Referrals referrals={referrals} />
      {(bans.length > 0 || rest.length > 0) && (
        <div className="look follows">
          <ul>
            {bans.map((b) => (
              <li key={b.rule + b.because.sentence}>
                <b>
                  {b.name}
                  {b.until ? say('visit.until', { until: dateWords(b.until) }) : ''}:
                </b>{' '}
                {b.because.sentence}
              </li>
            ))}
            {rest.map((c) => (
              <li key={c.name + c.forTherapist}>
                {!told.has(c.name) && <b>{c.name}: </b>}
                {c.forTherapist}
              </li>
            ))}
          </ul>
        </div>
      )}
      {(askAgain.length > 0 || unasked.length > 0) && (
        <p className="second" style={{ marginTop: 8 }}>
          {askAgain.length > 0 && say('visit.askAgain', { join: askAgain.map((a) => a.label).join(', ') })}
          {unasked.length > 0 && say('visit.thatEverybodyIsAskedAreStillOpen', { length: unasked.length })}
        </p>
      )}
    </div>
  )
}
