import { useMutation, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { Link } from 'react-router'
import { api, ask, Refused, type Schemas } from '../api/client'
import { keys } from '../api/hooks'
import { ErrorBand } from '../shared/States'
import { useKeptForm } from '../shared/form'
import { say } from '../words/say'
import '../words/client'

type Client = Schemas['Person']
type Typed = Pick<Client, 'name' | 'trade' | 'contact' | 'note'>

/** What is known of a client, to be changed; what is typed is kept until it is saved or given up. */
export function Details({
  client,
  close,
  erase,
}: {
  client: Client
  close: () => void
  /** asks to erase the whole record */
  erase: () => void
}) {
  const change = useChangeClient(client)
  const { name, trade, contact, note } = client
  const form = useKeptForm<Typed>('client', client.id, { name, trade, contact, note })
  const save = (edit: (typed: Typed) => Edit) =>
    form.submit(async (typed) => {
      await change.mutateAsync(edit(typed))
      form.leave()
      close()
    })
  const field = (of: keyof Typed, label: string, flex: number) => (
    <TextField label={label} multiline={of === 'note'} sx={{ flex, minWidth: 180 }} {...form.text(of)} />
  )
  return (
    <form
      className="band client-details"
      aria-label={say('client.details')}
      onSubmit={save(() => form.changed)}
    >
      <div className="row">
        {field('name', say('client.name'), 2)}
        {field('trade', say('client.trade'), 2)}
        {field('contact', say('client.contact'), 3)}
      </div>
      <div className="row">{field('note', say('client.toKeepInMindOfThePerson'), 1)}</div>
      {form.fault && <ErrorBand error={form.fault} />}
      <div className="row">
        <Button type="submit" variant="contained" disabled={form.busy}>
          {say('client.saveTheDetails')}
        </Button>
        <Button
          onClick={() => {
            form.leave()
            close()
          }}
        >
          {say('client.leaveAsTheyWere')}
        </Button>
        <span className="row" style={{ marginLeft: 'auto' }}>
          <Button component="a" href={`/api/clients/${client.id}/record`} download>
            {say('client.takeOutTheWholeRecord')}
          </Button>
          <Button component={Link} to={`/clients/${client.id}/files`}>
            {say('client.shelfFiles')}
          </Button>
          <Button onClick={() => save(() => ({ archived: !client.archived }))()}>
            {client.archived ? say('client.comesAgain') : say('client.noLongerComes')}
          </Button>
          <Button onClick={erase}>{say('client.eraseTheRecord')}</Button>
        </span>
      </div>
    </form>
  )
}

type Edit = Partial<Omit<Schemas['ClientDetails'], 'version'>>

/** Changes a client; what somebody else has changed in other fields meanwhile is kept as they have it. */
export function useChangeClient(client: Client) {
  const queries = useQueryClient()
  const put = (on: Client, edit: Edit) =>
    ask(
      api.PUT('/api/clients/{id}', {
        params: { path: { id: client.id } },
        body: {
          version: on.version,
          name: on.name,
          trade: on.trade,
          contact: on.contact,
          note: on.note,
          nextVisit: on.nextVisit ?? null,
          archived: !!on.archived,
          ...edit,
        },
      }),
    )
  return useMutation({
    mutationFn: async (edit: Edit) => {
      try {
        return await put(client, edit)
      } catch (failure) {
        const theirs = failure instanceof Refused ? (failure.theirs as Client | null) : null
        // only a field that both changed is a clash; the others are laid together
        if (!theirs || Object.keys(edit).some((f) => bothChanged(f, client, theirs))) throw failure
        return put(theirs, edit)
      }
    },
    onSuccess: (now) => {
      queries.setQueryData(keys.client(client.id), now)
      void queries.invalidateQueries({ queryKey: ['client'] })
      void queries.invalidateQueries({ queryKey: keys.desk })
      void queries.invalidateQueries({ queryKey: ['visit'] })
    },
    onError: () => void queries.invalidateQueries({ queryKey: ['client'] }),
  })
}

function bothChanged(field: string, base: Client, theirs: Client) {
  const before = base[field as keyof Client]
  const now = theirs[field as keyof Client]
  return field === 'archived' ? !before !== !now : (before ?? null) !== (now ?? null)
}
