import type { Month, Step } from '../api/client'

export const MONTHS: Month[] = [
  'JANUARY',
  'FEBRUARY',
  'MARCH',
  'APRIL',
  'MAY',
  'JUNE',
  'JULY',
  'AUGUST',
  'SEPTEMBER',
  'OCTOBER',
  'NOVEMBER',
  'DECEMBER',
]

export const DAYS = ['MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY', 'SATURDAY', 'SUNDAY'] as const

/** What two things on one skin are to one another. */
export const MEETINGS = {
  NEVER: 'never together',
  AM_PM: 'not in one routine',
  NIGHTS: 'not on one night',
  CAUTION: 'mind',
  FINE: 'fine',
  MYTH: 'fine, the clash is a myth',
} as const

/** "NOVEMBER" as "November". */
export const monthName = (month: Month) => month.charAt(0) + month.slice(1).toLowerCase()

/** "TUESDAY" as "Tue". */
export const dayShort = (day: string) => day.charAt(0) + day.slice(1, 3).toLowerCase()

/** "Tue, Sat"; empty for a step of every day. */
export const nightsWords = (step: Pick<Step, 'nights'>) =>
  step.nights.length === 7 ? '' : step.nights.map(dayShort).join(', ')

/** "1 min 30 s" or "45 s". */
export function secondsWords(seconds: number) {
  if (seconds < 60) return `${seconds} s`
  const rest = seconds % 60
  return rest === 0 ? `${seconds / 60} min` : `${Math.floor(seconds / 60)} min ${rest} s`
}

const dateForm = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })
const longDateForm = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' })
const timeForm = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })

export const dateWords = (iso: string) => dateForm.format(new Date(iso))
export const longDate = (iso: string) => longDateForm.format(new Date(iso))
export const timeWords = (iso: string) => timeForm.format(new Date(iso))

export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** A typed number, with point or comma; empty is nought, null when it is none. */
export function numberFrom(typed: string): number | null {
  const text = typed.trim().replace(',', '.')
  const value = text === '' ? 0 : Number(text)
  return Number.isNaN(value) ? null : value
}

/** An amount of money, "€9.86"; whole amounts keep their cents so that columns align. */
export const moneyWords = (amount: number, currency: string) =>
  new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(amount)

/** "€" or "US$", for the label of a field. */
export const currencySign = (currency: string) =>
  new Intl.NumberFormat('en-GB', { style: 'currency', currency })
    .formatToParts(0)
    .find((p) => p.type === 'currency')?.value ?? currency
