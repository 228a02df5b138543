import TextField from '@mui/material/TextField'
import { later } from './later'
import type { DayProps } from './DayPickers'

const pickers = () => import('./DayPickers')

/** Holds the place of a field until its calendar is there. */
const Place = (width: number) =>
  function Place({ label, width: own = width }: DayProps) {
    return <TextField label={label} disabled sx={{ width: own }} />
  }

/** A day, typed or picked, in the order in which this practice writes days. */
export const DateField = later(pickers, (m) => m.DateField, Place(195))

/** A day with its hour. */
export const DateTimeField = later(pickers, (m) => m.DateTimeField, Place(250))
