import { memo, useCallback, useMemo, useRef, useState, type ComponentProps } from 'react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Link, useNavigate } from 'react-router'
import Button from '@mui/material/Button'
import useMediaQuery from '@mui/material/useMediaQuery'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import {
  api,
  ask,
  type Because,
  type Month,
  type Part,
  type PlanAnswer,
  type Regimen,
  type Routine,
} from '../api/client'
import { keys, useKeptPlans, useMethods, useMoved } from '../api/hooks'
import { A4 } from '../shared/A4'
import { dateWords, monthName, MONTHS, timeWords, partName } from '../shared/format'
import { useShortcut } from '../shared/shortcuts'
import { ErrorBand, Fetching } from '../shared/States'
import { Key, PatternSet } from '../strip/Bands'
import { units } from '../strip/layout'
import { StepList, Strip } from '../strip/Strip'
import { Timeline } from '../strip/Timeline'
import { later } from '../shared/later'
import { useVisitContext, type VisitContext } from '../visit/VisitShell'
import { AddStep } from './AddStep'
import type { Compared } from './Changes'
import { giveBack, labelBeside } from './labels'
import { StepDetail } from './StepDetail'
import { Below, LookAtThis } from './Below'
import { putIn, release, takeOut } from './byHandEdits'
import { useMove } from './useMove'
import { TwoMonths } from './TwoMonths'
import { EveningOf, onTheDay } from './EveningOf'
import { asOn, DrawnAs, Rail, type Version } from './Rail'
import { useEvening, usePlan, withheld } from './usePlan'
import { say } from '../words/say'
import '../words/app'
import '../words/regimen'
import './regimen.css'

const Lesson = later(
  () => import('../strip/Lesson'),
  (m) => m.Lesson,
)
const MoveReason = later(
  () => import('./MoveReason'),
  (m) => m.MoveReason,
)
const Referrals = later(
  () => import('../visit/Referrals'),
  (m) => m.Referrals,
)
const MethodTable = later(
  () => import('./MethodTable'),
  (m) => m.MethodTable,
)

/** The regimen board: method, months, both strips, and why. */
export default function RegimenPage() {
  const context = useVisitContext()
  const { work, client } = context
  const methods = useMethods()
  const known = methods.data?.methods ?? []
  const document = work.draft.document
  const [shown, setShown] = useState<Month>(document.month)
  const [instead, setInstead] = useState<string | null>(null)
  const [sideBySide, setSideBySide] = useState(false)
  const held =
    instead !== null && instead !== document.method && shown === document.month ? instead : undefined
  const plan = usePlan(context, shown)
  const why = withheld(context)
  const { undo, redo } = context.work
  const answer = plan.data
  const fresh = !plan.isPlaceholderData && !work.draft.dirty && context.visit.version === document.version
  const now = useMemo(
    () => (answer ? { context, answer, shown, instead: held } : null),
    [context, answer, shown, held],
  )
  // while the next is on its way the board stays as it is, and costs nothing
  const board = useLastWhole(now, fresh)
  const fold = useCallback(() => setInstead(null), [])
  if (plan.isError) {
    return (
      <div className="page">
        <ErrorBand error={plan.error} again={() => void plan.refetch()} />
      </div>
    )
  }
  return (
    <div className="regimen">
      <PatternSet />
      <h1 className="visually-hidden">{say('app.regimen')}</h1>
      <A4 lies="across" />
      <p className="print-only board-name">
        {say('regimen.boardOf', {
          name: context.client.name,
          method: known.find((m) => m.id === document.method)?.name ?? document.method,
          month: monthName(shown),
          date: dateWords(context.visit.date),
        })}
      </p>
      <div className="regimen-head">
        <div>
          <span className="second">{say('regimen.method')}</span>
          <ToggleButtonGroup
            exclusive
            value={document.method}
            aria-label={say('regimen.method')}
            onChange={(_, method: string | null) => {
              if (method === null) return
              setInstead(document.method)
              work.change((d) => ({ ...d, method }))
            }}
          >
            {known
              .filter((m) => m.offered || m.id === document.method)
              .map((m) => (
                <ToggleButton key={m.id} value={m.id} title={m.note}>
                  {m.name}
                </ToggleButton>
              ))}
          </ToggleButtonGroup>
        </div>
        <div className="row hand-row">
          <Button aria-expanded={sideBySide} onClick={() => setSideBySide((open) => !open)}>
            {sideBySide ? say('regimen.foldMethods') : say('regimen.sideBySide')}
          </Button>
          <Button disabled={!undo} onClick={() => undo?.()}>
            {say('regimen.undo')}
          </Button>
          <Button disabled={!redo} onClick={() => redo?.()}>
            {say('regimen.redo')}
          </Button>
        </div>
        <div className="months-box">
          <span className="second">
            {say('regimen.monthWhoseAirThePlanIsFor', { month: monthName(document.month) })}
          </span>
          <ToggleButtonGroup
            exclusive
            value={shown}
            aria-label={say('regimen.month')}
            className="months"
            onChange={(_, month: Month | null) => month !== null && setShown(month)}
          >
            {MONTHS.map((m) => (
              <ToggleButton
                key={m}
                value={m}
                title={monthName(m)}
                className={m === document.month ? 'own' : ''}
              >
                {monthName(m).slice(0, 3)}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </div>
        {!context.earlier && <KeepPlan context={context} planned={plan.data?.status === 'PLANNED'} />}
      </div>
      {sideBySide && methods.data && (
        <MethodTable
          {...methods.data}
          chosen={document.method}
          choose={(method) => work.change((d) => ({ ...d, method }))}
        />
      )}
      <Unsure unsure={plan.data?.regimen?.unsure ?? []} />
      <MovedSince visit={context.visit.id} />
      {why !== null ? (
        <div className="page">
          <div className="look" role="alert">
            <b>{say('regimen.noPlanIsShownNow')}</b> {why}
          </div>
        </div>
      ) : board ? (
        <div aria-busy={!fresh}>
          <Answer {...board} setShown={setShown} fold={fold} />
        </div>
      ) : (
        <Fetching what={say('regimen.sPlan', { value: client.name.split(' ')[0] })} />
      )}
    </div>
  )
}

/** What stood when it was last whole; until it ever was, what there is. */
function useLastWhole<T>(now: T, whole: boolean): T {
  const [last, setLast] = useState(now)
  if (whole && last !== now) setLast(now)
  return whole ? now : (last ?? now)
}

/** Products of the last kept plan that are no longer what they were when it was built. */
function MovedSince({ visit }: { visit: string }) {
  const moved = useMoved(visit).data ?? []
  const [first] = moved
  if (!first) return null
  return (
    <section className="changes" aria-label={say('regimen.productsThatChangedSinceTheLastPlan')}>
      <h2>{say('regimen.sinceThePlanKeptOn', { keptAt: dateWords(first.keptAt) })}</h2>
      <ul>
        {moved.map((m) => (
          <li key={m.product}>
            <Link to={`/products/${m.product}`}>{m.name}</Link>{' '}
            {[
              m.now !== m.then && say('regimen.hasANewFormulaThatPlanWas', { then: m.then, now: m.now }),
              m.name !== m.nameNow && say('regimen.isNowCalled', { nameNow: m.nameNow }),
              m.retired && say('regimen.wasRetiredNoNewPlanTakesIt'),
            ]
              .filter(Boolean)
              .join('; ')}
            .
          </li>
        ))}
      </ul>
    </section>
  )
}

function KeepPlan({ context, planned }: { context: VisitContext; planned: boolean }) {
  const { visit, work } = context
  const queries = useQueryClient()
  const navigate = useNavigate()
  const kept = useKeptPlans(visit.id)
  const keepPlan = useMutation({
    mutationFn: async () => {
      await work.settle()
      return ask(api.POST('/api/visits/{id}/plans', { params: { path: { id: visit.id } } }))
    },
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: keys.kept(visit.id) })
      void queries.invalidateQueries({ queryKey: keys.moved(visit.id) })
      void queries.invalidateQueries({ queryKey: keys.desk })
    },
  })
  const last = kept.data?.[0]
  return (
    <div className="keep">
      <div className="row">
        <Button
          variant="contained"
          disabled={!planned || keepPlan.isPending}
          onClick={() => keepPlan.mutate()}
        >
          {say('regimen.keepThisPlan')}
        </Button>
        <Button disabled={!planned} onClick={() => void navigate(`/visits/${visit.id}/sheet`)}>
          {say('regimen.sheet')}
        </Button>
      </div>
      <span className="second" role="status">
        {keepPlan.isError
          ? keepPlan.error.message
          : last
            ? say('regimen.planKept', {
                number: last.number,
                savedAt: dateWords(last.savedAt),
                savedAt2: timeWords(last.savedAt),
              })
            : say('regimen.noPlanKeptYet')}
      </span>
    </div>
  )
}

const Answer = memo(function Answer({
  context,
  answer,
  shown,
  setShown,
  instead,
  fold,
}: {
  context: VisitContext
  answer: PlanAnswer
  shown: Month
  setShown: (month: Month) => void
  instead: string | undefined
  fold: () => void
}) {
  const own = context.work.draft.document.month
  const [full, setFull] = useState<Month | null>(null)
  if (!answer.regimen) return <ReferFirst answer={answer} />
  const compared: Compared | null =
    shown !== own ? { month: shown, setShown } : instead !== undefined ? { instead, fold } : null
  return (
    <>
      <LookAtThis context={context} regimen={answer.regimen} answer={answer} />
      {shown !== own && full !== shown ? (
        <>
          <div className="wide-only">
            <TwoMonths context={context} shown={shown} regimen={answer.regimen} full={() => setFull(shown)} />
          </div>
          <div className="narrow-only">
            <Board context={context} regimen={answer.regimen} />
          </div>
        </>
      ) : (
        <Board context={context} regimen={answer.regimen} dated={shown === own} />
      )}
      <Below context={context} regimen={answer.regimen} compared={compared} />
    </>
  )
})

/** No plan until somebody has settled what must be referred. */
function ReferFirst({ answer }: { answer: PlanAnswer }) {
  return (
    <div className="page">
      <Referrals referrals={answer.verdict.safety.referrals} />
    </div>
  )
}

/** What the plan is made without, at its head: until then it is a draft. */
function Unsure({ unsure }: { unsure: Because[] }) {
  return unsure.length === 0 ? null : (
    <div className="look" role="status" aria-label={say('regimen.madeWithout')}>
      <ul>
        {unsure.map((u) => (
          <li key={u.sentence}>
            <b>{say('regimen.draftOnly')}</b> {u.sentence}
          </li>
        ))}
      </ul>
    </div>
  )
}

/** Shift and an arrow move the focused step, K keeps it or lets it go, Delete takes it out. */
function useStepKeys(
  { work }: VisitContext,
  routines: Routine[],
  move: (part: Part, product: string, to: number) => void,
) {
  const focused = (e: KeyboardEvent) => {
    const at = e.target as HTMLElement
    if (at.closest('[role="dialog"]')) return null
    const product = at.closest<HTMLElement>('[data-product]')?.dataset.product
    const part = at.closest<HTMLElement>('[data-part]')?.dataset.part as Part | undefined
    const step = routines.find((r) => r.part === part)?.steps.find((s) => s.product === product)
    return part && step ? { part, step } : null
  }
  const on = (e: KeyboardEvent) => focused(e) !== null
  const moved = (by: number) => (e: KeyboardEvent) => {
    const at = focused(e)
    if (at) move(at.part, at.step.product, at.step.number + by)
  }
  useShortcut('moveBack', moved(-1), on)
  useShortcut('moveOn', moved(1), on)
  useShortcut(
    'keep',
    (e) => {
      const at = focused(e)
      if (!at) return
      const { part, step } = at
      work.change((d) => (step.hand.kept ? release(d, part, step.product) : putIn(d, part, step.product)))
    },
    on,
  )
  useShortcut(
    'takeOut',
    (e) => {
      const at = focused(e)
      if (at && !at.step.prescription) work.change((d) => takeOut(d, at.part, at.step.product))
    },
    on,
  )
}

/** What is typed into an open step stands there at once, whether a plan is on its way or not. */
function OpenStep(step: Omit<ComponentProps<typeof StepDetail>, 'context'>) {
  return <StepDetail context={useVisitContext()} {...step} />
}

/** As in strip.css: the list stands in place of the strip. */
const NARROW = '(max-width: 1000px)'

function Board({
  context,
  regimen,
  dated = false,
}: {
  context: VisitContext
  regimen: Regimen
  /** whether its evenings have dates: those of the plan's own month have */
  dated?: boolean
}) {
  const [date, setDate] = useState('')
  const evening = useEvening(context, dated ? date : '')
  const [form, setForm] = useState<{ part: Part; why: Version['why'] } | null>(null)
  const [open, setOpen] = useState<{ part: Part; product: string } | null>(null)
  const narrow = useMediaQuery(NARROW)
  const routines = [regimen.morning, regimen.evening]
  const unit = units(routines)
  const openProduct = open?.product
  const { move, asking, settle, leave } = useMove(context, routines)
  useStepKeys(context, routines, move)
  const close = (gone = false) => {
    if (open) giveBack(open.part, open.product, gone)
    setOpen(null)
  }
  useShortcut('closeStep', () => close(), open !== null)
  const [lesson, setLesson] = useState(false)
  const lessonButton = useRef<HTMLButtonElement>(null)
  useShortcut(
    'stepBefore',
    () => labelBeside(-1)?.focus(),
    () => labelBeside(-1) !== undefined,
  )
  useShortcut(
    'stepAfter',
    () => labelBeside(1)?.focus(),
    () => labelBeside(1) !== undefined,
  )
  return (
    <>
      {routines.map((r) => {
        const mine = open?.part === r.part ? open.product : null
        const folded = open !== null && mine === null
        const step = r.steps.find((s) => s.product === mine)
        const ofADay = dated && date !== '' && r.part === 'EVENING'
        const versions = ofADay ? [] : regimen.tonight.filter((v) => v.part === r.part)
        const version = versions.find((v) => form?.part === r.part && v.why === form.why)
        const drawn = ofADay && evening.data ? onTheDay(evening.data) : version ? asOn(r, version) : r
        const moves =
          ofADay || version ? undefined : (product: string, to: number) => move(r.part, product, to)
        const fold = step && (
          <OpenStep
            part={r.part}
            step={step}
            steps={r.steps}
            alternatives={
              regimen.alternatives.find((a) => a.part === r.part && a.instead === step.product)?.choices ?? []
            }
            patch={regimen.patches.find((p) => p.product === step.product)}
            refusals={regimen.refusals.filter((f) => f.part === r.part && f.product === step.product)}
            move={(product, to) => move(r.part, product, to)}
            close={close}
          />
        )
        // on a narrow screen a step opens under itself, where the list has it
        const beside = narrow && drawn.steps.some((s) => s.product === mine)
        const toggle = (product: string) =>
          setOpen(openProduct === product && open?.part === r.part ? null : { part: r.part, product })
        return (
          <section key={r.part} data-part={r.part} className="band routine" aria-label={partName(r.part)}>
            <div className="gutter">
              <h2>{partName(r.part)}</h2>
              <span className="second">
                {drawn.timeline.minutes}
                {say('regimen.of')}
                {drawn.timeline.limitMinutes}
                {say('regimen.min')}
                {drawn.timeline.savedSeconds > 0 &&
                  say('regimen.sSaved', {
                    filled: drawn.timeline.filled,
                    savedSeconds: drawn.timeline.savedSeconds,
                  })}
              </span>
              {folded ? (
                <Button onClick={() => close()}>{say('regimen.unfold')}</Button>
              ) : (
                !ofADay && <AddStep context={context} part={r.part} />
              )}
              {!folded && (
                <Rail
                  routine={r}
                  versions={versions}
                  drawn={version}
                  draw={(why) => setForm(why && { part: r.part, why })}
                />
              )}
              {dated && !folded && !ofADay && r.part === 'EVENING' && (
                <Button onClick={() => setDate(context.today)}>{say('regimen.ofADay')}</Button>
              )}
            </div>
            <div className="routine-body">
              {ofADay && <EveningOf date={date} set={setDate} dated={evening.data} error={evening.error} />}
              <div className="wide-only">
                <Strip
                  routine={drawn}
                  unit={unit}
                  open={mine}
                  folded={folded}
                  toggle={toggle}
                  {...(moves ? { move: moves } : {})}
                  weather={r.part === 'MORNING' ? { uv: regimen.asked.air.outdoors.uvIndex } : 'night'}
                />
              </div>
              <div className="narrow-only">
                <StepList
                  routine={drawn}
                  open={mine}
                  toggle={toggle}
                  fold={beside && fold}
                  {...(moves ? { move: moves } : {})}
                />
              </div>
              {!beside && fold}
              {!folded && version && <DrawnAs version={version} />}
              {!folded && <Timeline routine={drawn} />}
            </div>
          </section>
        )
      })}
      <div className="key-row">
        <Key
          strip
          beside={[regimen.morning, regimen.evening].some((r) => r.steps.some((s) => s.then?.length > 0))}
        />
        <Button ref={lessonButton} aria-expanded={lesson} onClick={() => setLesson(!lesson)}>
          {say('regimen.howToReadThis')}
        </Button>
      </div>
      {lesson && (
        <Lesson
          regimen={regimen}
          close={() => {
            setLesson(false)
            lessonButton.current?.focus()
          }}
        />
      )}
      {asking && <MoveReason of={context.visit.id} asking={asking} settle={settle} leave={leave} />}
    </>
  )
}
