import { fireEvent, render, screen } from '@testing-library/react'
import { vi } from 'vitest'
import { AskedBack } from './AskedBack'

const change = vi.fn()
let answers: unknown[] = []

vi.mock('./VisitShell', () => ({
  useVisitContext: () => ({
    visit: { id: 'v', date: '2026-11-25' },
    work: { draft: { document: { intake: { answers } }, typed: {} }, saving: { state: 'saved' }, change },
    verdict: { safety: { meant: [{ word: 'walnuts', question: 'nuts', label: 'nuts' }] } },
  }),
}))

const made = () => {
  const edit = change.mock.lastCall?.[0] as (d: object) => { intake: { answers: unknown[] } }
  return edit({ intake: { answers } }).intake.answers
}

beforeEach(() => {
  answers = []
  change.mockReset()
})

test('a word for an allergy is asked back, and either answer is an answer to the row', () => {
  render(<AskedBack />)
  expect(screen.getByText(/“walnuts”: does that mean nuts/)).toBeTruthy()
  fireEvent.click(screen.getByRole('button', { name: 'Yes, all of it' }))
  expect(made()).toEqual([{ question: 'nuts', yes: true, on: null, asked: '2026-11-25' }])
  fireEvent.click(screen.getByRole('button', { name: 'Only walnuts' }))
  expect(made()).toEqual([{ question: 'nuts', yes: false, on: null, asked: '2026-11-25' }])
})

test('what has been answered here is not asked again while the server has not heard of it', () => {
  answers = [{ question: 'nuts', yes: false, on: null, asked: '2026-11-25' }]
  render(<AskedBack />)
  expect(screen.queryByText(/walnuts/)).toBeNull()
})
