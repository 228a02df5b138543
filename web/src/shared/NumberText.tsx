import { useState } from 'react'
import TextField, { type TextFieldProps } from '@mui/material/TextField'
import { isHalfANumber } from './numbers'
import { say } from '../words/say'
import '../words/shared'

/**
 * A number as it is typed. The beginning of one is no mistake while it is typed; left so, it is.
 *
 * @param wrong why what stands there is no number, or none that can be taken; nothing when it is one
 * @param refused why it was not taken when it was sent; told while it is typed too
 * @param assumed whether it is the usual one, and nobody gave it
 * @param name what it is called by those who cannot see its place, when that is more than its label
 */
export function NumberText({
  typed,
  change,
  wrong,
  refused,
  hint,
  unit,
  name,
  width = 110,
  assumed = false,
  ...field
}: {
  typed: string
  change: (typed: string) => void
  wrong?: string
  refused?: string
  hint?: string
  unit?: string
  name?: string
  width?: number
  assumed?: boolean
} & Pick<TextFieldProps, 'label' | 'slotProps' | 'inputRef'>) {
  const [within, setWithin] = useState(false)
  const mistake = refused ?? (within && isHalfANumber(typed) ? undefined : wrong)
  return (
    <TextField
      {...field}
      value={typed}
      className={assumed ? 'assumed' : undefined}
      error={mistake !== undefined}
      helperText={mistake ?? hint}
      slotProps={{
        ...(mistake === undefined && field.slotProps),
        htmlInput: {
          inputMode: 'decimal',
          'aria-label': name,
          'aria-description': assumed ? say('shared.assumed') : undefined,
        },
        input: unit ? { endAdornment: <span className="second">{unit}</span> } : {},
      }}
      // a sentence needs room
      sx={{ width: mistake ? Math.max(width, 240) : width }}
      onFocus={() => setWithin(true)}
      onBlur={() => setWithin(false)}
      onChange={(e) => change(e.target.value)}
    />
  )
}
