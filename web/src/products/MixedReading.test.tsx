import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { render, screen } from '@testing-library/react'
import { vi } from 'vitest'
import type { Schemas } from '../api/client'
import { MixedReading } from './MixedReading'

type Mixed = Schemas['MixedView']

const because = (sentence: string): Schemas['Because'] => ({
  sentence,
  evidence: 'PROPOSED',
  source: 'house',
})
const mixed = (over: Partial<Mixed>): Mixed => ({
  grams: 17.84,
  shares: [{ name: 'honey', words: '2 teaspoons', grams: 14.2, percent: 79.6 }],
  label: 'Mel (80 %)',
  product: { kindLabel: 'mask' } as Mixed['product'],
  harms: [],
  strengths: [],
  dilutions: [],
  keeps: { days: 1, because: because('Fresh things turn.') },
  sun: [],
  because: [],
  ...over,
})

beforeEach(() =>
  vi.stubGlobal(
    'fetch',
    vi.fn(() => new Promise(() => undefined)),
  ),
)
afterEach(() => vi.unstubAllGlobals())

const open = (view: Mixed) =>
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MixedReading mixed={view} />
    </QueryClientProvider>,
  )

test('weights and shares stand as measured, in figures that one can weigh', () => {
  open(mixed({}))
  expect(screen.getByRole('heading')).toHaveTextContent('18 g altogether, mask')
  expect(screen.getByRole('row')).toHaveTextContent('honey2 teaspoons14 g80 %')
  expect(screen.getByText('Keeps one day.')).toBeInTheDocument()
  expect(screen.queryByRole('alert')).toBeNull()
})

test('what is refused is an alert by the name of the harm, what is minded is not', () => {
  open(
    mixed({
      harms: [
        { harm: 'lemon juice burns', refused: true, because: because('pH 2.') },
        { harm: 'sugar is rough', refused: false, because: because('Once a week.') },
      ],
    }),
  )
  expect(screen.getByRole('alert')).toHaveTextContent('Lemon juice burns.')
  expect(screen.getByRole('alert')).not.toHaveTextContent('Sugar is rough')
  expect(screen.getByText('Sugar is rough.')).toBeInTheDocument()
})

test('strength, dilution, sun and a long keep are said in words', () => {
  open(
    mixed({
      strengths: [{ active: 'niacinamide', in: 'Day cream', before: '5 %', after: '4.4 %' }],
      dilutions: [{ oil: 'lavender oil', percent: 0.72 }],
      keeps: { days: 180, because: because('No water in it.') },
      sun: [
        { name: 'Sun fluid', spf: 50, share: 46.2, careful: 6, hopeful: 23, because: because('Both laws.') },
      ],
    }),
  )
  expect(screen.getByText('niacinamide').parentElement).toHaveTextContent('of Day cream: 5 % becomes 4.4 %.')
  expect(screen.getByText('lavender oil').parentElement).toHaveTextContent('at 0.72 %.')
  expect(screen.getByText('Keeps about 6 months.')).toBeInTheDocument()
  expect(screen.getByText('Of SPF 50, 6 to 23 is left').parentElement).toHaveTextContent('is 46 % of it')
})
