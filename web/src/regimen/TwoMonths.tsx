import Button from '@mui/material/Button'
import type { Month, Part, Regimen, Schemas } from '../api/client'
import { useChanges } from '../api/hooks'
import { monthName, partName } from '../shared/format'
import { units } from '../strip/layout'
import { Strip } from '../strip/Strip'
import type { VisitContext } from '../visit/VisitShell'
import { say } from '../words/say'
import '../words/changes'
import { usePlan } from './usePlan'

type Change = Schemas['Change']

/** The visit's month over another, both as thin strips: what differs is seen before it is read. */
export function TwoMonths({
  context,
  shown,
  regimen,
  full,
}: {
  context: VisitContext
  shown: Month
  /** of the month that is shown */
  regimen: Regimen
  full: () => void
}) {
  const { month, version } = context.work.draft.document
  const own = usePlan(context, month).data?.regimen
  const changes = useChanges(context.visit.id, version, { month: shown, enabled: true }).data ?? []
  const both = [
    ...(own && own.month === month ? [{ month, plan: own }] : []),
    { month: shown, plan: regimen },
  ]
  const unit = units(both.flatMap(({ plan }) => [plan.morning, plan.evening]))
  return (
    <>
      {(['MORNING', 'EVENING'] as const).map((part) => (
        <section key={part} data-part={part} className="band two-months" aria-label={partName(part)}>
          <div className="gutter">
            <h2>{partName(part)}</h2>
            {part === 'MORNING' && <Button onClick={full}>{say('changes.fullSize')}</Button>}
          </div>
          <div className="routine-body">
            {both.map(({ month, plan }) => {
              const routine = part === 'MORNING' ? plan.morning : plan.evening
              return (
                <div key={month} className="two-row">
                  <span className={month === shown ? 'shown' : 'second'}>{monthName(month)}</span>
                  <Strip
                    routine={routine}
                    unit={unit}
                    folded
                    open={null}
                    changed={changedIn(changes, part)}
                    weather={part === 'MORNING' ? { uv: plan.asked.air.outdoors.uvIndex } : 'night'}
                  />
                  <span className="second">
                    {say('changes.minutesLine', { minutes: routine.timeline.minutes })}
                  </span>
                </div>
              )
            })}
          </div>
        </section>
      ))}
    </>
  )
}

/** Products of the steps that are otherwise in the other month. */
const changedIn = (changes: Change[], part: Part): ReadonlySet<string> =>
  new Set(changes.filter((c) => c.part === part).flatMap((c) => c.products))
