import { render, screen } from '@testing-library/react'
import { useLetters } from './useLetters'

test('letters larger than usual are told as how much larger', () => {
  const Look = () => <p>{useLetters()}</p>
  document.documentElement.style.fontSize = '20px'
  const { rerender } = render(<Look />)
  expect(screen.getByText('1.25')).toBeTruthy()
  document.documentElement.style.fontSize = '12px'
  rerender(<Look key="again" />)
  expect(screen.getByText('1')).toBeTruthy()
  document.documentElement.style.fontSize = ''
})
