import { memo, useId, useState } from 'react'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import Slider from '@mui/material/Slider'
import { api, ask, type Schemas } from '../api/client'
import { keys } from '../api/hooks'
import { capital, partName } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { Why } from '../shared/Why'
import { units } from '../strip/layout'
import { Strip } from '../strip/Strip'
import type { VisitContext } from '../visit/VisitShell'
import { say } from '../words/say'
import '../words/changes'
import '../words/whatif'
import '../words/year'
import type { Stretch } from './layout'

type Thought = { celsius: number; humidity: number; wind: number; uv: number; hours: number }

const SLIDERS: { of: keyof Thought; label: string; min: number; max: number; step: number }[] = [
  { of: 'celsius', label: say('whatif.celsius'), min: -25, max: 40, step: 1 },
  { of: 'humidity', label: say('whatif.humidity'), min: 10, max: 100, step: 1 },
  { of: 'wind', label: say('whatif.wind'), min: 0, max: 16, step: 0.5 },
  { of: 'uv', label: say('whatif.uv'), min: 0, max: 14, step: 0.5 },
  { of: 'hours', label: say('whatif.hours'), min: 0, max: 12, step: 0.5 },
]

const start = (now: Stretch, hours: number): Thought => ({
  celsius: Math.round(now.air.outdoors.celsius),
  humidity: Math.round(now.air.outdoors.humidity),
  wind: Math.round(now.air.outdoors.wind * 2) / 2,
  uv: Math.round(now.air.outdoors.uvIndex * 2) / 2,
  hours: Math.round(hours * 2) / 2,
})

/** Another air by sliders: the plan follows, and what that air asks is told; nothing of it is kept. */
export function WhatIf({ context, now, close }: { context: VisitContext; now: Stretch; close: () => void }) {
  const { visit, work } = context
  const title = useId()
  const [thought, setThought] = useState(() => start(now, work.draft.document.intake.outdoorHours))
  // while one answer is on its way the newest thought waits for it, and those between are passed over
  const [asked, setAsked] = useState(thought)
  const plan = useQuery({
    queryKey: keys.whatIf(visit.id, work.draft.document.version, asked),
    queryFn: ({ signal }) =>
      ask(api.GET('/api/visits/{id}/what-if', { params: { path: { id: visit.id }, query: asked }, signal })),
    placeholderData: keepPreviousData,
    gcTime: 0,
    retry: false,
  })
  if (!plan.isFetching && asked !== thought) setAsked(thought)
  return (
    <section className="band year-open what-if" aria-labelledby={title}>
      <div className="year-open-head">
        <h2 id={title}>{say('whatif.title')}</h2>
        <div className="row">
          <Button onClick={() => setThought(start(now, work.draft.document.intake.outdoorHours))}>
            {say('whatif.back')}
          </Button>
          <Button onClick={close}>{say('year.closeDate')}</Button>
        </div>
      </div>
      <div className="what-if-sliders">
        {SLIDERS.map((s) => (
          <label key={s.of}>
            <span>
              {s.label} <b>{thought[s.of]}</b>
            </span>
            <Slider
              aria-label={s.label}
              min={s.min}
              max={s.max}
              step={s.step}
              value={thought[s.of]}
              onChange={(_, to) => setThought((t) => ({ ...t, [s.of]: to }))}
            />
          </label>
        ))}
      </div>
      {plan.error && <ErrorBand error={plan.error} />}
      {plan.data && <InThatAir now={now} then={plan.data} />}
    </section>
  )
}

const InThatAir = memo(function InThatAir({ now, then }: { now: Stretch; then: Schemas['WhatIfView'] }) {
  const unit = units([now.morning, now.evening, then.morning, then.evening])
  const { air } = then
  return (
    <>
      <p>
        {say('whatif.air', {
          rooms: Math.round(air.roomHumidity),
          dryness: Math.round(air.dryness),
          heat: Math.round(air.heat),
        })}
      </p>
      {(['MORNING', 'EVENING'] as const).map((part) => (
        <div key={part} className="year-both">
          <h3>{partName(part)}</h3>
          {[now, then].map((s) => {
            const routine = part === 'MORNING' ? s.morning : s.evening
            return (
              <div key={s === now ? 'now' : 'then'} className="two-row">
                <span className={s === then ? 'shown' : 'second'}>
                  {s === now ? say('whatif.now') : say('whatif.then')}
                </span>
                <Strip
                  routine={routine}
                  unit={unit}
                  folded
                  open={null}
                  weather={part === 'MORNING' ? { uv: s.air.outdoors.uvIndex } : 'night'}
                />
                <span className="second">
                  {say('changes.minutesLine', { minutes: routine.timeline.minutes })}
                </span>
              </div>
            )
          })}
          <p className="second">{routineWords(part === 'MORNING' ? then.morning : then.evening)}</p>
        </div>
      ))}
      <ul className="year-quiet">
        {then.balances.map((b) => (
          <li key={b.part}>{b.gauge.verdict.sentence}</li>
        ))}
        {then.moved.map((m) => (
          <li key={m.lever}>
            <b>{capital(m.words)}:</b> <Why because={m.because} />
          </li>
        ))}
        {then.moved.length === 0 && <li>{say('whatif.same')}</li>}
      </ul>
    </>
  )
})

const routineWords = (routine: Stretch['morning']) =>
  routine.steps.map((s) => `${s.name}, ${s.amount.words}`).join(' · ')
