import { useState } from 'react'
import { Link, useParams } from 'react-router'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import type { Schemas } from '../api/client'
import {
  useMoney,
  useProduct,
  useProductChange,
  useRecipe,
  useSubstitutes,
  useVocabulary,
  type Want,
} from '../api/hooks'
import { capital, dateWords, timeWords } from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'
import { Why } from '../shared/Why'
import { Bands, PatternSet } from '../strip/Bands'
import { EditForm } from './EditForm'
import { Findings } from './LabelForm'
import { MixedReading } from './MixedReading'
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
        <Link to="/products">To the house shelf</Link>
      </div>
    )
  }
  if (!found.data) return <Fetching what="the product" />
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
              `${product.size} ${product.unit}`,
              product.price > 0 && money.words(product.price),
            ]
              .filter(Boolean)
              .join(', ')}
            , formula {detail.formula}
            {!detail.house && ', on a client’s shelf only'}
          </span>
        </div>
        <span style={{ marginLeft: 'auto' }}>
          <Who label="Signed by" />
        </span>
        <Button disabled={unsigned} onClick={() => setEditing(!editing)} aria-expanded={editing}>
          Change
        </Button>
        {detail.house && (
          <Button
            disabled={unsigned || change.retire.isPending}
            onClick={() => change.retire.mutate({ retired: !detail.retiredOn, who, version: detail.version })}
          >
            {detail.retiredOn ? 'Bring back' : 'Retire'}
          </Button>
        )}
      </div>
      {unsigned && <p className="second">Sign first: changes are kept with who made them.</p>}
      {detail.retiredOn && (
        <p className="look" role="status">
          <b>Retired {dateWords(detail.retiredOn)}.</b> No new plan takes it; clients who own it keep it.
        </p>
      )}
      {failed && <ErrorBand error={failed} />}
      {editing && <EditForm detail={detail} who={who} close={() => setEditing(false)} />}
      <div className="product-halves">
        <section className="band" aria-label="What it is">
          <Findings
            inFull
            product={product}
            meant={unsigned ? undefined : (printed, inci) => right('NAME', printed, inci)}
          />
          <PutRight detail={detail} disabled={unsigned} right={right} />
          {detail.corrections.length > 0 && (
            <>
              <h3>Put right by hand</h3>
              <ul className="put-right">
                {detail.corrections.map((c) => (
                  <li key={c.about + c.of}>
                    <span>
                      {corrected(c)}{' '}
                      <span className="second">
                        {c.who}, {dateWords(c.on)}
                      </span>
                    </span>
                    <Button
                      aria-label={`Take back: ${corrected(c)}`}
                      onClick={() =>
                        change.uncorrect.mutate({ about: c.about, of: c.of, version: detail.version })
                      }
                    >
                      Take back
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

function corrected(c: Correction) {
  switch (c.about) {
    case 'NAME':
      return `"${c.of}" is ${c.to}.`
    case 'KIND':
      return `The kind is ${c.to.toLowerCase().replaceAll('_', ' ')}.`
    case 'TEXTURE':
      return `The texture is ${c.to}.`
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
      <summary>Put something right</summary>
      <div className="row" style={{ margin: '10px 0' }}>
        <TextField
          label="Kind"
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
          label="Texture"
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
            label="Not known"
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
          <TextField label="is" value={to} onChange={(e) => setTo(e.target.value)} sx={{ width: 210 }} />
          <Button
            disabled={disabled || of === '' || to.trim() === ''}
            onClick={() => right('NAME', of, to.trim())}
          >
            Put right
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
    <section className="band" aria-label="Made at home">
      <h2>Made at home</h2>
      {recipe.isError && <ErrorBand error={recipe.error} again={() => void recipe.refetch()} />}
      {recipe.data && <MixedReading mixed={recipe.data.mixed} />}
    </section>
  )
}

const WANTS: { want: Want; label: string }[] = [
  { want: 'CHEAPER', label: 'cheaper' },
  { want: 'GENTLER', label: 'gentler' },
  { want: 'UNSCENTED', label: 'without perfume' },
]

function Substitutes({ id }: { id: string }) {
  const [want, setWant] = useState<Want>('CHEAPER')
  const found = useSubstitutes(id, want)
  return (
    <section className="band" aria-label="What else would do this job">
      <h2>What else would do this job</h2>
      <ToggleButtonGroup
        exclusive
        value={want}
        aria-label="Better how"
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
        {found.data?.map((s) => (
          <li key={s.id}>
            <Link to={`/products/${s.id}`}>{s.name}</Link>. <Why because={s.because} quiet />{' '}
            <Link
              className="second"
              to={`/products/compare?ids=${encodeURIComponent(id)}&ids=${encodeURIComponent(s.id)}`}
              aria-label={`Compare with ${s.name}`}
            >
              Compare
            </Link>
          </li>
        ))}
      </ul>
      {found.data?.length === 0 && (
        <p className="second">
          Nothing on the house shelf does the same and is {WANTS.find((w) => w.want === want)?.label}.
        </p>
      )}
    </section>
  )
}

const WHAT: Record<Schemas['ProductChange']['kind'], string> = {
  RENAMED: 'renamed',
  REFORMULATED: 'new formula',
  REPRICED: 'new price',
  RETIRED: 'retired',
  BROUGHT_BACK: 'brought back',
}

function History({ detail }: { detail: Detail }) {
  return (
    <section className="band" aria-label="What it was before">
      <h2>What it was before</h2>
      {detail.changes.length === 0 && <p className="second">Nothing has changed since it was added.</p>}
      <ul className="history">
        {detail.changes.map((c) => (
          <li key={c.at + c.kind}>
            <b>{capital(WHAT[c.kind])}</b>{' '}
            {c.kind === 'REFORMULATED' ? (
              <details>
                <summary>The label of formula {c.formula}</summary>
                <p className="was">{c.was}</p>
              </details>
            ) : (
              c.was !== '' && `from ${c.was} to ${c.now}`
            )}{' '}
            <span className="second">
              {c.who}, {dateWords(c.at)} {timeWords(c.at)}
            </span>
          </li>
        ))}
      </ul>
      <details>
        <summary>The label as typed</summary>
        <p className="was">{detail.label}</p>
      </details>
    </section>
  )
}
