import { render, screen, within } from '@testing-library/react'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import userEvent from '@testing-library/user-event'
import type { Schemas } from '../api/client'
import { MethodTable } from './MethodTable'

const because = { sentence: 'So it is taught.', evidence: 'CONVENTION', source: 'custom' } as const
const answer = (value: string, words: string) => ({
  id: 'toner-layers',
  question: 'Toner?',
  value,
  answer: words,
  others: [],
})
const method = (id: string, name: string, house: boolean, value: string, words: string) =>
  ({
    id,
    name,
    note: '',
    because,
    answers: [answer(value, words)],
    house,
    offered: true,
    version: 0,
    copyOf: house ? 'Classic' : '',
    by: house ? 'Runa' : null,
    at: house ? '2026-11-20T10:00:00' : null,
  }) as Schemas['MethodView']

const questions: Schemas['SchoolQuestion'][] = [
  {
    id: 'toner-layers',
    question: 'Toner?',
    schools: [
      { value: '0', words: 'skipped' },
      { value: '1', words: 'once after cleansing' },
    ],
    bearsOn: [],
    otherwise: '',
  },
]

function open(methods: Schemas['MethodView'][]) {
  localStorage.clear()
  return render(
    <QueryClientProvider client={new QueryClient()}>
      <MethodTable methods={methods} questions={questions} chosen="classic" choose={() => {}} />
    </QueryClientProvider>,
  )
}

const classic = method('classic', 'Classic', false, '1', 'once after cleansing')
const house = method('house-1', 'Slip way', true, '0', 'skipped')

test('methods stand side by side, what differs is marked, and only those of the house may be changed', () => {
  open([classic, house])
  expect(screen.getByRole('columnheader', { name: /Classic ✓/ })).toBeVisible()
  expect(screen.getByRole('cell', { name: 'skipped' })).toHaveClass('differs')
  expect(screen.getByText(/Runa, .* a copy of Classic/)).toBeVisible()
  expect(screen.queryByRole('button', { name: 'Change Classic' })).toBeNull()
  expect(screen.getByRole('button', { name: 'Change Slip way' })).toBeVisible()
})

test('a copy begins with the answers of what it is copied from, needs a name and who, and outlives a reload', async () => {
  const { unmount } = open([classic])
  await userEvent.click(screen.getByRole('button', { name: 'Copy Classic' }))
  const form = screen.getByRole('form', { name: 'A method of the house' })
  expect(within(form).getByText('once after cleansing')).toBeVisible()
  const name = within(form).getByLabelText('Name')
  expect(name).toHaveValue('Classic of the house')
  expect(within(form).getByRole('button', { name: 'Keep it and plan by it' })).toBeDisabled()
  await userEvent.clear(name)
  await userEvent.type(name, 'Gannet way')
  unmount()
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MethodTable methods={[classic]} questions={questions} chosen="classic" choose={() => {}} />
    </QueryClientProvider>,
  )
  expect(screen.getByLabelText('Name')).toHaveValue('Gannet way')
  await userEvent.click(screen.getByRole('button', { name: 'Leave it' }))
  expect(screen.queryByRole('form')).toBeNull()
})

test('a method that is withdrawn waits below and can be offered again', () => {
  open([classic, { ...house, offered: false }])
  expect(screen.queryByRole('columnheader', { name: /Slip way/ })).toBeNull()
  expect(screen.getByRole('button', { name: 'Offer Slip way' })).toBeVisible()
})
