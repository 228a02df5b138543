import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import type { Because, Schemas } from '../api/client'
import { Why } from './Why'

type Found = { data?: Schemas['KnowledgeRule']; isError: boolean; error?: Error }
let rule: Found
let own: Schemas['OwnRuleView'][] = []

vi.mock('../api/hooks', () => ({
  useVocabulary: () => ({
    data: {
      evidence: { CONVENTION: 'custom of practice', PROPOSED: 'a judgement of this house' },
      sources: { 'who-2002': 'World Health Organization 2002, the UV index.' },
    },
  }),
  useRule: () => rule,
  useOwnRules: () => ({ data: own }),
}))

const because: Because = {
  sentence: 'UV 6 asks for SPF 50.',
  evidence: 'CONVENTION',
  source: 'who-2002',
  rule: 'season.yaml/sun',
}

beforeEach(() => {
  own = []
  rule = {
    isError: false,
    data: {
      ref: 'season.yaml/sun',
      title: 'What a month’s air asks',
      notes: ['SPF on the pack.'],
      parts: [{ name: 'high spf', value: '50' }],
      changes: 'SCHOOLS',
    },
  }
})

afterEach(cleanup)

test('a reason opens its source, its rule, its figure and who may change it, and gives the focus back', async () => {
  render(<Why because={because} />)
  const open = screen.getByRole('button', { name: /custom of practice: what stands behind/ })
  open.focus()
  fireEvent.click(open)
  expect(screen.getByRole('dialog')).toHaveTextContent('World Health Organization 2002, the UV index.')
  expect(screen.getByRole('heading', { name: 'What a month’s air asks' })).toBeVisible()
  expect(screen.getByText('high spf')).toBeVisible()
  expect(screen.getByText('50')).toBeVisible()
  expect(screen.getByText(/may follow the other school/)).toBeVisible()
  fireEvent.click(screen.getByRole('button', { name: 'Close' }))
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull())
  expect(open).toHaveFocus()
})

test('what no single row says is said to be so, and a judgement of the house is named inside only', () => {
  render(<Why because={{ ...because, evidence: 'PROPOSED', rule: null }} />)
  expect(screen.queryByText(/judgement of this house/)).toBeNull()
  fireEvent.click(screen.getByRole('button', { name: /^rule: what stands behind/ }))
  expect(screen.getByText(/Rests on a judgement of this house/)).toBeVisible()
  expect(screen.getByText(/no single one says it/)).toBeVisible()
})

test('a rule that cannot be fetched says why', () => {
  rule = { isError: true, error: new Error('Outfell is not answering.') }
  render(<Why because={because} />)
  fireEvent.click(screen.getByRole('button'))
  expect(screen.getByRole('alert')).toHaveTextContent('Outfell is not answering.')
})

test('a rule that the practice has its own way is marked where it stands, with who made it so', () => {
  own = [
    {
      because: { ...because, sentence: 'From UV 5 on it is SPF 50, in place of 5.5.' },
      by: 'Runa',
      at: '2026-11-12T10:00:00',
    },
  ]
  render(<Why because={because} />)
  expect(screen.getByText('this practice’s own')).toBeVisible()
  fireEvent.click(screen.getByRole('button'))
  expect(screen.getByRole('dialog')).toHaveTextContent('From UV 5 on it is SPF 50, in place of 5.5.')
  expect(screen.getByRole('dialog')).toHaveTextContent('Set by Runa, Thu 12 Nov.')
  own = [{ because: { ...because, rule: 'season.yaml/begin' }, by: null, at: null }]
  render(<Why because={{ ...because, sentence: 'Another.' }} />)
  expect(screen.getAllByText('this practice’s own')).toHaveLength(1)
})

test('where it is quiet nothing opens', () => {
  render(<Why because={because} quiet />)
  expect(screen.queryByRole('button')).toBeNull()
})
