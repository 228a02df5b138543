import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import { useState } from 'react'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import type { Part, Regimen, Step } from '../api/client'
import { DAYS, dayShort } from '../shared/format'
import { later } from '../shared/later'
import type { Move } from '../strip/Movable'
import { kept } from '../visit/kept'
import type { VisitContext } from '../visit/VisitShell'
import { AllTheSame, Beside } from './Beside'
import {
  adjust,
  byHandOf,
  putIn,
  release,
  type ByHandChange,
  type StepByHand as Changed,
} from './byHandEdits'
import { say } from '../words/say'
import '../words/regimen'

const LONGEST_WORDS = 160

const Where = later(
  () => import('./Where'),
  (m) => m.Where,
)

/** What may be changed on one step by hand: its place, whether it is kept, where, when, how much, and in which words. */
export function StepByHand({
  context,
  part,
  step,
  steps,
  refusals,
  move,
}: {
  context: VisitContext
  part: Part
  step: Step
  /** of its routine */
  steps: Step[]
  /** what of it a rule does not allow */
  refusals: Regimen['refusals']
  move: Move
}) {
  const { work } = context
  const now = byHandOf(work.draft.document, part, step.product)
  const change = (next: ByHandChange) => work.change((d) => adjust(d, part, step.product, next))
  const days = step.nights as readonly string[]
  const [where, setWhere] = useState(false)
  return (
    <section className="by-hand-row" aria-label={say('regimen.byHand')}>
      <div className="row">
        <Button
          disabled={step.number === 1}
          onClick={() => move(step.product, step.number - 1)}
          aria-label={say('regimen.moveEarlier', { name: step.name })}
        >
          {say('regimen.earlier')}
        </Button>
        <Button
          disabled={step.number === steps.at(-1)?.number}
          onClick={() => move(step.product, step.number + 1)}
          aria-label={say('regimen.moveLater', { name: step.name })}
        >
          {say('regimen.later')}
        </Button>
        <ToggleButton
          value="kept"
          title={say('regimen.planningAgainKeepsItLetGoIt')}
          selected={step.hand.kept}
          onChange={() =>
            work.change((d) =>
              step.hand.kept ? release(d, part, step.product) : putIn(d, part, step.product),
            )
          }
        >
          {say('regimen.keep')}
        </ToggleButton>
        {!step.prescription && (
          <>
            <ToggleButton
              value="optional"
              selected={now.optional}
              onChange={() => change({ optional: !now.optional })}
            >
              {say('regimen.mayBeLeftOut2')}
            </ToggleButton>
            {!step.comesOff && (
              <ToggleButton
                value="coat"
                selected={now.secondCoat}
                onChange={() => change({ secondCoat: !now.secondCoat })}
              >
                {say('regimen.secondCoat2')}
              </ToggleButton>
            )}
            <Button aria-expanded={where} onClick={() => setWhere((open) => !open)}>
              {say('regimen.whereItGoes', { where: step.amount.where })}
            </Button>
          </>
        )}
      </div>
      <div className="row">
        {!step.prescription && (
          <>
            <ToggleButtonGroup
              value={now.nights.length > 0 ? now.nights : days}
              aria-label={part === 'MORNING' ? say('regimen.mornings') : say('regimen.evenings')}
              onChange={(_, next: Changed['nights']) =>
                next.length > 0 && change({ nights: next.length === 7 ? [] : next, when: null })
              }
            >
              {DAYS.map((d) => (
                <ToggleButton key={d} value={d}>
                  {dayShort(d)}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
            {now.nights.length > 0 && (
              <Button onClick={() => change({ nights: [] })}>{say('regimen.computedDays')}</Button>
            )}
          </>
        )}
        {!step.prescription && <OnlyWhen context={context} now={now} most={step.aWeek} change={change} />}
        {!step.prescription && (
          <Beside context={context} step={step} steps={steps} now={now} change={change} />
        )}
        <OwnWords key={part + step.product} context={context} part={part} product={step.product} now={now} />
      </div>
      {where && <Where context={context} part={part} step={step} steps={steps} />}
      {refusals.map((r) => (
        <div key={r.because.sentence}>
          <p role="alert" className="refusal">
            {say('regimen.notFollowed', { sentence: r.because.sentence })}
          </p>
          {r.overrulable && (
            <AllTheSame
              context={context}
              of={`${part}/${step.product}`}
              put={(overrule) => change({ overrule })}
            />
          )}
        </div>
      ))}
    </section>
  )
}

/** For some days only, whichever they turn out to be, and how many a week they usually are. */
function OnlyWhen({
  context,
  now,
  most,
  change,
}: {
  context: VisitContext
  now: Changed
  /** days a week that it has without a condition: it is not counted at more unless somebody says so */
  most: number
  change: (next: ByHandChange) => void
}) {
  const kinds = context.words.weeks.conditions
  return (
    <>
      <TextField
        select
        label={say('regimen.onlyWhen')}
        size="small"
        value={now.when?.kind ?? ''}
        onChange={(e) => {
          const kind = kinds.find((k) => k.id === e.target.value)
          change({ when: kind ? { kind: kind.id, usual: Math.min(kind.usual, most) } : null, nights: [] })
        }}
        sx={{ minWidth: 190 }}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      >
        <MenuItem value="">{say('regimen.onEveryDayOfItsOwn')}</MenuItem>
        {kinds.map((k) => (
          <MenuItem key={k.id} value={k.id}>
            {k.label}
          </MenuItem>
        ))}
      </TextField>
      {now.when && (
        <TextField
          select
          label={say('regimen.usuallyAWeek')}
          size="small"
          value={now.when.usual}
          onChange={(e) => now.when && change({ when: { ...now.when, usual: Number(e.target.value) } })}
          sx={{ minWidth: 110 }}
        >
          {DAYS.map((_, i) => (
            <MenuItem key={i} value={i + 1}>
              {i + 1}
            </MenuItem>
          ))}
        </TextField>
      )}
    </>
  )
}

/** Her own words for the client's sheet, kept while they are typed and set when the field is left. */
function OwnWords({
  context,
  part,
  product,
  now,
}: {
  context: VisitContext
  part: Part
  product: string
  now: Changed
}) {
  const { work } = context
  const pointer = `/steps/${part}/${product}/words`
  const [half, setHalf] = kept(work, pointer)
  const text = half === '' ? now.words : half
  const set = () => {
    if (half === '') return
    work.change((d) => adjust(d, part, product, { words: half.trim() }))
    setHalf('')
  }
  return (
    <TextField
      label={say('regimen.ownWordsOnTheSheet')}
      size="small"
      value={text}
      placeholder={say('regimen.asComputed2')}
      onChange={(e) =>
        e.target.value === ''
          ? (setHalf(''), work.change((d) => adjust(d, part, product, { words: '' })))
          : setHalf(e.target.value)
      }
      onBlur={set}
      onKeyDown={(e) => {
        if (e.key === 'Enter') set()
        e.stopPropagation()
      }}
      slotProps={{ htmlInput: { maxLength: LONGEST_WORDS } }}
      sx={{ flex: 1, minWidth: 220 }}
    />
  )
}
