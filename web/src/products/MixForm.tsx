import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import type { Product, Schemas } from '../api/client'
import { useMixed, usePantry } from '../api/hooks'
import { useKeptForm } from '../shared/form'
import { ErrorBand } from '../shared/States'
import { notANumber, numberFrom } from '../shared/numbers'
import { NumberText } from '../shared/NumberText'
import { EMPTY_MIX, PANTRY, recipeFrom, usualMeasure, type Measure, type Mix, type MixPart } from './mix'
import { MixedReading } from './MixedReading'
import { ProductPicker } from './ProductPicker'
import { say } from '../words/say'
import '../words/products'

/** A mixture goes in part by part, and is read as it grows: at home for some days, or in the palm for once. */
export function MixForm({
  client,
  own,
  save,
  close,
}: {
  client: string
  own: Product[]
  save: (body: Schemas['ShelfRecipe']) => Promise<unknown>
  close: () => void
}) {
  const pantry = usePantry().data
  const form = useKeptForm<Mix>('mix', client, EMPTY_MIX)
  const mix = form.now
  const recipe = recipeFrom(mix)
  const read = useMixed(recipe)
  const change = form.put
  const part = (key: number, next: Partial<MixPart>) =>
    change({ parts: mix.parts.map((p) => (p.key === key ? { ...p, ...next } : p)) })
  const put = form.submit(async ({ weeks }) => {
    if (!recipe) return
    await save({ recipe, weeks: Math.round(numberFrom(weeks) ?? 0) })
    form.leave()
    close()
  })
  return (
    <form className="label-form" aria-label={say('products.aMixtureMadeAtHome')} onSubmit={put}>
      <div className="label-typed">
        <div className="row">
          <TextField
            label={say('products.whatItIsCalled')}
            autoFocus
            sx={{ flex: 1, minWidth: 220 }}
            {...form.text('name')}
          />
          <NumberText label={say('products.weeksUsed')} {...form.number('weeks')} />
        </div>
        <ToggleButtonGroup
          exclusive
          value={mix.use}
          aria-label={say('products.howItIsUsed')}
          onChange={(_, use: Mix['use'] | null) => use !== null && change({ use })}
        >
          {(pantry?.uses ?? []).map((u) => (
            <ToggleButton key={u.use} value={u.use}>
              {u.label}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <div className="row">
          <ToggleButton value="palm" selected={mix.palm} onChange={() => change({ palm: !mix.palm })}>
            {say('products.inThePalmEachTime')}
          </ToggleButton>
          <ToggleButton
            value="preserved"
            selected={mix.preserved && !mix.palm}
            disabled={mix.palm}
            onChange={() => change({ preserved: !mix.preserved })}
          >
            {say('products.withAPreservative')}
          </ToggleButton>
        </div>
        {mix.parts.map((p) => (
          <div
            key={p.key}
            className="row mix-part"
            role="group"
            aria-label={p.thing?.label ?? say('products.nextPart')}
          >
            <ProductPicker
              label={say('products.what')}
              value={p.thing}
              pick={(thing) =>
                part(p.key, thing ? { thing, measure: usualMeasure(thing, pantry?.items ?? []) } : { thing })
              }
              shelves={[
                { from: say('products.ownShelf'), products: own },
                { from: PANTRY, products: pantry?.items ?? [] },
              ]}
              width={230}
            />
            <NumberText
              label={say('products.amount')}
              typed={p.amount}
              wrong={notANumber(p.amount)}
              change={(amount) => part(p.key, { amount })}
              width={96}
            />
            <TextField
              label={say('products.measure')}
              select
              value={p.measure}
              onChange={(e) => part(p.key, { measure: e.target.value as Measure })}
              sx={{ width: 136 }}
            >
              {(pantry?.measures ?? []).map((m) => (
                <MenuItem key={m.measure} value={m.measure}>
                  {m.label}
                </MenuItem>
              ))}
            </TextField>
            {mix.parts.length > 1 && (
              <Button
                onClick={() => change({ parts: mix.parts.filter((o) => o.key !== p.key) })}
                aria-label={say('products.leaveOut', { value: p.thing?.label ?? say('products.thisPart') })}
              >
                {say('products.leaveOut2')}
              </Button>
            )}
          </div>
        ))}
        <div className="row">
          <Button
            onClick={() =>
              change({
                parts: [
                  ...mix.parts,
                  {
                    key: 1 + Math.max(0, ...mix.parts.map((p) => p.key)),
                    thing: null,
                    amount: '',
                    measure: 'TEASPOON',
                  },
                ],
              })
            }
          >
            {say('products.anotherPart')}
          </Button>
          <Button onClick={close}>{say('products.notNow')}</Button>
        </div>
        {form.fault && <ErrorBand error={form.fault} />}
      </div>
      <div className="label-read" aria-live="polite">
        {read.isError && <ErrorBand error={read.error} />}
        {recipe && read.data && !read.isError ? (
          <>
            <MixedReading mixed={read.data} />
            <Button
              type="submit"
              variant="contained"
              disabled={mix.name.trim() === '' || form.busy}
              sx={{ mt: 2 }}
            >
              {say('products.putItOnTheShelf')}
            </Button>
            {mix.name.trim() === '' && <p className="second">{say('products.giveItANameFirst')}</p>}
          </>
        ) : (
          !read.isError && <p className="second">{say('products.oilsByMlOrDropsPowdersBy')}</p>
        )}
      </div>
    </form>
  )
}
