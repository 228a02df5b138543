import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { expect, test, vi } from 'vitest'
import type { Schemas } from '../api/client'
import { Directed, directedWords } from './Directed'

const because = {
  sentence: 'The pack says: "Leave on for 5 minutes".',
  evidence: 'CONVENTION',
  source: 'label',
}
const directions = [
  {
    direction: 'SKIN',
    question: 'On dry or on damp skin?',
    values: [
      { value: 'dry', words: 'on dry skin' },
      { value: 'damp', words: 'on damp skin' },
    ],
    value: '',
    words: '',
    because: null,
  },
  {
    direction: 'MINUTES',
    question: 'How long does it stay?',
    values: [],
    value: '5',
    words: 'leave on for 5 minutes',
    because,
  },
] as unknown as Schemas['DirectionOf'][]
const detail = { product: { directions } } as unknown as Schemas['Detail']

test('what the pack says is told with its words, and what nobody has said is said', () => {
  render(<Directed detail={detail} disabled={false} right={vi.fn()} />)
  const [skin, minutes] = screen.getAllByRole('listitem')
  expect(skin).toHaveTextContent('On dry or on damp skin? nobody has said')
  expect(minutes).toHaveTextContent('leave on for 5 minutes. The pack says: "Leave on for 5 minutes".')
})

test('an answer is taken at once, a number when the field is left, and only when it is another', async () => {
  const right = vi.fn()
  render(<Directed detail={detail} disabled={false} right={right} />)
  const [skin] = screen.getAllByRole('listitem')
  await userEvent.click(within(skin!).getByRole('combobox'))
  await userEvent.click(screen.getByRole('option', { name: 'on damp skin' }))
  expect(right).toHaveBeenLastCalledWith('DIRECTION', 'SKIN', 'damp')

  const minutes = screen.getByRole('textbox', { name: 'How long does it stay?' })
  await userEvent.click(minutes)
  await userEvent.tab()
  expect(right).toHaveBeenCalledTimes(1)
  await userEvent.clear(minutes)
  await userEvent.type(minutes, '7{Enter}')
  expect(right).toHaveBeenLastCalledWith('DIRECTION', 'MINUTES', '7')
  await userEvent.clear(minutes)
  await userEvent.tab()
  expect(right).toHaveBeenLastCalledWith('DIRECTION', 'MINUTES', '')
})

test('what was said by hand is told in words', () => {
  const said = (of: string, to: string) =>
    directedWords(directions, { about: 'DIRECTION', of, to, who: 'Ada', on: '2026-05-02' })
  expect(said('MINUTES', '5')).toBe('How long does it stay? leave on for 5 minutes')
  expect(said('SKIN', '')).toBe('On dry or on damp skin? The pack does not say.')
})
