import { useState } from 'react'
import { Link } from 'react-router'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useDiary, useDiaryChange, usePlaces } from '../api/hooks'
import { useMoney } from '../shared/money'
import { withheld } from '../regimen/usePlan'
import { capital, shortDay } from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { useShortcut } from '../shared/shortcuts'
import { Why } from '../shared/Why'
import { Key, PatternSet } from '../strip/Bands'
import { useVisitContext, type VisitContext } from '../visit/VisitShell'
import { AirBand } from '../weather/AirBand'
import { useAirToday } from '../weather/useAirToday'
import { say } from '../words/say'
import '../words/weather'
import '../words/year'
import { DateCard, OpenDate } from './Dates'
import { LastYear } from './LastYear'
import { SpellCards, SpellForm } from './Spells'
import { TwoDays } from './TwoDays'
import { useYear } from './useYear'
import { WhatIf } from './WhatIf'
import { YearPicture } from './YearPicture'
import './year.css'

/** The year after today: on which dates the plan turns, why, what lies over it, and how long its packs last. */
export default function YearPage() {
  const context = useVisitContext()
  const { client, visit, words, earlier } = context
  const places = usePlaces()
  const diary = useDiary(client.id)
  const change = useDiaryChange(client.id)
  const [place, setPlace] = useState('')
  const [chosen, setChosen] = useState(0)
  const [adding, setAdding] = useState(false)
  const [looking, setLooking] = useState(false)
  const [comparing, setComparing] = useState(false)
  const [thinking, setThinking] = useState(false)
  const year = useYear(context, place)
  const walk = (by: number) =>
    setChosen((n) => Math.min(Math.max(n + by, 1), (year.data?.stretches.length ?? 1) - 1))
  const dates = (year.data?.stretches.length ?? 1) - 1
  useShortcut('dateAfter', () => walk(1), dates > 0)
  useShortcut('dateBefore', () => walk(-1), dates > 0)
  useShortcut('closeDate', () => setChosen(0), chosen > 0)
  const why = withheld(context)
  if (year.error) {
    return (
      <div className="page">
        <ErrorBand error={year.error} again={() => void year.refetch()} />
        <Link to={`/visits/${visit.id}/talk`}>{say('year.toTheTalk')}</Link>
      </div>
    )
  }
  if (!year.data) {
    return (
      <div className="page">
        {why ? (
          <p className="look" role="alert">
            {why}
          </p>
        ) : (
          <Fetching what={say('year.theYear')} />
        )}
      </div>
    )
  }
  const shown = year.data
  const open = shown.stretches[chosen]
  const before = shown.stretches[chosen - 1]
  return (
    <div className={year.isPlaceholderData ? 'page year-page stale' : 'page year-page'}>
      <PatternSet />
      <header className="year-head">
        <div>
          <h1>{say('year.title', { place: shown.place })}</h1>
          <p className="second">{shown.elsewhere ? say('year.elsewhere') : say('year.hers')}</p>
        </div>
        <div className="row">
          <TextField
            select
            size="small"
            label={say('year.place')}
            value={shown.site}
            onChange={(e) => {
              setPlace(e.target.value)
              setChosen(0)
            }}
          >
            {(places.data?.places ?? [])
              .filter((p) => p.offered || p.id === shown.site)
              .map((p) => (
                <MenuItem key={p.id} value={p.id}>
                  {p.name}
                </MenuItem>
              ))}
          </TextField>
          <Button aria-expanded={thinking} onClick={() => setThinking(!thinking)}>
            {say('year.whatIf')}
          </Button>
          <Button aria-expanded={looking} onClick={() => setLooking(!looking)}>
            {say('year.aYearAgo')}
          </Button>
          {dates > 0 && (
            <Button aria-expanded={comparing} onClick={() => setComparing(!comparing)}>
              {say('year.twoDays')}
            </Button>
          )}
          {!earlier && (
            <Button aria-expanded={adding} onClick={() => setAdding(!adding)}>
              {say('year.addASpell')}
            </Button>
          )}
        </div>
      </header>
      {adding && (
        <SpellForm
          kinds={words.weeks.pauses}
          busy={change.pause.isPending}
          error={change.pause.error}
          close={() => setAdding(false)}
          add={(body) => change.pause.mutate(body, { onSuccess: () => setAdding(false) })}
        />
      )}
      {!shown.elsewhere && <TodaysAir context={context} change={change} />}
      <div className="band">
        <YearPicture year={shown} chosen={chosen} choose={setChosen} />
      </div>
      {thinking && shown.stretches[0] && (
        <WhatIf context={context} now={shown.stretches[0]} close={() => setThinking(false)} />
      )}
      {looking && shown.stretches[0] && (
        <LastYear visit={visit.id} of={open ?? shown.stretches[0]} close={() => setLooking(false)} />
      )}
      {comparing && <TwoDays key={shown.site} year={shown} close={() => setComparing(false)} />}
      {open && before && (
        <OpenDate key={open.from} n={chosen} before={before} stretch={open} close={() => setChosen(0)} />
      )}
      {dates === 0 && (
        <section className="band">
          <h2>{say('year.nothingTurns')}</h2>
          <Still stretch={shown.stretches[0]} />
        </section>
      )}
      <div className="year-cards">
        {shown.stretches.slice(1).map((s, i) => (
          <DateCard
            key={s.from}
            n={i + 1}
            stretch={s}
            before={shown.stretches[i]}
            open={chosen === i + 1}
            toggle={() => setChosen(chosen === i + 1 ? 0 : i + 1)}
          />
        ))}
        <SpellCards
          spells={shown.spells}
          pauses={diary.data?.pauses ?? []}
          takeOut={earlier ? undefined : (id) => change.goOn.mutate(id)}
        />
      </div>
      <Cost year={shown} />
      <Key />
    </div>
  )
}

/** Today's air at the client's place: what it asks already, and a spell of the days ahead that can be laid over at once. */
function TodaysAir({
  context,
  change,
}: {
  context: VisitContext
  change: ReturnType<typeof useDiaryChange>
}) {
  const air = useAirToday(context)
  if (!air.data) return null
  return (
    <>
      <AirBand
        air={air.data}
        act={(s) =>
          !context.earlier && (
            <Button
              disabled={change.pause.isPending}
              onClick={() => change.pause.mutate({ kind: s.id, from: s.from, until: s.until, remark: '' })}
            >
              {say('year.layItOver')}
            </Button>
          )
        }
      />
      {air.data.early.length > 0 && (
        <section className="band year-early">
          <h2>{say('weather.early')}</h2>
          <ul className="year-quiet">
            {air.data.early.map((t) => (
              <li key={t.lever}>
                <b>{capital(t.words)}</b> ({say('weather.earlySince', { day: shortDay(t.day) })}):{' '}
                <Why because={t.because} />
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  )
}

function Still({ stretch }: { stretch: { quiet: { words: string }[] } | undefined }) {
  return stretch && stretch.quiet.length > 0 ? (
    <p>{say('year.turnedInVain', { what: stretch.quiet.map((q) => q.words).join(', ') })}</p>
  ) : (
    <p>{say('year.theAirStays')}</p>
  )
}

/** What the year costs, in one sentence each. */
function Cost({ year }: { year: NonNullable<ReturnType<typeof useYear>['data']> }) {
  const money = useMoney()
  const { once, again, unpriced, dearest } = year.cost
  return (
    <section className="band year-cost" aria-label={say('year.cost')}>
      <h2>{say('year.cost')}</h2>
      <p>
        {say('year.costOnce', { cost: money.round(once) })}{' '}
        {again > 0 && say('year.costAgain', { cost: money.round(again) })}{' '}
        {unpriced.length > 0 && say('year.unpriced', { names: unpriced.join(', ') })}
      </p>
      {dearest && (
        <p>
          {say('year.dearest', {
            day: shortDay(dearest.from),
            month: money.words(dearest.month),
            over: money.words(dearest.over),
          })}
        </p>
      )}
    </section>
  )
}
