import { useState } from 'react'
import { Link } from 'react-router'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import type { useDiary, useDiaryChange } from '../api/hooks'
import { DateField } from '../shared/DateField'
import { dateWords } from '../shared/format'
import { useKeptForm } from '../shared/form'
import { ErrorBand } from '../shared/States'
import { Why } from '../shared/Why'
import { say } from '../words/say'
import '../words/week'
import { ASKED, CheckInForm } from './CheckInForm'
import type { Weeks } from './edits'

const HOW = {
  VISIT: say('week.atTheVisit'),
  TELEPHONE: say('week.byTelephone'),
  HOME: say('week.fromHome'),
  CLIENT: say('week.tappedByThem'),
}

/** How the skin took the weeks before, with what each answer leads to. */
export function CheckIns({
  client,
  weeks,
  diary,
  change,
  earlier,
}: {
  client: string
  weeks: Weeks
  diary: NonNullable<ReturnType<typeof useDiary>['data']>
  change: ReturnType<typeof useDiaryChange>
  /** whether the visit is of an earlier day: then nobody sits in the chair */
  earlier: boolean
}) {
  const [noted, setNoted] = useState(false)
  const said = new Map(weeks.checkIns.map((c) => [c.checkIn.on, c]))
  return (
    <section className="band week-part" aria-label={say('week.checkIn')}>
      <div className="row check-in-head">
        <h2>{say('week.checkIn')}</h2>
        <Link to={`/clients/${client}/check-in`}>{say('week.letThemTapIt')}</Link>
      </div>
      <CheckInForm
        client={client}
        today={weeks.now}
        how={earlier ? 'TELEPHONE' : 'VISIT'}
        say={change.say}
        urgent={diary.urgent}
        noted={() => setNoted(true)}
      />
      <p role="status" className="visually-hidden">
        {noted && say('week.noted')}
      </p>
      {diary.checkIns.length === 0 ? (
        <p className="second">{say('week.noCheckInYet')}</p>
      ) : (
        <ul className="check-ins">
          {[...diary.checkIns].reverse().map((c) => (
            <li key={c.id}>
              <b>{dateWords(c.said.on)}</b>
              <span>
                {ASKED.map(([key, label]) => `${label} ${c.said[key] ?? say('week.notAsked')}`).join(', ')}
                {c.remark !== '' && `: ${c.remark}`} <small>{HOW[c.how]}</small>
              </span>
              <span>
                {said.get(c.said.on) && <Why because={said.get(c.said.on)!.because} />}
                {c.said.swelling && (
                  <Looked id={c.id} on={c.said.on} seen={!!c.said.seen} until={weeks.now} change={change} />
                )}
              </span>
              <Button
                onClick={() => change.takeBack.mutate(c.id)}
                aria-label={say('week.takeBackTheCheckInOf', { day: dateWords(c.said.on) })}
              >
                {say('week.takeBack')}
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

/** Who looked at a swelling and what they said: until it is noted, nothing strong comes back. */
function Looked({
  id,
  on,
  seen,
  until,
  change,
}: {
  id: string
  /** the day of the check-in */
  on: string
  seen: boolean
  until: string
  change: ReturnType<typeof useDiaryChange>
}) {
  const form = useKeptForm('swelling-seen', id, { on: until, by: '', said: '' })
  if (seen) {
    return (
      <Button size="small" onClick={() => change.unseen.mutate(id)}>
        {say('week.takeBackThatItWasLookedAt')}
      </Button>
    )
  }
  return (
    <form
      className="row"
      aria-label={say('week.swellingLookedAt', { day: dateWords(on) })}
      onSubmit={form.submit(async (typed) => {
        await change.seen.mutateAsync({ id, ...typed })
        form.leave()
      })}
    >
      <TextField label={say('week.whoLookedAtIt')} sx={{ width: 190 }} {...form.text('by')} />
      <TextField label={say('week.whatTheySaid')} sx={{ flex: 1, minWidth: 190 }} {...form.text('said')} />
      <DateField
        label={say('week.day')}
        about={say('week.swellingLookedAt', { day: dateWords(on) })}
        value={form.now.on}
        width={195}
        until={until}
        error={form.errorOf('on')}
        pick={(day) => form.put({ on: day })}
      />
      <Button
        type="submit"
        variant="contained"
        disabled={form.now.by.trim() === '' || form.now.said.trim() === '' || form.busy}
      >
        {say('week.noteThatItWasLookedAt')}
      </Button>
      {form.fault && <ErrorBand error={form.fault} />}
    </form>
  )
}
