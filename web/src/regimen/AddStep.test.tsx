import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { expect, test, vi } from 'vitest'
import { Refused, type VisitDocument } from '../api/client'
import type { VisitContext } from '../visit/VisitShell'
import { AddStep } from './AddStep'

let refusal: Refused | null = null
vi.mock('../api/client', async (actual) => ({
  ...(await actual<typeof import('../api/client')>()),
  ask: vi.fn(() => (refusal ? Promise.reject(refusal) : Promise.resolve())),
  api: { POST: vi.fn() },
}))
vi.mock('../api/hooks', () => ({ useShelf: () => ({ data: [] }) }))
vi.mock('../products/ProductPicker', () => ({
  ProductPicker: ({ pick }: { pick: (p: { id: string; label: string }) => void }) => (
    <button onClick={() => pick({ id: 'day-fluid-30', label: 'Day fluid SPF 30' })}>pick</button>
  ),
}))

async function add(refused: Refused | null) {
  refusal = refused
  let document = { pins: [], takenOut: [], steps: [] } as unknown as VisitDocument
  const context = {
    visit: { id: 'v', client: 'c' },
    work: {
      settle: () => Promise.resolve(),
      change: (f: (d: VisitDocument) => VisitDocument) => (document = f(document)),
    },
  } as unknown as VisitContext
  render(
    <QueryClientProvider client={new QueryClient()}>
      <AddStep context={context} part="MORNING" />
    </QueryClientProvider>,
  )
  await userEvent.click(screen.getByRole('button', { name: /add/i }))
  await userEvent.click(await screen.findByRole('button', { name: 'pick' }))
  await userEvent.click(screen.getByRole('button', { name: 'Put it in' }))
  return () => document
}

const refuse = (code: string) => new Refused(422, code, 'Day fluid SPF 30 has SPF 30.', [], null)

test('what no rule speaks against goes in', async () => {
  const document = await add(null)
  await waitFor(() => expect(document().pins).toEqual([{ part: 'MORNING', product: 'day-fluid-30' }]))
})

test('a rule that is no ban gives way to a reason, which stays with the step', async () => {
  const document = await add(refuse('against-a-rule'))
  expect(await screen.findByRole('alert')).toHaveTextContent('Day fluid SPF 30 has SPF 30.')
  const all = screen.getByRole('button', { name: 'Put it in all the same' })
  expect(all).toBeDisabled()
  await userEvent.type(screen.getByLabelText('Why all the same'), 'it is open')
  await userEvent.click(all)
  expect(document().pins).toHaveLength(1)
  expect(document().steps).toMatchObject([{ product: 'day-fluid-30', overrule: 'it is open' }])
})

test('a ban gives way to nothing', async () => {
  await add(refuse('forbidden'))
  expect(await screen.findByRole('alert')).toBeVisible()
  expect(screen.queryByLabelText('Why all the same')).toBeNull()
})
