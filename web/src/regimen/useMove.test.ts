import { act, renderHook } from '@testing-library/react'
import type { Routine, Step, VisitDocument } from '../api/client'
import type { VisitContext } from '../visit/VisitShell'
import { useMove } from './useMove'

const rule = { sentence: 'Thinner first: 2 before 5.', evidence: 'CONVENTION', source: 'custom' } as const
const step = (number: number, shifts: Step['shifts']): Step =>
  ({ number, product: `p${number}`, name: `p${number}`, shifts }) as unknown as Step

const evening = {
  part: 'EVENING',
  steps: [
    step(1, [
      { to: 2, allowed: true, against: [] },
      { to: 3, allowed: true, against: [rule] },
    ]),
    step(2, [{ to: 3, allowed: false, against: [rule] }]),
    step(3, []),
  ],
} as unknown as Routine

function board() {
  let document = { pins: [], takenOut: [], steps: [] } as unknown as VisitDocument
  const change = (edit: (d: VisitDocument) => VisitDocument) => (document = edit(document))
  const hook = renderHook(() => useMove({ work: { change } } as unknown as VisitContext, [evening]))
  return { hook: hook.result, steps: () => document.steps }
}

test('a free move is done at once, one against a rule waits for a reason', () => {
  const { hook, steps } = board()
  act(() => hook.current.move('EVENING', 'p1', 2))
  expect(steps()[0]?.move).toEqual({ after: 'p2', before: 'p3', why: '' })
  act(() => hook.current.move('EVENING', 'p1', 3))
  expect(hook.current.asking?.to).toBe(3)
  expect(steps()[0]?.move?.after).toBe('p2')
  act(() => hook.current.settle('she bears it so'))
  expect(steps()[0]?.move).toEqual({ after: 'p3', before: null, why: 'she bears it so' })
  expect(hook.current.asking).toBeNull()
})

test('a move that is left changes nothing, and one that nobody knows is none', () => {
  const { hook, steps } = board()
  act(() => hook.current.move('EVENING', 'p2', 3))
  expect(hook.current.asking?.shift.allowed).toBe(false)
  act(() => hook.current.leave())
  act(() => hook.current.move('EVENING', 'p2', 9))
  act(() => hook.current.move('MORNING', 'p2', 1))
  expect(steps()).toEqual([])
})
