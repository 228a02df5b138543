import type { Step, VisitDocument } from '../api/client'
import { adjust, byHandOf, moveTo, putIn, release, swap, takeOut } from './byHandEdits'

const empty = { pins: [], takenOut: [], steps: [] } as unknown as VisitDocument

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

test('a change on a step is kept until it is as computed again', () => {
  const coat = adjust(empty, 'EVENING', 'a', { secondCoat: true })
  expect(byHandOf(coat, 'EVENING', 'a').secondCoat).toBe(true)
  expect(byHandOf(coat, 'MORNING', 'a').secondCoat).toBe(false)
  expect(adjust(coat, 'EVENING', 'a', { secondCoat: false })).toEqual(empty)
  expect(takeOut(coat, 'EVENING', 'a').steps).toEqual([])
})

test('the last move is done last, other changes keep their place', () => {
  const steps = ['a', 'b', 'c'].map((product) => ({ product })) as Step[]
  const first = adjust(empty, 'EVENING', 'a', { move: moveTo(steps, 'a', 3, 'so') })
  const both = adjust(first, 'EVENING', 'b', { move: moveTo(steps, 'b', 1, '') })
  expect(both.steps.map((s) => s.product)).toEqual(['a', 'b'])
  expect(adjust(both, 'EVENING', 'a', { optional: true }).steps.map((s) => s.product)).toEqual(['a', 'b'])
  const again = adjust(both, 'EVENING', 'a', { move: moveTo(steps, 'a', 2, '') })
  expect(again.steps.map((s) => s.product)).toEqual(['b', 'a'])
})

test('a moved step is told by both its neighbours', () => {
  const steps = ['a', 'b', 'c'].map((product) => ({ product })) as Step[]
  expect(moveTo(steps, 'c', 1, 'why')).toEqual({ after: null, before: 'a', why: 'why' })
  expect(moveTo(steps, 'a', 2, '')).toEqual({ after: 'b', before: 'c', why: '' })
  expect(moveTo(steps, 'a', 3, '')).toEqual({ after: 'c', before: null, why: '' })
})
