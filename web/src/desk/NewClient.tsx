import { useForm } from 'react-hook-form'
import { useNavigate } from 'react-router'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { api, ask, Refused } from '../api/client'
import { keys } from '../api/hooks'
import { ErrorBand } from '../shared/States'

type Form = { name: string; trade: string; nextVisit: string }

/** Adds a client and begins the first visit. */
export function NewClient({ close }: { close: () => void }) {
  const navigate = useNavigate()
  const queries = useQueryClient()
  const form = useForm<Form>({ defaultValues: { name: '', trade: '', nextVisit: '' } })
  const add = useMutation({
    mutationFn: async (values: Form) => {
      const client = await ask(
        api.POST('/api/clients', {
          body: { name: values.name, trade: values.trade, nextVisit: values.nextVisit || null },
        }),
      )
      return ask(api.POST('/api/clients/{client}/visits', { params: { path: { client: client.id } } }))
    },
    onSuccess: (visit) => {
      void queries.invalidateQueries({ queryKey: keys.desk })
      void navigate(`/visits/${visit.id}/talk`)
    },
    onError: (failure) => {
      if (failure instanceof Refused) {
        failure.fields.forEach((f) =>
          form.setError(f.pointer.slice(1) as keyof Form, { message: f.sentence }),
        )
      }
    },
  })
  const errors = form.formState.errors
  return (
    <form
      className="band desk-new"
      aria-label="New client"
      onSubmit={(e) => void form.handleSubmit((values) => add.mutate(values))(e)}
    >
      <TextField
        label="Name"
        autoFocus
        error={!!errors.name}
        helperText={errors.name?.message}
        {...form.register('name')}
      />
      <TextField
        label="Trade"
        error={!!errors.trade}
        helperText={errors.trade?.message}
        {...form.register('trade')}
      />
      <TextField
        label="Next visit"
        type="datetime-local"
        slotProps={{ inputLabel: { shrink: true } }}
        error={!!errors.nextVisit}
        helperText={errors.nextVisit?.message}
        {...form.register('nextVisit')}
      />
      <Button type="submit" variant="contained" disabled={add.isPending}>
        Add and begin
      </Button>
      <Button type="button" onClick={close}>
        Not now
      </Button>
      {add.isError && !(add.error instanceof Refused && add.error.fields.length > 0) && (
        <ErrorBand error={add.error} />
      )}
    </form>
  )
}
