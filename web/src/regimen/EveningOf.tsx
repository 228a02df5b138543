import Button from '@mui/material/Button'
import type { Routine, Schemas } from '../api/client'
import { DateField } from '../shared/DateField'
import { dateWords, week } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { Why } from '../shared/Why'
import { daysAfter } from '../shared/day'
import { amongThese } from './Rail'
import { say } from '../words/say'
import '../words/regimen'

type Dated = Schemas['DatedEvening']

/** The evening routine as it is on one day: what is on is drawn whole, and only what waits for a condition is drawn broken. */
export const onTheDay = ({ routine }: Dated): Routine => ({
  ...routine,
  steps: amongThese(routine.steps).map((s) => ({ ...s, nights: [...week()], often: s.hand.when })),
})

/** The day whose evening is drawn: which it is, the days beside it, and why it is rest when it is. */
export function EveningOf({
  date,
  set,
  dated,
  error,
}: {
  date: string
  /** shows another day, or with '' the usual evening */
  set: (date: string) => void
  dated: Dated | undefined
  error: Error | null
}) {
  return (
    <div className="evening-of">
      <DateField label={say('regimen.eveningOf')} value={date} width={195} pick={set} />
      <Button aria-label={say('regimen.theEveningBefore')} onClick={() => set(daysAfter(date, -1))}>
        ‹
      </Button>
      <Button aria-label={say('regimen.theEveningAfter')} onClick={() => set(daysAfter(date, 1))}>
        ›
      </Button>
      <Button onClick={() => set('')}>{say('regimen.usualEvening')}</Button>
      {error ? <ErrorBand error={error} /> : <ThatDay dated={dated} />}
    </div>
  )
}

function ThatDay({ dated }: { dated: Dated | undefined }) {
  if (!dated) return null
  const { evening, routine } = dated
  const next = evening.uses.filter((u) => !routine.steps.some((s) => s.product === u.product))
  return (
    <p role="status">
      <b>{dateWords(evening.date)}</b> {evening.rest && <Why because={evening.rest} />}
      {evening.over && <Why because={evening.over} />}
      {next.map((u) => (
        <span key={u.product}> {say('regimen.andNextInLine', { name: u.name })}</span>
      ))}
    </p>
  )
}
