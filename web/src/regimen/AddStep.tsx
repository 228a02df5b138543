import { useState } from 'react'
import { useMutation } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import { api, ask, Refused, type Part } from '../api/client'
import { useShelf } from '../api/hooks'
import type { Picked } from '../products/ProductPicker'
import { later } from '../shared/later'
import type { VisitContext } from '../visit/VisitShell'
import { useTyped } from '../shared/typed'
import { putIn, putInAgainst } from './byHandEdits'
import { say } from '../words/say'
import '../words/regimen'

const ProductPicker = later(
  () => import('../products/ProductPicker'),
  (m) => m.ProductPicker,
)

/** Longest reason, in letters. */
const LONGEST = 200

/** Puts any product into a routine by hand; what a rule forbids is refused with the reason, and a rule that is no ban gives way to hers. */
export function AddStep({ context, part }: { context: VisitContext; part: Part }) {
  const [open, setOpen] = useState(false)
  const [product, setProduct] = useState<Picked | null>(null)
  const { visit, work } = context
  const shelf = useShelf(visit.client)
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
  // a rule that is no ban gives way to a reason
  const against = add.error instanceof Refused && add.error.code === 'against-a-rule'
  const [kept, keep, forget] = useTyped<{ why?: string }>(`overrule-${part}`, visit.id)
  const typed = kept?.why ?? ''
  const why = typed.trim()
  const close = () => {
    setOpen(false)
    add.reset()
  }
  const overrule = (id: string) => {
    work.change((d) => putInAgainst(d, part, id, why))
    forget()
    setProduct(null)
    close()
  }
  return (
    <>
      <Button
        onClick={() => setOpen(true)}
        aria-label={say('regimen.addStepToThe', { toLowerCase: part.toLowerCase() })}
      >
        {say('regimen.addStep')}
      </Button>
      <Dialog open={open} onClose={close} fullWidth maxWidth="sm" aria-labelledby={`add-${part}`}>
        <DialogTitle id={`add-${part}`} sx={{ fontFamily: 'var(--head)', fontWeight: 650 }}>
          {say('regimen.addToThe', { toLowerCase: part.toLowerCase() })}
        </DialogTitle>
        <DialogContent>
          <div style={{ marginTop: 8 }}>
            <ProductPicker
              label={say('regimen.product')}
              autoFocus
              helperText={say('regimen.itsPlaceIsComputed')}
              value={product}
              pick={(next) => {
                setProduct(next)
                add.reset()
              }}
              shelves={[
                { from: say('regimen.ownShelf'), products: (shelf.data ?? []).map((i) => i.product) },
              ]}
            />
          </div>
          {add.isError && (
            <p role="alert" className="refusal">
              {add.error.message}
            </p>
          )}
          {against && (
            <TextField
              label={say('regimen.whyAllTheSame')}
              fullWidth
              margin="normal"
              slotProps={{ htmlInput: { maxLength: LONGEST } }}
              value={typed}
              onChange={(e) => keep({ why: e.target.value })}
              helperText={say('regimen.overruleStays')}
            />
          )}
        </DialogContent>
        <DialogActions>
          <Button onClick={close}>{say('regimen.notNow')}</Button>
          {against ? (
            <Button
              variant="contained"
              disabled={!product || why === ''}
              onClick={() => product && overrule(product.id)}
            >
              {say('regimen.allTheSame')}
            </Button>
          ) : (
            <Button
              variant="contained"
              disabled={!product || add.isPending}
              onClick={() => product && add.mutate(product.id)}
            >
              {say('regimen.putItIn')}
            </Button>
          )}
        </DialogActions>
      </Dialog>
    </>
  )
}
