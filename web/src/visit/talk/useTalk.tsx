import type { Intake } from '../../api/client'
import { useBefore } from '../../api/hooks'
import { NumberField } from '../Ask'
import { useVisitContext } from '../VisitShell'
import { was } from '../was'

export type Assumable = NonNullable<Intake['assumed']>[number]

/** The field by which the server calls one that stands at its usual value: outdoorHours is OUTDOOR_HOURS. */
const assumableOf = (field: string) => field.replace(/[A-Z]/g, (c) => `_${c}`).toUpperCase()

/** What is asked before the skin is read: as it stands, as it was at the visit before, and how it is changed. */
export function useTalk() {
  const context = useVisitContext()
  const { visit, work } = context
  const last = useBefore(visit.id).data
  const before = last?.intake
  const intake = work.draft.document.intake
  const assumed = intake.assumed ?? []
  /** What is said is no longer assumed. */
  const set = (edit: Partial<Intake>) =>
    work.change((d) => {
      const said = Object.keys(edit).map(assumableOf)
      const left = (d.intake.assumed ?? []).filter((a) => !said.includes(a))
      return { ...d, intake: { ...d.intake, ...edit, assumed: left } }
    })
  return {
    context,
    last,
    before,
    intake,
    set,
    isAssumed: (field: keyof Intake) => assumed.includes(assumableOf(field) as Assumable),
    /** which of some fields nobody was asked */
    assumedOf: (fields: (keyof Intake)[]) =>
      assumed.filter((a) => fields.some((field) => assumableOf(field) === a)),
    /** they are as they stand: the client was asked */
    confirm: (fields: Assumable[]) =>
      work.change((d) => ({
        ...d,
        intake: { ...d.intake, assumed: (d.intake.assumed ?? []).filter((a) => !fields.includes(a)) },
      })),
  }
}

export type Talking = ReturnType<typeof useTalk>

/** The numbers of the talk that are always there. */
type Numbered =
  'outdoorHours' | 'makeUpDays' | 'sunscreenDays' | 'morningMinutes' | 'eveningMinutes' | 'mostSteps'

/** A number that always stands, at its usual value until it is asked. */
export function TalkNumber({
  talk,
  label,
  field,
  width,
}: {
  talk: Talking
  label: string
  field: Numbered
  width?: number
}) {
  const { context, before, intake, set, isAssumed } = talk
  return (
    <NumberField
      label={label}
      pointer={`/intake/${field}`}
      value={intake[field]}
      work={context.work}
      set={(value) => set({ [field]: value })}
      was={was(before, intake, field, String)}
      assumed={isAssumed(field)}
      width={width}
    />
  )
}

/** A number that stands when somebody gave it. */
export function TalkMaybe({
  talk,
  label,
  field,
  width,
}: {
  talk: Talking
  label: string
  field: 'birthYear' | 'budget'
  width: number
}) {
  const { context, before, intake, set } = talk
  return (
    <NumberField
      label={label}
      pointer={`/intake/${field}`}
      value={intake[field] ?? null}
      work={context.work}
      set={(value) => set({ [field]: value })}
      clear={() => set({ [field]: null })}
      was={was(before, intake, field, (v) => String(v ?? ''))}
      width={width}
    />
  )
}
