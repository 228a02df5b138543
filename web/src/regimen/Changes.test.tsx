import { cleanup, render, screen, within } from '@testing-library/react'
import { afterEach, expect, test, vi } from 'vitest'
import type { Because, Schemas } from '../api/client'
import { ChangeList } from './Changes'

vi.mock('../api/hooks', () => ({
  useVocabulary: () => ({ data: undefined }),
  useOwnRules: () => ({ data: [] }),
}))

afterEach(cleanup)

const because = (sentence: string): Because => ({ sentence, evidence: 'PROPOSED', source: 'house' })

const change = (over: Partial<Schemas['Change']>): Schemas['Change'] => ({
  part: 'EVENING',
  kind: 'SERUM',
  what: 'TAKEN_OUT',
  from: 'Niacinamide serum 5 %',
  to: '',
  products: [],
  cause: 'AIR',
  because: [because('UV 6 asks for SPF 50.')],
  ...over,
})

test('a line names its cause, its step, what becomes of it and the fact', () => {
  render(<ChangeList changes={[change({})]} />)
  const line = screen.getByRole('listitem')
  expect(line).toHaveTextContent(/^Air.*Evening.*Niacinamide serum 5 % leaves.*UV 6 asks for SPF 50\./)
})

test('a limit that stands in the way since then is told beside the fact', () => {
  render(
    <ChangeList
      changes={[change({ cause: 'MONEY', limit: because('The budget of 30 no longer holds it.') })]}
    />,
  )
  expect(screen.getByText('Money')).toBeVisible()
  expect(screen.getByText('The budget of 30 no longer holds it.')).toBeVisible()
})

test('facts that did it only together are said to', () => {
  render(
    <ChangeList
      changes={[
        change({ because: [because('Three layers of toner.')] }),
        change({
          what: 'REPLACED',
          to: 'Calm serum',
          because: [because('Waits in full.'), because('One serum at most.')],
        }),
      ]}
    />,
  )
  const [one, two] = screen.getAllByRole('listitem')
  expect(within(one!).queryByText('Only together:')).toBeNull()
  expect(within(two!).getByText('Only together:')).toBeVisible()
  expect(two).toHaveTextContent(/becomes Calm serum.*Waits in full\..*One serum at most\./)
})
