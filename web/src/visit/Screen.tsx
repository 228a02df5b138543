import Button from '@mui/material/Button'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import type { Intake, Question } from '../api/client'
import { dateWords } from '../shared/format'
import { DateField } from '../shared/DateField'
import { problemAt } from './Ask'
import { answered, asDrafted, daysBefore, noToTheRest, stillSo } from './answers'
import { useVisitContext } from './VisitShell'
import { say } from '../words/say'

const DAYS_AGO = [0, 1, 2, 3, 5, 7, 10, 14]

/** The safety screen, group by group: one tap is yes, one more is no, one button answers the rest. */
export function Screen({ before }: { before: Intake | null | undefined }) {
  const { visit, words, work, verdict } = useVisitContext()
  const intake = work.draft.document.intake
  const questions = asDrafted(verdict?.safety.questions ?? [], intake.answers)
  const today = visit.date
  const set = (answers: Intake['answers']) => work.change((d) => ({ ...d, intake: { ...d.intake, answers } }))
  const open = questions.filter((q) => !q.answer && q.id !== 'guardian')
  return (
    <>
      <div className="row screen-head">
        <p className="second" style={{ flex: 1, minWidth: 220 }}>
          <span className="mini open" />
          {say('visit.notAsked2')}
          <span className="mini no" />
          {say('visit.no')} <span className="mini yes" />
          {say('visit.yes')}
          <span className="mini stale" />
          {say('visit.saidBeforeAskAgainOneTapIs')}
        </p>
        {open.length > 0 && (
          <Button onClick={() => set(noToTheRest(intake.answers, questions, today))}>
            {say('visit.noneOfTheOther', { length: open.length })}
          </Button>
        )}
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
  const open = questions.filter((q) => !q.answer && q.id !== 'guardian')
  const stale = questions.filter((q) => q.stale)
  const dated = questions.filter((q) => q.dated && q.answer?.yes)
  return (
    <section className="group" aria-label={label}>
      <div className="group-head">
        <h3>{label}</h3>
        {stale.length > 0 && (
          <Button onClick={() => set(stillSo(answers, questions, today))}>
            {say('visit.stillAsOn', { dateWords: dateWords(stale[0]?.answer?.asked ?? today) })}
          </Button>
        )}
        {open.length > 0 && (
          <Button onClick={() => set(noToTheRest(answers, questions, today))}>
            {open.length === questions.length ? say('visit.noneOfThese') : say('visit.noneOfTheRest')}
          </Button>
        )}
      </div>
      <div className="chips">
        {questions.map((q) => (
          <Chip
            key={q.id}
            question={q}
            before={before}
            set={(yes) => set(answered(answers, q.id, yes, today))}
          />
        ))}
      </div>
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

function Chip({
  question,
  before,
  set,
}: {
  question: Question
  before: Intake | null | undefined
  set: (yes: boolean) => void
}) {
  const answer = question.answer
  const state = !answer ? 'open' : answer.yes ? 'yes' : 'no'
  const then = before?.answers.find((a) => a.question === question.id)
  const changed = before && then && answer && then.yes !== answer.yes
  const words = {
    open: say('visit.notAsked'),
    yes: 'yes',
    no: 'no',
  }[state]
  return (
    <button
      type="button"
      className={`chip ${state}${question.stale ? ' stale' : ''}`}
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
          value={DAYS_AGO.find((d) => daysBefore(today, d) === on) ?? null}
          aria-labelledby={`when-${question.id}`}
          onChange={(_, days: number | null) => days !== null && set(daysBefore(today, days))}
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
          width={problem ? 260 : 170}
          until={today}
          pick={(day) => set(day === '' ? null : day)}
        />
      </div>
    </div>
  )
}
