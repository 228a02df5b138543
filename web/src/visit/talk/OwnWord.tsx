import TextField from '@mui/material/TextField'
import type { Intake } from '../../api/client'
import { dateWords } from '../../shared/format'
import { say } from '../../words/say'
import '../../words/visit'
import { Choose, problemAt } from '../Ask'
import { Lately } from '../Lately'
import { was } from '../was'
import { TalkPart } from './TalkPart'
import type { Talking } from './useTalk'

const SAYS: { value: NonNullable<Intake['says']>; label: string }[] = [
  { value: 'DRY', label: say('visit.dry') },
  { value: 'NORMAL', label: say('visit.normal') },
  { value: 'OILY', label: say('visit.oily') },
  { value: 'COMBINATION', label: say('visit.mixed') },
]
const YES_NO = [
  { value: 'no' as const, label: say('visit.no3') },
  { value: 'yes' as const, label: say('visit.yes3') },
]
const FLUSH = [
  say('visit.flush0'),
  say('visit.flush1'),
  say('visit.flush2'),
  say('visit.flush3'),
  say('visit.flush4'),
]
const FLUSHES = FLUSH.map((label, i) => ({ value: String(i), label }))
const REACTIONS = ['0', '1', '2', '3', '4'].map((v) => ({
  value: v,
  label: v === '4' ? say('visit.fourOrMore') : v,
}))

/** What the client says of the skin. */
export function OwnWord({ talk }: { talk: Talking }) {
  const { context, last, before, intake, set } = talk
  const { work } = context
  return (
    <TalkPart
      talk={talk}
      label={say('visit.theSkinInTheClientSWord')}
      heading={say('visit.theSkinInTheClientSWord2')}
      fields={['swings']}
    >
      <Choose
        question={say('visit.callsTheSkin')}
        value={intake.says ?? null}
        options={SAYS}
        choose={(says) => set({ says })}
        was={was(before, intake, 'says', (v) => SAYS.find((s) => s.value === v)?.label ?? '')}
      />
      <Lately context={context} before={before?.lately} set={set} />
      <Choose
        question={say('visit.oilyInSummerDryInWinter')}
        value={intake.swings ? 'yes' : 'no'}
        options={YES_NO}
        choose={(v) => set({ swings: v === 'yes' })}
        was={was(before, intake, 'swings', (v) => (v ? 'yes' : 'no'))}
        assumed={talk.isAssumed('swings')}
      />
      <Choose
        question={say('visit.faceReddensAndHeats')}
        value={intake.flush == null ? null : String(intake.flush)}
        options={FLUSHES}
        choose={(v) => set({ flush: Number(v) })}
        was={was(before, intake, 'flush', (v) => FLUSH[v ?? -1] ?? '')}
      />
      <Choose
        question={say('visit.reactionsToProductsThisYear')}
        value={intake.reactions == null ? null : String(Math.min(4, intake.reactions))}
        options={REACTIONS}
        choose={(v) => set({ reactions: Number(v) })}
        was={was(before, intake, 'reactions', (v) => String(v ?? ''))}
      />
      <TextField
        label={say('visit.note')}
        multiline
        minRows={2}
        maxRows={8}
        fullWidth
        value={intake.note}
        error={!!problemAt(work, '/intake/note')}
        helperText={problemAt(work, '/intake/note')}
        onChange={(e) => set({ note: e.target.value })}
      />
      {last && last.intake.note !== '' && (
        <p className="second last-note">
          {say('visit.noted', { date: dateWords(last.date), note: last.intake.note })}
        </p>
      )}
    </TalkPart>
  )
}
