import { describe, expect, it } from 'vitest'
import { EMPTY_MIX, PANTRY, recipeFrom, usualMeasure, type Mix, type MixPart } from './mix'

const oil: MixPart = {
  key: 1,
  thing: { id: 'olive-oil', label: 'olive oil', from: PANTRY },
  amount: '30',
  measure: 'ML',
}
const cream: MixPart = {
  key: 2,
  thing: { id: 'day-cream', label: 'Day cream', from: 'Own shelf' },
  amount: '1,5',
  measure: 'PEA',
}
const mix = (next: Partial<Mix>): Mix => ({ ...EMPTY_MIX, ...next })

describe('a mixture as it is typed', () => {
  it('is nothing to be read while it has no whole part', () => {
    expect(recipeFrom(EMPTY_MIX)).toBeNull()
    expect(recipeFrom(mix({ parts: [{ ...oil, amount: '' }] }))).toBeNull()
    expect(recipeFrom(mix({ parts: [{ ...oil, amount: 'some' }] }))).toBeNull()
    expect(recipeFrom(mix({ parts: [{ ...oil, thing: null }] }))).toBeNull()
  })

  it('leaves out what is half typed, reads a decimal comma, and tells pantry from products', () => {
    const recipe = recipeFrom(mix({ name: ' Oil ', parts: [oil, cream, { ...oil, key: 3, amount: '-' }] }))
    expect(recipe).toEqual({
      name: 'Oil',
      use: 'BY_NIGHT',
      palm: false,
      preserved: false,
      parts: [
        { item: 'olive-oil', product: null, amount: 30, measure: 'ML' },
        { item: null, product: 'day-cream', amount: 1.5, measure: 'PEA' },
      ],
    })
  })

  it('needs two parts in the palm, and no preservative there', () => {
    expect(recipeFrom(mix({ palm: true, parts: [oil] }))).toBeNull()
    expect(recipeFrom(mix({ palm: true, preserved: true, parts: [oil, cream] }))?.preserved).toBe(false)
  })

  it('measures each thing as it is usually measured', () => {
    const items = [
      { id: 'olive-oil', form: 'OIL' },
      { id: 'lavender-oil', form: 'ESSENTIAL_OIL' },
      { id: 'oat-flour', form: 'POWDER' },
    ] as Parameters<typeof usualMeasure>[1]
    const of = (id: string, from = PANTRY) => usualMeasure({ id, label: id, from }, items)
    expect([of('olive-oil'), of('lavender-oil'), of('oat-flour'), of('x', 'House shelf')]).toEqual([
      'ML',
      'DROP',
      'TEASPOON',
      'PEA',
    ])
  })
})
