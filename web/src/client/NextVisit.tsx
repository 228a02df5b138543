import Button from '@mui/material/Button'
import type { Schemas } from '../api/client'
import { DateTimeField } from '../shared/DateField'
import { dateWords, timeWords } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { useKeptForm } from '../shared/form'
import { useChangeClient } from './Details'
import { say } from '../words/say'
import '../words/client'

/** The next visit, set and changed in one place. */
export function NextVisit({ client }: { client: Schemas['Person'] }) {
  const agreed = client.nextVisit ?? ''
  const change = useChangeClient(client)
  const form = useKeptForm('next-visit', client.id, { nextVisit: agreed })
  const value = form.now.nextVisit
  const agree = (nextVisit: string | null) =>
    form.submit(async () => {
      await change.mutateAsync({ nextVisit })
      form.leave()
    })
  return (
    <form
      className="next-visit"
      aria-label={say('client.nextVisit')}
      onSubmit={agree(value === '' ? null : value)}
    >
      <p>
        <b>{agreed === '' ? say('client.noneAgreed') : `${dateWords(agreed)}, ${timeWords(agreed)}`}</b>
        {agreed !== '' && agreed < now() && <span className="second">{say('client.hasPassed')}</span>}
      </p>
      <div className="row">
        <DateTimeField
          label={say('client.nextVisit')}
          value={value}
          pick={(nextVisit) => form.put({ nextVisit })}
          error={form.errorOf('nextVisit')}
        />
        <Button type="submit" disabled={form.busy || value === agreed}>
          {say('client.agreeIt')}
        </Button>
        {agreed !== '' && (
          <Button disabled={form.busy} onClick={() => agree(null)()}>
            {say('client.takeItBack')}
          </Button>
        )}
      </div>
      {form.fault && <ErrorBand error={form.fault} />}
    </form>
  )
}

const now = () => new Date(Date.now() - new Date().getTimezoneOffset() * 60_000).toISOString().slice(0, 19)
