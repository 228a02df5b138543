import { describe, expect, it } from 'vitest'
import { putRight } from './LabelForm'

describe('a slip put right in a label', () => {
  it('changes the first place only and nothing else', () => {
    expect(putRight('Aqua, NlACINAMIDE (5 %), Nlacinamide', 'NlACINAMIDE', 'Niacinamide')).toBe(
      'Aqua, Niacinamide (5 %), Nlacinamide',
    )
  })

  it('finds a name over a line break and with signs that mean something elsewhere', () => {
    expect(putRight('Aqua, Cetearyl\n  Aicohol', 'Cetearyl Aicohol', 'Cetearyl Alcohol')).toBe(
      'Aqua, Cetearyl Alcohol',
    )
    expect(putRight('PEG-8 (a+b)*', 'PEG-8 (a+b)*', 'PEG-8')).toBe('PEG-8')
    expect(putRight('Glycerln', 'Glycerln', '$& Glycerin')).toBe('$& Glycerin')
  })

  it('leaves a label alone that does not hold the name', () => {
    expect(putRight('Aqua', 'Glycerln', 'Glycerin')).toBe('Aqua')
  })
})
