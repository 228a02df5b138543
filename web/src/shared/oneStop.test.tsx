import { fireEvent, render, screen } from '@testing-library/react'
import { useOneStop } from './oneStop'

function Row({ chosen, first, with: extra }: { chosen?: string; first?: string; with?: boolean }) {
  const stop = useOneStop<HTMLDivElement>(first)
  return (
    <div {...stop}>
      {['a', 'b', 'c'].map((name) => (
        <button key={name} type="button" className={name} aria-pressed={name === chosen}>
          {name}
        </button>
      ))}
      {extra && <button type="button">d</button>}
      <input aria-label="typed" />
    </div>
  )
}
const stops = () =>
  screen
    .getAllByRole('button')
    .filter((b) => b.tabIndex === 0)
    .map((b) => b.textContent)
const press = (key: string) => fireEvent.keyDown(document.activeElement ?? document.body, { key })

test('a group is one stop: what is named first, else what is chosen, else the first', () => {
  const { rerender } = render(<Row />)
  expect(stops()).toEqual(['a'])
  rerender(<Row chosen="b" />)
  expect(stops()).toEqual(['b'])
  rerender(<Row chosen="b" first=".c" />)
  expect(stops()).toEqual(['c'])
})

test('arrows, Home and End walk, round the ends, and the stop stays where the focus was', () => {
  const { rerender } = render(<Row />)
  screen.getByText('a').focus()
  press('ArrowRight')
  expect(document.activeElement).toBe(screen.getByText('b'))
  press('End')
  expect(document.activeElement).toBe(screen.getByText('c'))
  press('ArrowDown')
  expect(document.activeElement).toBe(screen.getByText('a'))
  press('ArrowLeft')
  expect(document.activeElement).toBe(screen.getByText('c'))
  press('Home')
  press('ArrowRight')
  rerender(<Row chosen="c" with />)
  expect(stops()).toEqual(['b'])
  expect(screen.getByText('d').tabIndex).toBe(-1)
})

test('a field within keeps its own arrows', () => {
  render(<Row />)
  screen.getByLabelText('typed').focus()
  press('ArrowLeft')
  expect(document.activeElement).toBe(screen.getByLabelText('typed'))
})
