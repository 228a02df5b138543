import type { VisitDocument } from '../api/client'
import { putIn, release, swap, takeOut } from './byHandEdits'

const empty = { pins: [], takenOut: [] } as unknown as VisitDocument

test('what is put in is no longer taken out, and the other way round', () => {
  const out = takeOut(empty, 'EVENING', 'a')
  expect(out.takenOut).toEqual([{ part: 'EVENING', product: 'a' }])
  const back = putIn(out, 'EVENING', 'a')
  expect(back.takenOut).toEqual([])
  expect(back.pins).toEqual([{ part: 'EVENING', product: 'a' }])
  expect(takeOut(back, 'EVENING', 'a').pins).toEqual([])
})

test('a swap takes one out and puts the other in, in that routine only', () => {
  const swapped = swap(putIn(empty, 'MORNING', 'a'), 'EVENING', 'a', 'b')
  expect(swapped.pins).toEqual([
    { part: 'MORNING', product: 'a' },
    { part: 'EVENING', product: 'b' },
  ])
  expect(swapped.takenOut).toEqual([{ part: 'EVENING', product: 'a' }])
})

test('released, the engine decides again', () => {
  expect(release(takeOut(empty, 'EVENING', 'a'), 'EVENING', 'a')).toEqual(empty)
})
