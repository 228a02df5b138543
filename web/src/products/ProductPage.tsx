import { useState } from 'react'
import { Link, useParams } from 'react-router'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import type { Schemas } from '../api/client'
import {
  useProduct,
  useProductChange,
  useRecipe,
  useSubstitutes,
  useVocabulary,
  type Want,
} from '../api/hooks'
import { useMoney } from '../shared/money'
import { capital, dateWords, timeWords, sizeWords } from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'
import { Why } from '../shared/Why'
import { Bands, PatternSet } from '../strip/Bands'
import { Directed, directedWords } from './Directed'
import { EditForm } from './EditForm'
import { Findings } from './LabelForm'
import { MixedReading } from './MixedReading'
import { say } from '../words/say'
import '../words/products'
import './products.css'

type Detail = Schemas['Detail']
type Correction = Schemas['Correction']

/** One product: what it is and why, what was put right by hand, what it was before, what would do in its place. */
export default function ProductPage() {
  const { id = '' } = useParams()
  const found = useProduct(id)
  if (found.isError) {
    return (
      <div className="page">
        <ErrorBand error={found.error} again={() => void found.refetch()} />
        <Link to="/products">{say('products.toTheHouseShelf')}</Link>
      </div>
    )
  }
  if (!found.data) return <Fetching what={say('products.theProduct')} />
  return <Open key={id} detail={found.data} />
}

function Open({ detail }: { detail: Detail }) {
  const { product } = detail
  const money = useMoney()
  const [who] = useWho()
  const [editing, setEditing] = useState(false)
  const change = useProductChange(product.id)
  const failed = change.correct.error ?? change.uncorrect.error ?? change.retire.error ?? null
  const unsigned = who.trim() === ''
  const right = (about: Correction['about'], of: string, to: string) =>
    change.correct.mutate({ about, of, to, who, version: detail.version })
  return (
    <div className="page product">
      <PatternSet />
      <div className="desk-head">
        <svg width="52" height="52" aria-hidden="true">
          <Bands shares={product.shares} x={0} y={0} width={52} height={52} />
          <rect x="0.5" y="0.5" width="51" height="51" fill="none" stroke="var(--ink)" />
        </svg>
        <div>
          <h1>{product.name}</h1>
          <span className="second">
            {[
              product.maker,
              sizeWords(product.size, product.unit),
              product.price > 0 && money.words(product.price),
            ]
              .filter(Boolean)
              .join(', ')}
            {say('products.formula')}
            {detail.formula}
            {!detail.house && say('products.onAClientSShelfOnly')}
          </span>
        </div>
        <span style={{ marginLeft: 'auto' }}>
          <Who label={say('products.signedBy')} />
        </span>
        <Button component={Link} to={`/products/${encodeURIComponent(product.id)}/around`}>
          {say('products.buildRoundIt')}
        </Button>
        <Button disabled={unsigned} onClick={() => setEditing(!editing)} aria-expanded={editing}>
          {say('products.change')}
        </Button>
        {detail.house && (
          <Button
            disabled={unsigned || change.retire.isPending}
            onClick={() => change.retire.mutate({ retired: !detail.retiredOn, who, version: detail.version })}
          >
            {detail.retiredOn ? say('products.bringBack') : say('products.retire')}
          </Button>
        )}
      </div>
      {unsigned && <p className="second">{say('products.signFirstChangesAreKeptWithWho')}</p>}
      {detail.retiredOn && (
        <p className="look" role="status">
          <b>{say('products.retired', { retiredOn: dateWords(detail.retiredOn) })}</b>
          {say('products.noNewPlanTakesItClientsWho')}
        </p>
      )}
      {failed && <ErrorBand error={failed} />}
      {editing && <EditForm detail={detail} who={who} close={() => setEditing(false)} />}
      <div className="product-halves">
        <section className="band" aria-label={say('products.whatItIs')}>
          <Findings
            inFull
            product={product}
            meant={unsigned ? undefined : (printed, inci) => right('NAME', printed, inci)}
            kindIs={unsigned ? undefined : (kind) => right('KIND', '', kind)}
          />
          <Directed detail={detail} disabled={unsigned} right={right} />
          <PutRight detail={detail} disabled={unsigned} right={right} />
          {detail.corrections.length > 0 && (
            <>
              <h3>{say('products.putRightByHand')}</h3>
              <ul className="put-right">
                {detail.corrections.map((c) => (
                  <li key={c.about + c.of}>
                    <span>
                      {corrected(c, product)}{' '}
                      <span className="second">
                        {c.who}, {dateWords(c.on)}
                      </span>
                    </span>
                    <Button
                      aria-label={say('products.takeBack', { c: corrected(c, product) })}
                      onClick={() =>
                        change.uncorrect.mutate({ about: c.about, of: c.of, version: detail.version })
                      }
                    >
                      {say('products.takeBack2')}
                    </Button>
                  </li>
                ))}
              </ul>
            </>
          )}
        </section>
        <div>
          {detail.madeAtHome ? <MadeAtHome id={product.id} /> : <Substitutes id={product.id} />}
          <History detail={detail} />
        </div>
      </div>
    </div>
  )
}

function corrected(c: Correction, product: Detail['product']) {
  switch (c.about) {
    case 'NAME':
      return say('products.is2', { of: c.of, to: c.to })
    case 'KIND':
      return say('products.theKindIs', { replaceAll: c.to.toLowerCase().replaceAll('_', ' ') })
    case 'TEXTURE':
      return say('products.theTextureIs', { to: c.to })
    case 'DIRECTION':
      return directedWords(product.directions, c)
  }
}

/** Kind and texture by what the therapist sees in the jar; a name that is not known, by the name that it is. */
function PutRight({
  detail,
  disabled,
  right,
}: {
  detail: Detail
  disabled: boolean
  right: (about: Correction['about'], of: string, to: string) => void
}) {
  const words = useVocabulary().data
  const [of, setOf] = useState('')
  const [to, setTo] = useState('')
  const { product } = detail
  return (
    <details style={{ marginTop: 12 }}>
      <summary>{say('products.putSomethingRight')}</summary>
      <div className="row" style={{ margin: '10px 0' }}>
        <TextField
          label={say('products.kind')}
          select
          sx={{ width: 190 }}
          value={product.kind}
          disabled={disabled}
          onChange={(e) => right('KIND', '', e.target.value)}
        >
          {(words?.kinds ?? []).map((k) => (
            <MenuItem key={k.kind} value={k.kind}>
              {k.label}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          label={say('products.texture')}
          select
          sx={{ width: 220 }}
          value={String(product.texture)}
          disabled={disabled}
          onChange={(e) => right('TEXTURE', '', e.target.value)}
        >
          {[
            ...(words?.textures ?? []),
            ...(words?.textures.some((t) => t.grade === product.texture)
              ? []
              : [{ grade: product.texture, label: product.textureWords }]),
          ].map((t) => (
            <MenuItem key={t.grade} value={String(t.grade)}>
              {t.grade} {t.label}
            </MenuItem>
          ))}
        </TextField>
      </div>
      {product.unknown.length > 0 && (
        <div className="row">
          <TextField
            label={say('products.notKnown2')}
            select
            sx={{ width: 210 }}
            value={of}
            onChange={(e) => setOf(e.target.value)}
          >
            {product.unknown.map((u) => (
              <MenuItem key={u} value={u}>
                {u}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            label={say('products.is3')}
            value={to}
            onChange={(e) => setTo(e.target.value)}
            sx={{ width: 210 }}
          />
          <Button
            disabled={disabled || of === '' || to.trim() === ''}
            onClick={() => right('NAME', of, to.trim())}
          >
            {say('products.putRight')}
          </Button>
        </div>
      )}
    </details>
  )
}

/** The recipe as it was typed, read by what is known today. */
function MadeAtHome({ id }: { id: string }) {
  const recipe = useRecipe(id)
  return (
    <section className="band" aria-label={say('products.madeAtHome')}>
      <h2>{say('products.madeAtHome')}</h2>
      {recipe.isError && <ErrorBand error={recipe.error} again={() => void recipe.refetch()} />}
      {recipe.data && <MixedReading mixed={recipe.data.mixed} />}
    </section>
  )
}

const WANTS: { want: Want; label: string }[] = [
  { want: 'CHEAPER', label: say('products.cheaper') },
  { want: 'GENTLER', label: say('products.gentler') },
  { want: 'UNSCENTED', label: say('products.withoutPerfume') },
]

function Substitutes({ id }: { id: string }) {
  const [want, setWant] = useState<Want>('CHEAPER')
  const found = useSubstitutes(id, want)
  return (
    <section className="band" aria-label={say('products.whatElseWouldDoThisJob')}>
      <h2>{say('products.whatElseWouldDoThisJob')}</h2>
      <ToggleButtonGroup
        exclusive
        value={want}
        aria-label={say('products.betterHow')}
        onChange={(_, next: Want | null) => next !== null && setWant(next)}
      >
        {WANTS.map((w) => (
          <ToggleButton key={w.want} value={w.want}>
            {w.label}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {found.isError && <ErrorBand error={found.error} again={() => void found.refetch()} />}
      <ul className="dots" style={{ marginTop: 10 }}>
        {found.data?.found.map((s) => (
          <li key={s.id}>
            <Link to={`/products/${s.id}`}>{s.name}</Link>. <Why because={s.because} quiet />{' '}
            <Link
              className="second"
              to={`/products/compare?ids=${encodeURIComponent(id)}&ids=${encodeURIComponent(s.id)}`}
              aria-label={say('products.compareWith', { name: s.name })}
            >
              {say('products.compare2')}
            </Link>
          </li>
        ))}
      </ul>
      {found.data?.none && (
        <p>
          {say('products.nothingWouldDo')} <Why because={found.data.none} quiet />
        </p>
      )}
    </section>
  )
}

const WHAT: Record<Schemas['ProductChange']['kind'], string> = {
  RENAMED: 'renamed',
  REFORMULATED: say('products.newFormula'),
  REPRICED: say('products.newPrice'),
  RETIRED: 'retired',
  BROUGHT_BACK: say('products.broughtBack'),
}

function History({ detail }: { detail: Detail }) {
  return (
    <section className="band" aria-label={say('products.whatItWasBefore')}>
      <h2>{say('products.whatItWasBefore')}</h2>
      {detail.changes.length === 0 && (
        <p className="second">{say('products.nothingHasChangedSinceItWasAdded')}</p>
      )}
      <ul className="history">
        {detail.changes.map((c) => (
          <li key={c.at + c.kind}>
            <b>{capital(WHAT[c.kind])}</b>{' '}
            {c.kind === 'REFORMULATED' ? (
              <details>
                <summary>{say('products.theLabelOfFormula', { formula: c.formula })}</summary>
                <p className="was">{c.was}</p>
              </details>
            ) : (
              c.was !== '' && say('products.fromTo', { was: c.was, now: c.now })
            )}{' '}
            <span className="second">
              {c.who}, {dateWords(c.at)} {timeWords(c.at)}
            </span>
          </li>
        ))}
      </ul>
      <details>
        <summary>{say('products.theLabelAsTyped')}</summary>
        <p className="was">{detail.label}</p>
      </details>
    </section>
  )
}
