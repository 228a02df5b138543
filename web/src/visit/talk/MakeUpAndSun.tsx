import { say } from '../../words/say'
import '../../words/visit'
import { Choose } from '../Ask'
import { was } from '../was'
import { TalkPart } from './TalkPart'
import { TalkNumber, type Talking } from './useTalk'

/** What is on the face by day, and what the sun does to it bare. */
export function MakeUpAndSun({ talk }: { talk: Talking }) {
  const { context, before, intake, set } = talk
  const { phototypes } = context.words
  const sun = (question: string, field: 'burns' | 'tans') => (
    <Choose
      question={question}
      value={intake[field] == null ? null : String(intake[field])}
      options={phototypes.map((p) => ({ value: String(p.type), label: p[field] }))}
      choose={(value) => set({ [field]: Number(value) })}
      was={was(before, intake, field, (v) => phototypes.find((p) => p.type === v)?.[field] ?? '')}
    />
  )
  return (
    <TalkPart
      talk={talk}
      label={say('visit.makeUpAndSun')}
      fields={['makeUpDays', 'sunscreenDays', ...(intake.makeUpDays > 0 ? (['makeUp'] as const) : [])]}
    >
      <div className="ask numbers">
        <TalkNumber talk={talk} label={say('visit.makeUpDaysAWeek')} field="makeUpDays" />
        <TalkNumber talk={talk} label={say('visit.sunscreenDaysAWeek')} field="sunscreenDays" width={170} />
      </div>
      {intake.makeUpDays > 0 && (
        <Choose
          question={say('visit.makeUpIs')}
          value={intake.makeUp}
          options={[
            { value: 'LIGHT', label: say('visit.light') },
            { value: 'FULL', label: say('visit.fullOrWaterproof') },
          ]}
          choose={(makeUp) => set({ makeUp })}
          assumed={talk.isAssumed('makeUp')}
        />
      )}
      {sun(say('visit.halfAnHourOfMiddaySummerSun'), 'burns')}
      {sun(say('visit.andThen'), 'tans')}
    </TalkPart>
  )
}
