import type { Grade, Reading, Sign, Vocabulary, Zone } from '../api/client'

type SignWords = Vocabulary['signs'][number]

/** The grade of a sign in a zone, or null when it was not looked at. */
export const gradeOf = (reading: Reading, sign: Sign, zone: Zone): number | null =>
  reading.grades.find((g) => g.sign === sign && g.zone === zone)?.grade ?? null

/** Grades one sign in one zone; null takes the look back. */
export function graded(reading: Reading, sign: SignWords, zone: Zone, grade: number | null): Reading {
  const others = reading.grades.filter((g) => !(g.sign === sign.sign && g.zone === zone))
  const grades: Grade[] =
    grade === null ? others : [...others, { sign: sign.sign, zone, grade, how: sign.how }]
  return { ...reading, grades }
}

const OTHER_SIDE: Partial<Record<Zone, Zone>> = {
  CHEEK_R: 'CHEEK_L',
  CHEEK_L: 'CHEEK_R',
  EYE_R: 'EYE_L',
  EYE_L: 'EYE_R',
}

/** Gives both sides the same grade: the zone's own, or the other side's when the zone is not looked at yet. */
export function mirrored(reading: Reading, sign: SignWords, zone: Zone): Reading {
  const other = OTHER_SIDE[zone]
  if (!other) return reading
  const own = gradeOf(reading, sign.sign, zone)
  const across = gradeOf(reading, sign.sign, other)
  if (own !== null) return graded(reading, sign, other, own)
  return across === null ? reading : graded(reading, sign, zone, across)
}

/** The neighbour of an entry in a list, going round. */
export function neighbour<T>(list: T[], entry: T, by: number): T {
  const at = list.indexOf(entry)
  return list[(at + by + list.length) % list.length] ?? entry
}
