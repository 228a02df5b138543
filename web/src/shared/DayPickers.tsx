import dayjs, { type Dayjs } from 'dayjs'
import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs'
import { DatePicker } from '@mui/x-date-pickers/DatePicker'
import { DateTimePicker } from '@mui/x-date-pickers/DateTimePicker'
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider'
import { say } from '../words/say'
import '../words/shared'
import { typedDates, typedTimes } from './format'

export type DayProps = {
  label: string
  /** as the server writes it; '' for none */
  value: string
  /** is told only what is a whole day, or '' when the field is emptied */
  pick: (value: string) => void
  width?: number
  error?: string
  /** what the day is of, for those who cannot see the question beside it */
  about?: string
  /** the last day that can be meant, as for what has happened */
  until?: string
}

const parse = (value: string) => (value === '' ? null : dayjs(value))

/** A day, typed or picked, in the order in which this practice writes days. */
export function DateField({ label, value, pick, width = 195, error, until, about }: DayProps) {
  const field = (
    <LocalizationProvider dateAdapter={AdapterDayjs}>
      <DatePicker
        label={label}
        format={typedDates()}
        value={parse(value)}
        maxDate={until ? dayjs(until) : undefined}
        onChange={(next) => told(next, 'YYYY-MM-DD', pick)}
        slotProps={{
          textField: {
            error: !!error || undefined,
            helperText: error,
            sx: { width },
          },
          field: { clearable: true },
        }}
      />
    </LocalizationProvider>
  )
  return about === undefined ? (
    field
  ) : (
    <div role="group" aria-label={say('shared.dayOf', { label, about })}>
      {field}
    </div>
  )
}

/** A day with its hour. */
export function DateTimeField({ label, value, pick, width = 250, error }: DayProps) {
  return (
    <LocalizationProvider dateAdapter={AdapterDayjs}>
      <DateTimePicker
        label={label}
        format={`${typedDates()} ${typedTimes()}`}
        ampm={typedTimes().includes('A')}
        value={parse(value)}
        onChange={(next) => told(next, 'YYYY-MM-DDTHH:mm:ss', pick)}
        slotProps={{
          textField: { error: !!error || undefined, helperText: error, sx: { width } },
          field: { clearable: true },
        }}
      />
    </LocalizationProvider>
  )
}

/** Half a day is no day yet: it is told when it is whole, or taken away. */
function told(next: Dayjs | null, form: string, pick: (value: string) => void) {
  if (next === null) pick('')
  else if (next.isValid() && next.year() > 1900) pick(next.format(form))
}
