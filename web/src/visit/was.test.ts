import type { Intake } from '../api/client'
import { was } from './was'

const now = { morningMinutes: 8, places: ['SEA'], budget: null } as unknown as Intake

test('what has changed says what it was, and what has not says nothing', () => {
  const before = { morningMinutes: 5, places: ['SEA'] } as unknown as Intake
  expect(was(before, now, 'morningMinutes', String)).toBe('5')
  expect(was(before, now, 'places', String)).toBeUndefined()
})

test('absent and null are the same, and a first visit marks nothing', () => {
  expect(was({} as Intake, now, 'budget', String)).toBeUndefined()
  expect(was(null, now, 'morningMinutes', String)).toBeUndefined()
})
