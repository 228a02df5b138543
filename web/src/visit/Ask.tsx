import { useId, type ReactNode } from 'react'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { isHalfANumber } from '../shared/numbers'
import { NumberText } from '../shared/NumberText'
import { useOneStop } from '../shared/oneStop'
import type { VisitWork } from './useVisit'
import { say } from '../words/say'
import '../words/shared'
import '../words/visit'

/** What the server refused at one field, if anything. */
export const problemAt = (work: VisitWork, pointer: string) =>
  work.saving.state === 'refused'
    ? work.saving.fields.find((f) => f.pointer === pointer || f.pointer.startsWith(pointer + '/'))?.sentence
    : undefined

/** What was said at the visit before, where it differs. */
function Was({ was }: { was: string | undefined }) {
  return was === undefined ? null : (
    <span className="was">
      {say('visit.was')}
      {was || say('visit.notAsked')}
    </span>
  )
}

/** That an answer is the usual one, and nobody gave it. */
function Assumed({ assumed }: { assumed: boolean | undefined }) {
  return assumed ? <small className="assumed-word">{say('shared.assumed')}</small> : null
}

/** One question with one answer by one tap; what was only assumed is confirmed by a tap on it. */
export function Choose<T extends string>({
  question,
  value,
  options,
  choose,
  hint,
  was,
  assumed,
}: {
  question: string
  value: T | null
  options: { value: T; label: string }[]
  choose: (value: T) => void
  hint?: ReactNode
  /** what was answered at the visit before, when it differs */
  was?: string
  /** whether nobody was asked, and this is the usual answer */
  assumed?: boolean
}) {
  const id = useId()
  const stop = useOneStop<HTMLDivElement>()
  return (
    <div className="ask">
      <span>
        <span id={id}>
          {question} <Assumed assumed={assumed} />
        </span>{' '}
        <Was was={was} />
      </span>
      <ToggleButtonGroup
        {...stop}
        exclusive
        value={value}
        className={assumed ? 'assumed' : undefined}
        aria-labelledby={id}
        onChange={(_, next: T | null) => {
          if (next !== null) choose(next)
          else if (assumed && value !== null) choose(value)
        }}
      >
        {options.map((o) => (
          <ToggleButton key={o.value} value={o.value}>
            {o.label}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {hint && <p className="second">{hint}</p>}
    </div>
  )
}

/** One question with any number of answers. */
export function ChooseAny<T extends string>({
  question,
  value,
  options,
  choose,
  hint,
  was,
}: {
  question: string
  value: T[]
  options: { value: T; label: string }[]
  choose: (value: T[]) => void
  hint?: ReactNode
  /** what was answered at the visit before, when it differs */
  was?: string
}) {
  const id = useId()
  const stop = useOneStop<HTMLDivElement>()
  return (
    <div className="ask">
      <span>
        <span id={id}>{question}</span> <Was was={was} />
      </span>
      <div className="row" role="group" aria-labelledby={id} {...stop}>
        {options.map((o) => (
          <ToggleButton
            key={o.value}
            value={o.value}
            selected={value.includes(o.value)}
            onChange={() =>
              choose(value.includes(o.value) ? value.filter((v) => v !== o.value) : [...value, o.value])
            }
          >
            {o.label}
          </ToggleButton>
        ))}
      </div>
      {hint && <p className="second">{hint}</p>}
    </div>
  )
}

/** A number as typed; it becomes a value when it is one, and is kept as typed until then. */
export function NumberField({
  label,
  pointer,
  value,
  work,
  set,
  clear,
  was,
  assumed,
  unit,
  width = 150,
}: {
  label: string
  /** JSON pointer of the field in the visit */
  pointer: string
  value: number | null
  work: VisitWork
  set: (value: number) => void
  /** makes it "not asked"; absent when there must be a number */
  clear?: () => void
  /** what it was at the visit before, when it differs */
  was?: string
  /** whether nobody was asked, and this is the usual number */
  assumed?: boolean
  unit?: string
  width?: number
}) {
  const typed = work.draft.typed[pointer]
  const refused = problemAt(work, pointer)
  const still = value === null ? say('visit.noneCountsYet') : say('visit.theLastOneStillCounts', { value })
  const mistake =
    typed === undefined
      ? undefined
      : typed.trim() === ''
        ? say('visit.aNumberIsNeeded', { still })
        : say('visit.isNotANumber', { typed, still })
  return (
    <NumberText
      label={label}
      typed={typed ?? (value === null ? '' : String(value))}
      wrong={mistake}
      refused={typed === undefined ? refused : undefined}
      hint={was === undefined ? undefined : say('visit.was2', { value: was || say('visit.notAsked') })}
      unit={unit}
      width={width}
      assumed={assumed}
      slotProps={was !== undefined ? { formHelperText: { className: 'was' } } : undefined}
      change={(text) => {
        const number = isHalfANumber(text) ? NaN : Number(text.replace(',', '.'))
        if (text.trim() === '' && clear) {
          work.type(pointer, null)
          clear()
        } else if (text.trim() === '' || Number.isNaN(number)) {
          work.type(pointer, text)
        } else {
          work.type(pointer, null)
          set(number)
        }
      }}
    />
  )
}
