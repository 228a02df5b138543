import { useState } from 'react'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import type { Schemas } from '../api/client'
import { Why } from '../shared/Why'
import { say } from '../words/say'
import '../words/products'

type Detail = Schemas['Detail']
type Direction = Schemas['DirectionOf']
type Correction = Schemas['Correction']

/** What the pack directs: what is known with who says it, and each can be said by hand. */
export function Directed({
  detail,
  disabled,
  right,
}: {
  detail: Detail
  disabled: boolean
  right: (about: Correction['about'], of: string, to: string) => void
}) {
  const { directions } = detail.product
  return (
    <section aria-label={say('products.whatThePackDirects')} className="directed">
      <h3>{say('products.whatThePackDirects')}</h3>
      <p className="second">{say('products.directionsHint')}</p>
      <ul>
        {directions.map((d) => (
          <li key={d.direction}>
            <span>
              {d.question}{' '}
              {d.because ? (
                <>
                  <b>{d.words}</b>. <Why because={d.because} quiet />
                </>
              ) : (
                <span className="second">{say('products.notKnownOfPack')}</span>
              )}
            </span>
            {d.values.length > 0 ? (
              <Answer direction={d} disabled={disabled} take={(to) => right('DIRECTION', d.direction, to)} />
            ) : (
              <Figure
                key={d.value}
                direction={d}
                disabled={disabled}
                take={(to) => right('DIRECTION', d.direction, to)}
              />
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}

interface Of {
  direction: Direction
  disabled: boolean
  take: (to: string) => void
}

function Answer({ direction, disabled, take }: Of) {
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
function Figure({ direction, disabled, take }: Of) {
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

/** What was said by hand of one direction, in words. */
export function directedWords(directions: Direction[], c: Correction): string {
  const of = directions.find((d) => d.direction === c.of)
  const question = of?.question ?? c.of
  return c.to === ''
    ? say('products.directionSilent', { question })
    : say('products.directionIs', {
        question,
        to: of?.value === c.to ? of.words : c.to,
      })
}
