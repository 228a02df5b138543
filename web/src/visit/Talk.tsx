import { useNavigate } from 'react-router'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import type { Intake } from '../api/client'
import { useBefore } from '../api/hooks'
import { ClientShelf } from '../products/ClientShelf'
import { dateWords } from '../shared/format'
import { Choose, ChooseAny, NumberField, problemAt } from './Ask'
import { AskedBack } from './AskedBack'
import { Follows } from './Follows'
import { Lately } from './Lately'
import { Screen } from './Screen'
import { useVisitContext } from './VisitShell'
import { was } from './was'
import { Words } from './Words'
import { HoursInTheAir, OutdoorsByMonth, SitePicker } from './HoursInTheAir'
import { say } from '../words/say'
import '../words/app'
import '../words/visit'

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
const TASTES = [
  { value: 'ANY' as const, label: say('visit.welcome') },
  { value: 'RATHER_NOT' as const, label: say('visit.ratherNot') },
  { value: 'NEVER' as const, label: say('visit.never') },
]
const PLACES: { value: Intake['places'][number]; label: string }[] = [
  { value: 'OUTDOORS', label: say('visit.outdoors') },
  { value: 'SEA', label: say('visit.onOrInWater') },
  { value: 'HEATED_ROOMS', label: say('visit.heatedRooms') },
  { value: 'COOLED_ROOMS', label: say('visit.cooledRooms') },
  { value: 'HEAT', label: say('visit.kitchenOvensSteam') },
  { value: 'PLANES', label: say('visit.planes') },
]
const SAYS: { value: NonNullable<Intake['says']>; label: string }[] = [
  { value: 'DRY', label: say('visit.dry') },
  { value: 'NORMAL', label: say('visit.normal') },
  { value: 'OILY', label: say('visit.oily') },
  { value: 'COMBINATION', label: say('visit.mixed') },
]
const lower = (values: string[]) => values.map((v) => v.toLowerCase().replace('_', ' ')).join(', ')

/** What is asked before the skin is read, in the order of a conversation. */
export default function Talk() {
  const context = useVisitContext()
  const { visit, client, words, work } = context
  const navigate = useNavigate()
  const last = useBefore(visit.id).data
  const before = last?.intake
  const intake = work.draft.document.intake
  const set = (edit: Partial<Intake>) => work.change((d) => ({ ...d, intake: { ...d.intake, ...edit } }))
  const number = (label: string, field: keyof Intake, width?: number) => (
    <NumberField
      label={label}
      pointer={`/intake/${field}`}
      value={intake[field] as number}
      work={work}
      set={(value) => set({ [field]: value })}
      was={was(before, intake, field, String)}
      width={width}
    />
  )
  const taste = (question: string, field: 'scent' | 'animal' | 'oils') => (
    <Choose
      question={question}
      value={intake[field]}
      options={TASTES}
      choose={(value) => set({ [field]: value })}
      was={was(before, intake, field, (v) => TASTES.find((t) => t.value === v)?.label ?? '')}
    />
  )
  const sun = (question: string, field: 'burns' | 'tans') => (
    <Choose
      question={question}
      value={intake[field] == null ? null : String(intake[field])}
      options={words.phototypes.map((p) => ({ value: String(p.type), label: p[field] }))}
      choose={(value) => set({ [field]: Number(value) })}
      was={was(before, intake, field, (v) => words.phototypes.find((p) => p.type === v)?.[field] ?? '')}
    />
  )
  return (
    <div className="page">
      <div className="desk-head">
        <h1 data-title={say('app.talk')}>{say('visit.talkWith', { value: client.name.split(' ')[0] })}</h1>
        <span className="second">
          {last
            ? say('visit.whatHasChangedSinceIsMarked', { date: dateWords(last.date) })
            : say('visit.skipWhatDoesNotMatterEveryAnswer')}
        </span>
        <Button
          variant="contained"
          sx={{ ml: 'auto' }}
          onClick={() => void navigate(`/visits/${visit.id}/read`)}
        >
          {say('visit.readTheSkin')}
        </Button>
      </div>
      <div className="talk">
        <section aria-label={say('visit.life')}>
          <h2>{say('visit.life')}</h2>
          <SitePicker
            intake={intake}
            set={set}
            was={was(before, intake, 'site', (v) => words.sites.find((s) => s.id === v)?.name ?? v)}
          />
          <ChooseAny
            question={say('visit.theDayIsSpentIn')}
            value={intake.places}
            options={PLACES}
            choose={(places) => set({ places })}
            was={was(before, intake, 'places', lower)}
          />
          <HoursInTheAir intake={intake} set={set} work={work} />
          <div className="ask numbers">
            {number(say('visit.hoursOutdoorsADay'), 'outdoorHours')}
            <NumberField
              label={say('visit.yearOfBirth')}
              pointer="/intake/birthYear"
              value={intake.birthYear ?? null}
              work={work}
              set={(birthYear) => set({ birthYear })}
              clear={() => set({ birthYear: null })}
              was={was(before, intake, 'birthYear', (v) => String(v ?? ''))}
              width={130}
            />
          </div>
          <OutdoorsByMonth intake={intake} set={set} work={work} />
        </section>
        <section aria-label={say('visit.makeUpAndSun')}>
          <h2>{say('visit.makeUpAndSun')}</h2>
          <div className="ask numbers">
            {number(say('visit.makeUpDaysAWeek'), 'makeUpDays')}
            {number(say('visit.sunscreenDaysAWeek'), 'sunscreenDays', 170)}
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
            />
          )}
          {sun(say('visit.halfAnHourOfMiddaySummerSun'), 'burns')}
          {sun(say('visit.andThen'), 'tans')}
        </section>
        <section aria-label={say('visit.timeAndTaste')}>
          <h2>{say('visit.timeAndTaste')}</h2>
          <div className="ask numbers">
            {number(say('visit.minutesMorning'), 'morningMinutes', 140)}
            {number(say('visit.minutesEvening'), 'eveningMinutes', 140)}
            {number(say('visit.stepsAtMost'), 'mostSteps', 120)}
            <NumberField
              label={say('visit.budgetAMonth')}
              pointer="/intake/budget"
              value={intake.budget ?? null}
              work={work}
              set={(budget) => set({ budget })}
              clear={() => set({ budget: null })}
              was={was(before, intake, 'budget', (v) => String(v ?? ''))}
              width={140}
            />
          </div>
          {taste(say('visit.perfumeInProducts'), 'scent')}
          {taste(say('visit.anythingFromAnimalsWaxHoneyWoolFat'), 'animal')}
          {taste(say('visit.faceOils'), 'oils')}
          <ChooseAny
            question={say('visit.whatMattersMostToTheClient')}
            value={intake.matters}
            options={words.concerns
              .filter((c) => c.concern !== 'BARRIER')
              .map((c) => ({ value: c.concern, label: c.label }))}
            choose={(matters) => set({ matters })}
            was={was(before, intake, 'matters', lower)}
          />
        </section>
        <section aria-label={say('visit.theSkinInTheClientSWord')}>
          <h2>{say('visit.theSkinInTheClientSWord2')}</h2>
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
            minRows={3}
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
        </section>
        <section aria-label={say('visit.safetyScreen')} className="screen">
          <h2>{say('visit.safety')}</h2>
          <Screen before={before} />
          <Words
            work={work}
            pointer="/intake/medicines"
            label={say('visit.medicineByItsName')}
            words={intake.medicines}
            set={(medicines) => set({ medicines })}
            problem={problemAt(work, '/intake/medicines')}
            was={was(before, intake, 'medicines', (v) => v.join(', '))}
          />
          <Words
            work={work}
            pointer="/intake/otherAllergies"
            label={say('visit.anotherAllergyAsOnALabel')}
            words={intake.otherAllergies}
            set={(otherAllergies) => set({ otherAllergies })}
            problem={problemAt(work, '/intake/otherAllergies')}
            was={was(before, intake, 'otherAllergies', (v) => v.join(', '))}
          />
          <AskedBack />
          <Follows />
        </section>
      </div>
      <ClientShelf client={client.id} visit={visit.id} />
    </div>
  )
}
