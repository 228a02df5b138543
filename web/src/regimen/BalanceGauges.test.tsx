import { render, screen } from '@testing-library/react'
import { vi } from 'vitest'
import type { Regimen } from '../api/client'
import { BalanceGauges } from './BalanceGauges'

vi.mock('../api/hooks', () => ({ useVocabulary: () => ({}), useOwnRules: () => ({}) }))

const because = { sentence: 'Asked by oily skin.', evidence: 'PROPOSED', source: 'house' } as const

const regimen = (balances: Regimen['balances']) => ({ balances }) as unknown as Regimen

test('each sum is said in words, and why the plan does not bring it in', () => {
  render(
    <BalanceGauges
      regimen={regimen([
        {
          part: 'EVENING',
          gauge: {
            lines: [
              { need: 'WATER', points: 184.1, range: { low: 90, high: 200 }, lies: 'INSIDE', most: 'Serum' },
              { need: 'SEAL', points: 300, range: { low: 80, high: 220 }, lies: 'HIGH', most: 'Balm' },
            ],
            verdict: { ...because, sentence: 'A little less seal by night.' },
            sealRule: null,
            change: { ...because, sentence: 'Leave out Balm: that brings all three in.' },
            because,
          },
          whyNot: { ...because, sentence: 'Nothing else would bring it in.' },
        },
      ] as unknown as Regimen['balances'])}
    />,
  )
  expect(screen.getByRole('img', { name: 'Water held: right' })).toBeVisible()
  expect(screen.getByRole('img', { name: 'Kept in: too much' })).toBeVisible()
  expect(screen.getByText('Leave out Balm: that brings all three in.')).toBeVisible()
  expect(screen.getByText('A little less seal by night.')).toBeVisible()
  expect(screen.getByText('Nothing else would bring it in.')).toBeVisible()
  expect(screen.getByText('most from Balm')).toBeVisible()
})

test('a face whose type is not known has no gauge', () => {
  const { container } = render(<BalanceGauges regimen={regimen([])} />)
  expect(container).toBeEmptyDOMElement()
})
