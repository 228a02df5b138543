import type { Visit } from '../api/client'
import { forget, fresh, keep, kept } from './draft'

const visit = {
  id: 'v',
  client: 'c',
  date: '2026-11-25',
  version: 3,
  intake: { note: 'hello' },
  reading: { grades: [], probe: [] },
  method: 'classic',
  month: 'NOVEMBER',
  pins: [],
  takenOut: [],
  steps: [],
} as unknown as Visit

beforeEach(() => localStorage.clear())

test('unsaved work is kept on this machine and saved work is not', () => {
  const draft = { ...fresh(visit), dirty: true }
  keep('v', draft)
  expect(kept('v')).toEqual(draft)
  keep('v', { ...draft, dirty: false })
  expect(kept('v')).toBeNull()
})

test('a half-typed number is kept as typed', () => {
  keep('v', { ...fresh(visit), typed: { '/intake/morningMinutes': 'ten' } })
  expect(kept('v')?.typed['/intake/morningMinutes']).toBe('ten')
  forget('v')
  expect(kept('v')).toBeNull()
})

test('a damaged store costs the kept draft, not the page', () => {
  localStorage.setItem('outfell.visit.v', '{ not json')
  expect(kept('v')).toBeNull()
})
