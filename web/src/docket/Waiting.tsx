import { useState } from 'react'
import Button from '@mui/material/Button'
import { useOutbox } from '../api/outbox'
import { say } from '../words/say'
import '../words/app'
import { later } from '../shared/later'

const CameBack = later(
  () => import('./onRequest'),
  (m) => m.CameBack,
)

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
      {open && <CameBack close={() => setOpen(false)} />}
    </>
  )
}
