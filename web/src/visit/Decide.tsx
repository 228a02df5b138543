import { useState, type ReactNode } from 'react'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'
import { kept } from './kept'
import { useVisitContext } from './VisitShell'
import { say } from '../words/say'
import '../words/visit'

/** A decision by hand: what, who and why; nothing counts before all three are there. */
export function Decide({
  pointer,
  question,
  options,
  decide,
  close,
}: {
  /** where half-typed words are kept */
  pointer: string
  question: string
  options: { value: string; label: ReactNode }[]
  decide: (value: string, who: string, why: string) => void
  close: () => void
}) {
  const { work } = useVisitContext()
  const [me] = useWho()
  const [value, setValue] = useState<string | null>(options.length === 1 ? (options[0]?.value ?? null) : null)
  const [why, setWhy] = kept(work, pointer)
  const ready = value !== null && me.trim() !== '' && why.trim() !== ''
  return (
    <form
      className="decide"
      aria-label={question}
      onSubmit={(e) => {
        e.preventDefault()
        if (!ready) return
        decide(value, me.trim(), why.trim())
        setWhy('')
        close()
      }}
    >
      <ToggleButtonGroup
        exclusive
        value={value}
        aria-label={question}
        sx={{ flexWrap: 'wrap' }}
        onChange={(_, next: string | null) => next !== null && setValue(next)}
      >
        {options.map((o) => (
          <ToggleButton key={o.value} value={o.value}>
            {o.label}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <TextField
        label={say('visit.why')}
        value={why}
        fullWidth
        onChange={(e) => setWhy(e.target.value)}
        slotProps={{ htmlInput: { maxLength: 500 } }}
      />
      <div className="row">
        <Who />
        <Button type="submit" disabled={!ready}>
          {say('visit.itStands')}
        </Button>
        <Button onClick={close}>{say('visit.leaveIt')}</Button>
      </div>
    </form>
  )
}
