import { useState } from 'react'
import Button from '@mui/material/Button'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import type { Intake, Question } from '../api/client'
import { dateWords } from '../shared/format'
import { daysAfter } from '../shared/day'
import { DateField } from '../shared/DateField'
import { useOneStop } from '../shared/oneStop'
import { problemAt } from './Ask'
import { answered, asDrafted, foldedOf, noToTheRest, openInBulk, staleInBulk, stillSo } from './answers'
import { useVisitContext } from './VisitShell'
import { say } from '../words/say'
import '../words/visit'

const DAYS_AGO = [0, 1, 2, 3, 5, 7, 10, 14]

/**
 * The safety screen, group by group: one tap is yes, one more is no, one button answers the rest of what is in sight. What was no
 * when the page was opened, and what few have, waits folded with its count.
 */
export function Screen({ before }: { before: Intake | null | undefined }) {
  const { visit, words, work, verdict } = useVisitContext()
  const intake = work.draft.document.intake
  const questions = asDrafted(verdict?.safety.questions ?? [], intake.answers)
  const today = visit.date
  const set = (answers: Intake['answers']) => work.change((d) => ({ ...d, intake: { ...d.intake, answers } }))
  return (
    <>
      <div className="row screen-head">
        <p className="second" style={{ flex: 1, minWidth: 220 }}>
          <span className="mini open" />
          {say('visit.notAsked2')}
          <span className="mini no" />
          {say('visit.no')} <span className="mini yes" />
          {say('visit.yes')}
          <span className="mini bulk" /> {say('visit.noWithTheRest')} <span className="mini stale" />
          {say('visit.saidBeforeAskAgainOneTapIs')}
        </p>
      </div>
      {words.questionGroups.map((group) => {
        const mine = questions.filter((q) => q.group === group.id)
        return mine.length === 0 ? null : (
          <Group
            key={group.id}
            label={group.label}
            questions={mine}
            answers={intake.answers}
            before={before}
            today={today}
            set={set}
          />
        )
      })}
    </>
  )
}

/** The next group's button, else what stands in this one: the one that was pressed goes, and a hand on the keys would be lost. */
const nextFrom = (pressed: HTMLElement) => {
  const all = [...document.querySelectorAll<HTMLElement>('.none-of')]
  return all[all.indexOf(pressed) + 1] ?? pressed.closest('section')?.querySelector<HTMLElement>('.chip')
}

function Group({
  label,
  questions,
  answers,
  before,
  today,
  set,
}: {
  label: string
  questions: Question[]
  answers: Intake['answers']
  before: Intake | null | undefined
  today: string
  set: (answers: Intake['answers']) => void
}) {
  const [touched, setTouched] = useState<ReadonlySet<string>>(new Set())
  const [unfolded, setUnfolded] = useState(false)
  const stop = useOneStop<HTMLElement>('.none-of')
  const folded = foldedOf(questions, touched, before)
  const shown = unfolded ? questions : questions.filter((q) => !folded.includes(q))
  const open = openInBulk(shown)
  const noneOf =
    open.length === shown.filter((q) => !q.alone).length
      ? say('visit.noneOfThese')
      : say('visit.noneOfTheRest')
  const stale = staleInBulk(shown)
  /** What is answered here and now stays where it is. */
  const touch = (ids: string[], next: Intake['answers']) => {
    setTouched((now) => new Set([...now, ...ids]))
    set(next)
  }
  const dated = shown.filter((q) => q.dated && q.answer?.yes)
  const chips = shown.filter((q) => !q.alone)
  return (
    <section className="group" aria-label={label} {...stop}>
      <div className="group-head">
        <h3>{label}</h3>
        {stale.length > 0 && (
          <Button onClick={() => touch(ids(stale), stillSo(answers, shown, today))}>
            {say('visit.stillAsOn', { dateWords: dateWords(stale[0]?.answer?.asked ?? today) })}
          </Button>
        )}
        {open.length > 0 && (
          <Button
            className="none-of"
            aria-label={say('visit.ofGroup', { none: noneOf, group: label })}
            onClick={(e) => {
              nextFrom(e.currentTarget)?.focus()
              touch(ids(open), noToTheRest(answers, shown, today))
            }}
          >
            {noneOf}
          </Button>
        )}
        {folded.length > 0 && (
          <Button
            className="more-of"
            size="small"
            aria-expanded={unfolded}
            aria-label={say('visit.ofGroup', {
              none: unfolded ? say('visit.foldAway') : foldedWords(folded, shown.length === 0),
              group: label,
            })}
            onClick={() => setUnfolded(!unfolded)}
          >
            {unfolded ? say('visit.foldAway') : foldedWords(folded, shown.length === 0)}
          </Button>
        )}
      </div>
      {shown
        .filter((q) => q.alone)
        .map((q) => (
          <Alone
            key={q.id}
            question={q}
            before={before}
            set={(yes) => touch([q.id], answered(answers, q.id, yes, today))}
          />
        ))}
      {chips.length > 0 && (
        <div className="chips">
          {chips.map((q) => (
            <Chip
              key={q.id}
              question={q}
              bulk={answers.some((a) => a.question === q.id && a.bulk === true)}
              before={before}
              set={(yes) => touch([q.id], answered(answers, q.id, yes, today))}
            />
          ))}
        </div>
      )}
      {dated.map((q) => (
        <When
          key={q.id}
          question={q}
          index={answers.findIndex((a) => a.question === q.id)}
          today={today}
          set={(on) => set(answered(answers, q.id, true, today, on))}
        />
      ))}
    </section>
  )
}

const ids = (questions: Question[]) => questions.map((q) => q.id)

/** How many wait folded, and what is known of them. */
function foldedWords(folded: Question[], all: boolean) {
  const no = folded.filter((q) => q.answer).length
  const open = folded.length - no
  return open === 0
    ? say(all ? 'visit.foldedAllNo' : 'visit.foldedNo', { no })
    : no === 0
      ? say('visit.foldedOpen', { open })
      : say('visit.foldedBoth', { no, open })
}

/** An emergency is asked by itself: no by one tap, yes by one tap, and never with the rest. */
function Alone({
  question,
  before,
  set,
}: {
  question: Question
  before: Intake | null | undefined
  set: (yes: boolean) => void
}) {
  const then = before?.answers.find((a) => a.question === question.id)
  const answer = question.stale ? null : question.answer
  const value = !answer ? null : answer.yes ? 'yes' : 'no'
  return (
    <div className={`alone${value === null ? ' open' : ''}`}>
      <span id={`alone-${question.id}`}>
        {question.text}
        {then?.yes && <small>{say('visit.was4') + say('visit.yes2')}</small>}
      </span>
      <ToggleButtonGroup
        exclusive
        value={value}
        aria-labelledby={`alone-${question.id}`}
        onChange={(_, next: 'yes' | 'no' | null) => next !== null && set(next === 'yes')}
      >
        <ToggleButton value="no">{say('visit.aloneNo')}</ToggleButton>
        <ToggleButton value="yes">{say('visit.aloneYes')}</ToggleButton>
      </ToggleButtonGroup>
    </div>
  )
}

function Chip({
  question,
  bulk,
  before,
  set,
}: {
  question: Question
  /** whether it was answered with the rest of its group, by one tap */
  bulk: boolean
  before: Intake | null | undefined
  set: (yes: boolean) => void
}) {
  const answer = question.answer
  const state = !answer ? 'open' : answer.yes ? 'yes' : 'no'
  const then = before?.answers.find((a) => a.question === question.id)
  const changed = before && then && answer && then.yes !== answer.yes
  const inBulk = answer !== null && answer !== undefined && bulk
  const words = {
    open: say('visit.notAsked'),
    yes: say('visit.yes2'),
    no: inBulk ? say('visit.noWithTheRest') : say('visit.no2'),
  }[state]
  return (
    <button
      type="button"
      className={`chip ${state}${inBulk ? ' bulk' : ''}${question.stale ? ' stale' : ''}`}
      aria-pressed={state === 'yes'}
      aria-label={`${question.text}${changed ? say('visit.was3', { value: then.yes ? say('visit.yes2') : say('visit.no2') }) : ''}: ${words}${
        question.stale ? say('visit.askedBeforeAskAgain') : ''
      }`}
      onClick={() => set(state !== 'yes')}
    >
      {question.text}{' '}
      {changed && (
        <small>
          {say('visit.was4')}
          {then.yes ? say('visit.yes2') : say('visit.no2')}
        </small>
      )}
    </button>
  )
}

/** The day something happened, by one tap or by its date. */
function When({
  question,
  index,
  today,
  set,
}: {
  question: Question
  index: number
  today: string
  set: (on: string | null) => void
}) {
  const { work } = useVisitContext()
  const on = question.answer?.on ?? null
  const problem = problemAt(work, `/intake/answers/${index}`)
  return (
    <div className="when">
      <span id={`when-${question.id}`}>
        {question.text}
        {say('visit.when')}
        {on === null ? say('visit.untilThatIsKnownTodayCounts') : `: ${dateWords(on)}`}
      </span>
      <div className="row">
        <ToggleButtonGroup
          exclusive
          value={DAYS_AGO.find((d) => daysAfter(today, -d) === on) ?? null}
          aria-labelledby={`when-${question.id}`}
          onChange={(_, days: number | null) => days !== null && set(daysAfter(today, -days))}
        >
          {DAYS_AGO.map((d) => (
            <ToggleButton
              key={d}
              value={d}
              aria-label={d === 0 ? say('visit.today') : say('visit.daysAgo', { d })}
            >
              {d === 0 ? say('visit.today') : d}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <span className="second">{say('visit.daysAgoOrOn')}</span>
        <DateField
          label={say('visit.day')}
          about={question.text}
          value={on ?? ''}
          error={problem}
          width={problem ? 260 : 195}
          until={today}
          pick={(day) => set(day === '' ? null : day)}
        />
      </div>
    </div>
  )
}
