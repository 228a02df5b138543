import { fireEvent, render, screen } from '@testing-library/react'
import { vi } from 'vitest'
import { NumberField } from './Ask'
import type { VisitWork } from './useVisit'

function field(typed: Record<string, string>, over: { value?: number | null; clear?: () => void } = {}) {
  const type = vi.fn()
  const set = vi.fn()
  const work = {
    draft: { typed },
    saving: { state: 'refused', fields: [{ pointer: '/intake/budget', sentence: 'budget is -1.' }] },
    type,
  } as unknown as VisitWork
  render(
    <NumberField
      label="Budget"
      pointer="/intake/budget"
      value={over.value === undefined ? 20 : over.value}
      work={work}
      set={set}
      clear={over.clear}
    />,
  )
  return { type, set, input: screen.getByLabelText('Budget') }
}

test('a number with a comma is a number, and letters are kept as typed', () => {
  const { type, set, input } = field({})
  fireEvent.change(input, { target: { value: '12,5' } })
  expect(set).toHaveBeenCalledWith(12.5)
  fireEvent.change(input, { target: { value: 'twelve' } })
  expect(type).toHaveBeenLastCalledWith('/intake/budget', 'twelve')
  expect(set).toHaveBeenCalledTimes(1)
})

test('what is no number is shown as typed, with what still counts', () => {
  const { input } = field({ '/intake/budget': 'twelve' })
  expect((input as HTMLInputElement).value).toBe('twelve')
  expect(screen.getByText(/the last one, 20, still counts/)).toBeTruthy()
})

test('an emptied field is not asked where that may be, and what the server refused stands at it', () => {
  const clear = vi.fn()
  const { input } = field({}, { clear })
  expect(screen.getByText('budget is -1.')).toBeTruthy()
  fireEvent.change(input, { target: { value: '' } })
  expect(clear).toHaveBeenCalled()
})
