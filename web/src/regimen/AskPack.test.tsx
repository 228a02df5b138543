import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, expect, test, vi } from 'vitest'
import type { Step } from '../api/client'
import { AskPack } from './AskPack'

const correct = { mutate: vi.fn(), isPending: false, isError: false }
let who = ''
let directions: object[] = []
vi.mock('../api/hooks', () => ({
  useProduct: () => ({ data: { version: 3, product: { directions } } }),
  useProductChange: () => ({ correct }),
  useHouse: () => ({ data: { workers: [] } }),
}))
vi.mock('../shared/who', () => ({ useWho: () => [who, vi.fn()] }))

const minutes = {
  direction: 'MINUTES',
  question: 'How long does it stay?',
  values: [],
  value: '',
  words: '',
  because: null,
  toAsk: true,
}
const step = { product: 'clay' } as unknown as Step

beforeEach(() => {
  who = 'Ada'
  directions = [
    minutes,
    { ...minutes, direction: 'MONTHS', question: 'How long does it keep?', toAsk: false },
  ]
  correct.mutate.mockReset()
})

test('what changes the step and nobody has said is asked, and the answer is kept with who gave it', async () => {
  render(<AskPack step={step} />)
  const asked = screen.getByRole('region', { name: 'Read it on the pack' })
  expect(within(asked).getAllByRole('listitem')).toHaveLength(1)
  await userEvent.type(screen.getByLabelText('How long does it stay?'), '8{Enter}')
  expect(correct.mutate).toHaveBeenCalledExactlyOnceWith({
    about: 'DIRECTION',
    of: 'MINUTES',
    to: '8',
    who: 'Ada',
    version: 3,
  })
})

test('that the pack says nothing of it is an answer, too', async () => {
  render(<AskPack step={step} />)
  await userEvent.click(screen.getByRole('button', { name: /^The pack says nothing: How long/ }))
  expect(correct.mutate).toHaveBeenCalledExactlyOnceWith({
    about: 'DIRECTION',
    of: 'MINUTES',
    to: '',
    who: 'Ada',
    version: 3,
  })
})

test('nobody answers unsigned', () => {
  who = ''
  render(<AskPack step={step} />)
  expect(screen.getByLabelText('How long does it stay?')).toBeDisabled()
  expect(screen.getByLabelText('Signed by')).toBeVisible()
})

test('where nothing is open nothing is asked', () => {
  directions = []
  const { container } = render(<AskPack step={step} />)
  expect(container).toBeEmptyDOMElement()
})
