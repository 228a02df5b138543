import { fireEvent, render, screen } from '@testing-library/react'
import { vi } from 'vitest'
import type { Schemas, VisitDocument } from '../api/client'
import type { VisitContext } from '../visit/VisitShell'
import { WhatMeets } from './WhatMeets'

type Met = Schemas['Met']

const met = (over: Partial<Met>): Met => ({
  id: 'vitamin-c-copper',
  meeting: 'AM_PM',
  products: ['copper', 'c12'],
  names: ['Copper serum', 'Vitamin C serum'],
  because: { sentence: 'Copper speeds the decay of vitamin C.', evidence: 'DEBATED', source: 'custom' },
  otherSchool: 'Not shown on skin.',
  repairs: [
    {
      mend: 'MOVE',
      from: 'MORNING',
      product: 'copper',
      nights: [],
      words: 'Move Copper serum to the evening',
    },
    {
      mend: 'TAKE_OUT',
      from: 'MORNING',
      product: 'copper',
      nights: [],
      words: 'Take Copper serum out of the morning',
    },
  ],
  ...over,
})

let found: Met[]
vi.mock('../api/hooks', () => ({ useFindings: () => ({ data: found }) }))

function open(all: Met[]) {
  found = all
  let document = {
    pins: [{ part: 'MORNING', product: 'copper' }],
    takenOut: [],
    steps: [],
  } as unknown as VisitDocument
  const change = vi.fn((edit: (d: VisitDocument) => VisitDocument) => (document = edit(document)))
  const context = { visit: { id: 'v', version: 1 }, work: { change } } as unknown as VisitContext
  const { container } = render(<WhatMeets {...context} />)
  return { container, document: () => document }
}

test('a finding says what, why and what others say, and a repair moves the step', () => {
  const { document } = open([met({})])
  expect(screen.getByText('Not in one routine: Copper serum and Vitamin C serum.')).toBeVisible()
  expect(screen.getByText(/Copper speeds the decay/)).toBeVisible()
  expect(screen.getByText('Others: Not shown on skin.')).toBeVisible()
  fireEvent.click(screen.getByRole('button', { name: 'Move Copper serum to the evening' }))
  expect(document().pins).toEqual([{ part: 'EVENING', product: 'copper' }])
  expect(document().takenOut).toEqual([{ part: 'MORNING', product: 'copper' }])
})

test('a repair that takes out leaves nothing pinned', () => {
  const { document } = open([met({})])
  fireEvent.click(screen.getByRole('button', { name: 'Take Copper serum out of the morning' }))
  expect(document().pins).toEqual([])
  expect(document().takenOut).toEqual([{ part: 'MORNING', product: 'copper' }])
})

test('a repair by other nights changes the step and keeps it', () => {
  const nights: Schemas['Repair']['nights'] = ['MONDAY', 'FRIDAY']
  const { document } = open([
    met({
      repairs: [
        { mend: 'OTHER_NIGHTS', from: 'EVENING', product: 'seal', nights, words: 'Seal on Mon, Fri only' },
      ],
    }),
  ])
  fireEvent.click(screen.getByRole('button', { name: 'Seal on Mon, Fri only' }))
  expect(document().steps).toMatchObject([{ part: 'EVENING', product: 'seal', nights }])
  expect(document().takenOut).toEqual([])
})

test('what is fine is folded, and a plan in which all is fine says so', () => {
  open([met({ id: 'myth', meeting: 'MYTH', repairs: [] })])
  expect(screen.getByText('Nothing in this plan stands in the way of anything else.')).toBeVisible()
  expect(screen.getByText('One pair is fine together')).toBeVisible()
  expect(screen.getByText(/fine, the clash is a myth/)).not.toBeVisible()
})

test('where nothing meets it says so', () => {
  open([])
  expect(screen.getByText('Nothing in this plan stands in the way of anything else.')).toBeVisible()
})
