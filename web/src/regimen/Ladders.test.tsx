import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { fireEvent, render, screen } from '@testing-library/react'
import { expect, test, vi } from 'vitest'
import type { Schemas } from '../api/client'
import { LadderRow } from './Ladders'

const because = (sentence: string) => ({ sentence, evidence: 'PROPOSED' as const, source: 'house' })
const rung = (at: number, where: Schemas['Rung']['where'], brings: string[]): Schemas['Rung'] => ({
  at,
  month: at - 0.4,
  where,
  brings,
  leaves: [],
  because: because(`${brings.join('; ')}: for oiliness.`),
})
const ladder: Schemas['Ladder'] = {
  limit: 'MONEY',
  hers: 30,
  uses: 21.4,
  rungs: [
    rung(14, 'BELOW', ['Gel wash']),
    rung(22, 'STANDS', ['Azelaic serum, morning']),
    rung(31, 'ABOVE', ['Niacinamide serum, evening']),
  ],
}

const shown = (l: Schemas['Ladder'], climb = vi.fn()) => {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <LadderRow ladder={l} climb={climb} />
    </QueryClientProvider>,
  )
  return climb
}

test('a ladder says where the plan stands, what the next rung buys and what one down goes without', () => {
  shown(ladder)
  expect(screen.getByText('€21.40 of €30')).toBeVisible()
  expect(screen.getByText('At €31: Niacinamide serum, evening: for oiliness.')).toBeVisible()
  expect(screen.getByText('Down to €14, it goes without: Azelaic serum, morning.')).toBeVisible()
  expect(screen.getByRole('button', { pressed: true })).toHaveTextContent('€22')
})

test('one tap climbs, and the last rung says that more buys nothing', () => {
  const climb = shown({ ...ladder, hers: null, rungs: ladder.rungs.slice(0, 2) })
  expect(screen.getByText('€21.40, no limit set')).toBeVisible()
  expect(screen.getByText('A little more would buy nothing here.')).toBeVisible()
  fireEvent.click(screen.getByRole('button', { name: /^€14/ }))
  expect(climb).toHaveBeenCalledWith(ladder.rungs[0])
})
