import { useState } from 'react'
import { useNavigate } from 'react-router'
import Button from '@mui/material/Button'
import Chip from '@mui/material/Chip'
import TextField from '@mui/material/TextField'
import type { Intake } from '../api/client'
import { ClientShelf } from '../products/ClientShelf'
import { Why } from '../shared/Why'
import { Choose, ChooseAny, NumberField, problemAt } from './Ask'
import { useVisitContext } from './VisitShell'

const YES_NO = [
  { value: 'no' as const, label: 'No' },
  { value: 'yes' as const, label: 'Yes' },
]

const FLUSH = ['0', '1', '2', '3', '4'].map((v, i) => ({
  value: v,
  label: ['never', 'seldom', 'monthly', 'weekly', 'daily'][i] ?? v,
}))

/** What is asked before the skin is read, in the order of a conversation. */
export default function Talk() {
  const { visit, client, words, work, verdict } = useVisitContext()
  const navigate = useNavigate()
  const intake = work.draft.document.intake
  const set = (edit: Partial<Intake>) => work.change((d) => ({ ...d, intake: { ...d.intake, ...edit } }))
  const number = (label: string, field: keyof Intake) => (
    <NumberField
      label={label}
      pointer={`/intake/${field}`}
      value={intake[field] as number}
      work={work}
      set={(value) => set({ [field]: value })}
    />
  )
  return (
    <div className="page">
      <div className="desk-head">
        <h1>Talk with {client.name.split(' ')[0]}</h1>
        <span className="second">Skip what does not matter; every answer can be changed later.</span>
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
          />
          <div className="ask numbers">
            {number('Hours outdoors a day', 'outdoorHours')}
            {number('Make-up days a week', 'makeUpDays')}
            {number('Sunscreen days a week', 'sunscreenDays')}
          </div>
          <Choose
            question="Oily in summer, dry in winter?"
            value={intake.swings ? 'yes' : 'no'}
            options={YES_NO}
            choose={(v) => set({ swings: v === 'yes' })}
          />
        </section>
        <section aria-label="Time and taste">
          <h2>Time and taste</h2>
          <div className="ask numbers">
            {number('Minutes, morning', 'morningMinutes')}
            {number('Minutes, evening', 'eveningMinutes')}
            {number('Steps at most', 'mostSteps')}
          </div>
          <Choose
            question="Perfume in products"
            value={intake.scent}
            options={[
              { value: 'ANY', label: 'welcome' },
              { value: 'RATHER_NOT', label: 'rather not' },
              { value: 'NEVER', label: 'never' },
            ]}
            choose={(scent) => set({ scent })}
          />
          <ChooseAny
            question="What matters most to the client"
            value={intake.matters}
            options={words.concerns
              .filter((c) => c.concern !== 'BARRIER')
              .map((c) => ({ value: c.concern, label: c.label }))}
            choose={(matters) => set({ matters })}
          />
        </section>
        <section aria-label="Safety">
          <h2>Safety</h2>
          <Choose
            question="Pregnant, trying, or nursing?"
            value={intake.expecting}
            options={[
              { value: 'NO', label: 'no' },
              { value: 'PREGNANT', label: 'pregnant' },
              { value: 'TRYING', label: 'trying' },
              { value: 'BREASTFEEDING', label: 'nursing' },
            ]}
            choose={(expecting) => set({ expecting })}
          />
          <ChooseAny
            question="Known allergies"
            value={intake.allergies}
            options={words.allergies.map((a) => ({ value: a.id, label: a.label }))}
            choose={(allergies) => set({ allergies })}
          />
          <OtherAllergies
            words={intake.otherAllergies}
            set={(otherAllergies) => set({ otherAllergies })}
            problem={problemAt(work, '/intake/otherAllergies')}
          />
          <Choose
            question="A retinoid on prescription?"
            value={intake.prescribedRetinoid ? 'yes' : 'no'}
            options={YES_NO}
            choose={(v) => set({ prescribedRetinoid: v === 'yes' })}
            hint={
              intake.prescribedRetinoid
                ? 'Put it on the shelf below with the prescriber’s nights; the plan makes room for it.'
                : undefined
            }
          />
          {verdict && (verdict.safety.bans.length > 0 || verdict.safety.referrals.length > 0) && (
            <div className="look">
              <ul>
                {verdict.safety.referrals.map((r) => (
                  <li key={r.name}>
                    <b>Refer first: {r.whom}.</b> <Why because={r.because} />
                  </li>
                ))}
                {verdict.safety.bans.map((b) => (
                  <li key={b.name + b.because.sentence}>
                    <b>{b.name}:</b> {b.because.sentence} {b.guess && 'Matched as text, so a guess.'}
                  </li>
                ))}
              </ul>
            </div>
          )}
        </section>
        <section aria-label="Lately">
          <h2>Lately</h2>
          <Choose
            question="Face reddens and heats"
            value={intake.flush == null ? '' : String(intake.flush)}
            options={FLUSH}
            choose={(v) => set({ flush: v === '' ? null : Number(v) })}
          />
          <Choose
            question="Reactions to products this year"
            value={intake.reactions == null ? '' : String(Math.min(4, intake.reactions))}
            options={['0', '1', '2', '3', '4'].map((v) => ({ value: v, label: v === '4' ? '4 or more' : v }))}
            choose={(v) => set({ reactions: v === '' ? null : Number(v) })}
          />
          <RecentEvents intake={intake} set={set} />
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
        </section>
      </div>
      <ClientShelf client={client.id} />
    </div>
  )
}

/** Allergies that the table does not know, in her own words. */
function OtherAllergies({
  words,
  set,
  problem,
}: {
  words: string[]
  set: (words: string[]) => void
  problem?: string
}) {
  const [text, setText] = useState('')
  const add = () => {
    const word = text.trim()
    if (word !== '' && !words.includes(word)) set([...words, word])
    setText('')
  }
  return (
    <div className="ask">
      <div className="row">
        <TextField
          label="Another allergy, as on a label"
          value={text}
          error={!!problem}
          helperText={problem}
          onChange={(e) => setText(e.target.value)}
          onBlur={add}
          onKeyDown={(e) => {
            if (e.key === 'Enter') {
              e.preventDefault()
              add()
            }
          }}
        />
        {words.map((w) => (
          <Chip key={w} label={w} onDelete={() => set(words.filter((x) => x !== w))} />
        ))}
      </div>
    </div>
  )
}

const EVENTS: { value: Intake['recent'][number]['kind']; label: string }[] = [
  { value: 'OVER_EXFOLIATION', label: 'over-exfoliated' },
  { value: 'SUPERFICIAL_PEEL', label: 'light peel' },
  { value: 'MEDIUM_PEEL', label: 'medium peel' },
  { value: 'MICRONEEDLING', label: 'needling' },
  { value: 'WAXING', label: 'waxed' },
  { value: 'LIGHT_OR_LASER', label: 'light or laser' },
  { value: 'SUNBURN', label: 'sunburn' },
]

/** What lately thinned the barrier, with the days since. */
function RecentEvents({ intake, set }: { intake: Intake; set: (edit: Partial<Intake>) => void }) {
  return (
    <>
      <ChooseAny
        question="In the last weeks"
        value={intake.recent.map((r) => r.kind)}
        options={EVENTS}
        choose={(kinds) =>
          set({
            recent: kinds.map((kind) => intake.recent.find((r) => r.kind === kind) ?? { kind, days: 2 }),
          })
        }
      />
      {intake.recent.map((r) => (
        <Choose
          key={r.kind}
          question={`${EVENTS.find((e) => e.value === r.kind)?.label}, how long ago`}
          value={String(r.days)}
          options={[...new Set([1, 2, 4, 7, 14, 28, r.days])]
            .sort((a, b) => a - b)
            .map((d) => ({ value: String(d), label: d === 1 ? '1 day' : `${d} days` }))}
          choose={(days) =>
            set({ recent: intake.recent.map((x) => (x.kind === r.kind ? { ...x, days: Number(days) } : x)) })
          }
        />
      ))}
    </>
  )
}
