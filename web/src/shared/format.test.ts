import { afterEach, describe, expect, it } from 'vitest'
import {
  agoWords,
  currencySign,
  dateWords,
  longDate,
  moneyWords,
  sizeWords,
  timeWords,
  USUAL,
  warmth,
  warmthWords,
  week,
  writeAs,
} from './format'
import { isHalfANumber, numberFrom } from './numbers'

afterEach(() => writeAs(USUAL))

describe('numbers as they are typed', () => {
  it('takes a comma or a point, nothing as nought, and says when it is none', () => {
    expect([numberFrom('1,5'), numberFrom(' 2.25 '), numberFrom(''), numberFrom('twelve')]).toEqual([
      1.5,
      2.25,
      0,
      null,
    ])
  })

  it('half of one is no mistake', () => {
    expect(['', '-', '1.', '12,', ' '].map(isHalfANumber)).toEqual([true, true, true, true, true])
    expect(['ten', '1.2.', '12'].map(isHalfANumber)).toEqual([false, false, false])
  })
})

describe('days and hours as the practice writes them', () => {
  it('a day without an hour is that day, west of Greenwich too', () => {
    const zone = process.env.TZ
    try {
      for (const place of ['America/Los_Angeles', 'UTC', 'Pacific/Auckland']) {
        process.env.TZ = place
        expect(longDate('2026-11-25')).toBe('25 November 2026')
        expect(dateWords('2026-11-25', new Date(2026, 10, 26))).toBe('Wed 25 Nov')
      }
    } finally {
      process.env.TZ = zone
    }
  })

  it('says the year when it is not this one', () => {
    expect(dateWords('2025-11-25', new Date(2026, 0, 1))).toMatch(/2025/)
  })

  it('follows the order, the clock and the first day of the practice', () => {
    writeAs({ ...USUAL, dates: 'MONTH_DAY_YEAR', clock24: false, firstDay: 'SUNDAY' })
    expect(longDate('2026-11-25')).toBe('November 25, 2026')
    expect(timeWords('2026-11-25T14:05:00')).toMatch(/^2:05 pm$/i)
    expect(week()[0]).toBe('SUNDAY')
    expect(week()).toHaveLength(7)
    writeAs({ ...USUAL, dates: 'YEAR_MONTH_DAY' })
    expect(longDate('2026-11-25')).toBe('2026-11-25')
    expect(timeWords('2026-11-25T14:05:00')).toBe('14:05')
  })

  it('says how long ago', () => {
    const today = new Date(2026, 10, 26, 9)
    expect(['2026-11-25', '2026-11-20', '2026-10-29', '2026-03-18'].map((d) => agoWords(d, today))).toEqual([
      'yesterday',
      '6 days ago',
      '4 weeks ago',
      '8 months ago',
    ])
  })
})

describe('measures of the practice', () => {
  it('keeps ml and Celsius, and shows ounces and Fahrenheit where that is wanted', () => {
    expect([sizeWords(50, 'ml'), warmthWords(21)]).toEqual(['50 ml', '21 °C'])
    writeAs({ ...USUAL, volume: 'FL_OZ', temperature: 'FAHRENHEIT' })
    expect([sizeWords(50, 'ml'), sizeWords(30, 'g'), warmthWords(21)]).toEqual([
      '1.7 fl oz',
      '1.1 oz',
      '69.8 °F',
    ])
    expect([warmth().kept(69.8), warmth().shown(21)]).toEqual([21, 69.8])
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
