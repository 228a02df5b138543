import { useState } from 'react'
import { useForm } from 'react-hook-form'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import { Refused, type Product, type ProductForm } from '../api/client'
import { useMoney, useReadLabel, useVocabulary } from '../api/hooks'
import { capital, dayShort, DAYS, numberFrom } from '../shared/format'
import { useTyped } from '../shared/typed'
import { ErrorBand } from '../shared/States'
import { Why } from '../shared/Why'
import { say } from '../words/say'

type Typed = {
  name: string
  maker: string
  size: string
  unit: ProductForm['unit']
  price: string
  label: string
  kind: string
  texture: string
  weeks: string
}

const EMPTY: Typed = {
  name: '',
  maker: '',
  size: '',
  unit: 'ml',
  price: '',
  label: '',
  kind: '',
  texture: '',
  weeks: '0',
}

/** As packs print it; ounces are kept in ml and g. */
export const UNITS = ['ml', 'g', 'fl oz', 'oz']

type Night = (typeof DAYS)[number]

/** A label goes in: what stands on the pack, what the tool makes of it, what is put right by hand. */
export function LabelForm({
  own,
  of,
  visit,
  save,
  close,
}: {
  /** whose label it is: a client, or '' for the house shelf; what is typed for one never shows for another */
  of: string
  /** for a client's shelf: asks how long she has used it and whether it is prescribed */
  own: boolean
  /** the visit at which it is read, so that its bans are looked for */
  visit?: string
  save: (form: ProductForm, weeks: number, nights: Night[]) => Promise<unknown>
  close: () => void
}) {
  const words = useVocabulary().data
  const money = useMoney()
  const [before, keep, forget] = useTyped<Partial<Typed>>('label', of)
  const form = useForm<Typed>({ defaultValues: { ...EMPTY, ...before } })
  const [prescription, setPrescription] = useState(false)
  const [nights, setNights] = useState<Night[]>([])
  const [failure, setFailure] = useState<Error | null>(null)
  const read = useReadLabel(visit)
  const errors = form.formState.errors
  const fail = (error: unknown) => {
    setFailure(error instanceof Error ? error : new Error(say('products.thisCouldNotBeDone')))
    if (error instanceof Refused) {
      error.fields.forEach((f) => {
        const field = f.pointer.replace('/product', '').slice(1)
        if (field in EMPTY) form.setError(field as keyof Typed, { message: f.sentence })
      })
    }
  }
  const withForm = (act: (body: ProductForm, typed: Typed) => Promise<unknown>) =>
    form.handleSubmit(async (typed) => {
      setFailure(null)
      const body = toBody(typed, prescription, (field, message) => form.setError(field, { message }))
      if (!body) return
      try {
        await act(body, typed)
      } catch (error) {
        fail(error)
      }
    })
  const keepTyped = () => keep(form.getValues())
  const field = (name: keyof Typed) => ({
    error: !!errors[name],
    helperText: errors[name]?.message,
    ...form.register(name, { onChange: keepTyped }),
  })
  return (
    <form
      className="label-form"
      aria-label={say('products.aProductByItsLabel')}
      onSubmit={(e) => void withForm((body) => read.mutateAsync(body))(e)}
    >
      <div className="label-typed">
        <TextField label={say('products.nameOnThePack')} autoFocus fullWidth {...field('name')} />
        <div className="row">
          <TextField label={say('products.maker')} sx={{ flex: 2, minWidth: 130 }} {...field('maker')} />
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
          {own && <TextField label={say('products.weeksUsed')} sx={{ width: 110 }} {...field('weeks')} />}
        </div>
        <TextField
          label={say('products.ingredientListAsPrinted')}
          multiline
          minRows={5}
          maxRows={12}
          fullWidth
          {...field('label')}
        />
        {own && (
          <div className="row">
            <ToggleButton
              value="prescription"
              selected={prescription}
              onChange={() => setPrescription(!prescription)}
            >
              {say('products.prescribed')}
            </ToggleButton>
            {prescription &&
              DAYS.map((d) => (
                <ToggleButton
                  key={d}
                  value={d}
                  selected={nights.includes(d)}
                  onChange={() =>
                    setNights(nights.includes(d) ? nights.filter((n) => n !== d) : [...nights, d])
                  }
                >
                  {dayShort(d)}
                </ToggleButton>
              ))}
          </div>
        )}
        <div className="row">
          <Button type="submit" disabled={read.isPending}>
            {say('products.readTheLabel')}
          </Button>
          <Button type="button" onClick={close}>
            {say('products.notNow')}
          </Button>
        </div>
        {failure && <ErrorBand error={failure} />}
      </div>
      <div className="label-read" aria-live="polite">
        {read.data ? (
          <>
            {read.data.forbidden.length > 0 && (
              <div className="stop" role="alert" style={{ marginBottom: 10 }}>
                <b>{say('products.notForThisClient')}</b>
                {say('products.itMayStandOnTheShelfNo')}
                <ul>
                  {read.data.forbidden.map((b) => (
                    <li key={b.sentence}>
                      <Why because={b} />
                    </li>
                  ))}
                </ul>
              </div>
            )}
            <Findings
              product={read.data.product}
              meant={(printed, inci) => {
                form.setValue('label', putRight(form.getValues('label'), printed, inci))
                keepTyped()
                void withForm((body) => read.mutateAsync(body))()
              }}
            />
            <div className="row" style={{ margin: '12px 0' }}>
              <TextField
                label={say('products.kindPutRight')}
                select
                sx={{ width: 190 }}
                defaultValue=""
                {...field('kind')}
              >
                <MenuItem value="">{say('products.asRead')}</MenuItem>
                {(words?.kinds ?? []).map((k) => (
                  <MenuItem key={k.kind} value={k.kind}>
                    {k.label}
                  </MenuItem>
                ))}
              </TextField>
              <TextField
                label={say('products.texturePutRight')}
                select
                sx={{ width: 210 }}
                defaultValue=""
                {...field('texture')}
              >
                <MenuItem value="">{say('products.asRead')}</MenuItem>
                {(words?.textures ?? []).map((t) => (
                  <MenuItem key={t.grade} value={String(t.grade)}>
                    {t.grade} {t.label}
                  </MenuItem>
                ))}
              </TextField>
            </div>
            <Button
              variant="contained"
              onClick={() =>
                void withForm(async (body, typed) => {
                  await save(body, Number(typed.weeks) || 0, nights)
                  forget()
                  close()
                })()
              }
            >
              {own ? say('products.putItOnTheShelf') : say('products.addToTheHouseShelf')}
            </Button>
          </>
        ) : (
          <p className="second">{say('products.pasteTheListWithItsLineBreaks')}</p>
        )}
      </div>
    </form>
  )
}

function toBody(
  typed: Typed,
  prescription: boolean,
  wrong: (field: keyof Typed, message: string) => void,
): ProductForm | null {
  let fine = true
  const number = (field: 'size' | 'price' | 'weeks') => {
    const value = numberFrom(typed[field])
    if (value === null) {
      wrong(field, say('products.isNotANumber3', { value: typed[field] }))
      fine = false
      return 0
    }
    return value
  }
  const size = number('size')
  const price = number('price')
  number('weeks')
  return fine
    ? {
        name: typed.name,
        maker: typed.maker,
        size,
        unit: typed.unit,
        price,
        label: typed.label,
        kind: typed.kind === '' ? null : (typed.kind as ProductForm['kind']),
        texture: typed.texture === '' ? null : Number(typed.texture),
        prescription,
      }
    : null
}

/** The first place where the name stands on the label, whatever its line breaks, is written as it was meant. */
export function putRight(label: string, printed: string, inci: string) {
  const anyBreak = printed
    .split(/\s+/)
    .map((word) => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'))
    .join('\\s+')
  return label.replace(new RegExp(anyBreak, 'i'), () => inci)
}

/** What the tool makes of a product, each finding with its reason. */
export function Findings({
  product,
  meant,
  inFull = false,
}: {
  product: Product
  /** the ingredients stand open */
  inFull?: boolean
  /** takes an offered spelling; without it none is offered */
  meant?: (printed: string, inci: string) => void
}) {
  return (
    <>
      <h3>
        {say('products.readAs')}
        {product.kindLabel}, {product.textureWords}
        {product.spf > 0 && say('products.spf', { spf: product.spf })}
      </h3>
      <ul className="dots">
        {product.findings.map((f) => (
          <li key={f.about + f.found}>
            <b>
              {capital(f.about)}: {f.found}
            </b>{' '}
            <span className="second">{f.sure}.</span> <Why because={f.because} quiet />
          </li>
        ))}
      </ul>
      {product.unknown.length > 0 && (
        <p className="look" style={{ marginTop: 8 }}>
          <b>{say('products.notKnown')}</b> {product.unknown.join(', ')}
          {say('products.theyCountForNothingAllergiesAreStill')}
        </p>
      )}
      {meant && product.meant.length > 0 && (
        <ul className="meant" aria-label={say('products.perhapsMisspelt')}>
          {product.meant.map((m) => (
            <li key={m.printed}>
              <b>{m.printed}</b>
              {say('products.perhapsASlipFor')}{' '}
              {m.guesses.map((g) => (
                <Button
                  key={g.inci}
                  type="button"
                  title={g.because.sentence}
                  onClick={() => meant(m.printed, g.inci)}
                  aria-label={say('products.inPlaceOf', { inci: g.inci, printed: m.printed })}
                >
                  {g.inci}
                </Button>
              ))}
            </li>
          ))}
        </ul>
      )}
      <details style={{ marginTop: 8 }} open={inFull}>
        <summary>
          {product.lines.length}{' '}
          {product.lines.length === 1 ? say('products.ingredient') : say('products.ingredients')}
          {say('products.inOrder')}
        </summary>
        <ol>
          {product.lines.map((l, i) => (
            <li key={`${i}${l.printed}`}>
              {l.printed}
              {l.known && l.known.toLowerCase() !== l.printed.toLowerCase() && ` (${l.known})`}{' '}
              <span className="second">{l.because.slice(l.printed.length + 2)}</span>
            </li>
          ))}
        </ol>
      </details>
    </>
  )
}
