import { useState } from 'react'
import { useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { api, ask, type Product } from '../api/client'
import { keys, useProducts } from '../api/hooks'
import { ErrorBand, Fetching } from '../shared/States'
import { Bands, Key, PatternSet } from '../strip/Bands'
import { Findings, LabelForm } from './LabelForm'
import './products.css'

/** What the practice offers, each as the tool understands it. */
export default function HouseShelf() {
  const products = useProducts()
  const queries = useQueryClient()
  const [find, setFind] = useState('')
  const [adding, setAdding] = useState(false)
  if (products.isPending) return <Fetching what="the house shelf" />
  if (products.isError) {
    return (
      <div className="page">
        <ErrorBand error={products.error} again={() => void products.refetch()} />
      </div>
    )
  }
  const shown = products.data.filter((p) => matches(p, find))
  return (
    <div className="page">
      <PatternSet />
      <div className="desk-head">
        <h1>House shelf</h1>
        <span className="second">
          {shown.length} of {products.data.length} products
        </span>
        <TextField
          label="Find by name, kind or ingredient"
          value={find}
          onChange={(e) => setFind(e.target.value)}
          sx={{ width: 320, ml: 'auto' }}
        />
        <Button onClick={() => setAdding(!adding)} aria-expanded={adding}>
          Add by its label
        </Button>
      </div>
      {adding && (
        <div className="band shelf">
          <LabelForm
            own={false}
            close={() => setAdding(false)}
            save={async (body) => {
              await ask(api.POST('/api/products', { body }))
              await queries.invalidateQueries({ queryKey: keys.products })
            }}
          />
        </div>
      )}
      <Key />
      <ul className="house">
        {shown.map((p) => (
          <li key={p.id}>
            <details>
              <summary>
                <svg width="40" height="40" aria-hidden="true">
                  <Bands shares={p.shares} x={0} y={0} width={40} height={40} />
                  <rect x="0.5" y="0.5" width="39" height="39" fill="none" stroke="var(--ink)" />
                </svg>
                <span>
                  <b>{p.name}</b>
                  <span className="second">{p.maker}</span>
                </span>
                <span>
                  {p.kindLabel}
                  <span className="second">{p.textureWords}</span>
                </span>
                <span>
                  {p.findings
                    .filter((f) => f.about === 'active')
                    .slice(0, 2)
                    .map((f) => f.found)
                    .join('; ')}
                </span>
                <span className="price">
                  €{p.price.toFixed(2)}
                  <span className="second">
                    {p.size} {p.unit}
                  </span>
                </span>
              </summary>
              <Findings product={p} />
            </details>
          </li>
        ))}
        {shown.length === 0 && (
          <li className="second" style={{ padding: 16 }}>
            {products.data.length === 0
              ? 'Nothing here yet. Add the first product by its label.'
              : `Nothing matches "${find}".`}
          </li>
        )}
      </ul>
    </div>
  )
}

function matches(p: Product, find: string) {
  const wanted = find.toLowerCase().trim()
  return (
    wanted === '' ||
    [p.name, p.maker, p.kindLabel, ...p.lines.flatMap((l) => [l.printed, l.known])].some((t) =>
      t.toLowerCase().includes(wanted),
    )
  )
}
