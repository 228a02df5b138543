import { useState } from 'react'
import Button from '@mui/material/Button'
import { say } from '../../words/say'
import '../../words/visit'
import { Choose, ChooseAny } from '../Ask'
import { was } from '../was'
import { lower } from './lower'
import { TalkPart } from './TalkPart'
import { TalkMaybe, TalkNumber, type Talking } from './useTalk'

const TASTES = [
  { value: 'ANY' as const, label: say('visit.welcome') },
  { value: 'RATHER_NOT' as const, label: say('visit.ratherNot') },
  { value: 'NEVER' as const, label: say('visit.never') },
]

/** What a plan may take, what the client wishes of it, and what matters most. */
export function TimeAndTaste({ talk }: { talk: Talking }) {
  const { context, before, intake, set } = talk
  return (
    <TalkPart
      talk={talk}
      label={say('visit.timeAndTaste')}
      fields={['morningMinutes', 'eveningMinutes', 'mostSteps', 'scent', 'animal', 'oils']}
    >
      <div className="ask numbers">
        <TalkNumber talk={talk} label={say('visit.minutesMorning')} field="morningMinutes" width={134} />
        <TalkNumber talk={talk} label={say('visit.minutesEvening')} field="eveningMinutes" width={134} />
        <TalkNumber talk={talk} label={say('visit.stepsAtMost')} field="mostSteps" width={120} />
        <TalkMaybe talk={talk} label={say('visit.budgetAMonth')} field="budget" width={140} />
      </div>
      <ChooseAny
        question={say('visit.whatMattersMostToTheClient')}
        value={intake.matters}
        options={context.words.concerns
          .filter((c) => c.concern !== 'BARRIER')
          .map((c) => ({ value: c.concern, label: c.label }))}
        choose={(matters) => set({ matters })}
        was={was(before, intake, 'matters', lower)}
      />
      <Wishes talk={talk} />
    </TalkPart>
  )
}

/** What products may hold: in one line while everything is welcome, since little then hangs on it. */
function Wishes({ talk }: { talk: Talking }) {
  const { before, intake, set } = talk
  const fields = ['scent', 'animal', 'oils'] as const
  const plain = fields.every((field) => intake[field] === 'ANY')
  const [opened, setOpened] = useState(false)
  const assumed = talk.assumedOf([...fields]).length
  const open = opened || !plain
  const taste = (question: string, field: (typeof fields)[number]) => (
    <Choose
      question={question}
      value={intake[field]}
      options={TASTES}
      choose={(value) => set({ [field]: value })}
      was={was(before, intake, field, (v) => TASTES.find((t) => t.value === v)?.label ?? '')}
      assumed={talk.isAssumed(field)}
    />
  )
  return (
    <>
      {plain && (
        <div className="ask">
          <span>{say('visit.wishes')}</span>
          <div>
            <Button size="small" aria-expanded={open} onClick={() => setOpened(!opened)}>
              {assumed === fields.length
                ? say('visit.wishesAssumed')
                : assumed === 0
                  ? say('visit.wishesNone')
                  : say('visit.wishesSomeAssumed', { assumed })}
            </Button>
          </div>
        </div>
      )}
      {open && (
        <>
          {taste(say('visit.perfumeInProducts'), 'scent')}
          {taste(say('visit.anythingFromAnimalsWaxHoneyWoolFat'), 'animal')}
          {taste(say('visit.faceOils'), 'oils')}
        </>
      )}
    </>
  )
}
