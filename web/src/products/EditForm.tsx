import { useForm } from 'react-hook-form'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { Refused, type Schemas } from '../api/client'
import { useMoney, useProductChange } from '../api/hooks'
import { useTyped } from '../shared/typed'
import { ErrorBand } from '../shared/States'
import { numberFrom } from '../shared/format'
import { UNITS } from './LabelForm'
import { say } from '../words/say'

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
  const [before, keep, forget] = useTyped<Partial<Typed>>('product', product.id)
  const { edit } = useProductChange(product.id)
  const form = useForm<Typed>({
    defaultValues: {
      name: product.name,
      maker: product.maker,
      size: String(product.size),
      unit: product.unit,
      price: String(product.price),
      label: detail.label,
      ...before,
    },
  })
  const field = (name: keyof Typed) => ({
    error: !!form.formState.errors[name],
    helperText: form.formState.errors[name]?.message,
    ...form.register(name, { onChange: () => keep(form.getValues()) }),
  })
  const save = form.handleSubmit(async (typed) => {
    const size = numberFrom(typed.size)
    const price = numberFrom(typed.price)
    if (size === null) form.setError('size', { message: say('products.isNotANumber', { size: typed.size }) })
    if (price === null)
      form.setError('price', { message: say('products.isNotANumber2', { price: typed.price }) })
    if (size === null || price === null) return
    try {
      await edit.mutateAsync({
        product: {
          ...typed,
          size,
          price,
          kind: null,
          texture: null,
          prescription: product.prescription,
        },
        who,
        version: detail.version,
      })
      forget()
      close()
    } catch (error) {
      if (!(error instanceof Refused)) return
      error.fields.forEach((f) => {
        const name = f.pointer.replace('/product', '').slice(1)
        if (name in typed) form.setError(name as keyof Typed, { message: f.sentence })
      })
    }
  })
  return (
    <form
      className="band label-typed"
      aria-label={say('products.changeTheProduct')}
      onSubmit={(e) => void save(e)}
    >
      <div className="row">
        <TextField
          label={say('products.nameOnThePack')}
          autoFocus
          sx={{ flex: 3, minWidth: 220 }}
          {...field('name')}
        />
        <TextField label={say('products.maker')} sx={{ flex: 2, minWidth: 150 }} {...field('maker')} />
        <TextField label={say('products.size')} sx={{ width: 90 }} {...field('size')} />
        <TextField
          label={say('products.unit')}
          select
          sx={{ width: 92 }}
          defaultValue={form.getValues('unit')}
          {...field('unit')}
        >
          {UNITS.map((u) => (
            <MenuItem key={u} value={u}>
              {u}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          label={say('products.price', { sign: money.sign })}
          sx={{ width: 96 }}
          {...field('price')}
        />
      </div>
      <TextField
        label={say('products.ingredientListAsPrinted')}
        multiline
        minRows={3}
        maxRows={10}
        fullWidth
        {...field('label')}
      />
      <p className="second">{say('products.anotherIngredientListMakesANewFormula')}</p>
      {edit.isError && <ErrorBand error={edit.error} />}
      <div className="row">
        <Button type="submit" variant="contained" disabled={edit.isPending}>
          {say('products.saveTheChange')}
        </Button>
        <Button
          onClick={() => {
            forget()
            close()
          }}
        >
          {say('products.leaveAsItWas')}
        </Button>
      </div>
    </form>
  )
}
