import { useNavigate } from 'react-router'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { api, ask, type Schemas } from '../api/client'
import { useErasure } from '../api/hooks'
import { ErrorBand, Fetching } from '../shared/States'
import { forgetAbout } from '../shared/typed'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'
import { say } from '../words/say'
import '../words/client'

/** Erases a whole record, after it was said what goes, what stays and why. */
export function Erase({
  client,
  visits,
  close,
}: {
  client: Schemas['Person']
  /** ids of the visits, for what is typed about them on this machine */
  visits: string[]
  close: () => void
}) {
  const navigate = useNavigate()
  const queries = useQueryClient()
  const [who] = useWho()
  const erasure = useErasure(client.id, true)
  const erase = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/clients/{id}/erasure', {
          params: { path: { id: client.id } },
          body: { version: client.version, who },
        }),
      ),
    onSuccess: () => {
      // what this machine has kept of the client goes too
      queries.clear()
      forgetAbout([client.id, ...visits])
      void navigate('/')
    },
  })
  return (
    <Dialog open onClose={close} maxWidth="md" aria-labelledby="erase-title">
      <DialogTitle id="erase-title" sx={{ fontFamily: 'var(--head)', fontWeight: 650 }}>
        {say('client.eraseTheRecordOf', { name: client.name })}
      </DialogTitle>
      <DialogContent>
        {erasure.isPending && <Fetching what={say('client.whatWouldGo')} />}
        {erasure.isError && <ErrorBand error={erasure.error} />}
        {erasure.data && (
          <>
            <h3>{say('client.goesAndCannotBeBroughtBackHere')}</h3>
            <ul className="plain">
              {erasure.data.goes.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
            <h3>{say('client.staysAndWhy')}</h3>
            <ul className="plain">
              {erasure.data.stays.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
            <Who label={say('client.erasedBy')} />
          </>
        )}
        {erase.isError && <ErrorBand error={erase.error} />}
      </DialogContent>
      <DialogActions>
        <Button onClick={close} autoFocus>
          {say('client.keepTheRecord')}
        </Button>
        <Button
          color="error"
          disabled={!erasure.data || who.trim() === '' || erase.isPending}
          onClick={() => erase.mutate()}
        >
          {say('client.eraseIt')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
