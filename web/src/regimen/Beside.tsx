import Button from '@mui/material/Button'
import Chip from '@mui/material/Chip'
import ListSubheader from '@mui/material/ListSubheader'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import type { Step } from '../api/client'
import { kept } from '../visit/kept'
import type { VisitContext } from '../visit/VisitShell'
import type { ByHandChange, StepByHand } from './byHandEdits'
import { say } from '../words/say'
import '../words/regimen'

type Then = NonNullable<StepByHand['then']>[number]

const LONGEST = 200

const key = (t: Then) => `${t.again ?? ''}|${t.alone ?? ''}`

/** What stands beside a step: another one again after it, or a step without a product. */
export function Beside({
  context,
  step,
  steps,
  now,
  change,
}: {
  context: VisitContext
  step: Step
  /** of its routine */
  steps: Step[]
  now: StepByHand
  change: (next: ByHandChange) => void
}) {
  const alone = context.words.weeks.alone
  const then = now.then ?? []
  const label = (t: Then) =>
    t.alone
      ? (alone.find((a) => a.id === t.alone)?.label ?? t.alone)
      : say('regimen.nameAgain', { name: steps.find((s) => s.product === t.again)?.name ?? t.again ?? '' })
  const free = (t: Then) => then.every((other) => key(other) !== key(t))
  const choices: Then[] = [
    ...steps.filter((s) => s.product !== step.product).map((s) => ({ again: s.product })),
    ...alone.map((a) => ({ alone: a.id })),
  ].filter(free)
  return (
    <>
      <TextField
        select
        label={say('regimen.besideIt')}
        size="small"
        value=""
        onChange={(e) => {
          const chosen = choices.find((t) => key(t) === e.target.value)
          if (chosen) change({ then: [...then, chosen] })
        }}
        sx={{ minWidth: 190 }}
        slotProps={{
          select: { displayEmpty: true, renderValue: () => say('regimen.putBesideIt') },
          inputLabel: { shrink: true },
        }}
      >
        <ListSubheader>{say('regimen.onceMoreAfterIt')}</ListSubheader>
        {choices
          .filter((t) => t.again)
          .map((t) => (
            <MenuItem key={key(t)} value={key(t)}>
              {label(t)}
            </MenuItem>
          ))}
        <ListSubheader>{say('regimen.withoutAProduct')}</ListSubheader>
        {choices
          .filter((t) => t.alone)
          .map((t) => (
            <MenuItem key={key(t)} value={key(t)}>
              {label(t)}
            </MenuItem>
          ))}
      </TextField>
      {then.map((t) => (
        <Chip
          key={key(t)}
          label={label(t)}
          onDelete={() => change({ then: then.filter((other) => key(other) !== key(t)) })}
        />
      ))}
    </>
  )
}

/** What a rule holds back for now, put in all the same by her reason, which stays with the step. */
export function AllTheSame({
  context,
  of,
  put,
}: {
  context: VisitContext
  /** which step: what is typed is kept by it */
  of: string
  put: (why: string) => void
}) {
  const [why, setWhy] = kept(context.work, `/steps/${of}/overrule`)
  return (
    <span className="row">
      <TextField
        label={say('regimen.whyAllTheSame')}
        size="small"
        value={why}
        onChange={(e) => setWhy(e.target.value)}
        onKeyDown={(e) => e.stopPropagation()}
        slotProps={{ htmlInput: { maxLength: LONGEST } }}
        sx={{ minWidth: 260 }}
      />
      <Button disabled={why.trim() === ''} onClick={() => (put(why.trim()), setWhy(''))}>
        {say('regimen.allTheSame')}
      </Button>
    </span>
  )
}
