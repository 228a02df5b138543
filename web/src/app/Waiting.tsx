import { useState } from 'react'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { putAway, useOutbox } from '../api/outbox'
import { timeWords } from '../shared/format'
import { say } from '../words/say'

/** What waits to be sent, and what came back refused; nothing while everything is saved. */
export function Waiting() {
  const { waiting, returned } = useOutbox()
  const [open, setOpen] = useState(false)
  if (waiting.length === 0 && returned.length === 0) return null
  return (
    <>
      {waiting.length > 0 && (
        <span className="saving" role="status">
          {waiting.length === 1 ? say('app.1ChangeKept') : say('app.changesKept', { length: waiting.length })}
          {say('app.sentWhenOutfellAnswers')}
        </span>
      )}
      {returned.length > 0 && (
        <Button className="tb" onClick={() => setOpen(true)}>
          {returned.length === 1
            ? say('app.1ChangeCameBack')
            : say('app.changesCameBack', { length: returned.length })}
        </Button>
      )}
      <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="returned-title">
        <DialogTitle id="returned-title" sx={{ fontFamily: 'var(--head)', fontWeight: 650 }}>
          {say('app.whatCouldNotBeSaved')}
        </DialogTitle>
        <DialogContent>
          <p>{say('app.theseWereDoneWhileOutfellDidNot')}</p>
          <ul>
            {returned.map((r) => (
              <li key={r.id} className="row">
                <span>
                  {timeWords(local(r.at))}: {r.sentence}
                </span>
                <Button size="small" onClick={() => putAway(r.id)}>
                  {say('app.seen')}
                </Button>
              </li>
            ))}
          </ul>
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setOpen(false)}>{say('app.close')}</Button>
        </DialogActions>
      </Dialog>
    </>
  )
}

const local = (ms: number) =>
  new Date(ms - new Date(ms).getTimezoneOffset() * 60_000).toISOString().slice(0, 19)
