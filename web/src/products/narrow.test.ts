import { describe, expect, it } from 'vitest'
import { wantedFrom } from './narrow'

describe('what is looked for, from the address', () => {
  it('asks for nothing when nothing was typed or chosen', () => {
    expect(wantedFrom('  ', [])).toEqual({})
  })

  it('puts filters of each sort together', () => {
    expect(
      wantedFrom(' rice ', ['kind.TONER', 'kind.ESSENCE', 'active.AHA', 'free.PERFUME', 'concern.LINES']),
    ).toEqual({
      text: 'rice',
      kinds: ['TONER', 'ESSENCE'],
      actives: ['AHA'],
      free: ['PERFUME'],
      concerns: ['LINES'],
    })
  })

  it('spans textures from the thinnest to the thickest, halves of the last grade with it', () => {
    expect(wantedFrom('', ['texture.5', 'texture.3'])).toEqual({ leastTexture: 3, mostTexture: 5.9 })
  })

  it('takes the lowest of several prices', () => {
    expect(wantedFrom('', ['price.50', 'price.20'])).toEqual({ mostPrice: 20 })
  })
})
