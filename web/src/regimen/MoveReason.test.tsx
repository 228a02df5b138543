import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { Step } from '../api/client'
import { MoveReason } from './MoveReason'
import type { Asking } from './useMove'

const rule = { sentence: 'Thinner first: 2 before 5.', evidence: 'CONVENTION', source: 'custom' } as const
const asking = (allowed: boolean): Asking => ({
  part: 'EVENING',
  step: { name: 'Rich cream' } as Step,
  to: 2,
  shift: { to: 2, allowed, against: [rule] },
})

vi.mock('../api/hooks', () => ({
  useVocabulary: () => ({ data: undefined }),
  useOwnRules: () => ({ data: [] }),
}))

test('a move against a rule names it and needs a reason', async () => {
  const settle = vi.fn()
  render(<MoveReason of="v1" asking={asking(true)} settle={settle} leave={() => {}} />)
  expect(screen.getByRole('heading', { name: 'Rich cream as step 2?' })).toBeVisible()
  expect(screen.getByText(/Thinner first: 2 before 5\./)).toBeVisible()
  expect(screen.getByRole('button', { name: 'Move it' })).toBeDisabled()
  await userEvent.type(screen.getByLabelText('Why all the same'), '  it stings  ')
  await userEvent.click(screen.getByRole('button', { name: 'Move it' }))
  expect(settle).toHaveBeenCalledWith('it stings')
})

test('where nothing may stand it can only be left', async () => {
  const leave = vi.fn()
  render(<MoveReason of="v1" asking={asking(false)} settle={() => {}} leave={leave} />)
  expect(screen.getByRole('heading', { name: 'Rich cream cannot be step 2' })).toBeVisible()
  expect(screen.queryByLabelText('Why all the same')).toBeNull()
  await userEvent.click(screen.getByRole('button', { name: 'Leave it where it is' }))
  expect(leave).toHaveBeenCalled()
})
