import type { Grade, Vocabulary } from '../api/client'
import { capital, dayShort } from '../shared/format'

/** What each field of a visit is called on the screens. */
export const FIELD_NAMES: Record<string, string> = {
  method: 'Method',
  month: 'Month',
  pins: 'Put in by hand',
  takenOut: 'Taken out by hand',
  steps: 'Step changed by hand',
  'intake/site': 'Lives and works at',
  'intake/places': 'The day is spent in',
  'intake/outdoorHours': 'Hours outdoors a day',
  'intake/makeUpDays': 'Make-up days a week',
  'intake/makeUp': 'Make-up is',
  'intake/sunscreenDays': 'Sunscreen days a week',
  'intake/morningMinutes': 'Minutes, morning',
  'intake/eveningMinutes': 'Minutes, evening',
  'intake/mostSteps': 'Steps at most',
  'intake/budget': 'Budget a month',
  'intake/scent': 'Perfume in products',
  'intake/animal': 'Anything from animals',
  'intake/oils': 'Face oils',
  'intake/birthYear': 'Year of birth',
  'intake/says': 'Calls the skin',
  'intake/swings': 'Oily in summer, dry in winter?',
  'intake/flush': 'Face reddens and heats',
  'intake/reactions': 'Reactions to products this year',
  'intake/burns': 'Half an hour of midday summer sun, bare',
  'intake/tans': 'And then',
  'intake/answers': 'Safety',
  'intake/medicines': 'Medicine',
  'intake/otherAllergies': 'Another allergy',
  'intake/matters': 'What matters most',
  'intake/settled': 'Referral settled',
  'intake/note': 'Note',
  'reading/grades': 'Grade',
  'reading/probe': 'Probe',
  'reading/conditions': 'Conditions of the probe',
  'reading/settlements': 'Findings that disagree',
  'reading/byHand': 'Verdict by hand',
}

/** A field as the therapist would call it: "Shine, nose" for a grade, "Note" for the note. */
export function fieldName(path: string, words: Vocabulary): string {
  const parts = path.split('/')
  const depth = parts[0] === 'intake' || parts[0] === 'reading' ? 2 : 1
  const group = parts.slice(0, depth).join('/')
  const one = parts.slice(depth).join('/')
  const name = FIELD_NAMES[group] ?? group
  if (one === '') return name
  if (group === 'reading/grades' || group === 'reading/probe') {
    const [first = '', zone = ''] = one.split(' ')
    const sign =
      words.signs.find((s) => s.sign === (first as Grade['sign']))?.label ?? capital(first.toLowerCase())
    return `${sign}, ${zoneName(zone, words)}`
  }
  return `${name}: ${one.toLowerCase().replaceAll('_', ' ').replaceAll('-', ' ')}`
}

const zoneName = (zone: string, words: Vocabulary) =>
  words.zones.find((z) => z.zone === zone)?.label ?? zone.toLowerCase()

/** What stands in a field, shortly, in words. */
export function fieldValue(value: unknown): string {
  if (value === undefined) return 'not there'
  if (value === null || value === '') return 'empty'
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (Array.isArray(value)) return value.map(fieldValue).join(', ') || 'none'
  if (typeof value === 'object') return entry(value as Record<string, unknown>)
  const text = String(value)
  const plain = /^[A-Z][A-Z_]+$/.test(text) ? text.toLowerCase().replaceAll('_', ' ') : text
  return plain.length > 60 ? `${plain.slice(0, 60)}…` : plain
}

/** The one thing that a record says, without what it is about. */
function entry(value: Record<string, unknown>): string {
  for (const name of ['grade', 'yes', 'value', 'values', 'keeps', 'who', 'words']) {
    if (value[name] !== undefined && value[name] !== null && value[name] !== '')
      return fieldValue(value[name])
  }
  const nights = value.nights
  return Array.isArray(nights) && nights.length > 0
    ? nights.map((n) => dayShort(String(n))).join(', ')
    : 'changed'
}
