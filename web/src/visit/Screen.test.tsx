import { fireEvent, render, screen, within } from '@testing-library/react'
import { vi } from 'vitest'
import type { Question } from '../api/client'
import { Screen } from './Screen'

const question = (id: string, over: Partial<Question> = {}): Question => ({
  id,
  group: 'today',
  text: id,
  dated: false,
  must: true,
  alone: false,
  seldom: false,
  stale: false,
  ...over,
})
const change = vi.fn()
let answers: unknown[] = []

vi.mock('./VisitShell', () => ({
  useVisitContext: () => ({
    visit: { id: 'v', date: '2026-11-25' },
    words: { questionGroups: [{ id: 'today', label: 'Skin today' }] },
    work: { draft: { document: { intake: { answers } }, typed: {} }, saving: { state: 'saved' }, change },
    verdict: {
      safety: {
        questions: [
          question('mole'),
          question('waxed', { dated: true }),
          question('rash'),
          question('swelling', { alone: true }),
          question('warts', { must: false, seldom: true }),
        ],
      },
    },
  }),
}))

/** What the last change makes of the intake. */
const made = () => {
  const edit = change.mock.lastCall?.[0] as (d: { intake: object }) => { intake: { answers: unknown[] } }
  return edit({ intake: {} }).intake.answers
}

beforeEach(() => {
  answers = []
  change.mockReset()
})

test('one tap is yes and a second is no', () => {
  const { rerender } = render(<Screen before={null} />)
  fireEvent.click(screen.getByRole('button', { name: 'mole: not asked' }))
  expect(made()).toEqual([{ question: 'mole', yes: true, on: null, asked: '2026-11-25' }])
  answers = made()
  rerender(<Screen before={null} />)
  fireEvent.click(screen.getByRole('button', { name: 'mole: yes' }))
  expect(made()).toEqual([{ question: 'mole', yes: false, on: null, asked: '2026-11-25' }])
})

test('one button answers the rest and leaves a yes alone', () => {
  answers = [{ question: 'rash', yes: true, on: null, asked: '2026-11-25' }]
  render(<Screen before={null} />)
  fireEvent.click(screen.getByRole('button', { name: 'None of the rest, Skin today' }))
  expect(made()).toHaveLength(3)
  expect(made()).toContainEqual({ question: 'rash', yes: true, on: null, asked: '2026-11-25' })
  expect(made()).toContainEqual({
    question: 'mole',
    yes: false,
    on: null,
    asked: '2026-11-25',
    bulk: true,
  })
})

test('a no that came with the rest is told apart from one that was asked', () => {
  answers = [
    { question: 'mole', yes: false, on: null, asked: '2026-11-25', bulk: true },
    { question: 'rash', yes: false, on: null, asked: '2026-11-25' },
  ]
  render(<Screen before={null} />)
  fireEvent.click(screen.getByRole('button', { name: '2 more: no, 1 seldom: not asked, Skin today' }))
  expect(screen.getByRole('button', { name: 'mole: no, with the rest' })).toBeTruthy()
  expect(screen.getByRole('button', { name: 'rash: no' })).toBeTruthy()
})

test('what was no at the door waits folded with its count, and what few have as not asked', () => {
  answers = [{ question: 'mole', yes: false, on: null, asked: '2026-11-25' }]
  render(<Screen before={null} />)
  expect(screen.queryByRole('button', { name: /^mole/ })).toBeNull()
  expect(screen.queryByRole('button', { name: /^warts/ })).toBeNull()
  const fold = screen.getByRole('button', { name: '1 more: no, 1 seldom: not asked, Skin today' })
  expect(fold.getAttribute('aria-expanded')).toBe('false')
  fireEvent.click(fold)
  expect(screen.getByRole('button', { name: 'mole: no' })).toBeTruthy()
  expect(screen.getByRole('button', { name: 'warts: not asked' })).toBeTruthy()
})

test('the rest is what is in sight: nobody says no to a question that was not shown', () => {
  const { rerender } = render(<Screen before={null} />)
  fireEvent.click(screen.getByRole('button', { name: 'None of these, Skin today' }))
  expect(made().map((a) => (a as { question: string }).question)).not.toContain('warts')
  answers = made()
  rerender(<Screen before={null} />)
  fireEvent.click(screen.getByRole('button', { name: '1 seldom: not asked, Skin today' }))
  fireEvent.click(screen.getByRole('button', { name: 'None of the rest, Skin today' }))
  expect(made().map((a) => (a as { question: string }).question)).toContain('warts')
})

test('what is answered here and now stays where it is', () => {
  const { rerender } = render(<Screen before={null} />)
  fireEvent.click(screen.getByRole('button', { name: 'None of these, Skin today' }))
  answers = made()
  rerender(<Screen before={null} />)
  expect(screen.getByRole('button', { name: 'mole: no, with the rest' })).toBeTruthy()
})

test('a no that was yes at the visit before stays in sight', () => {
  answers = [{ question: 'mole', yes: false, on: null, asked: '2026-11-25' }]
  const before = { answers: [{ question: 'mole', yes: true, on: null, asked: '2026-10-01' }] }
  render(<Screen before={before as never} />)
  expect(screen.getByRole('button', { name: 'mole was yes: no' })).toBeTruthy()
})

test('what happened asks for its day, by one tap', () => {
  answers = [{ question: 'waxed', yes: true, on: null, asked: '2026-11-25' }]
  render(<Screen before={null} />)
  expect(screen.getByText(/Until that is known, today counts/)).toBeTruthy()
  fireEvent.click(screen.getByRole('button', { name: '3 days ago' }))
  expect(made()).toEqual([{ question: 'waxed', yes: true, on: '2026-11-22', asked: '2026-11-25' }])
})

test('an answer that is another than last time says what it was', () => {
  answers = [{ question: 'mole', yes: true, on: null, asked: '2026-11-25' }]
  const before = { answers: [{ question: 'mole', yes: false, on: null, asked: '2026-10-01' }] }
  render(<Screen before={before as never} />)
  expect(screen.getByRole('button', { name: 'mole was no: yes' })).toBeTruthy()
})

test('an emergency has its own no, and the rest never answers it', () => {
  render(<Screen before={null} />)
  fireEvent.click(screen.getByRole('button', { name: 'None of these, Skin today' }))
  expect(made().map((a) => (a as { question: string }).question)).not.toContain('swelling')
  const alone = screen.getByRole('group', { name: 'swelling' })
  fireEvent.click(within(alone).getByRole('button', { name: 'No' }))
  expect(made()).toEqual([{ question: 'swelling', yes: false, on: null, asked: '2026-11-25' }])
})
