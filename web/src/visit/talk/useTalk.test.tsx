import { fireEvent, render, screen } from '@testing-library/react'
import { vi } from 'vitest'
import type { Intake } from '../../api/client'
import { TalkPart } from './TalkPart'
import { useTalk } from './useTalk'

const change = vi.fn()
let intake = {} as Intake

vi.mock('../../api/hooks', () => ({ useBefore: () => ({ data: null }) }))
vi.mock('../VisitShell', () => ({
  useVisitContext: () => ({
    visit: { id: 'v' },
    work: { draft: { document: { intake }, typed: {} }, change },
  }),
}))

/** What the last change makes of the intake. */
const made = () => {
  const edit = change.mock.lastCall?.[0] as (d: { intake: Intake }) => { intake: Intake }
  return edit({ intake }).intake
}

function Part() {
  const talk = useTalk()
  return (
    <TalkPart talk={talk} label="Time" fields={['morningMinutes', 'oils', 'scent']}>
      <button type="button" onClick={() => talk.set({ morningMinutes: 8 })}>
        eight, {talk.isAssumed('morningMinutes') ? 'assumed' : 'said'}
      </button>
    </TalkPart>
  )
}

beforeEach(() => change.mockReset())

test('what is said is no longer assumed, be it the same as the usual', () => {
  intake = { morningMinutes: 8, assumed: ['MORNING_MINUTES', 'SWINGS'] } as Intake
  render(<Part />)
  fireEvent.click(screen.getByRole('button', { name: 'eight, assumed' }))
  expect(made()).toEqual({ morningMinutes: 8, assumed: ['SWINGS'] })
})

test('one word confirms a part and no other, and is not asked for a single one', () => {
  intake = { assumed: ['MORNING_MINUTES', 'OILS', 'SWINGS'] } as unknown as Intake
  const { rerender } = render(<Part />)
  fireEvent.click(screen.getByRole('button', { name: '2 assumed: right so, Time' }))
  expect(made().assumed).toEqual(['SWINGS'])
  expect(document.activeElement?.textContent).toContain('eight')
  intake = { assumed: ['OILS'] } as unknown as Intake
  rerender(<Part />)
  expect(screen.queryByRole('button', { name: /right so/ })).toBeNull()
})

test('a visit of before, that does not say what was assumed, calls nothing so', () => {
  intake = { morningMinutes: 8 } as Intake
  render(<Part />)
  expect(screen.getByRole('button', { name: 'eight, said' })).toBeTruthy()
})
