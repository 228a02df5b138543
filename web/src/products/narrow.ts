import type { Vocabulary } from '../api/client'
import type { Wanted } from '../api/hooks'
import { say } from '../words/say'
import '../words/products'

/** One thing by which the house shelf can be narrowed; the id stands in the address. */
export type Narrowing = { id: string; group: string; label: string }

const WITHOUT = [
  ['PERFUME', say('products.withoutPerfume')],
  ['ALCOHOL', say('products.withoutDryingAlcohol')],
  ['ANIMAL', say('products.withoutAnimalOrigin')],
  ['NUTS', say('products.withoutNutOils')],
  ['LANOLIN', say('products.withoutLanolin')],
] as const

const PRICES = [10, 20, 30, 50]

/** @param sign of the practice's currency */
export function narrowings(words: Vocabulary, sign: string): Narrowing[] {
  return [
    ...words.kinds.map((k) => ({ id: `kind.${k.kind}`, group: say('products.kindOfStep'), label: k.label })),
    ...words.actives.map((a) => ({ id: `active.${a.kind}`, group: say('products.with'), label: a.label })),
    ...words.concerns.map((c) => ({
      id: `concern.${c.concern}`,
      group: say('products.for'),
      label: c.label,
    })),
    ...WITHOUT.map(([id, label]) => ({ id: `free.${id}`, group: say('products.without'), label })),
    ...words.textures.map((t) => ({
      id: `texture.${t.grade}`,
      group: say('products.texture'),
      label: `${t.grade} ${t.label}`,
    })),
    ...PRICES.map((p) => ({
      id: `price.${p}`,
      group: say('products.priceOfThePack'),
      label: say('products.upTo', { sign, p }),
    })),
  ]
}

/** Several kinds widen, several textures span from the thinnest to the thickest, all else must hold together. */
export function wantedFrom(text: string, by: string[]): Wanted {
  const of = (what: string) => by.filter((b) => b.startsWith(`${what}.`)).map((b) => b.slice(what.length + 1))
  const textures = of('texture').map(Number)
  const prices = of('price').map(Number)
  return {
    ...(text.trim() !== '' && { text: text.trim() }),
    ...(of('kind').length > 0 && { kinds: of('kind') as Wanted['kinds'] }),
    ...(of('active').length > 0 && { actives: of('active') as Wanted['actives'] }),
    ...(of('concern').length > 0 && { concerns: of('concern') as Wanted['concerns'] }),
    ...(of('free').length > 0 && { free: of('free') as Wanted['free'] }),
    ...(textures.length > 0 && {
      leastTexture: Math.min(...textures),
      mostTexture: Math.max(...textures) + 0.9,
    }),
    ...(prices.length > 0 && { mostPrice: Math.min(...prices) }),
  }
}
