import type { Schemas, Vocabulary } from '../api/client'

export type Place = Schemas['CoverageWords']['coverage']

/**
 * The places of a step with one put in or taken out. The whole face and a part of it take each other's place; the last place stays.
 */
export function toggled(places: Place[], place: Place, known: Vocabulary['coverages']): Place[] {
  const onTheFace = (p: Place) => known.some((k) => k.coverage === p && k.onTheFace)
  if (places.includes(place)) {
    return places.length > 1 ? places.filter((p) => p !== place) : places
  }
  const others =
    place === 'FACE'
      ? places.filter((p) => !onTheFace(p))
      : onTheFace(place)
        ? places.filter((p) => p !== 'FACE')
        : places
  return known.map((k) => k.coverage).filter((p) => p === place || others.includes(p))
}
