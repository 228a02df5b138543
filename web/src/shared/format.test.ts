import { describe, expect, it } from 'vitest'
import { currencySign, moneyWords, numberFrom } from './format'

describe('numbers as she types them', () => {
  it('takes a comma or a point, nothing as nought, and says when it is none', () => {
    expect([numberFrom('1,5'), numberFrom(' 2.25 '), numberFrom(''), numberFrom('twelve')]).toEqual([
      1.5,
      2.25,
      0,
      null,
    ])
  })
})

describe('money in the practice’s currency', () => {
  it('has the sign and the digits of the currency', () => {
    expect(moneyWords(9.5, 'EUR')).toBe('€9.50')
    expect(moneyWords(9.5, 'GBP')).toBe('£9.50')
    expect(moneyWords(950, 'JPY')).toBe('JP¥950')
    expect(currencySign('USD')).toBe('US$')
  })
})
