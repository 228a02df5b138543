import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import type { Schemas } from '../api/client'
import { useProductChange } from '../api/hooks'
import { useMoney } from '../shared/money'
import { useKeptForm } from '../shared/form'
import { ErrorBand } from '../shared/States'
import { numberFrom } from '../shared/numbers'
import { NumberText } from '../shared/NumberText'
import { UNITS } from './LabelForm'
import { say } from '../words/say'
import '../words/products'

type Typed = { name: string; maker: string; size: string; unit: string; price: string; label: string }

/** A new name, price or formula. What is typed is kept on this machine until it is saved. */
export function EditForm({
  detail,
  who,
  close,
}: {
  detail: Schemas['Detail']
  who: string
  close: () => void
}) {
  const { product } = detail
  const money = useMoney()
  const { edit } = useProductChange(product.id)
  const form = useKeptForm<Typed>(
    'product',
    product.id,
    {
      name: product.name,
      maker: product.maker,
      size: String(product.size),
      unit: product.unit,
      price: String(product.price),
      label: detail.label,
    },
    '/product',
  )
  const save = form.submit(async (typed) => {
    await edit.mutateAsync({
      product: {
        ...typed,
        size: numberFrom(typed.size) ?? 0,
        price: numberFrom(typed.price) ?? 0,
        kind: null,
        texture: null,
        prescription: product.prescription,
      },
      who,
      version: detail.version,
    })
    form.leave()
    close()
  })
  return (
    <form className="band label-typed" aria-label={say('products.changeTheProduct')} onSubmit={save}>
      <div className="row">
        <TextField
          label={say('products.nameOnThePack')}
          autoFocus
          sx={{ flex: 3, minWidth: 220 }}
          {...form.text('name')}
        />
        <TextField label={say('products.maker')} sx={{ flex: 2, minWidth: 150 }} {...form.text('maker')} />
        <NumberText label={say('products.size')} width={90} {...form.number('size')} />
        <TextField label={say('products.unit')} select sx={{ width: 92 }} {...form.pick('unit')}>
          {UNITS.map((u) => (
            <MenuItem key={u} value={u}>
              {u}
            </MenuItem>
          ))}
        </TextField>
        <NumberText
          label={say('products.price', { sign: money.sign })}
          width={96}
          {...form.number('price')}
        />
      </div>
      <TextField
        label={say('products.ingredientListAsPrinted')}
        multiline
        minRows={3}
        maxRows={10}
        fullWidth
        {...form.text('label')}
      />
      <p className="second">{say('products.anotherIngredientListMakesANewFormula')}</p>
      {form.fault && <ErrorBand error={form.fault} />}
      <div className="row">
        <Button type="submit" variant="contained" disabled={form.busy}>
          {say('products.saveTheChange')}
        </Button>
        <Button
          onClick={() => {
            form.leave()
            close()
          }}
        >
          {say('products.leaveAsItWas')}
        </Button>
      </div>
    </form>
  )
}
