import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { afterEach, expect, test, vi } from 'vitest'
import { CheckInForm } from './CheckInForm'

const URGENT = 'Emergency help at once.'

function opened(how: 'VISIT' | 'CLIENT') {
  const sent = vi.fn().mockResolvedValue(undefined)
  const noted = vi.fn()
  render(
    <CheckInForm
      client="c1"
      today="2026-11-30"
      how={how}
      say={{ mutateAsync: sent } as never}
      urgent={URGENT}
      noted={noted}
    />,
  )
  return { sent, noted }
}

const tap = async (sign: string, grade: RegExp) =>
  userEvent.click(within(screen.getByRole('group', { name: sign })).getByRole('button', { name: grade }))

afterEach(() => localStorage.clear())

test('what the client taps herself is of today and said to be hers, and what she left out is not said', async () => {
  const { sent, noted } = opened('CLIENT')
  expect(screen.queryByLabelText('Day')).not.toBeInTheDocument()
  expect(screen.queryByRole('group', { name: 'How it was asked' })).not.toBeInTheDocument()
  expect(screen.getByRole('button', { name: 'Note it' })).toBeDisabled()
  await tap('Stinging', /1/)
  await tap('Flaking', /0/)
  await userEvent.click(screen.getByRole('button', { name: 'Note it' }))
  expect(sent).toHaveBeenCalledWith({
    on: '2026-11-30',
    how: 'CLIENT',
    sting: 1,
    redness: null,
    flaking: 0,
    swelling: false,
    skipped: null,
    remark: '',
  })
  expect(noted).toHaveBeenCalledWith(false)
})

test('who tells of a swelling is told at once what to do', async () => {
  const { noted } = opened('CLIENT')
  expect(screen.queryByText(URGENT)).not.toBeInTheDocument()
  await userEvent.click(screen.getByRole('button', { name: 'Swelling or a blister' }))
  expect(screen.getByRole('alert')).toHaveTextContent(URGENT)
  await userEvent.click(screen.getByRole('button', { name: 'Note it' }))
  expect(noted).toHaveBeenCalledWith(true)
})

test('a grade that was tapped is taken back by a second tap', async () => {
  opened('VISIT')
  await tap('Redness', /2/)
  expect(screen.getByRole('button', { name: 'Note it' })).toBeEnabled()
  await tap('Redness', /2/)
  expect(screen.getByRole('button', { name: 'Note it' })).toBeDisabled()
})
