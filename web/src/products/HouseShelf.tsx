import { useState } from 'react'
import { useQueryClient } from '@tanstack/react-query'
import { Link, useNavigate, useSearchParams } from 'react-router'
import Autocomplete from '@mui/material/Autocomplete'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import { api, ask, type Product } from '../api/client'
import { keys, useSearch, useVocabulary } from '../api/hooks'
import { useMoney } from '../shared/money'
import { ErrorBand, Fetching } from '../shared/States'
import { Bands, Key, PatternSet } from '../strip/Bands'
import { LabelForm } from './LabelForm'
import { narrowings, wantedFrom, type Narrowing } from './narrow'
import { sizeWords } from '../shared/format'
import { say } from '../words/say'
import '../words/ingredients'
import '../words/products'
import './products.css'

const MOST_COMPARED = 4

/** What the practice offers: found by word and filter, chosen for laying side by side. */
export default function HouseShelf() {
  const [params, setParams] = useSearchParams()
  const words = useVocabulary().data
  const queries = useQueryClient()
  const money = useMoney()
  const [adding, setAdding] = useState(false)
  const text = params.get('text') ?? ''
  const by = params.getAll('by')
  const compared = params.getAll('compare')
  const found = useSearch(wantedFrom(text, by))
  const set = (name: string, values: string[]) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before)
        next.delete(name)
        values.filter((v) => v !== '').forEach((v) => next.append(name, v))
        return next
      },
      { replace: true },
    )
  const options = words ? narrowings(words, money.sign) : []
  return (
    <div className="page">
      <PatternSet />
      <div className="desk-head">
        <h1>{say('products.houseShelf')}</h1>
        <span className="second" role="status">
          {found.data && counted(found.data.total, found.data.products.length)}
        </span>
        <Button component={Link} to="/products/ingredients" sx={{ ml: 'auto' }}>
          {say('ingredients.ingredients')}
        </Button>
        <Button component={Link} to="/products/files">
          {say('products.files')}
        </Button>
        <Button onClick={() => setAdding(!adding)} aria-expanded={adding}>
          {say('products.addByItsLabel')}
        </Button>
      </div>
      <div className="house-find">
        <TextField
          label={say('products.findByNameMakerOrIngredient')}
          type="search"
          value={text}
          onChange={(e) => set('text', [e.target.value])}
        />
        <Autocomplete
          multiple
          options={options}
          groupBy={(o) => o.group}
          value={options.filter((o) => by.includes(o.id))}
          isOptionEqualToValue={(a, b) => a.id === b.id}
          disableCloseOnSelect
          onChange={(_, chosen: Narrowing[]) =>
            set(
              'by',
              chosen.map((o) => o.id),
            )
          }
          renderInput={(p) => <TextField {...p} label={say('products.narrowByKindActiveConcernWhatIt')} />}
        />
      </div>
      {adding && (
        <div className="band shelf">
          <LabelForm
            own={false}
            of=""
            close={() => setAdding(false)}
            save={async (body) => {
              await ask(api.POST('/api/products', { body }))
              await queries.invalidateQueries({ queryKey: keys.products })
            }}
          />
        </div>
      )}
      <div className="shelf-key">
        <Key />
      </div>
      {found.data && found.data.readAs.length > 0 && (
        <p className="second" role="status">
          {found.data.readAs
            .map((r) => say('products.readAsWord', { word: r.word, as: r.as.join(', ') }))
            .join(' ')}
        </p>
      )}
      {found.isError && <ErrorBand error={found.error} again={() => void found.refetch()} />}
      {found.isPending && <Fetching what={say('products.theHouseShelf')} />}
      <ul className="house" aria-label={say('products.productsFound')}>
        {found.data?.products.map((p) => (
          <Row
            key={p.id}
            product={p}
            chosen={compared.includes(p.id)}
            full={compared.length >= MOST_COMPARED}
            choose={() =>
              set(
                'compare',
                compared.includes(p.id) ? compared.filter((id) => id !== p.id) : [...compared, p.id],
              )
            }
          />
        ))}
        {found.data?.total === 0 && (
          <li className="second" style={{ padding: 16 }}>
            {text === '' && by.length === 0
              ? say('products.nothingHereYetAddTheFirstProduct')
              : say('products.nothingFitsAllOfThisTakeOut')}
          </li>
        )}
      </ul>
      {compared.length > 0 && <Tray ids={compared} clear={() => set('compare', [])} />}
    </div>
  )
}

function counted(total: number, shown: number) {
  if (total === 1) return '1 product'
  return total > shown
    ? say('products.productsTheFirstShownNarrowToSee', { total, shown })
    : say('products.products', { total })
}

function Row({
  product: p,
  chosen,
  full,
  choose,
}: {
  product: Product
  chosen: boolean
  full: boolean
  choose: () => void
}) {
  const money = useMoney()
  return (
    <li className="house-row">
      <svg width="40" height="40" aria-hidden="true">
        <Bands shares={p.shares} x={0} y={0} width={40} height={40} />
        <rect x="0.5" y="0.5" width="39" height="39" fill="none" stroke="var(--ink)" />
      </svg>
      <span>
        <Link to={`/products/${p.id}`}>{p.name}</Link>
        <span className="second">{p.maker}</span>
      </span>
      <span>
        {p.kindLabel}
        <span className="second">
          {p.textureWords}
          {p.spf > 0 && say('products.spf', { spf: p.spf })}
        </span>
      </span>
      <span className="house-actives">
        {p.findings
          .filter((f) => f.about === 'active')
          .slice(0, 2)
          .map((f) => f.found)
          .join('; ')}
      </span>
      <span className="price">
        {p.price > 0 ? money.words(p.price) : say('products.noPrice')}
        <span className="second">{sizeWords(p.size, p.unit)}</span>
      </span>
      <ToggleButton
        value="compare"
        selected={chosen}
        disabled={full && !chosen}
        onChange={choose}
        aria-label={say('products.compare', { name: p.name })}
      >
        {say('products.compare2')}
      </ToggleButton>
    </li>
  )
}

/** What was chosen for comparing stays in sight while more is looked for. */
function Tray({ ids, clear }: { ids: string[]; clear: () => void }) {
  const go = useNavigate()
  const address = `/products/compare?${ids.map((id) => `ids=${encodeURIComponent(id)}`).join('&')}`
  return (
    <div className="tray" role="region" aria-label={say('products.chosenForComparing')}>
      <b>{say('products.ofChosen', { length: ids.length, MOSTCOMPARED: MOST_COMPARED })}</b>
      {ids.length === 1 && <span>{say('products.chooseOneMoreToLayThemSide')}</span>}
      <Button onClick={clear} sx={{ ml: 'auto' }}>
        {say('products.clear')}
      </Button>
      <Button variant="contained" disabled={ids.length < 2} onClick={() => void go(address)}>
        {say('products.laySideBySide')}
      </Button>
    </div>
  )
}
