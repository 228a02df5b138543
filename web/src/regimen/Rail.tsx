import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import type { Regimen, Routine, Step } from '../api/client'
import { partName } from '../shared/format'
import { Why } from '../shared/Why'
import { say } from '../words/say'
import '../words/regimen'

export type Version = Regimen['tonight'][number]

/** Some steps of a routine: what is done beside one is done where that which it repeats is. */
export const amongThese = (steps: Step[]): Step[] =>
  steps.map((s) => ({
    ...s,
    // a plan that was kept before there were such words has none
    then: (s.then ?? []).filter((a) => !a.again || steps.some((other) => other.product === a.again)),
  }))

/** The routine as it is on a day of another kind: its steps with their numbers, and its own clock. */
export const asOn = (routine: Routine, version: Version): Routine => ({
  ...routine,
  steps: amongThese(routine.steps.filter((s) => version.steps.includes(s.product))),
  timeline: version.timeline,
})

/** The usual form of a routine and its others, each one tap away. */
export function Rail({
  routine,
  versions,
  drawn,
  draw,
}: {
  routine: Routine
  versions: Version[]
  /** which is drawn; the usual one when absent */
  drawn: Version | undefined
  draw: (why: Version['why'] | null) => void
}) {
  if (versions.length === 0) return null
  return (
    <ToggleButtonGroup
      exclusive
      orientation="vertical"
      className="rail"
      value={drawn?.why ?? 'USUAL'}
      aria-label={say('regimen.railOf', { part: partName(routine.part).toLowerCase() })}
      onChange={(_, why: Version['why'] | 'USUAL' | null) => draw(why === 'USUAL' ? null : why)}
    >
      <ToggleButton value="USUAL">
        <b>{say('regimen.railUsual')}</b>
        <span>{say('regimen.railMinutes', { minutes: routine.timeline.minutes })}</span>
      </ToggleButton>
      {versions.map((v) => (
        <ToggleButton key={v.why} value={v.why}>
          <b>{v.label}</b>
          <span>{say('regimen.railMinutes', { minutes: v.minutes })}</span>
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  )
}

/** Why such a day is otherwise, and what it leaves out. */
export function DrawnAs({ version }: { version: Version }) {
  return (
    <p className="drawn-as" role="status">
      <Why because={version.because} />{' '}
      {version.leave.length > 0 && say('regimen.railLeaves', { join: version.leave.join(', ') })}
    </p>
  )
}
