import { useState } from 'react'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import type { Schemas } from '../api/client'
import type { useDiary, useDiaryChange } from '../api/hooks'
import { DateField } from '../shared/DateField'
import { dateWords } from '../shared/format'
import { useKeptForm } from '../shared/form'
import { NumberText } from '../shared/NumberText'
import { ErrorBand } from '../shared/States'
import { Why } from '../shared/Why'
import { say } from '../words/say'
import type { Weeks } from './edits'

type How = Schemas['Said']['how']
type Asked = 'sting' | 'redness' | 'flaking'

const GRADES = [say('week.none'), say('week.faint'), say('week.mild'), say('week.marked'), say('week.severe')]
const ASKED: [Asked, string][] = [
  ['sting', say('week.stinging')],
  ['redness', say('week.redness')],
  ['flaking', say('week.flaking')],
]
const HOWS: [How, string][] = [
  ['VISIT', say('week.atTheVisit')],
  ['TELEPHONE', say('week.byTelephone')],
  ['HOME', say('week.fromHome')],
]
const EMPTY = {
  on: '',
  how: 'VISIT' as How,
  sting: '',
  redness: '',
  flaking: '',
  swelling: false,
  skipped: '',
  remark: '',
}

const grade = (typed: string) => (typed === '' ? null : Number(typed))

/** How the skin took the weeks before: asked in four taps, with what each answer leads to. */
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
  const form = useKeptForm('check-in', client, {
    ...EMPTY,
    on: weeks.now,
    how: earlier ? ('TELEPHONE' as How) : EMPTY.how,
  })
  const [noted, setNoted] = useState(false)
  const { now } = form
  const asked = ASKED.some(([key]) => now[key] !== '') || now.swelling
  const said = new Map(weeks.checkIns.map((c) => [c.checkIn.on, c]))
  return (
    <section className="band week-part" aria-label={say('week.checkIn')}>
      <h2>{say('week.checkIn')}</h2>
      <form
        aria-label={say('week.checkIn')}
        onSubmit={form.submit(async (typed) => {
          await change.say.mutateAsync({
            on: typed.on,
            how: typed.how,
            sting: grade(typed.sting),
            redness: grade(typed.redness),
            flaking: grade(typed.flaking),
            swelling: typed.swelling,
            skipped: grade(typed.skipped),
            remark: typed.remark,
          })
          setNoted(true)
          form.leave()
        })}
      >
        <div className="check-in">
          {ASKED.map(([key, label]) => (
            <div key={key} className="check-in-sign">
              <b id={`asked-${key}`}>{label}</b>
              <div className="grade-pads" role="group" aria-labelledby={`asked-${key}`}>
                {GRADES.map((words, g) => (
                  <button
                    key={words}
                    type="button"
                    aria-pressed={now[key] === String(g)}
                    onClick={() => form.put({ [key]: now[key] === String(g) ? '' : String(g) })}
                  >
                    <b>{g}</b> <small>{words}</small>
                  </button>
                ))}
              </div>
              {form.errorOf(key) && <span className="bad">{form.errorOf(key)}</span>}
            </div>
          ))}
        </div>
        <div className="row">
          <NumberText label={say('week.nightsLeftOut')} width={150} {...form.number('skipped')} />
          <ToggleButton
            value="swelling"
            selected={now.swelling}
            onChange={() => form.put({ swelling: !now.swelling })}
          >
            {say('week.swellingOrBlister')}
          </ToggleButton>
          <ToggleButtonGroup
            exclusive
            value={now.how}
            aria-label={say('week.how')}
            onChange={(_, how: How | null) => how && form.put({ how })}
          >
            {HOWS.map(([how, label]) => (
              <ToggleButton key={how} value={how}>
                {label}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <DateField
            label={say('week.day')}
            value={now.on}
            width={195}
            until={weeks.now}
            error={form.errorOf('on')}
            pick={(on) => form.put({ on })}
          />
          <TextField label={say('week.howWasIt')} sx={{ flex: 1, minWidth: 220 }} {...form.text('remark')} />
          <Button type="submit" variant="contained" disabled={!asked || form.busy}>
            {say('week.noteIt')}
          </Button>
        </div>
        {!asked && <p className="second">{say('week.whatNobodyAsks')}</p>}
        {form.fault && <ErrorBand error={form.fault} />}
        <p role="status" className="visually-hidden">
          {noted && say('week.noted')}
        </p>
      </form>
      {diary.checkIns.length === 0 ? (
        <p className="second">{say('week.noCheckInYet')}</p>
      ) : (
        <ul className="check-ins">
          {[...diary.checkIns].reverse().map((c) => (
            <li key={c.id}>
              <b>{dateWords(c.said.on)}</b>
              <span>
                {ASKED.map(([key, label]) => `${label} ${c.said[key] ?? say('week.notAsked')}`).join(', ')}
                {c.remark !== '' && `: ${c.remark}`}
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
