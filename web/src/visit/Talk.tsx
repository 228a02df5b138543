import { useNavigate } from 'react-router'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import type { Intake } from '../api/client'
import { useBefore } from '../api/hooks'
import { ClientShelf } from '../products/ClientShelf'
import { dateWords } from '../shared/format'
import { Choose, ChooseAny, NumberField, problemAt } from './Ask'
import { Follows } from './Follows'
import { Screen } from './Screen'
import { useVisitContext } from './VisitShell'
import { was } from './was'
import { Words } from './Words'

const YES_NO = [
  { value: 'no' as const, label: 'No' },
  { value: 'yes' as const, label: 'Yes' },
]
const FLUSH = ['never', 'seldom', 'monthly', 'weekly', 'daily']
const FLUSHES = FLUSH.map((label, i) => ({ value: String(i), label }))
const REACTIONS = ['0', '1', '2', '3', '4'].map((v) => ({ value: v, label: v === '4' ? '4 or more' : v }))
const TASTES = [
  { value: 'ANY' as const, label: 'welcome' },
  { value: 'RATHER_NOT' as const, label: 'rather not' },
  { value: 'NEVER' as const, label: 'never' },
]
const PLACES: { value: Intake['places'][number]; label: string }[] = [
  { value: 'OUTDOORS', label: 'outdoors' },
  { value: 'SEA', label: 'on or in water' },
  { value: 'HEATED_ROOMS', label: 'heated rooms' },
  { value: 'COOLED_ROOMS', label: 'cooled rooms' },
  { value: 'HEAT', label: 'kitchen, ovens, steam' },
  { value: 'PLANES', label: 'planes' },
]
const SAYS: { value: NonNullable<Intake['says']>; label: string }[] = [
  { value: 'DRY', label: 'dry' },
  { value: 'NORMAL', label: 'normal' },
  { value: 'OILY', label: 'oily' },
  { value: 'COMBINATION', label: 'mixed' },
]
const lower = (values: string[]) => values.map((v) => v.toLowerCase().replace('_', ' ')).join(', ')

/** What is asked before the skin is read, in the order of a conversation. */
export default function Talk() {
  const { visit, client, words, work } = useVisitContext()
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
        <h1>Talk with {client.name.split(' ')[0]}</h1>
        <span className="second">
          {last
            ? `What has changed since ${dateWords(last.date)} is marked.`
            : 'Skip what does not matter; every answer can be changed later.'}
        </span>
        <Button
          variant="contained"
          sx={{ ml: 'auto' }}
          onClick={() => void navigate(`/visits/${visit.id}/read`)}
        >
          Read the skin
        </Button>
      </div>
      <div className="talk">
        <section aria-label="Life">
          <h2>Life</h2>
          <Choose
            question="Lives and works at"
            value={intake.site}
            options={words.sites.map((s) => ({ value: s.id, label: s.name }))}
            choose={(site) => set({ site })}
            hint={words.sites.find((s) => s.id === intake.site)?.note}
            was={was(before, intake, 'site', (v) => words.sites.find((s) => s.id === v)?.name ?? v)}
          />
          <ChooseAny
            question="The day is spent in"
            value={intake.places}
            options={PLACES}
            choose={(places) => set({ places })}
            was={was(before, intake, 'places', lower)}
          />
          <div className="ask numbers">
            {number('Hours outdoors a day', 'outdoorHours')}
            <NumberField
              label="Year of birth"
              pointer="/intake/birthYear"
              value={intake.birthYear ?? null}
              work={work}
              set={(birthYear) => set({ birthYear })}
              clear={() => set({ birthYear: null })}
              was={was(before, intake, 'birthYear', (v) => String(v ?? ''))}
              width={130}
            />
          </div>
        </section>
        <section aria-label="Make-up and sun">
          <h2>Make-up and sun</h2>
          <div className="ask numbers">
            {number('Make-up days a week', 'makeUpDays')}
            {number('Sunscreen days a week', 'sunscreenDays', 170)}
          </div>
          {intake.makeUpDays > 0 && (
            <Choose
              question="Make-up is"
              value={intake.makeUp}
              options={[
                { value: 'LIGHT', label: 'light' },
                { value: 'FULL', label: 'full, or waterproof' },
              ]}
              choose={(makeUp) => set({ makeUp })}
            />
          )}
          {sun('Half an hour of midday summer sun, bare', 'burns')}
          {sun('And then', 'tans')}
        </section>
        <section aria-label="Time and taste">
          <h2>Time and taste</h2>
          <div className="ask numbers">
            {number('Minutes, morning', 'morningMinutes', 140)}
            {number('Minutes, evening', 'eveningMinutes', 140)}
            {number('Steps at most', 'mostSteps', 120)}
            <NumberField
              label="Budget a month"
              pointer="/intake/budget"
              value={intake.budget ?? null}
              work={work}
              set={(budget) => set({ budget })}
              clear={() => set({ budget: null })}
              was={was(before, intake, 'budget', (v) => String(v ?? ''))}
              width={140}
            />
          </div>
          {taste('Perfume in products', 'scent')}
          {taste('Anything from animals: wax, honey, wool fat', 'animal')}
          {taste('Face oils', 'oils')}
          <ChooseAny
            question="What matters most to the client"
            value={intake.matters}
            options={words.concerns
              .filter((c) => c.concern !== 'BARRIER')
              .map((c) => ({ value: c.concern, label: c.label }))}
            choose={(matters) => set({ matters })}
            was={was(before, intake, 'matters', lower)}
          />
        </section>
        <section aria-label="The skin in the client’s word">
          <h2>The skin, in the client’s word</h2>
          <Choose
            question="Calls the skin"
            value={intake.says ?? null}
            options={SAYS}
            choose={(says) => set({ says })}
            was={was(before, intake, 'says', (v) => SAYS.find((s) => s.value === v)?.label ?? '')}
          />
          <Choose
            question="Oily in summer, dry in winter?"
            value={intake.swings ? 'yes' : 'no'}
            options={YES_NO}
            choose={(v) => set({ swings: v === 'yes' })}
            was={was(before, intake, 'swings', (v) => (v ? 'yes' : 'no'))}
          />
          <Choose
            question="Face reddens and heats"
            value={intake.flush == null ? null : String(intake.flush)}
            options={FLUSHES}
            choose={(v) => set({ flush: Number(v) })}
            was={was(before, intake, 'flush', (v) => FLUSH[v ?? -1] ?? '')}
          />
          <Choose
            question="Reactions to products this year"
            value={intake.reactions == null ? null : String(Math.min(4, intake.reactions))}
            options={REACTIONS}
            choose={(v) => set({ reactions: Number(v) })}
            was={was(before, intake, 'reactions', (v) => String(v ?? ''))}
          />
          <TextField
            label="Note"
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
              Noted {dateWords(last.date)}: {last.intake.note}
            </p>
          )}
        </section>
        <section aria-label="Safety screen" className="screen">
          <h2>Safety</h2>
          <Screen before={before} />
          <Words
            work={work}
            pointer="/intake/medicines"
            label="Medicine, by its name"
            words={intake.medicines}
            set={(medicines) => set({ medicines })}
            problem={problemAt(work, '/intake/medicines')}
            was={was(before, intake, 'medicines', (v) => v.join(', '))}
          />
          <Words
            work={work}
            pointer="/intake/otherAllergies"
            label="Another allergy, as on a label"
            words={intake.otherAllergies}
            set={(otherAllergies) => set({ otherAllergies })}
            problem={problemAt(work, '/intake/otherAllergies')}
            was={was(before, intake, 'otherAllergies', (v) => v.join(', '))}
          />
          <Follows />
        </section>
      </div>
      <ClientShelf client={client.id} visit={visit.id} />
    </div>
  )
}
