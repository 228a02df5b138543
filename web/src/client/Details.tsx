import { useMutation, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { Link } from 'react-router'
import { api, ask, Refused, type Schemas } from '../api/client'
import { keys } from '../api/hooks'
import { ErrorBand } from '../shared/States'
import { useTyped } from '../shared/typed'
import { say } from '../words/say'

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
  const [typed, keep, forget] = useTyped<Partial<Typed>>('client', client.id)
  const save = useChangeClient(client, () => {
    forget()
    close()
  })
  const now = { ...client, ...typed }
  const refused = save.error instanceof Refused ? save.error : null
  const problem = (name: keyof Typed) => refused?.fields.find((f) => f.pointer === `/${name}`)?.sentence
  const field = (name: keyof Typed, label: string, flex: number) => (
    <TextField
      label={label}
      value={now[name]}
      error={!!problem(name)}
      helperText={problem(name)}
      multiline={name === 'note'}
      onChange={(e) => keep({ ...typed, [name]: e.target.value })}
      sx={{ flex, minWidth: 180 }}
    />
  )
  return (
    <form
      className="band client-details"
      aria-label={say('client.details')}
      onSubmit={(e) => {
        e.preventDefault()
        save.mutate(typed ?? {})
      }}
    >
      <div className="row">
        {field('name', 'Name', 2)}
        {field('trade', 'Trade', 2)}
        {field('contact', 'Contact', 3)}
      </div>
      <div className="row">{field('note', say('client.toKeepInMindOfThePerson'), 1)}</div>
      {save.isError && !(refused && refused.fields.length > 0) && <ErrorBand error={save.error} />}
      <div className="row">
        <Button type="submit" variant="contained" disabled={save.isPending}>
          {say('client.saveTheDetails')}
        </Button>
        <Button
          onClick={() => {
            forget()
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
          <Button onClick={() => save.mutate({ archived: !client.archived })}>
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
export function useChangeClient(client: Client, done?: () => void) {
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
      done?.()
    },
    onError: () => void queries.invalidateQueries({ queryKey: ['client'] }),
  })
}

function bothChanged(field: string, base: Client, theirs: Client) {
  const before = base[field as keyof Client]
  const now = theirs[field as keyof Client]
  return field === 'archived' ? !before !== !now : (before ?? null) !== (now ?? null)
}
