import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import type { Because, Schemas } from '../api/client'
import { Why } from './Why'

type Found = { data?: Schemas['KnowledgeRule']; isError: boolean; error?: Error }
let rule: Found

vi.mock('../api/hooks', () => ({
  useVocabulary: () => ({
    data: {
      evidence: { CONVENTION: 'custom of practice', PROPOSED: 'a judgement of this house' },
      sources: { 'who-2002': 'World Health Organization 2002, the UV index.' },
    },
  }),
  useRule: () => rule,
}))

const because: Because = {
  sentence: 'UV 6 asks for SPF 50.',
  evidence: 'CONVENTION',
  source: 'who-2002',
  rule: 'season.yaml/sun',
}

beforeEach(() => {
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

test('where it is quiet nothing opens', () => {
  render(<Why because={because} quiet />)
  expect(screen.queryByRole('button')).toBeNull()
})
