import { expect, test } from 'vitest'
import { tickEvery } from './Timeline'

test.each([
  [5, 1],
  [23, 1],
  [24, 2],
  [47, 2],
  [92, 5],
  [180, 10],
  [400, 20],
])('over %d minutes there is a tick every %d', (minutes, every) => {
  expect(tickEvery(minutes)).toBe(every)
})
