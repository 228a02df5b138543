import { useNavigate } from 'react-router'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { api, ask } from '../api/client'
import { keys } from '../api/hooks'
import { DateTimeField } from '../shared/DateField'
import { ErrorBand } from '../shared/States'
import { useKeptForm } from '../shared/form'
import { say } from '../words/say'
import '../words/desk'

/** With the id that the client is to have, once it is sent: sent twice, it is added once. */
type Typed = { id: string; name: string; trade: string; nextVisit: string }

const NOTHING: Typed = { id: '', name: '', trade: '', nextVisit: '' }

/** Adds a client and begins the first visit. What is typed outlives a reload. */
export function NewClient({ close }: { close: () => void }) {
  const navigate = useNavigate()
  const queries = useQueryClient()
  const form = useKeptForm<Typed>('new-client', '', NOTHING)
  const add = useMutation({
    mutationFn: async (typed: Typed) => {
      const values = { ...typed, id: typed.id || crypto.randomUUID() }
      form.put({ id: values.id })
      const client = await ask(
        api.POST('/api/clients', { body: { ...values, nextVisit: values.nextVisit || null } }),
      )
      return ask(api.POST('/api/clients/{client}/visits', { params: { path: { client: client.id } } }))
    },
    onSuccess: (visit) => {
      close()
      void queries.invalidateQueries({ queryKey: keys.desk })
      void navigate(`/visits/${visit.id}/talk`)
    },
  })
  return (
    <form
      className="band desk-new"
      aria-label={say('desk.newClient')}
      onSubmit={form.submit((typed) => add.mutateAsync(typed))}
    >
      <TextField label={say('desk.name')} autoFocus {...form.text('name')} />
      <TextField label={say('desk.trade')} {...form.text('trade')} />
      <DateTimeField
        label={say('desk.nextVisit')}
        value={form.now.nextVisit}
        pick={(nextVisit) => form.put({ nextVisit })}
        error={form.errorOf('nextVisit')}
      />
      <Button type="submit" variant="contained" disabled={form.busy}>
        {say('desk.addAndBegin')}
      </Button>
      <Button type="button" onClick={close}>
        {say('desk.notNow')}
      </Button>
      {form.fault && <ErrorBand error={form.fault} />}
    </form>
  )
}
