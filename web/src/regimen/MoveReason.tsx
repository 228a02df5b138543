import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import { useKeptForm } from '../shared/form'
import { Why } from '../shared/Why'
import type { Asking } from './useMove'
import { say } from '../words/say'
import '../words/regimen'

const LONGEST = 200

/** What speaks against a place, and her reason for it all the same; it stays on the plan. */
export function MoveReason({
  of,
  asking,
  settle,
  leave,
}: {
  /** the visit at which it is moved */
  of: string
  asking: Asking
  settle: (why: string) => void
  leave: () => void
}) {
  const { part, step, to, shift } = asking
  const form = useKeptForm(`move-${part}-${step.product}`, of, { why: '' })
  return (
    <Dialog open onClose={leave} fullWidth maxWidth="sm" aria-labelledby="move-title">
      <form
        onSubmit={form.submit(({ why }) => {
          if (why.trim() !== '') {
            settle(why.trim())
            form.leave()
          }
          return Promise.resolve()
        })}
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
              autoFocus
              fullWidth
              margin="normal"
              slotProps={{ htmlInput: { maxLength: LONGEST } }}
              {...form.text('why')}
              helperText={say('regimen.itStaysOnThePlanBesideThe')}
            />
          )}
        </DialogContent>
        <DialogActions>
          <Button onClick={leave} autoFocus={!shift.allowed}>
            {say('regimen.leaveItWhereItIs')}
          </Button>
          {shift.allowed && (
            <Button type="submit" variant="contained" disabled={form.now.why.trim() === ''}>
              {say('regimen.moveIt')}
            </Button>
          )}
        </DialogActions>
      </form>
    </Dialog>
  )
}
