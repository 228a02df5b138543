import { useState } from 'react'
import { Link } from 'react-router'
import Button from '@mui/material/Button'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import type { Step } from '../api/client'
import { useDiary, useDiaryChange } from '../api/hooks'
import { adjust } from '../regimen/byHandEdits'
import { usePlan, useWeeks, withheld } from '../regimen/usePlan'
import { dateWords, longDate } from '../shared/format'
import { useShortcut } from '../shared/shortcuts'
import { ErrorBand, Fetching } from '../shared/States'
import { Why } from '../shared/Why'
import { PatternSet } from '../strip/Bands'
import { useVisitContext } from '../visit/VisitShell'
import { say } from '../words/say'
import '../words/regimen'
import '../words/sheet'
import '../words/week'
import { CheckIns } from './CheckIns'
import { allPlanned, byHand, every, kept, planned, shifted, weekOf, type Weeks } from './edits'
import { daysAfter } from '../shared/day'
import { Evenings, Letters } from './Evenings'
import { HerDays } from './HerDays'
import { OneEvening } from './OneEvening'
import { Stair } from './Stair'
import './week.css'

const RHYTHMS = [7, 2, 3, 4, 14]
/** Stands for what the method says. */
const AS_METHOD = 0
const SHOWN = 12

/** The week and the weeks after: which evening brings what, what is led up to, and how the skin took it. */
export default function WeekPage() {
  const context = useVisitContext()
  const { visit, work, words, client, earlier } = context
  const document = work.draft.document
  const weeks = useWeeks(context)
  const plan = usePlan(context, document.month)
  const diary = useDiary(client.id)
  const change = useDiaryChange(client.id)
  const [chosen, setChosen] = useState<string | null>(null)
  const [open, setOpen] = useState<string | null>(null)
  const [skipped, setSkipped] = useState(0)
  const { undo, redo } = work
  const why = withheld(context)
  const failed = weeks.error ?? plan.error ?? diary.error
  const shown = weeks.data ? from(weeks.data, skipped) : []
  const walk = (by: number) => {
    const at = shown.findIndex((e) => e.date === chosen)
    const next = shown[at < 0 ? 0 : at + by]
    if (next) setChosen(next.date)
  }
  useShortcut('eveningAfter', () => walk(1), shown.length > 0)
  useShortcut('eveningBefore', () => walk(-1), shown.length > 0)
  useShortcut('closeEvening', () => setChosen(null), chosen !== null)
  if (failed) {
    return (
      <div className="page">
        <ErrorBand
          error={failed}
          again={() => {
            void weeks.refetch()
            void plan.refetch()
          }}
        />
      </div>
    )
  }
  if (why !== null) {
    return (
      <div className="page">
        <div className="look" role="alert">
          <b>{say('week.noNightsAreShownNow')}</b> {why}
        </div>
      </div>
    )
  }
  if (plan.data && !plan.data.regimen) {
    return (
      <div className="page">
        <div className="stop">
          <h1>{say('week.noNightsYet')}</h1>
          <p>
            {say('sheet.somethingMustBeReferredFirst')}{' '}
            <Link to={`/visits/${visit.id}/referral`}>{say('sheet.theNoteToTakeAlong')}</Link>
          </p>
        </div>
      </div>
    )
  }
  if (!weeks.data || !plan.data?.regimen || !diary.data) return <Fetching what={say('week.theNights')} />
  const data = weeks.data
  const { morning, evening, unsure } = plan.data.regimen
  const steps = new Map<string, Step>(
    [...morning.steps, ...evening.steps, ...data.usual.steps, ...(data.calm?.evening.steps ?? [])].map(
      (s) => [s.product, s],
    ),
  )
  const { evenings } = data
  const rhythm = weekOf(document)
  const free = data.tracks.filter((t) => t.free)
  const night = shown.find((e) => e.date === chosen)
  return (
    <div className="week-page">
      <PatternSet />
      <div className="week-head">
        <h1>{say('week.nights')}</h1>
        {!earlier && (
          <ToggleButtonGroup
            exclusive
            value={rhythm.every ?? AS_METHOD}
            aria-label={say('week.howTheyComeRound')}
            onChange={(_, next: number | null) =>
              next !== null && work.change(every(next === AS_METHOD ? null : next, data.now))
            }
          >
            <ToggleButton value={AS_METHOD}>
              {say('week.asTheMethod', { how: rhythmWords(data.methodEvery) })}
            </ToggleButton>
            {RHYTHMS.map((n) => (
              <ToggleButton key={n} value={n}>
                {rhythmWords(n)}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        )}
        <Letters tracks={data.tracks} />
        <div className="row week-tools">
          {data.rhythm.every !== 7 && !earlier && (
            <Button onClick={() => work.change(shifted(data.rhythm))}>{say('week.shiftAllOneNight')}</Button>
          )}
          {free.length > 0 && !earlier && (
            <Button
              title={say(data.rhythm.every === 7 ? 'week.keepTheseNightsTold' : 'week.keepTheseEveningsTold')}
              onClick={() =>
                work.change((d) =>
                  data.rhythm.every === 7
                    ? free.reduce((all, t) => adjust(all, 'EVENING', t.product, { nights: t.weekdays }), d)
                    : kept(
                        shown,
                        free.map((t) => t.product),
                        say('week.keptAsTheyAre'),
                      )(d),
                )
              }
            >
              {say('week.keepTheseNights')}
            </Button>
          )}
          {rhythm.byHand.length > 0 && !earlier && (
            <Button onClick={() => work.change(allPlanned)}>{say('week.allAsPlanned')}</Button>
          )}
          <Button disabled={!undo} onClick={() => undo?.()}>
            {say('regimen.undo')}
          </Button>
          <Button disabled={!redo} onClick={() => redo?.()}>
            {say('regimen.redo')}
          </Button>
          <Button href={`/api/visits/${visit.id}/calendar.ics`} download>
            {say('week.calendarFile')}
          </Button>
        </div>
      </div>
      {unsure.map((u) => (
        <div key={u.sentence} className="look" role="status">
          {u.sentence}
        </div>
      ))}
      {data.notFollowed.length > 0 && (
        <div className="look" role="status">
          <b>{say('week.setByHandNotFollowed')}</b>
          <ul>
            {data.notFollowed.map((n) => (
              <li key={n.date + n.name}>
                {say('week.nameOnDay', { name: n.name, day: dateWords(n.date) })} <Why because={n.because} />
              </li>
            ))}
          </ul>
        </div>
      )}
      {data.calm && (
        <div className="look" role="status">
          <b>{say('week.calmResetSince', { day: longDate(data.calm.since) })}</b>{' '}
          <Why because={data.calm.ends} />{' '}
          {data.calm.out.length > 0 && say('week.staysOff', { out: data.calm.out.join(', ') })}{' '}
          {data.calm.back}
          {data.calm.doctor && (
            <p role="alert">
              <b>
                <Why because={data.calm.doctor} />
              </b>
            </p>
          )}
        </div>
      )}
      <section className="band week-band" aria-label={say('week.evenings')}>
        <div className="week-side">
          <span className="second">{say('week.comesOff')}</span>
          <b className="skin-word">{say('week.skin')}</b>
          <span className="second">{say('week.staysOn')}</span>
          <span className="week-load-words">
            <b>{say('week.load')}</b>
            <span className="limit">{say('week.limit', { night: data.bears.night.toFixed(1) })}</span>
            {data.bears.daily > 0 && (
              <span className="second">{say('week.daily', { daily: data.bears.daily.toFixed(1) })}</span>
            )}
          </span>
        </div>
        <Evenings
          weeks={data}
          shown={shown}
          steps={steps}
          chosen={chosen}
          choose={(date) => setChosen(date === chosen ? null : date)}
        />
        <p className="week-three">
          <b>
            {say('week.anyThree', {
              three: data.bears.three.toFixed(1),
              fullest: data.fullestThree.toFixed(1),
            })}
          </b>{' '}
          {data.tracks.find((t) => t.more !== '')?.more}
          <span className="row week-walk">
            <Button disabled={skipped === 0} onClick={() => setSkipped(Math.max(0, skipped - SHOWN))}>
              {say('week.earlier')}
            </Button>
            <Button
              disabled={from(data, skipped + SHOWN).length === 0 || evenings.length === 0}
              onClick={() => setSkipped(skipped + SHOWN)}
            >
              {say('week.later')}
            </Button>
          </span>
        </p>
        {night && (
          <OneEvening
            key={night.date}
            evening={night}
            tracks={data.tracks}
            steps={steps}
            readOnly={earlier}
            leaveWeek={() =>
              change.pause.mutate({
                kind: 'rest',
                from: night.date,
                until: daysAfter(night.date, 6),
                remark: '',
              })
            }
            set={(product, on, reason) =>
              work.change(
                on === null
                  ? planned(product, night.date)
                  : byHand({ product, date: night.date, on, why: reason.trim() }),
              )
            }
          />
        )}
      </section>
      <Stair weeks={data} open={open} toggle={(product) => setOpen(product === open ? null : product)} />
      <CheckIns client={client.id} weeks={data} diary={diary.data} change={change} earlier={earlier} />
      <HerDays
        client={client.id}
        document={document}
        change={work.change}
        words={words}
        weeks={data}
        steps={evening.steps}
        diary={diary.data}
        diaryChange={change}
        readOnly={earlier}
      />
    </div>
  )
}

/** Evenings from today on, some of them skipped. */
const from = (weeks: Weeks, skipped: number) =>
  weeks.evenings.filter((e) => e.date >= weeks.now).slice(skipped, skipped + SHOWN)

function rhythmWords(every: number) {
  if (every === 7) return say('week.byWeekday')
  if (every === 14) return say('week.byTheFortnight')
  return every === 2 ? say('week.everyOther') : say('week.everyNights', { every })
}
