import { useState } from 'react'
import Autocomplete from '@mui/material/Autocomplete'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useProducts, useShelf, useShelfChange } from '../api/hooks'
import { dayShort } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { PatternSet, Bands } from '../strip/Bands'
import { LabelForm } from './LabelForm'
import './products.css'

/** What the client owns: from the house shelf by name, or by its label. */
export function ClientShelf({ client }: { client: string }) {
  const shelf = useShelf(client)
  const house = useProducts()
  const change = useShelfChange(client)
  const [labelling, setLabelling] = useState(false)
  const failed = change.addKnown.error ?? change.takeOff.error ?? shelf.error
  const options = (house.data ?? []).map((p) => ({ id: p.id, label: p.name }))
  return (
    <section className="band shelf" aria-label="The client’s own shelf">
      <PatternSet />
      <div className="desk-head">
        <h2>What stands on the shelf at home</h2>
        <Autocomplete
          options={options}
          value={null}
          blurOnSelect
          clearOnBlur
          sx={{ width: 300, ml: 'auto' }}
          onChange={(_, next) => next && change.addKnown.mutate({ product: next.id, weeks: 4 })}
          renderInput={(params) => <TextField {...params} label="From the house shelf" />}
        />
        <Button onClick={() => setLabelling(!labelling)} aria-expanded={labelling}>
          By its label
        </Button>
      </div>
      {failed && <ErrorBand error={failed} />}
      {labelling && (
        <LabelForm
          own
          close={() => setLabelling(false)}
          save={(product, weeks, nights) => change.addLabel.mutateAsync({ product, weeks, nights })}
        />
      )}
      <ul className="shelf-list">
        {(shelf.data ?? []).map((item) => (
          <li key={item.id}>
            <svg width="40" height="40" aria-hidden="true">
              <Bands shares={item.product.shares} x={0} y={0} width={40} height={40} />
              <rect x="0.5" y="0.5" width="39" height="39" fill="none" stroke="var(--ink)" />
            </svg>
            <span>
              <b>{item.product.name}</b>
              <span className="second">
                {item.product.kindLabel}, {item.product.textureWords}
                {item.weeks > 0 ? `, used ${item.weeks} weeks` : ', new'}
                {item.nights.length > 0 && `, prescribed for ${item.nights.map(dayShort).join(', ')}`}
              </span>
            </span>
            <Button
              onClick={() => change.takeOff.mutate(item.id)}
              aria-label={`Take off: ${item.product.name}`}
            >
              Take off
            </Button>
          </li>
        ))}
        {shelf.data?.length === 0 && (
          <li className="second">Nothing yet. Add what is used now; it is used up first.</li>
        )}
      </ul>
    </section>
  )
}
