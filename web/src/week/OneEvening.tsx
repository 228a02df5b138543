import { useState } from 'react'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import type { Step } from '../api/client'
import { longDate } from '../shared/format'
import { Why } from '../shared/Why'
import { say } from '../words/say'
import '../words/week'
import type { Evening, Track } from './edits'

/** One evening opened: what is used and in which order, why it is so, and what can be set by hand. */
export function OneEvening({
  evening,
  tracks,
  steps,
  set,
  leaveWeek,
  readOnly,
}: {
  evening: Evening
  tracks: Track[]
  steps: Map<string, Step>
  /** puts a thing on the evening, leaves it out, or gives it back to the plan */
  set: (product: string, on: boolean | null, why: string) => void
  /** leaves out a week of strong work from this evening on */
  leaveWeek: () => void
  readOnly: boolean
}) {
  const [why, setWhy] = useState('')
  const used = new Set(evening.uses.map((u) => u.product))
  return (
    <section className="one-evening" aria-label={say('week.theEveningOf', { date: longDate(evening.date) })}>
      <div>
        <h3>{say('week.theEveningOf', { date: longDate(evening.date) })}</h3>
        <ol className="one-steps">
          {evening.products.map((p) => (
            <li key={p}>{steps.get(p)?.name ?? evening.uses.find((u) => u.product === p)?.name}</li>
          ))}
        </ol>
      </div>
      <div>
        <h3>{evening.over ? say('week.moreThanTheSkinBears') : say('week.why')}</h3>
        {evening.over && (
          <p className="bad">
            <Why because={evening.over} quiet />
          </p>
        )}
        {evening.rest && (
          <p>
            <Why because={evening.rest} />
          </p>
        )}
        {evening.leftOut.map((l) => (
          <p key={l.product}>
            <b>{say('week.without', { name: l.name })}</b> <Why because={l.because} quiet />
          </p>
        ))}
        {evening.maybe.map((m) => (
          <p key={m.product}>
            {m.points > 0
              ? say('week.maybeWithLoad', { name: m.name, when: m.when, points: m.points.toFixed(1) })
              : say('week.maybe', { name: m.name, when: m.when })}
          </p>
        ))}
        {evening.uses.map((u) => (
          <p key={u.product}>
            {say('week.brings', { name: u.name, points: u.points.toFixed(1) })}
            {u.byHand && ` ${say('week.byHand', { why: u.why === '' ? say('week.noReason') : u.why })}`}
          </p>
        ))}
      </div>
      {!readOnly && tracks.length > 0 && (
        <div>
          <h3>{say('week.setByHand')}</h3>
          <TextField
            label={say('week.reasonForTheRecord')}
            value={why}
            fullWidth
            onChange={(e) => setWhy(e.target.value)}
            slotProps={{ htmlInput: { maxLength: 200 } }}
          />
          <ul className="one-hand">
            {tracks.map((t) => {
              const left = evening.leftOut.some((l) => l.product === t.product)
              const would = evening.would.find((w) => w.product === t.product)
              const prescribed = steps.get(t.product)?.prescription ?? false
              const hand = evening.uses.find((u) => u.product === t.product)?.byHand ?? false
              return (
                <li key={t.product} className="row">
                  <span>
                    {t.name}
                    {would && (
                      <small className={would.against ? 'bad' : ''}>
                        {say('week.wouldCarry', { load: would.load.toFixed(1) })}{' '}
                        {would.against && <Why because={would.against} quiet />}
                      </small>
                    )}
                  </span>
                  {prescribed ? null : used.has(t.product) ? (
                    <Button onClick={() => set(t.product, false, why)}>{say('week.leaveItOut')}</Button>
                  ) : would?.allowed ? (
                    <Button
                      disabled={why.trim() === ''}
                      title={why.trim() === '' ? say('week.aReasonIsNeeded') : undefined}
                      onClick={() => set(t.product, true, why)}
                    >
                      {say('week.putItOn')}
                    </Button>
                  ) : null}
                  {(hand || left) && (
                    <Button onClick={() => set(t.product, null, '')}>{say('week.asPlanned')}</Button>
                  )}
                </li>
              )
            })}
          </ul>
          <Button onClick={leaveWeek}>{say('week.leaveOutTheWeek')}</Button>
        </div>
      )}
    </section>
  )
}
