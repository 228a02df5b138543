import { fireEvent, render, screen } from '@testing-library/react'
import { vi } from 'vitest'
import type { Regimen, Schemas, VisitDocument } from '../api/client'
import type { VisitContext } from '../visit/VisitShell'
import { ByHand } from './ByHand'

const because = (sentence: string) => ({ sentence, evidence: 'CONVENTION', source: 'custom' }) as const
let compared: Schemas['Compared'] | null = null

vi.mock('../api/hooks', () => ({
  useVocabulary: () => ({ data: undefined }),
  useOwnRules: () => ({ data: [] }),
  useProductsNamed: (ids: string[]) =>
    ids.map((id) => ({ data: { product: { id, name: id === 'serum' ? 'Calm serum' : 'Rich cream' } } })),
  useComputed: (_: string, __: number, wanted: boolean) => ({ data: wanted ? compared : undefined }),
}))

const changed = (over: object) => ({
  part: 'EVENING',
  product: 'cream',
  optional: false,
  on: null,
  nights: [],
  secondCoat: false,
  words: '',
  ...over,
})

function open(document: object, refusals: Regimen['refusals'] = []) {
  let now = { pins: [], takenOut: [], steps: [], ...document } as unknown as VisitDocument
  const context = {
    visit: { id: 'v', version: 1 },
    words: {
      coverages: [{ coverage: 'CHEEKS', label: 'cheeks' }],
      weeks: { conditions: [{ id: 'dry', label: 'the skin feels dry', usual: 3 }] },
    },
    work: {
      draft: { document: now, dirty: false },
      change: (edit: (d: VisitDocument) => VisitDocument) => (now = edit(now)),
    },
  } as unknown as VisitContext
  const { container } = render(<ByHand context={context} regimen={{ refusals } as unknown as Regimen} />)
  return { container, document: () => now }
}

test('everything that is hers stands in one list, in words', () => {
  open({
    pins: [{ part: 'MORNING', product: 'serum' }],
    takenOut: [{ part: 'EVENING', product: 'serum' }],
    steps: [
      changed({
        optional: true,
        on: 'CHEEKS',
        nights: ['MONDAY', 'FRIDAY'],
        secondCoat: true,
        words: 'tap it in',
        move: { after: null, before: 'x', why: 'stings otherwise' },
      }),
    ],
  })
  const list = screen.getByRole('region', { name: 'Changed by hand' })
  expect(list).toHaveTextContent('Calm serum in the morning: put in or kept')
  expect(list).toHaveTextContent('Calm serum in the evening: taken out')
  expect(list).toHaveTextContent(
    'moved: stings otherwise; may be left out; only on cheeks; on Mon, Fri only; second coat; in own words: tap it in',
  )
})

test('one entry goes back to as computed, the others stay', () => {
  const { document } = open({
    pins: [{ part: 'MORNING', product: 'serum' }],
    steps: [changed({ secondCoat: true })],
  })
  fireEvent.click(screen.getAllByRole('button', { name: 'As computed' })[1] as HTMLElement)
  expect(document().steps).toEqual([])
  expect(document().pins).toHaveLength(1)
})

test('what a rule did not let in stands beside it', () => {
  open({ steps: [changed({ nights: ['MONDAY'] })] }, [
    {
      part: 'EVENING',
      product: 'cream',
      name: 'Rich cream',
      because: because('Another strong step has that night.'),
      overrulable: false,
    },
  ])
  expect(screen.getByText(/Not followed: Another strong step has that night\./)).toBeVisible()
})

test('held against the computed plan it says what differs and what it costs', () => {
  compared = {
    changes: [
      {
        part: 'EVENING',
        kind: 'MOISTURISER',
        what: 'MOVED',
        from: 'Rich cream',
        to: 'Rich cream',
        products: ['rich'],
        cause: 'HAND',
        because: [because('Rich cream is changed by hand in the evening: stings otherwise.')],
      },
    ],
    behind: 3,
    lost: [],
    month: 20,
    monthOther: 22,
    because: because('The computed plan earns 3 points more; every concern that was served still is.'),
  }
  open({ steps: [changed({ secondCoat: true })] })
  expect(screen.queryByText(/earns 3 points more/)).toBeNull()
  fireEvent.click(screen.getByRole('button', { name: 'Hold it against the computed plan' }))
  expect(screen.getByText(/earns 3 points more/)).toBeVisible()
  expect(screen.getByText(/changed by hand in the evening: stings otherwise/)).toBeVisible()
})

test('nothing by hand, nothing shown', () => {
  expect(open({}).container).toBeEmptyDOMElement()
})
