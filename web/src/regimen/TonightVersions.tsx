import type { Regimen } from '../api/client'
import { capital } from '../shared/format'

const WHY = { SHORT_OF_TIME: 'short of time', SORE: 'if the skin is sore' } as const

/** A routine on a day that is not like others. */
export function TonightVersions({ regimen }: { regimen: Regimen }) {
  if (regimen.tonight.length === 0) return null
  return (
    <section aria-label="Days that are not like others">
      <h2>Days that are not like others</h2>
      <ul>
        {regimen.tonight.map((v) => (
          <li key={v.part + v.why}>
            <b>
              {capital(v.part.toLowerCase())}, {WHY[v.why]}, {v.minutes} min:
            </b>{' '}
            {v.leave.length === 0 ? 'nothing can be left out' : `leave out ${v.leave.join(', ')}`}.{' '}
            {v.because.sentence}
          </li>
        ))}
      </ul>
    </section>
  )
}
