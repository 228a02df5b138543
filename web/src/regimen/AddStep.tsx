import { useState } from 'react'
import { useMutation } from '@tanstack/react-query'
import Autocomplete from '@mui/material/Autocomplete'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import { api, ask, type Part } from '../api/client'
import { useProducts, useShelf } from '../api/hooks'
import type { VisitContext } from '../visit/VisitShell'
import { putIn } from './byHandEdits'

/** Puts any product into a routine by hand; what a rule forbids is refused with the reason. */
export function AddStep({ context, part }: { context: VisitContext; part: Part }) {
  const [open, setOpen] = useState(false)
  const [product, setProduct] = useState<{ id: string; label: string } | null>(null)
  const { visit, work } = context
  const house = useProducts()
  const shelf = useShelf(visit.client)
  const own = (shelf.data ?? []).map((i) => i.product)
  const options = [...own, ...(house.data ?? []).filter((p) => !own.some((o) => o.id === p.id))].map((p) => ({
    id: p.id,
    label: `${p.name} (${p.kindLabel})`,
  }))
  const add = useMutation({
    mutationFn: async (id: string) => {
      await work.settle()
      await ask(
        api.POST('/api/visits/{id}/choices/check', {
          params: { path: { id: visit.id } },
          body: { part, product: id },
        }),
      )
      return id
    },
    onSuccess: (id) => {
      work.change((d) => putIn(d, part, id))
      setOpen(false)
      setProduct(null)
    },
  })
  const close = () => {
    setOpen(false)
    add.reset()
  }
  return (
    <>
      <Button onClick={() => setOpen(true)} aria-label={`Add step to the ${part.toLowerCase()}`}>
        Add step
      </Button>
      <Dialog open={open} onClose={close} fullWidth maxWidth="sm" aria-labelledby={`add-${part}`}>
        <DialogTitle id={`add-${part}`} sx={{ fontFamily: 'var(--head)', fontWeight: 650 }}>
          Add to the {part.toLowerCase()}
        </DialogTitle>
        <DialogContent>
          <Autocomplete
            options={options}
            value={product}
            onChange={(_, next) => {
              setProduct(next)
              add.reset()
            }}
            isOptionEqualToValue={(a, b) => a.id === b.id}
            renderInput={(params) => (
              <TextField
                {...params}
                label="Product"
                autoFocus
                sx={{ mt: 1 }}
                helperText="Its place is computed."
              />
            )}
          />
          {add.isError && (
            <p role="alert" className="refusal">
              {add.error.message}
            </p>
          )}
        </DialogContent>
        <DialogActions>
          <Button onClick={close}>Not now</Button>
          <Button
            variant="contained"
            disabled={!product || add.isPending}
            onClick={() => product && add.mutate(product.id)}
          >
            Put it in
          </Button>
        </DialogActions>
      </Dialog>
    </>
  )
}
