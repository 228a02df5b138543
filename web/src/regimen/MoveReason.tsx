import { useState } from 'react'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import { Why } from '../shared/Why'
import type { Asking } from './useMove'
import { say } from '../words/say'

const LONGEST = 200

/** What speaks against a place, and her reason for it all the same; it stays on the plan. */
export function MoveReason({
  asking,
  settle,
  leave,
}: {
  asking: Asking
  settle: (why: string) => void
  leave: () => void
}) {
  const [why, setWhy] = useState('')
  const { step, to, shift } = asking
  return (
    <Dialog open onClose={leave} fullWidth maxWidth="sm" aria-labelledby="move-title">
      <form
        onSubmit={(e) => {
          e.preventDefault()
          if (why.trim() !== '') settle(why.trim())
        }}
      >
        <DialogTitle id="move-title" sx={{ fontFamily: 'var(--head)', fontWeight: 650 }}>
          {step.name} {shift.allowed ? say('regimen.asStep', { to }) : say('regimen.cannotBeStep', { to })}
        </DialogTitle>
        <DialogContent>
          <ul className="dots">
            {shift.against.map((b) => (
              <li key={b.sentence}>
                <Why because={b} />
              </li>
            ))}
          </ul>
          {shift.allowed && (
            <TextField
              label={say('regimen.whyAllTheSame')}
              value={why}
              autoFocus
              fullWidth
              margin="normal"
              helperText={say('regimen.itStaysOnThePlanBesideThe')}
              onChange={(e) => setWhy(e.target.value)}
              slotProps={{ htmlInput: { maxLength: LONGEST } }}
            />
          )}
        </DialogContent>
        <DialogActions>
          <Button onClick={leave} autoFocus={!shift.allowed}>
            {say('regimen.leaveItWhereItIs')}
          </Button>
          {shift.allowed && (
            <Button type="submit" variant="contained" disabled={why.trim() === ''}>
              {say('regimen.moveIt')}
            </Button>
          )}
        </DialogActions>
      </form>
    </Dialog>
  )
}
