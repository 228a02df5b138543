import { useState } from 'react'
import Autocomplete from '@mui/material/Autocomplete'
import TextField from '@mui/material/TextField'
import { useSearch } from '../api/hooks'
import { say } from '../words/say'
import '../words/products'

export type Picked = { id: string; label: string; from: string }

/** A product by name, from given shelves and from the house shelf, which is searched as one types. */
export function ProductPicker({
  label,
  value,
  pick,
  shelves,
  helperText,
  autoFocus = false,
  width,
}: {
  label: string
  value: Picked | null
  pick: (product: Picked | null) => void
  /** searched before the house shelf, by the names that stand there */
  shelves: { from: string; products: { id: string; name: string }[] }[]
  helperText?: string
  autoFocus?: boolean
  width?: number
}) {
  const [text, setText] = useState('')
  const house = useSearch(text.trim() === '' ? {} : { text: text.trim() })
  const typed = text.trim().toLowerCase()
  const before = shelves.flatMap((s) =>
    s.products
      .filter((p) => p.name.toLowerCase().includes(typed))
      .map((p) => ({ id: p.id, label: p.name, from: s.from })),
  )
  const options = [
    ...before,
    ...(house.data?.products ?? [])
      // what was found for fewer letters stays only where it still fits: a thing that goes away cannot be picked
      .filter((p) => !house.isPlaceholderData || p.name.toLowerCase().includes(typed))
      .filter((p) => !before.some((o) => o.id === p.id))
      .map((p) => ({ id: p.id, label: p.name, from: say('products.houseShelf') })),
  ]
  return (
    <Autocomplete
      options={options}
      groupBy={(o) => o.from}
      value={value}
      inputValue={text}
      onInputChange={(_, next, reason) => setText(reason === 'reset' && value === null ? '' : next)}
      onChange={(_, next) => pick(next)}
      isOptionEqualToValue={(a, b) => a.id === b.id}
      // what was found is what fits; it is not sifted a second time
      filterOptions={(all) => all}
      loading={house.isPending}
      noOptionsText={say('products.nothingByThatName')}
      blurOnSelect
      sx={{ width: width ?? '100%' }}
      renderInput={(params) => (
        <TextField {...params} label={label} autoFocus={autoFocus} helperText={helperText} />
      )}
    />
  )
}
