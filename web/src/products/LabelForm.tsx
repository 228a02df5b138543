import { Link } from 'react-router'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import type { Product, ProductForm } from '../api/client'
import { useReadLabel, useVocabulary } from '../api/hooks'
import { useMoney } from '../shared/money'
import { useKeptForm } from '../shared/form'
import { capital, dayShort, DAYS, toggled } from '../shared/format'
import { numberFrom } from '../shared/numbers'
import { NumberText } from '../shared/NumberText'
import { ErrorBand } from '../shared/States'
import { Why } from '../shared/Why'
import { say } from '../words/say'
import '../words/ingredients'
import '../words/products'

type Night = (typeof DAYS)[number]

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
  prescription: boolean
  nights: Night[]
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
  prescription: false,
  nights: [],
}

/** As packs print it; ounces are kept in ml and g. */
export const UNITS = ['ml', 'g', 'fl oz', 'oz']

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
  const form = useKeptForm<Typed>('label', of, EMPTY, '/product')
  const { prescription, nights } = form.now
  const read = useReadLabel(visit)
  const readIt = form.submit((typed) => read.mutateAsync(productOf(typed)))
  const put = form.submit(async (typed) => {
    await save(productOf(typed), Math.round(numberFrom(typed.weeks) ?? 0), typed.nights)
    form.leave()
    close()
  })
  return (
    <form className="label-form" aria-label={say('products.aProductByItsLabel')} onSubmit={readIt}>
      <div className="label-typed">
        <TextField label={say('products.nameOnThePack')} autoFocus fullWidth {...form.text('name')} />
        <div className="row">
          <TextField label={say('products.maker')} sx={{ flex: 2, minWidth: 130 }} {...form.text('maker')} />
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
          {own && <NumberText label={say('products.weeksUsed')} {...form.number('weeks')} />}
        </div>
        <TextField
          label={say('products.ingredientListAsPrinted')}
          multiline
          minRows={5}
          maxRows={12}
          fullWidth
          {...form.text('label')}
        />
        {own && (
          <div className="row">
            <ToggleButton
              value="prescription"
              selected={prescription}
              onChange={() => form.put({ prescription: !prescription })}
            >
              {say('products.prescribed')}
            </ToggleButton>
            {prescription &&
              DAYS.map((d) => (
                <ToggleButton
                  key={d}
                  value={d}
                  selected={nights.includes(d)}
                  onChange={() => form.put({ nights: toggled(nights, d) })}
                >
                  {dayShort(d)}
                </ToggleButton>
              ))}
          </div>
        )}
        <div className="row">
          <Button type="submit" disabled={form.busy}>
            {say('products.readTheLabel')}
          </Button>
          <Button type="button" onClick={close}>
            {say('products.notNow')}
          </Button>
        </div>
        {form.fault && <ErrorBand error={form.fault} />}
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
              kindIs={(kind) => {
                form.put({ kind })
                readIt()
              }}
              meant={(printed, inci) => {
                form.put({ label: putRight(form.now.label, printed, inci) })
                readIt()
              }}
            />
            <div className="row" style={{ margin: '12px 0' }}>
              <TextField
                label={say('products.kindPutRight')}
                select
                sx={{ width: 190 }}
                {...form.pick('kind')}
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
                {...form.pick('texture')}
              >
                <MenuItem value="">{say('products.asRead')}</MenuItem>
                {(words?.textures ?? []).map((t) => (
                  <MenuItem key={t.grade} value={String(t.grade)}>
                    {t.grade} {t.label}
                  </MenuItem>
                ))}
              </TextField>
            </div>
            <Button variant="contained" disabled={form.busy} onClick={() => put()}>
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

/** @param typed what the form has let through: its numbers are numbers */
const productOf = (typed: Typed): ProductForm => ({
  name: typed.name,
  maker: typed.maker,
  size: numberFrom(typed.size) ?? 0,
  unit: typed.unit,
  price: numberFrom(typed.price) ?? 0,
  label: typed.label,
  kind: typed.kind === '' ? null : (typed.kind as ProductForm['kind']),
  texture: typed.texture === '' ? null : Number(typed.texture),
  prescription: typed.prescription,
})

/** The first place where the name stands on the label, whatever its line breaks, is written as it was meant. */
export function putRight(label: string, printed: string, inci: string) {
  const anyBreak = printed
    .split(/\s+/)
    .map((word) => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'))
    .join('\\s+')
  return label.replace(new RegExp(anyBreak, 'i'), () => inci)
}

/** What the tool makes of a product, each finding with its reason. */
/** The INCI and the common name of a line, so far as it is not printed by them. */
function alsoCalled({ printed, inci, known }: Product['lines'][number]) {
  const names = [inci, known].filter((n) => n !== '' && n.toLowerCase() !== printed.toLowerCase())
  const apart = names.filter((n, i) => names.findIndex((m) => m.toLowerCase() === n.toLowerCase()) === i)
  return apart.length > 0 ? ` (${apart.join(', ')})` : ''
}

export function Findings({
  product,
  meant,
  kindIs,
  inFull = false,
}: {
  product: Product
  /** takes the kind that it may be instead; without it none is offered */
  kindIs?: (kind: Product['kind']) => void
  /** the ingredients stand open */
  inFull?: boolean
  /** takes an offered spelling; without it none is offered */
  meant?: (printed: string, inci: string) => void
}) {
  // a page that lists the pack's directions by themselves does not tell them twice
  const directed = product.directions.map((d) => d.words)
  return (
    <>
      <h3>
        {say('products.readAs')}
        {product.kindLabel}, {product.textureWords}
        {product.spf > 0 && say('products.spf', { spf: product.spf })}
      </h3>
      {kindIs && product.kindElse && (
        <p className="kind-else">
          <Why because={product.kindElse.because} quiet />{' '}
          <Button type="button" onClick={() => product.kindElse && kindIs(product.kindElse.kind)}>
            {say('products.ratherThatKind', { kind: product.kindElse.label })}
          </Button>
        </p>
      )}
      <ul className="dots">
        {product.findings
          .filter((f) => !(inFull && directed.includes(f.found)))
          .map((f) => (
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
          <b>{say('products.notKnown')}</b>{' '}
          {product.unknown.map((u, i) => (
            <span key={`${i}${u}`}>
              {i > 0 && ', '}
              <Link
                to={`/products/ingredients?say=${encodeURIComponent(u)}`}
                title={say('ingredients.sayWhatItIs')}
              >
                {u}
              </Link>
            </span>
          ))}
          {say('products.theyCountForNothingAllergiesAreStill')}
        </p>
      )}
      {product.left.length > 0 && (
        <p className="second">
          <b>{say('products.noIngredient')}</b> {product.left.join(' · ')}
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
              {alsoCalled(l)} <span className="second">{l.because.slice(l.printed.length + 2)}</span>
            </li>
          ))}
        </ol>
      </details>
    </>
  )
}
