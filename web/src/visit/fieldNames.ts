import type { Grade, Vocabulary } from '../api/client'
import { capital, dayShort } from '../shared/format'
import { say } from '../words/say'
import '../words/visit'

/** What each field of a visit is called on the screens. */
export const FIELD_NAMES: Record<string, string> = {
  method: say('visit.method'),
  month: say('visit.month'),
  pins: say('visit.putInByHand'),
  takenOut: say('visit.takenOutByHand'),
  steps: say('visit.stepChangedByHand'),
  'week/every': say('visit.howTheNightsComeRound'),
  'week/first': say('visit.howTheNightsComeRound'),
  'week/evenings': say('visit.eveningOfTheirOwn'),
  'week/courses': say('visit.courseThatEnds'),
  'week/byHand': say('visit.eveningSetByHand'),
  'intake/site': say('visit.livesAndWorksAt'),
  'intake/places': say('visit.theDayIsSpentIn'),
  'intake/hoursIn': say('visit.hoursInTheAir'),
  'intake/outdoorsByMonth': say('visit.outdoorsByMonth'),
  'intake/outdoorHours': say('visit.hoursOutdoorsADay'),
  'intake/makeUpDays': say('visit.makeUpDaysAWeek'),
  'intake/makeUp': say('visit.makeUpIs'),
  'intake/sunscreenDays': say('visit.sunscreenDaysAWeek'),
  'intake/morningMinutes': say('visit.minutesMorning'),
  'intake/eveningMinutes': say('visit.minutesEvening'),
  'intake/mostSteps': say('visit.stepsAtMost'),
  'intake/budget': say('visit.budgetAMonth'),
  'intake/scent': say('visit.perfumeInProducts'),
  'intake/animal': say('visit.anythingFromAnimals'),
  'intake/oils': say('visit.faceOils'),
  'intake/birthYear': say('visit.yearOfBirth'),
  'intake/says': say('visit.callsTheSkin'),
  'intake/lately': say('visit.isItAsUsual'),
  'intake/swings': say('visit.oilyInSummerDryInWinter'),
  'intake/flush': say('visit.faceReddensAndHeats'),
  'intake/reactions': say('visit.reactionsToProductsThisYear'),
  'intake/burns': say('visit.halfAnHourOfMiddaySummerSun'),
  'intake/tans': say('visit.andThen'),
  'intake/answers': say('visit.safety'),
  'intake/medicines': say('visit.medicine'),
  'intake/otherAllergies': say('visit.anotherAllergy'),
  'intake/matters': say('visit.whatMattersMost'),
  'intake/settled': say('visit.referralSettled'),
  'intake/note': say('visit.note'),
  'intake/assumed': say('visit.assumedField'),
  'reading/grades': say('visit.grade'),
  'reading/probe': say('visit.theProbe'),
  'reading/conditions': say('visit.conditionsOfTheProbe'),
  'reading/settlements': say('visit.findingsThatDisagree'),
  'reading/byHand': say('visit.verdictByHand'),
}

/** A field as the therapist would call it: "Shine, nose" for a grade, "Note" for the note. */
export function fieldName(path: string, words: Vocabulary): string {
  const parts = path.split('/')
  const depth = ['intake', 'reading', 'week'].includes(parts[0] ?? '') ? 2 : 1
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
  if (value === undefined) return say('visit.notThere')
  if (value === null || value === '') return say('visit.empty')
  if (typeof value === 'boolean') return value ? say('visit.isYes') : say('visit.isNo')
  if (Array.isArray(value)) return value.map(fieldValue).join(', ') || say('visit.isNone')
  if (typeof value === 'object') return entry(value as Record<string, unknown>)
  const text = typeof value === 'number' ? String(value) : (value as string)
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
    : say('visit.isChanged')
}
