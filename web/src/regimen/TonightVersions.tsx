import type { Regimen } from '../api/client'
import { partName } from '../shared/format'
import { say } from '../words/say'
import '../words/regimen'

/** A routine on a day that is not like others. */
export function TonightVersions({ regimen }: { regimen: Regimen }) {
  if (regimen.tonight.length === 0) return <p>{say('regimen.daysNone')}</p>
  return (
    <section aria-label={say('regimen.daysThatAreNotLikeOthers')}>
      <h2>{say('regimen.daysThatAreNotLikeOthers')}</h2>
      <ul>
        {regimen.tonight.map((v) => (
          <li key={v.part + v.why}>
            <b>
              {say('regimen.min2', {
                capital: partName(v.part),
                value: v.label,
                minutes: v.minutes,
              })}
            </b>{' '}
            {v.leave.length === 0
              ? say('regimen.nothingCanBeLeftOut')
              : say('regimen.leaveOut', { join: v.leave.join(', ') })}
            . {v.because.sentence}
          </li>
        ))}
      </ul>
    </section>
  )
}
