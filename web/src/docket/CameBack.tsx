import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { putAway, useOutbox } from '../api/outbox'
import { timeWords } from '../shared/format'
import { say } from '../words/say'
import '../words/app'
import '../words/docket'

/** What was done without a connection and refused later, each with its why. */
export function CameBack({ close }: { close: () => void }) {
  const { returned } = useOutbox()
  return (
    <Dialog open onClose={close} aria-labelledby="returned-title">
      <DialogTitle id="returned-title" sx={{ fontFamily: 'var(--head)', fontWeight: 650 }}>
        {say('docket.whatCouldNotBeSaved')}
      </DialogTitle>
      <DialogContent>
        <p>{say('docket.theseWereDoneWhileOutfellDidNot')}</p>
        <ul>
          {returned.map((r) => (
            <li key={r.id} className="row">
              <span>
                {timeWords(local(r.at))}: {r.sentence}
              </span>
              <Button size="small" onClick={() => putAway(r.id)}>
                {say('docket.seen')}
              </Button>
            </li>
          ))}
        </ul>
      </DialogContent>
      <DialogActions>
        <Button onClick={close}>{say('app.close')}</Button>
      </DialogActions>
    </Dialog>
  )
}

const local = (ms: number) =>
  new Date(ms - new Date(ms).getTimezoneOffset() * 60_000).toISOString().slice(0, 19)
