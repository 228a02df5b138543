import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { expect, test, vi } from 'vitest'
import type { Regimen, Schemas, Step } from '../api/client'
import type { VisitContext } from '../visit/VisitShell'
import { TwoMonths } from './TwoMonths'

const change = (over: Partial<Schemas['Change']>): Schemas['Change'] => ({
  part: 'EVENING',
  kind: 'MOISTURISER',
  what: 'REPLACED',
  from: 'Light lotion',
  to: 'Plain cream',
  products: ['Light lotion', 'Plain cream'],
  cause: 'AIR',
  because: [],
  ...over,
})

let own: Regimen | undefined

vi.mock('../api/hooks', () => ({ useChanges: () => ({ data: [change({})] }) }))
vi.mock('./usePlan', () => ({ usePlan: () => ({ data: { regimen: own } }) }))

const step = (name: string, number: number) =>
  ({
    number,
    name,
    product: name,
    texture: 4,
    comesOff: false,
    nights: ['MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY', 'SATURDAY', 'SUNDAY'],
    part: '',
    letter: '',
    shares: { water: 1, oils: 0, sealing: 0, filter: 0 },
  }) as unknown as Step

const plan = (month: string, ...evening: string[]) =>
  ({
    month,
    asked: { air: { outdoors: { uvIndex: 3 } } },
    morning: { part: 'MORNING', steps: [step('Light lotion', 1)], timeline: { minutes: 1 } },
    evening: {
      part: 'EVENING',
      steps: evening.map((name, i) => step(name, i + 1)),
      timeline: { minutes: 2.5 },
    },
  }) as unknown as Regimen

const context = {
  visit: { id: 'v' },
  work: { draft: { document: { month: 'NOVEMBER', version: 1 } } },
} as unknown as VisitContext

const evening = () => screen.getByRole('region', { name: 'Evening' })
const marked = () => [...evening().querySelectorAll('.marked')].map((n) => n.textContent)

test('both months stand one over the other, and what differs is marked in each', async () => {
  own = plan('NOVEMBER', 'Water toner', 'Light lotion')
  const full = vi.fn()
  render(
    <TwoMonths
      context={context}
      shown="JULY"
      regimen={plan('JULY', 'Water toner', 'Plain cream')}
      full={full}
    />,
  )
  expect(within(evening()).getByText('November')).toBeVisible()
  expect(within(evening()).getByText('July')).toBeVisible()
  expect(marked()).toEqual(['2', '2'])
  // the same lotion in the morning is no change of the evening
  expect(screen.getByRole('region', { name: 'Morning' }).querySelector('.marked')).toBeNull()
  await userEvent.click(screen.getByRole('button', { name: 'Draw full size' }))
  expect(full).toHaveBeenCalled()
})

test('until the own month is there the other stands alone', () => {
  own = undefined
  render(
    <TwoMonths context={context} shown="JULY" regimen={plan('JULY', 'Plain cream')} full={() => undefined} />,
  )
  expect(within(evening()).queryByText('November')).toBeNull()
  expect(marked()).toEqual(['1'])
})
