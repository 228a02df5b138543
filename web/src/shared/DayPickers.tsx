import { useReducer, useState } from 'react'
import { flushSync } from 'react-dom'
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

/**
 * What stands in a field while a day is typed: half a day is no day yet and is told to nobody, but it stays where it was typed. Told
 * is what is whole, or '' when the field is emptied; another value from outside takes the place of both.
 */
function useTyping(value: string, form: string, pick: (value: string) => void) {
  const [typing, setTyping] = useState({ of: value, shown: parse(value) })
  if (typing.of !== value) setTyping({ of: value, shown: parse(value) })
  const change = (next: Dayjs | null) => {
    const told = next === null ? '' : next.isValid() && next.year() > 1900 ? next.format(form) : value
    setTyping({ of: told, shown: next })
    if (told !== value) pick(told)
  }
  return { value: typing.shown, onChange: change }
}

/**
 * Lets the page come to rest before the field hears a key. The field shows a day that does not exist yet, as the 31st of the month
 * that still stands, only until its effects run next; those of an answer that has just come would empty what was typed.
 */
function useRest() {
  const [, drawn] = useReducer((n: number) => n + 1, 0)
  const rest = () => flushSync(drawn)
  return { onInputCapture: rest, onKeyDownCapture: rest, onPasteCapture: rest }
}

/** A day, typed or picked, in the order in which this practice writes days. */
export function DateField({ label, value, pick, width = 195, error, until, about }: DayProps) {
  const typing = useTyping(value, 'YYYY-MM-DD', pick)
  const rest = useRest()
  const field = (
    <LocalizationProvider dateAdapter={AdapterDayjs}>
      <DatePicker
        label={label}
        format={typedDates()}
        {...typing}
        maxDate={until ? dayjs(until) : undefined}
        slotProps={{
          textField: {
            error: !!error || undefined,
            helperText: error,
            sx: { width },
            ...rest,
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
  const typing = useTyping(value, 'YYYY-MM-DDTHH:mm:ss', pick)
  const rest = useRest()
  return (
    <LocalizationProvider dateAdapter={AdapterDayjs}>
      <DateTimePicker
        label={label}
        format={`${typedDates()} ${typedTimes()}`}
        ampm={typedTimes().includes('A')}
        {...typing}
        slotProps={{
          textField: { error: !!error || undefined, helperText: error, sx: { width }, ...rest },
          field: { clearable: true },
        }}
      />
    </LocalizationProvider>
  )
}
