import Button from '@mui/material/Button'
import { say } from '../words/say'
import '../words/shared'

/** An error at its place: what happened, what is kept, one button. */
export function ErrorBand({ error, again }: { error: Error; again?: () => void }) {
  return (
    <div className="look" role="alert" style={{ margin: '12px 0' }}>
      <p>
        <b>{error.message}</b>
      </p>
      {again && (
        <Button onClick={again} sx={{ mt: 1 }}>
          {say('shared.tryAgain')}
        </Button>
      )}
    </div>
  )
}

/** A wait that names what it waits for. */
export function Fetching({ what }: { what: string }) {
  return (
    <p className="second" role="status" style={{ padding: 20 }}>
      {say('shared.fetching', { what })}
    </p>
  )
}
