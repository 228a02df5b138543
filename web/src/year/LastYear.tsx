import { useEffect, useId, useRef } from 'react'
import { Link } from 'react-router'
import Button from '@mui/material/Button'
import type { Schemas } from '../api/client'
import { capital, longDate, partName } from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { Core } from '../strip/Core'
import { say } from '../words/say'
import '../words/changes'
import '../words/year'
import { lastDay, type Stretch } from './layout'
import { useLastYear } from './useYear'

type Before = Schemas['LastYearView']

/** The same weeks a year ago: how the skin was read, what plan stood, how it was borne. */
export function LastYear({ visit, of, close }: { visit: string; of: Stretch; close: () => void }) {
  const title = useId()
  const section = useRef<HTMLElement>(null)
  const before = useLastYear(visit, of)
  useEffect(() => section.current?.focus(), [])
  return (
    <section className="band year-open last-year" aria-labelledby={title} tabIndex={-1} ref={section}>
      <div className="year-open-head">
        <h2 id={title}>
          {before.data
            ? say('year.aYearBefore', {
                from: longDate(before.data.from),
                to: longDate(lastDay(before.data)),
              })
            : say('year.aYearAgo')}
        </h2>
        <Button onClick={close}>{say('year.closeDate')}</Button>
      </div>
      {before.isError && <ErrorBand error={before.error} again={() => void before.refetch()} />}
      {before.isPending && <Fetching what={say('year.aYearAgo')} />}
      {before.data && <Told before={before.data} />}
    </section>
  )
}

function Told({ before }: { before: Before }) {
  if (!before.stood && before.read.length === 0 && before.said.length === 0) {
    return (
      <p>
        {before.since ? say('year.notHereThen', { day: longDate(before.since) }) : say('year.notReadThen')}
      </p>
    )
  }
  return (
    <div className="last-year-parts">
      <div>
        <h3>{say('year.skinThen')}</h3>
        <ul>
          {before.read.map((r) => (
            <li key={r.visit}>
              <Link to={`/visits/${r.visit}/read`}>{longDate(r.date)}</Link>{' '}
              {r.fault !== '' ? (
                <b className="late">{r.fault}</b>
              ) : (
                <>
                  {capital(r.type)}, {r.water}, {r.barrier}. {r.concerns.map(capital).join(', ')}
                </>
              )}
            </li>
          ))}
        </ul>
        <h3>{say('year.saidThen')}</h3>
        {before.said.length === 0 && <p className="second">{say('year.nothingSaid')}</p>}
        <ul>
          {before.said.map((s) => (
            <li key={s.date}>
              {longDate(s.date)}: {grades(s)}
              {s.remark !== '' && <q>{s.remark}</q>}
            </li>
          ))}
        </ul>
      </div>
      <div>
        <h3>
          {before.stood
            ? say('year.stoodThen', { day: longDate(before.stood.kept) })
            : say('year.nothingStood')}
        </h3>
        {before.stood && before.stood.fault !== '' && <p className="late">{before.stood.fault}</p>}
        {before.stood &&
          before.stood.steps.morning.length + before.stood.steps.evening.length > 0 &&
          (
            [
              ['MORNING', before.stood.steps.morning],
              ['EVENING', before.stood.steps.evening],
            ] as const
          ).map(([part, steps]) => (
            <div key={part} className="last-year-plan">
              <b>{partName(part)}</b>
              <Core steps={steps} width={220} widest={7} numbers />
              <ol>
                {steps.map((s) => (
                  <li key={s.product + s.part}>
                    {s.name} <small>{s.amount}</small>
                  </li>
                ))}
              </ol>
            </div>
          ))}
      </div>
      {before.stood && before.stood.fault === '' && (
        <div>
          <h3>{say('year.otherwiseNow')}</h3>
          {before.now.length === 0 && <p>{say('year.nothingOtherwise')}</p>}
          <ul>
            {before.now.map((d) => (
              <li key={d.part + d.what + d.from + d.to}>
                <span className="second">{partName(d.part)}</span> {otherwise(d)}
              </li>
            ))}
          </ul>
        </div>
      )}
    </div>
  )
}

function grades(s: Schemas['SaidThen']) {
  const told = [
    [say('year.sting'), s.sting],
    [say('year.redness'), s.redness],
    [say('year.flaking'), s.flaking],
  ].map(([word, grade]) => `${word} ${grade ?? say('year.notAsked')}`)
  return (s.swelling ? [say('year.swelling'), ...told] : told).join(', ')
}

function otherwise(d: Before['now'][number]) {
  switch (d.what) {
    case 'TAKEN_OUT':
      return `${d.from} ${say('changes.takenOut')}`
    case 'PUT_IN':
      return `${d.to} ${say('changes.putIn')}`
    case 'REPLACED':
      return `${d.from} ${say('changes.replaced', { to: d.to })}`
    case 'OTHER_NIGHTS':
    case 'OTHER_AMOUNT':
      return `${d.from} ${say('changes.otherwise', { to: d.to })}`
    case 'MOVED':
      return `${d.to} ${say('changes.moved')}`
  }
}
