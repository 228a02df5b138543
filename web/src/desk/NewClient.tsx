import { useNavigate } from 'react-router'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { api, ask, Refused } from '../api/client'
import { keys } from '../api/hooks'
import { DateTimeField } from '../shared/DateField'
import { ErrorBand } from '../shared/States'
import { useTyped } from '../shared/typed'
import { say } from '../words/say'

/** With the id that the client is to have: sent twice, it is added once. */
type Typed = { id: string; name: string; trade: string; nextVisit: string }

const fresh = (): Typed => ({ id: crypto.randomUUID(), name: '', trade: '', nextVisit: '' })

/** Adds a client and begins the first visit. What is typed outlives a reload. */
export function NewClient({ close }: { close: () => void }) {
  const navigate = useNavigate()
  const queries = useQueryClient()
  const [typed, keep] = useTyped<Typed>('new-client', '')
  const now = typed ?? fresh()
  const add = useMutation({
    mutationFn: async (values: Typed) => {
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
  const refused = add.error instanceof Refused ? add.error : null
  const field = (name: 'name' | 'trade') => {
    const problem = refused?.fields.find((f) => f.pointer === `/${name}`)?.sentence
    return {
      value: now[name],
      error: !!problem,
      helperText: problem,
      onChange: (e: { target: { value: string } }) => keep({ ...now, [name]: e.target.value }),
    }
  }
  return (
    <form
      className="band desk-new"
      aria-label={say('desk.newClient')}
      onSubmit={(e) => {
        e.preventDefault()
        add.mutate(now)
      }}
    >
      <TextField label={say('desk.name')} autoFocus {...field('name')} />
      <TextField label={say('desk.trade')} {...field('trade')} />
      <DateTimeField
        label={say('desk.nextVisit')}
        value={now.nextVisit}
        pick={(nextVisit) => keep({ ...now, nextVisit })}
        error={refused?.fields.find((f) => f.pointer === '/nextVisit')?.sentence}
      />
      <Button type="submit" variant="contained" disabled={add.isPending}>
        {say('desk.addAndBegin')}
      </Button>
      <Button type="button" onClick={close}>
        {say('desk.notNow')}
      </Button>
      {add.isError && !(refused && refused.fields.length > 0) && <ErrorBand error={add.error} />}
    </form>
  )
}
