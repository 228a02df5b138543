import Button from '@mui/material/Button'
import type { Schemas } from '../api/client'
import { DateTimeField } from '../shared/DateField'
import { dateWords, timeWords } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { useTyped } from '../shared/typed'
import { useChangeClient } from './Details'

/** The next visit, set and changed in one place. */
export function NextVisit({ client }: { client: Schemas['Person'] }) {
  const [typed, keep, forget] = useTyped<string>('next-visit', client.id)
  const save = useChangeClient(client, forget)
  const agreed = client.nextVisit ?? ''
  const value = typed ?? agreed
  return (
    <form
      className="next-visit"
      aria-label="Next visit"
      onSubmit={(e) => {
        e.preventDefault()
        save.mutate({ nextVisit: value === '' ? null : value })
      }}
    >
      <p>
        <b>{agreed === '' ? 'None agreed' : `${dateWords(agreed)}, ${timeWords(agreed)}`}</b>
        {agreed !== '' && agreed < now() && <span className="second"> has passed</span>}
      </p>
      <div className="row">
        <DateTimeField label="Next visit" value={value} pick={keep} />
        <Button type="submit" disabled={save.isPending || value === agreed}>
          Agree it
        </Button>
        {agreed !== '' && (
          <Button disabled={save.isPending} onClick={() => save.mutate({ nextVisit: null })}>
            Take it back
          </Button>
        )}
      </div>
      {save.isError && <ErrorBand error={save.error} />}
    </form>
  )
}

const now = () => new Date(Date.now() - new Date().getTimezoneOffset() * 60_000).toISOString().slice(0, 19)
