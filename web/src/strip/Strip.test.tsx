import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { Routine, Step } from '../api/client'
import { units } from './layout'
import { Strip } from './Strip'

const step = (number: number, name: string, comesOff: boolean, nights = 7): Step =>
  ({
    number,
    product: `p${number}`,
    name,
    texture: 4,
    comesOff,
    left: 0,
    part: '',
    letter: '',
    technique: 'press in',
    amount: { words: '1 pea' },
    shares: { water: 0.7, oils: 0.3, sealing: 0, filter: 0 },
    shifts: [],
    hand: { kept: number === 1, optional: false, moved: false },
    nights: ['MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY', 'SATURDAY', 'SUNDAY'].slice(0, nights),
  }) as unknown as Step

const routine = {
  part: 'EVENING',
  steps: [step(1, 'Gel wash', true), step(2, 'Retinal cream with a very long name indeed', false, 2)],
} as unknown as Routine

test('every step is one button that says name, amount, how and nights', async () => {
  const toggle = vi.fn()
  render(<Strip routine={routine} unit={units([routine])} open={null} toggle={toggle} weather="night" />)
  const retinal = screen.getByRole('button', { name: /2 Retinal cream.*1 pea\s*, press in,\s*Mon, Tue/ })
  await userEvent.click(retinal)
  expect(toggle).toHaveBeenCalledWith('p2')
  expect(screen.getByRole('button', { name: /1 Gel wash.*kept/ })).toBeInTheDocument()
})

test('folded it keeps its numbers and has no buttons', () => {
  render(
    <Strip routine={routine} unit={units([routine])} open={null} folded toggle={() => {}} weather="night" />,
  )
  expect(screen.queryAllByRole('button')).toHaveLength(0)
  expect(screen.getByText('2')).toBeInTheDocument()
})
