import type { Schemas } from '../api/client'
import { numberFrom } from '../shared/numbers'
import type { Picked } from './ProductPicker'
import { say } from '../words/say'
import '../words/products'

export type Measure = Schemas['PartForm']['measure']
export type PantryItem = Schemas['PantryItem']
export type MixPart = { key: number; thing: Picked | null; amount: string; measure: Measure }
export type Mix = {
  name: string
  use: Schemas['RecipeForm']['use']
  palm: boolean
  preserved: boolean
  weeks: string
  parts: MixPart[]
}

export const PANTRY = say('products.pantry')

export const EMPTY_MIX: Mix = {
  name: '',
  use: 'BY_NIGHT',
  palm: false,
  preserved: false,
  weeks: '4',
  parts: [{ key: 1, thing: null, amount: '', measure: 'TEASPOON' }],
}

/** What is whole enough to be read; none while nothing is. The name may still be missing. */
export function recipeFrom(mix: Mix): Schemas['RecipeForm'] | null {
  const parts = mix.parts.flatMap((p) => {
    const amount = numberFrom(p.amount)
    if (!p.thing || amount === null || amount <= 0) return []
    const pantry = p.thing.from === PANTRY
    return [
      {
        item: pantry ? p.thing.id : null,
        product: pantry ? null : p.thing.id,
        amount,
        measure: p.measure,
      },
    ]
  })
  if (parts.length < (mix.palm ? 2 : 1)) return null
  return {
    name: mix.name.trim() || say('products.mixture'),
    use: mix.use,
    palm: mix.palm,
    preserved: mix.preserved && !mix.palm,
    parts,
  }
}

/** In which measure such a thing is usually taken. */
export function usualMeasure(thing: Picked, items: PantryItem[]): Measure {
  if (thing.from !== PANTRY) return 'PEA'
  switch (items.find((i) => i.id === thing.id)?.form) {
    case 'ESSENTIAL_OIL':
      return 'DROP'
    case 'OIL':
    case 'WATER':
      return 'ML'
    default:
      return 'TEASPOON'
  }
}
