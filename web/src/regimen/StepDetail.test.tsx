import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useEffect, useState } from 'react'
import { expect, test, vi } from 'vitest'
import { Refused, type Step, type VisitDocument } from '../api/client'
import type { VisitContext } from '../visit/VisitShell'
import { StepDetail } from './StepDetail'

let refusal: Refused | null = null
vi.mock('../api/client', async (actual) => ({
  ...(await actual<typeof import('../api/client')>()),
  ask: vi.fn(() => (refusal ? Promise.reject(refusal) : Promise.resolve())),
  api: { POST: vi.fn() },
}))
vi.mock('../shared/money', () => ({ useMoney: () => ({ words: (n: number) => `€${n}` }) }))
vi.mock('../api/hooks', () => ({
  useVocabulary: () => ({}),
  useOwnRules: () => ({}),
}))
vi.mock('./AskPack', () => ({ AskPack: () => null }))
vi.mock('./StepByHand', () => ({ StepByHand: () => null }))
vi.mock('./OwnRules', () => ({ OwnRuleDid: () => null }))

const because = { sentence: 'So it is.', evidence: 'PROPOSED', source: 'house' }
const step = {
  product: 'fluid-50',
  number: 1,
  name: 'Sun fluid SPF 50',
  maker: 'Heron Chemistry',
  kindLabel: 'sunscreen',
  place: because,
  next: because,
  purpose: [],
  heed: [],
  tools: [],
  then: [],
  feel: [],
  pack: [],
  nights: ['MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY', 'SATURDAY', 'SUNDAY'],
  often: '',
  hand: { movedBecause: '', overrule: '', when: '' },
  amount: { words: '1 pea', because },
  technique: 'pat',
  skin: '',
  handsOn: 30,
  contact: 0,
  settle: 0,
  settleBecause: because,
} as unknown as Step

const seen = vi.fn<(d: VisitDocument) => void>()
const now = () => seen.mock.lastCall?.[0] as VisitDocument
const close = vi.fn()

function Detail() {
  const [draft, setDraft] = useState({
    document: { pins: [], takenOut: [], steps: [] } as unknown as VisitDocument,
    typed: {},
  })
  useEffect(() => seen(draft.document), [draft.document])
  const context = {
    visit: { id: 'v', client: 'c' },
    work: {
      draft,
      settle: () => Promise.resolve(),
      change: (edit: (d: VisitDocument) => VisitDocument) =>
        setDraft((now) => ({ ...now, document: edit(now.document) })),
      type: (pointer: string, text: string | null) =>
        setDraft((now) => ({ ...now, typed: { ...now.typed, [pointer]: text ?? '' } })),
    },
  } as unknown as VisitContext
  return (
    <QueryClientProvider client={new QueryClient()}>
      <StepDetail
        context={context}
        part="MORNING"
        step={step}
        steps={[step]}
        alternatives={
          [{ product: 'fluid-30', name: 'Day fluid SPF 30', because, priceDifference: -2 }] as never[]
        }
        refusals={[]}
        move={vi.fn()}
        close={close}
      />
    </QueryClientProvider>
  )
}

async function swapped(refused: Refused | null) {
  refusal = refused
  close.mockReset()
  render(<Detail />)
  await userEvent.click(screen.getByRole('button', { name: /Day fluid SPF 30/ }))
}

test('what no rule speaks against is swapped in, and the fold closes', async () => {
  await swapped(null)
  expect(now().pins).toEqual([{ part: 'MORNING', product: 'fluid-30' }])
  expect(now().takenOut).toEqual([{ part: 'MORNING', product: 'fluid-50' }])
  expect(close).toHaveBeenCalledWith(true)
})

test('a swap against a rule that is no ban gives way to a reason', async () => {
  await swapped(new Refused(422, 'against-a-rule', 'Day fluid SPF 30 has SPF 30.', [], null))
  expect(await screen.findByRole('alert')).toHaveTextContent('has SPF 30')
  expect(now().pins).toEqual([])
  await userEvent.type(screen.getByLabelText('Why all the same'), 'allergic to all others')
  await userEvent.click(screen.getByRole('button', { name: 'Put it in all the same' }))
  expect(now().pins).toEqual([{ part: 'MORNING', product: 'fluid-30' }])
  expect(now().takenOut).toEqual([{ part: 'MORNING', product: 'fluid-50' }])
  expect(now().steps).toMatchObject([{ product: 'fluid-30', overrule: 'allergic to all others' }])
})

test('a swap against a ban asks for no reason', async () => {
  await swapped(new Refused(422, 'forbidden', 'It holds lanolin.', [], null))
  expect(await screen.findByRole('alert')).toHaveTextContent('It holds lanolin.')
  expect(screen.queryByLabelText('Why all the same')).toBeNull()
})
