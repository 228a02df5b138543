import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import type { Part, Step, Vocabulary } from '../api/client'
import { Why } from '../shared/Why'
import type { VisitContext } from '../visit/VisitShell'
import { say } from '../words/say'
import '../words/where'
import { BodyMap } from './BodyMap'
import { adjust, byHandOf } from './byHandEdits'
import { toggled, type Place } from './placesOf'
import './where.css'

type Known = Vocabulary['coverages'][number]

/** Arms and legs are a step of their own, and that step has no other place. */
const offered = (coverages: Known[], places: Place[]) =>
  coverages.filter((c) => c.coverage !== 'BODY' || places.includes('BODY'))

/** Where a step goes: what each place gets, what is left out and why, and all of it changed by a tap. */
export function Where({
  context,
  part,
  step,
  steps,
}: {
  context: VisitContext
  part: Part
  step: Step
  /** of its routine */
  steps: Step[]
}) {
  const { work, words } = context
  const mine = byHandOf(work.draft.document, part, step.product).places ?? []
  const computed = step.amount.places.map((p) => p.place)
  const places: Place[] = mine.length > 0 ? mine : computed
  const put = (next: Place[]) => work.change((d) => adjust(d, part, step.product, { places: next }))
  const flip = (place: Place) => put(toggled(places, place, words.coverages))
  const row = (known: Known) => (
    <PlaceRow
      key={known.coverage}
      known={known}
      step={step}
      into={places.includes(known.coverage)}
      flip={flip}
    />
  )
  const all = offered(words.coverages, places)
  return (
    <section className="where" aria-label={say('where.title')}>
      <BodyMap places={places} step={step} flip={flip} />
      <div>
        <p className="where-total">
          <b>{step.amount.words}</b> <Why because={step.amount.because} quiet />
        </p>
        <h4>{say('where.onTheFace')}</h4>
        <div className="row where-parts">
          {all
            .filter((c) => c.onTheFace)
            .map((c) => (
              <ToggleButton
                key={c.coverage}
                value={c.coverage}
                selected={places.includes(c.coverage)}
                onChange={() => flip(c.coverage)}
              >
                {c.label}
                {amountOn(step, c.coverage)}
              </ToggleButton>
            ))}
        </div>
        <h4>{say('where.besideIt')}</h4>
        <ul>{all.filter((c) => !c.onTheFace).map(row)}</ul>
        {step.zones.map((z) => (
          <p key={z.sentence}>
            <Why because={z} />
          </p>
        ))}
        <div className="row">
          <SameFor
            steps={steps.filter((s) => s.product !== step.product && !s.prescription)}
            put={(product) => work.change((d) => adjust(d, part, product, { places }))}
          />
          {mine.length > 0 && <Button onClick={() => put([])}>{say('where.asComputed')}</Button>}
        </div>
      </div>
    </section>
  )
}

/** The same places for another step of the routine; what a rule keeps it from is told there. */
function SameFor({ steps, put }: { steps: Step[]; put: (product: string) => void }) {
  if (steps.length === 0) return null
  return (
    <TextField
      select
      label={say('where.sameFor')}
      size="small"
      value=""
      onChange={(e) => put(e.target.value)}
      sx={{ minWidth: 220 }}
    >
      {steps.map((s) => (
        <MenuItem key={s.product} value={s.product}>
          {say('where.stepOf', { number: s.number, name: s.name })}
        </MenuItem>
      ))}
    </TextField>
  )
}

/** Behind the name of a part of the face that is in. */
function amountOn(step: Step, place: Place): string {
  const gets = step.amount.places.find((p) => p.place === place)
  return gets ? `: ${gets.words}` : ''
}

/** One place: in or out, with what it gets or why it gets none. */
function PlaceRow({
  known,
  step,
  into,
  flip,
}: {
  known: Known
  step: Step
  into: boolean
  flip: (place: Place) => void
}) {
  const gets = step.amount.places.find((p) => p.place === known.coverage)
  const out = step.leftOut.find((l) => l.place === known.coverage)
  return (
    <li>
      <ToggleButton value={known.coverage} selected={into} onChange={() => flip(known.coverage)}>
        {known.label}
      </ToggleButton>
      {into && gets && <b>{gets.words}</b>}
      {!into && step.rest.includes(known.coverage) && <span>{say('where.whatIsLeftOnTheHands')}</span>}
      {!into && out && <Why because={out.because} />}
    </li>
  )
}
