import type { Month, Part, Schemas, Step } from '../api/client'
import { say } from '../words/say'
import '../words/shared'

export type Formats = Schemas['Formats']

/** How this practice writes; what stands until its own page is read. */
export const USUAL: Formats = {
  language: 'en',
  dates: 'DAY_MONTH_YEAR',
  clock24: true,
  firstDay: 'MONDAY',
  volume: 'ML',
  temperature: 'CELSIUS',
}

let formats: Formats = USUAL

/** Everything below follows the practice's page from now on. */
export function writeAs(next: Formats) {
  formats = next
}

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
export type Day = (typeof DAYS)[number]

/** The week as this practice begins it. */
export function week(): Day[] {
  const first = Math.max(0, DAYS.indexOf(formats.firstDay))
  return [...DAYS.slice(first), ...DAYS.slice(0, first)]
}

/** What two things on one skin are to one another. */
export const MEETINGS = {
  NEVER: say('shared.neverTogether'),
  AM_PM: say('shared.notInOneRoutine'),
  NIGHTS: say('shared.notOnOneNight'),
  CAUTION: say('shared.mind'),
  FINE: say('shared.fine'),
  MYTH: say('shared.fineTheClashIsAMyth'),
} as const

/** "NOVEMBER" as "November". */
export const monthName = (month: Month) =>
  new Intl.DateTimeFormat(locale(), { month: 'long' }).format(new Date(2026, MONTHS.indexOf(month), 1))

/** A Monday. */
const SOME_MONDAY = 2

/** "TUESDAY" as "Tue". */
export const dayShort = (day: string) =>
  new Intl.DateTimeFormat(locale(), { weekday: 'short' }).format(
    new Date(2026, 1, SOME_MONDAY + DAYS.findIndex((d) => d === day)),
  )

/** "MORNING" as "Morning". */
export const partName = (part: Part) => (part === 'MORNING' ? say('shared.morning') : say('shared.evening'))

/** "Tue, Sat", or "1 night in 3"; empty for a step of every day. A plan that was kept before nights had a rhythm goes by weekday. */
export const nightsWords = (step: Pick<Step, 'nights'> & { often?: string }) =>
  step.often ? step.often : step.nights.length === 7 ? '' : step.nights.map(dayShort).join(', ')

/** Whether a step is on some evenings only, whichever they are. */
export const sometimes = (step: Pick<Step, 'nights'> & { often?: string }) => nightsWords(step) !== ''

/** "1 min 30 s" or "45 s". */
export function secondsWords(seconds: number) {
  if (seconds < 60) return `${seconds} s`
  const rest = seconds % 60
  return rest === 0
    ? say('shared.min', { value: seconds / 60 })
    : say('shared.minS', { floor: Math.floor(seconds / 60), rest })
}

/** A day or moment as the practice's clock has it: "2026-11-25" is that day everywhere, east and west. */
function moment(iso: string): Date {
  const [year = 1970, month = 1, day = 1] = iso.slice(0, 10).split('-').map(Number)
  const [hour = 0, minute = 0] = iso.length > 10 ? iso.slice(11, 16).split(':').map(Number) : []
  return new Date(year, month - 1, day, hour, minute)
}

/** The country whose way of writing days is this practice's. */
const locale = () =>
  !formats.language.startsWith('en')
    ? formats.language
    : formats.dates === 'MONTH_DAY_YEAR'
      ? 'en-US'
      : 'en-GB'

const two = (n: number) => String(n).padStart(2, '0')
const numeric = (at: Date) => `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`

/** "Wed 25 Nov", with its year when that is not this one. */
export function dateWords(iso: string, today = new Date()) {
  const at = moment(iso)
  const weekday = new Intl.DateTimeFormat(locale(), { weekday: 'short' }).format(at)
  if (formats.dates === 'YEAR_MONTH_DAY') return `${weekday} ${numeric(at)}`
  return new Intl.DateTimeFormat(locale(), {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    year: at.getFullYear() === today.getFullYear() ? undefined : 'numeric',
  }).format(at)
}

/** "25 Nov", without its weekday; with its year when that is not this one. */
export function shortDay(iso: string, today = new Date()) {
  const at = moment(iso)
  if (formats.dates === 'YEAR_MONTH_DAY') return numeric(at)
  return new Intl.DateTimeFormat(locale(), {
    day: 'numeric',
    month: 'short',
    year: at.getFullYear() <= today.getFullYear() + 1 ? undefined : 'numeric',
  }).format(at)
}

/** "25 November 2026". */
export function longDate(iso: string) {
  const at = moment(iso)
  if (formats.dates === 'YEAR_MONTH_DAY') return numeric(at)
  return new Intl.DateTimeFormat(locale(), { day: 'numeric', month: 'long', year: 'numeric' }).format(at)
}

/** "14:00" or "2:00 pm". */
export const timeWords = (iso: string) =>
  new Intl.DateTimeFormat(formats.clock24 ? 'en-GB' : 'en-US', {
    hour: formats.clock24 ? '2-digit' : 'numeric',
    minute: '2-digit',
    hourCycle: formats.clock24 ? 'h23' : 'h12',
  }).format(moment(iso))

/** The order in which days are typed here. */
export const typedDates = () =>
  formats.dates === 'MONTH_DAY_YEAR'
    ? 'MM/DD/YYYY'
    : formats.dates === 'YEAR_MONTH_DAY'
      ? 'YYYY-MM-DD'
      : 'DD/MM/YYYY'

/** The way in which hours are typed here. */
export const typedTimes = () => (formats.clock24 ? 'HH:mm' : say('shared.hhMmA'))

const DAY_MS = 24 * 60 * 60 * 1000

/** "3 weeks ago", "eight months ago": how far back a day lies. */
export function agoWords(iso: string, today = new Date()) {
  const midnight = new Date(today.getFullYear(), today.getMonth(), today.getDate())
  const days = Math.round((midnight.getTime() - moment(iso.slice(0, 10)).getTime()) / DAY_MS)
  if (days === 1) return say('shared.yesterday')
  if (days < 14) return say('shared.daysAgo', { days })
  if (days < 60) return say('shared.weeksAgo', { round: Math.round(days / 7) })
  return say('shared.monthsAgo', { round: Math.round(days / 30.4) })
}

/** Warmth in the practice's measure; it is kept in Celsius. */
export const warmthWords = (celsius: number) =>
  formats.temperature === 'CELSIUS' ? `${round(celsius)} °C` : `${round((celsius * 9) / 5 + 32)} °F`

/** How warmth is typed here: its sign, and what stands for what is kept in Celsius. */
export const warmth = () =>
  formats.temperature === 'CELSIUS'
    ? { sign: '°C', shown: (celsius: number) => round(celsius), kept: (typed: number) => typed }
    : {
        sign: '°F',
        shown: (celsius: number) => round((celsius * 9) / 5 + 32),
        kept: (typed: number) => Math.round((((typed - 32) * 5) / 9) * 10) / 10,
      }

const ML_PER_FL_OZ = 29.5735
const G_PER_OZ = 28.3495

/** What a pack holds, in the practice's measure; it is kept in ml and g. */
export function sizeWords(size: number, unit: string) {
  if (formats.volume === 'ML') return `${round(size)} ${unit}`
  return unit === 'ml'
    ? say('shared.flOz', { toFixed: (size / ML_PER_FL_OZ).toFixed(1) })
    : unit === 'g'
      ? say('shared.oz', { toFixed: (size / G_PER_OZ).toFixed(1) })
      : `${round(size)} ${unit}`
}

const round = (n: number) => Math.round(n * 10) / 10

/** With one put in, or taken out where it stood. */
export const toggled = <T>(all: T[], one: T) =>
  all.includes(one) ? all.filter((o) => o !== one) : [...all, one]

export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** The same, without cents where there are none: for limits and rungs, which stand by themselves. */
export const roundMoneyWords = (amount: number, currency: string) =>
  Number.isInteger(amount)
    ? moneyWords(amount, currency).replace(/[.,]00(?=\D*$)/, '')
    : moneyWords(amount, currency)

/** An amount of money, "€9.86"; whole amounts keep their cents so that columns align. */
export const moneyWords = (amount: number, currency: string) =>
  new Intl.NumberFormat(locale(), { style: 'currency', currency }).format(amount)

/** "€" or "US$", for the label of a field. */
export const currencySign = (currency: string) =>
  new Intl.NumberFormat(locale(), { style: 'currency', currency })
    .formatToParts(0)
    .find((p) => p.type === 'currency')?.value ?? currency
