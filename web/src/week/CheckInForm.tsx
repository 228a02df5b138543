import { useId } from 'react'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import type { Schemas } from '../api/client'
import type { useDiaryChange } from '../api/hooks'
import { DateField } from '../shared/DateField'
import { useKeptForm } from '../shared/form'
import { NumberText } from '../shared/NumberText'
import { ErrorBand } from '../shared/States'
import { say } from '../words/say'
import '../words/week'

type How = Schemas['Said']['how']
type Asked = 'sting' | 'redness' | 'flaking'

const GRADES = [say('week.none'), say('week.faint'), say('week.mild'), say('week.marked'), say('week.severe')]
/** What is asked at a check-in, and how it is called. */
export const ASKED: [Asked, string][] = [
  ['sting', say('week.stinging')],
  ['redness', say('week.redness')],
  ['flaking', say('week.flaking')],
]
const HOWS: [How, string][] = [
  ['VISIT', say('week.atTheVisit')],
  ['TELEPHONE', say('week.byTelephone')],
  ['HOME', say('week.fromHome')],
]
const EMPTY = { sting: '', redness: '', flaking: '', swelling: false, skipped: '', remark: '' }

const grade = (typed: string) => (typed === '' ? null : Number(typed))

/** How the skin took the weeks before: asked in four taps. */
export function CheckInForm({
  client,
  today,
  how,
  say: change,
  urgent,
  noted,
}: {
  client: string
  today: string
  /** how it is asked as a rule; by the client herself neither that nor the day is hers to choose */
  how: How
  say: ReturnType<typeof useDiaryChange>['say']
  /** what is said to whoever tells of a swelling */
  urgent: string
  noted: (swelling: boolean) => void
}) {
  const own = how === 'CLIENT'
  const form = useKeptForm(own ? 'own-check-in' : 'check-in', client, { ...EMPTY, on: today, how })
  const id = useId()
  const { now } = form
  const asked = ASKED.some(([key]) => now[key] !== '') || now.swelling
  return (
    <form
      aria-label={say('week.checkIn')}
      onSubmit={form.submit(async (typed) => {
        await change.mutateAsync({
          on: typed.on,
          how: typed.how,
          sting: grade(typed.sting),
          redness: grade(typed.redness),
          flaking: grade(typed.flaking),
          swelling: typed.swelling,
          skipped: grade(typed.skipped),
          remark: typed.remark,
        })
        form.leave()
        noted(typed.swelling)
      })}
    >
      <div className="check-in">
        {ASKED.map(([key, label]) => (
          <div key={key} className="check-in-sign">
            <b id={`${id}-${key}`}>{label}</b>
            <div className="grade-pads" role="group" aria-labelledby={`${id}-${key}`}>
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
        {!own && (
          <>
            <ToggleButtonGroup
              exclusive
              value={now.how}
              aria-label={say('week.how')}
              onChange={(_, picked: How | null) => picked && form.put({ how: picked })}
            >
              {HOWS.map(([kind, label]) => (
                <ToggleButton key={kind} value={kind}>
                  {label}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
            <DateField
              label={say('week.day')}
              value={now.on}
              width={195}
              until={today}
              error={form.errorOf('on')}
              pick={(on) => form.put({ on })}
            />
          </>
        )}
        <TextField label={say('week.howWasIt')} sx={{ flex: 1, minWidth: 220 }} {...form.text('remark')} />
        <Button type="submit" variant="contained" disabled={!asked || form.busy}>
          {say('week.noteIt')}
        </Button>
      </div>
      {now.swelling && (
        <p role="alert">
          <b>{urgent}</b>
        </p>
      )}
      {!asked && !own && <p className="second">{say('week.whatNobodyAsks')}</p>}
      {form.fault && <ErrorBand error={form.fault} />}
    </form>
  )
}
