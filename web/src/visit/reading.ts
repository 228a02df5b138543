import type { Grade, Quantity, Reading, Sign, Spot, Vocabulary, Zone } from '../api/client'

type SignWords = Vocabulary['signs'][number]

/** The grade of a sign in a zone, or null when it was not looked at. */
export const gradeOf = (reading: Reading, sign: Sign, zone: Zone): number | null =>
  reading.grades.find((g) => g.sign === sign && g.zone === zone)?.grade ?? null

/** Grades one sign in one zone, known as that sign usually is or as said; null takes the look back. */
export function graded(
  reading: Reading,
  sign: SignWords,
  zone: Zone,
  grade: number | null,
  how: Grade['how'] = sign.how,
): Reading {
  const others = reading.grades.filter((g) => !(g.sign === sign.sign && g.zone === zone))
  const grades: Grade[] = grade === null ? others : [...others, { sign: sign.sign, zone, grade, how }]
  return { ...reading, grades }
}

/** The grades of the visit before, where nothing has been looked at yet; for one sign. */
export function asBefore(reading: Reading, before: Reading, sign: SignWords): Reading {
  return before.grades
    .filter((g) => g.sign === sign.sign && gradeOf(reading, sign.sign, g.zone) === null)
    .reduce((r, g) => graded(r, sign, g.zone, g.grade, g.how), reading)
}

/** Where a sign is read now: its zones, those on request only when asked for or graded already. */
export function zonesOf(
  sign: SignWords,
  zones: Vocabulary['zones'],
  asked: Zone[],
  reading: Reading,
): Zone[] {
  const onRequest = new Set(zones.filter((z) => z.onRequest).map((z) => z.zone))
  const shown = sign.zones.filter(
    (z) => !onRequest.has(z) || asked.includes(z) || gradeOf(reading, sign.sign, z) !== null,
  )
  return shown.length > 0 ? shown : sign.zones
}

/** The readings of one spot, none when it was not measured. */
export const spotOf = (reading: Reading, quantity: Quantity, zone: Zone): Spot | undefined =>
  reading.probe.find((p) => p.quantity === quantity && p.zone === zone)

/** One more reading of a spot. */
export function measured(
  reading: Reading,
  quantity: Quantity,
  zone: Zone,
  value: number,
  simulated: boolean,
): Reading {
  const before = spotOf(reading, quantity, zone)
  const spot: Spot = {
    quantity,
    zone,
    values: [...(before?.values ?? []), value].slice(-9),
    simulated: simulated || (before?.simulated ?? false),
  }
  return { ...reading, probe: [...reading.probe.filter((p) => p !== before), spot] }
}

/** Without the readings of a spot. */
export const unmeasured = (reading: Reading, quantity: Quantity, zone: Zone): Reading => ({
  ...reading,
  probe: reading.probe.filter((p) => !(p.quantity === quantity && p.zone === zone)),
})

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
  const at = (z: Zone) => reading.grades.find((g) => g.sign === sign.sign && g.zone === z)
  const own = at(zone)
  const across = at(other)
  if (own) return graded(reading, sign, other, own.grade, own.how)
  return across ? graded(reading, sign, zone, across.grade, across.how) : reading
}

/** The neighbour of an entry in a list, going round. */
export function neighbour<T>(list: T[], entry: T, by: number): T {
  const at = list.indexOf(entry)
  return list[(at + by + list.length) % list.length] ?? entry
}
