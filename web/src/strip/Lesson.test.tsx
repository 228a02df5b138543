import { fireEvent, render, screen } from '@testing-library/react'
import { vi } from 'vitest'
import type { Regimen } from '../api/client'
import { Lesson } from './Lesson'

vi.mock('../api/hooks', () => ({
  useVocabulary: () => ({
    data: {
      actives: [
        { kind: 'NIACINAMIDE', label: 'niacinamide', letter: 'N' },
        { kind: 'RETINOID', label: 'retinoid', letter: 'R' },
      ],
    },
  }),
}))

const WEEK = ['MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY', 'SATURDAY', 'SUNDAY']
const step = (name: string, over: object) => ({
  name,
  comesOff: false,
  texture: 2,
  letter: '',
  part: '',
  nights: WEEK,
  then: [],
  hand: { when: '' },
  shares: { water: 1, oils: 0, sealing: 0, filter: 0 },
  ...over,
})
const routine = (part: string, steps: object[]) => ({
  part,
  steps,
  timeline: { minutes: 4.8, limitMinutes: 20 },
})
const regimen = {
  morning: routine('MORNING', [step('Fluid', { texture: 4 })]),
  evening: routine('EVENING', [
    step('Wash', { comesOff: true }),
    step('Drops', { letter: 'N', nights: ['MONDAY'] }),
    step('Ointment', {
      texture: 8,
      part: 'dry places',
      shares: { water: 0, oils: 0.2, sealing: 0.8, filter: 0 },
    }),
  ]),
} as unknown as Regimen

test('every code is told by what stands in this plan, and what does not stand there is said to be missing', () => {
  const close = vi.fn()
  render(<Lesson regimen={regimen} close={close} />)
  const told = (start: string) =>
    screen.getAllByRole('listitem').find((li) => li.textContent?.startsWith(start))?.textContent
  expect(told('The wider')).toContain('The richest here: Ointment.')
  expect(told('What a layer')).toContain('Ointment: softens, seals.')
  expect(told('A letter')).toContain('N is niacinamide')
  expect(told('A letter')).not.toContain('retinoid')
  expect(told('A dashed')).toContain('Here: Drops.')
  expect(told('A block of half')).toContain('Here: Ointment.')
  expect(told('A ring')).toContain('None in this plan.')
  expect(told('The line below')).toContain('4.8 of 20 minutes')
  expect(document.activeElement?.textContent).toBe('The board in a minute')
  fireEvent.click(screen.getByRole('button', { name: 'Close' }))
  expect(close).toHaveBeenCalled()
})
