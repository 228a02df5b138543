import { render, screen } from '@testing-library/react'
import { vi } from 'vitest'
import type { Regimen } from '../api/client'
import { BalanceGauges } from './BalanceGauges'

vi.mock('../api/hooks', () => ({ useVocabulary: () => ({}) }))

const because = { sentence: 'Asked by oily skin.', evidence: 'PROPOSED', source: 'house' } as const

const regimen = (balances: Regimen['balances']) => ({ balances }) as unknown as Regimen

test('each sum is said in words with its band and where it lies', () => {
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
            sealRule: null,
            change: { ...because, sentence: 'Leave out Balm: that brings all three in.' },
            because,
          },
        },
      ] as unknown as Regimen['balances'])}
    />,
  )
  expect(screen.getByRole('img', { name: 'Water held: 184, 90 to 200 asked, right' })).toBeVisible()
  expect(screen.getByRole('img', { name: 'Kept in: 300, 80 to 220 asked, too much' })).toBeVisible()
  expect(screen.getByText('Leave out Balm: that brings all three in.')).toBeVisible()
  expect(screen.getByText('most from Balm')).toBeVisible()
})

test('a face whose type is not known has no gauge', () => {
  const { container } = render(<BalanceGauges regimen={regimen([])} />)
  expect(container).toBeEmptyDOMElement()
})
