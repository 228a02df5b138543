import Button from '@mui/material/Button'
import { answered } from './answers'
import { useVisitContext } from './VisitShell'
import { say } from '../words/say'
import '../words/visit'

/** A word for an allergy that may mean a row of the screen is asked back; until it is answered that row holds. */
export function AskedBack() {
  const { visit, work, verdict } = useVisitContext()
  const { answers } = work.draft.document.intake
  const open = (verdict?.safety.meant ?? []).filter((m) => !answers.some((a) => a.question === m.question))
  const answer = (question: string, yes: boolean) =>
    work.change((d) => ({
      ...d,
      intake: { ...d.intake, answers: answered(d.intake.answers, question, yes, visit.date) },
    }))
  return open.length === 0 ? null : (
    <div className="look" role="group" aria-label={say('visit.askedBack')}>
      {open.map((m) => (
        <div className="row" key={m.word + m.question}>
          <span style={{ flex: 1, minWidth: 220 }}>
            {say('visit.doesMean', { word: m.word, label: m.label })}
          </span>
          <Button onClick={() => answer(m.question, true)}>{say('visit.itDoes')}</Button>
          <Button onClick={() => answer(m.question, false)}>{say('visit.onlyThat', { word: m.word })}</Button>
        </div>
      ))}
    </div>
  )
}
