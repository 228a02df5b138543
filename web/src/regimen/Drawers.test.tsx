import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { Drawers } from './Drawers'

const drawers = [
  { id: 'meets', name: 'Meets', line: '2 things to mind', off: true, inside: <p>Acid with retinoid</p> },
  { id: 'air', name: 'Air', line: 'SPF 30', inside: <p>Rooms are dry</p> },
]

test('closed drawers tell their verdict and hold their content back', () => {
  render(<Drawers drawers={drawers} />)
  expect(screen.getByRole('button', { name: 'Meets 2 things to mind' })).toHaveAttribute(
    'aria-expanded',
    'false',
  )
  expect(screen.queryByText('Acid with retinoid')).toBeNull()
})

test('one opens at a time, and closes by the same tap', async () => {
  render(<Drawers drawers={drawers} />)
  await userEvent.click(screen.getByRole('button', { name: /Meets/ }))
  expect(screen.getByText('Acid with retinoid')).toBeVisible()
  await userEvent.click(screen.getByRole('button', { name: /Air/ }))
  expect(screen.queryByText('Acid with retinoid')).toBeNull()
  expect(screen.getByText('Rooms are dry')).toBeVisible()
  await userEvent.click(screen.getByRole('button', { name: /Air/ }))
  expect(screen.queryByText('Rooms are dry')).toBeNull()
})

test('one may stand open at first, and gives way to another', async () => {
  render(<Drawers drawers={drawers} pulled="air" />)
  expect(screen.getByText('Rooms are dry')).toBeVisible()
  await userEvent.click(screen.getByRole('button', { name: /Meets/ }))
  expect(screen.queryByText('Rooms are dry')).toBeNull()
})
