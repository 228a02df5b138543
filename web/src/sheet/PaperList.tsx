import type { Routine, Step } from '../api/client'
import { dayShort, nightsWords, partName, secondsWords, week } from '../shared/format'
import { Core } from '../strip/Core'
import { say } from '../words/say'
import '../words/sheet'

/** The steps of a morning or an evening. */
export function PaperList({ routine, waits, boxes }: { routine: Routine; waits: string[]; boxes: boolean }) {
  const t = routine.timeline
  const minutes =
    t.minutes === t.shortestMinutes
      ? say('sheet.minutes', { minutes: Math.ceil(t.minutes) })
      : say('sheet.toMinutes', {
          shortestMinutes: Math.ceil(t.shortestMinutes),
          minutes: Math.ceil(t.minutes),
        })
  return (
    <section>
      <div className="paper-title">
        <h2>{partName(routine.part)}</h2>
        <Core steps={routine.steps} />
        <span>{minutes}</span>
        {boxes && <Initials />}
      </div>
      <ol>
        {routine.steps.map((s) => (
          <li key={s.product} className={nightsWords(s) ? 'some' : ''}>
            <i>{s.number}</i>
            {boxes && <Boxes nights={s.nights} />}
            <b>
              {s.name}
              {/* a plan that was kept before there were such words has none */}
              {s.does && <small> {s.does}</small>}
              {nightsWords(s) && <em>{nightsWords(s)}</em>}
              {s.hand.optional && <em>{say('sheet.mayBeLeftOut')}</em>}
              {waits.includes(s.product) && <em>{say('sheet.notBeforeItsPatchTestIsRead')}</em>}
            </b>
            <span>
              {s.amount.words}; {s.toldWhere && `${s.toldWhere}; `}
              {s.hand.words === '' ? s.technique : s.hand.words}
              {s.settle > 0 && say('sheet.wait', { settle: secondsWords(s.settle) })}
              {s.contact > 0 && say('sheet.leave', { contact: secondsWords(s.contact) })}
              {(s.then ?? []).map((a) => `; ${a.told}: ${a.how}`)}
            </span>
          </li>
        ))}
      </ol>
    </section>
  )
}

/** A box for each day on which the step is done. */
function Boxes({ nights }: { nights: Step['nights'] }) {
  return (
    <span className="paper-boxes" aria-hidden="true">
      {week().map((day) => (
        <span key={day} className={nights.includes(day) ? 'box' : ''} />
      ))}
    </span>
  )
}

/** The days over their boxes. */
function Initials() {
  return (
    <span className="paper-boxes">
      {week().map((day) => (
        <span key={day}>{dayShort(day).slice(0, 1)}</span>
      ))}
    </span>
  )
}
