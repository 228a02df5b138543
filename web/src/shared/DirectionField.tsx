import { useState } from 'react'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import type { Schemas } from '../api/client'
import { say } from '../words/say'
import '../words/products'

type Direction = Schemas['DirectionOf']

interface Props {
  direction: Direction
  disabled: boolean
  take: (to: string) => void
}

/** What a pack directs, said by hand: one of its answers, or a number. */
export function DirectionField(props: Props) {
  return props.direction.values.length > 0 ? <Answer {...props} /> : <Figure {...props} />
}

function Answer({ direction, disabled, take }: Props) {
  return (
    <TextField
      select
      hiddenLabel
      slotProps={{
        select: { displayEmpty: true, inputProps: { 'aria-label': direction.question } },
      }}
      value={direction.value}
      disabled={disabled}
      sx={{ width: 220 }}
      onChange={(e) => take(e.target.value)}
    >
      <MenuItem value="">{say('products.packSays')}</MenuItem>
      {direction.values.map((v) => (
        <MenuItem key={v.value} value={v.value}>
          {v.words}
        </MenuItem>
      ))}
    </TextField>
  )
}

/** A number, taken when the field is left or Enter is pressed. */
function Figure({ direction, disabled, take }: Props) {
  const [typed, setTyped] = useState(direction.value)
  const done = () => {
    const to = typed.trim().replace(',', '.')
    if (to !== direction.value) take(to)
  }
  return (
    <TextField
      hiddenLabel
      placeholder={say('products.packSays')}
      value={typed}
      disabled={disabled}
      sx={{ width: 220 }}
      slotProps={{ htmlInput: { inputMode: 'decimal', 'aria-label': direction.question } }}
      onChange={(e) => setTyped(e.target.value)}
      onBlur={done}
      onKeyDown={(e) => e.key === 'Enter' && done()}
    />
  )
}
