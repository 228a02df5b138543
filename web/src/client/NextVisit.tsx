import Button from '@mui/material/Button'
import type { Schemas } from '../api/client'
import { DateTimeField } from '../shared/DateField'
import { dateWords, timeWords } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { useTyped } from '../shared/typed'
import { useChangeClient } from './Details'
import { say } from '../words/say'

/** The next visit, set and changed in one place. */
export function NextVisit({ client }: { client: Schemas['Person'] }) {
  const [typed, keep, forget] = useTyped<string>('next-visit', client.id)
  const save = useChangeClient(client, forget)
  const agreed = client.nextVisit ?? ''
  const value = typed ?? agreed
  return (
    <form
      className="next-visit"
      aria-label={say('client.nextVisit')}
      onSubmit={(e) => {
        e.preventDefault()
        save.mutate({ nextVisit: value === '' ? null : value })
      }}
    >
      <p>
        <b>{agreed === '' ? say('client.noneAgreed') : `${dateWords(agreed)}, ${timeWords(agreed)}`}</b>
        {agreed !== '' && agreed < now() && <span className="second">{say('client.hasPassed')}</span>}
      </p>
      <div className="row">
        <DateTimeField label={say('client.nextVisit')} value={value} pick={keep} />
        <Button type="submit" disabled={save.isPending || value === agreed}>
          {say('client.agreeIt')}
        </Button>
        {agreed !== '' && (
          <Button disabled={save.isPending} onClick={() => save.mutate({ nextVisit: null })}>
            {say('client.takeItBack')}
          </Button>
        )}
      </div>
      {save.isError && <ErrorBand error={save.error} />}
    </form>
  )
}

const now = () => new Date(Date.now() - new Date().getTimezoneOffset() * 60_000).toISOString().slice(0, 19)
