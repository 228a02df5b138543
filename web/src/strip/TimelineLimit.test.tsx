import { render } from '@testing-library/react'
import { expect, test } from 'vitest'
import type { Routine } from '../api/client'
import { Timeline } from './Timeline'

const routine = (minutes: number, limitMinutes: number) =>
  ({
    part: 'EVENING',
    timeline: {
      minutes,
      limitMinutes,
      handsOnMinutes: minutes,
      filled: '',
      segments: [{ step: 1, doing: 'HANDS_ON', seconds: minutes * 60 }],
    },
  }) as unknown as Routine

test('a limit near by is a line across, one far off is told at the end', () => {
  const near = render(<Timeline routine={routine(10, 15)} />)
  expect(near.container.querySelector('path[stroke="var(--stop)"]')).not.toBeNull()
  expect(near.container).not.toHaveTextContent('limit')
  near.unmount()
  const far = render(<Timeline routine={routine(10, 90)} />)
  expect(far.container.querySelector('path[stroke="var(--stop)"]')).toBeNull()
  expect(far.container).toHaveTextContent('limit 90 min →')
  expect(far.getByRole('img')).toHaveAccessibleName(/10 of 90/)
})
