import { daysAfter } from './day'

test('days go over the ends of months and years, a leap day and a clock change, and back', () => {
  expect(daysAfter('2026-11-30', 1)).toBe('2026-12-01')
  expect(daysAfter('2028-02-28', 1)).toBe('2028-02-29')
  expect(daysAfter('2027-03-27', 2)).toBe('2027-03-29')
  expect(daysAfter('2026-03-01', -1)).toBe('2026-02-28')
  expect(daysAfter('2026-01-02', -3)).toBe('2025-12-30')
  expect(daysAfter('2026-11-25', 0)).toBe('2026-11-25')
})
