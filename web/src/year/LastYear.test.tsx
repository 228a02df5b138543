import { render, screen } from '@testing-library/react'
import { MemoryRouter } from 'react-router'
import { expect, test, vi } from 'vitest'
import { LastYear } from './LastYear'
import type { Stretch } from './layout'

vi.mock('../strip/Core', () => ({ Core: () => null }))

const of = { from: '2026-12-01', until: '2027-03-18' } as Stretch

const empty = {
  from: '2025-12-01',
  until: '2026-03-18',
  since: null,
  stood: null,
  read: [],
  said: [],
  now: [],
}

let answer: object

vi.mock('./useYear', () => ({ useLastYear: () => ({ data: answer, isPending: false, isError: false }) }))

function answering(body: object) {
  answer = body
  render(
    <MemoryRouter>
      <LastYear visit="v" of={of} close={() => undefined} />
    </MemoryRouter>,
  )
}

test('tells what was read, what stood, how it was borne and what is otherwise now', () => {
  const step = { product: 'p', name: 'Rich cream', amount: '4 peas', part: '', number: 1 }
  answering({
    ...empty,
    since: '2025-11-22',
    stood: { plan: 'x', kept: '2025-11-22', fault: '', steps: { morning: [step], evening: [] } },
    read: [
      {
        visit: 'a',
        date: '2026-01-23',
        type: 'dry',
        water: 'dehydrated',
        barrier: 'barrier broken',
        concerns: ['dryness'],
        fault: '',
      },
      { visit: 'b', date: '2026-02-01', fault: 'This visit cannot be read; the others can.', concerns: [] },
    ],
    said: [{ date: '2025-12-20', sting: 1, redness: 2, flaking: null, swelling: true, remark: 'Tight.' }],
    now: [{ part: 'EVENING', what: 'PUT_IN', from: '', to: 'Face oil' }],
  })
  expect(screen.getByText(/A year before: 1 December 2025 to 17 March 2026/)).toBeVisible()
  const section = screen.getByRole('region')
  expect(section).toHaveTextContent('Dry, dehydrated, barrier broken. Dryness')
  expect(section).toHaveTextContent('This visit cannot be read; the others can.')
  expect(section).toHaveTextContent('swelling or a blister, sting 1, redness 2, flaking not asked')
  expect(section).toHaveTextContent('What stood, kept on 22 November 2025')
  expect(section).toHaveTextContent('Evening Face oil comes in')
})

test('says since when she is here where there is nothing of a year ago', () => {
  answering({ ...empty, since: '2026-06-16' })
  expect(screen.getByText('Not with us then: the first visit was on 16 June 2026.')).toBeVisible()
})

test('a plan that cannot be read is one line, and nothing is said to be as it was', () => {
  answering({
    ...empty,
    since: '2025-11-22',
    stood: {
      plan: 'x',
      kept: '2025-11-22',
      fault: 'This plan cannot be read.',
      steps: { morning: [], evening: [] },
    },
    said: [{ date: '2025-12-20', sting: 1, redness: 2, flaking: 0, swelling: false, remark: '' }],
  })
  const section = screen.getByRole('region')
  expect(section).toHaveTextContent('This plan cannot be read.')
  expect(section).toHaveTextContent('sting 1, redness 2, flaking 0')
  expect(section).not.toHaveTextContent('Nothing')
})
