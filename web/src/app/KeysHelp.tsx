import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { say } from '../words/say'

const KEYS: [string, string][] = [
  [say('app.alt1To4'), say('app.talkReadRegimenSheet')],
  [say('app.altD'), say('app.theDesk')],
  ['/', say('app.findAClient2')],
  [say('app.ctrlZCtrlShiftZ'), say('app.inAVisitUndoRedo')],
  [say('app.zeroToFour'), say('app.readGradeTheZone')],
  [say('app.arrows'), say('app.readNextZoneRegimenNextStep')],
  ['[  ]', say('app.readOtherSign')],
  ['M', say('app.readBothSidesAlike')],
  ['R', say('app.readTheRestIsNone')],
  ['L', say('app.readAsLastTime')],
  ['H', say('app.readSeenFeltTold')],
  ['Z', say('app.readUndo')],
  [say('app.delete'), say('app.readNotLookedAt')],
  [say('app.arrows'), say('app.nightsNextEvening')],
  [say('app.enter'), say('app.regimenOpenTheStep')],
  [say('app.esc'), say('app.regimenCloseIt')],
  [say('app.shiftAndArrows'), say('app.regimenMoveTheStep')],
  ['K', say('app.regimenKeepTheStepOrLetIt')],
  [say('app.delete'), say('app.regimenTakeTheStepOut')],
  ['P', say('app.sheetPrint')],
  ['?', say('app.theseKeys')],
]

/** Every key in one list. */
export function KeysHelp({ close }: { close: () => void }) {
  return (
    <Dialog open onClose={close} aria-labelledby="keys-title">
      <DialogTitle id="keys-title" sx={{ fontFamily: 'var(--head)', fontWeight: 650 }}>
        {say('app.keys2')}
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
          {say('app.close')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
