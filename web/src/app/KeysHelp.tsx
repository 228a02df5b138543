import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'

const KEYS: [string, string][] = [
  ['Alt 1 to 4', 'Talk, Read, Regimen, Sheet'],
  ['Alt D', 'the desk'],
  ['/', 'find a client'],
  ['Ctrl Z, Ctrl Shift Z', 'in a visit: undo, redo'],
  ['0 to 4', 'Read: grade the zone'],
  ['arrows', 'Read: next zone. Regimen: next step'],
  ['[  ]', 'Read: other sign'],
  ['M', 'Read: both sides alike'],
  ['R', 'Read: the rest is none'],
  ['L', 'Read: as last time'],
  ['H', 'Read: seen, felt, told'],
  ['Z', 'Read: undo'],
  ['Delete', 'Read: not looked at'],
  ['Enter', 'Regimen: open the step'],
  ['Esc', 'Regimen: close it'],
  ['Shift and arrows', 'Regimen: move the step'],
  ['K', 'Regimen: keep the step, or let it go'],
  ['Delete', 'Regimen: take the step out'],
  ['P', 'Sheet: print'],
  ['?', 'these keys'],
]

/** Every key in one list. */
export function KeysHelp({ open, close }: { open: boolean; close: () => void }) {
  return (
    <Dialog open={open} onClose={close} aria-labelledby="keys-title">
      <DialogTitle id="keys-title" sx={{ fontFamily: 'var(--head)', fontWeight: 650 }}>
        Keys
      </DialogTitle>
      <DialogContent>
        <table>
          <tbody>
            {KEYS.map(([key, what]) => (
              <tr key={key}>
                <th scope="row" style={{ textAlign: 'left', padding: '4px 16px 4px 0' }}>
                  <kbd>{key}</kbd>
                </th>
                <td>{what}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </DialogContent>
      <DialogActions>
        <Button onClick={close} autoFocus>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  )
}
