import { render, screen } from '@testing-library/react'
import { expect, test } from 'vitest'
import { pause, PAUSE_MS } from './pause'

function at(element: React.ReactElement, name: string) {
  render(element)
  screen.getByLabelText(name).focus()
  expect(document.activeElement).toBe(screen.getByLabelText(name))
}

test.each([
  ['a note', <textarea key="a" aria-label="a note" />, PAUSE_MS],
  ['a name', <input key="b" aria-label="a name" />, PAUSE_MS],
  ['a number', <input key="c" type="number" aria-label="a number" />, PAUSE_MS],
  ['a part of a day', <span key="p" role="spinbutton" tabIndex={0} aria-label="a part of a day" />, PAUSE_MS],
  ['a tick', <input key="d" type="checkbox" aria-label="a tick" />, 0],
  ['one of several', <input key="e" type="radio" aria-label="one of several" />, 0],
  ['a slider', <input key="f" type="range" aria-label="a slider" />, 0],
  ['a button', <button key="g" aria-label="a button" />, 0],
])('after %s it waits as long as letters need', (name, element, wait) => {
  at(element, name)
  expect(pause()).toBe(wait)
})

test('with the focus nowhere it does not wait', () => {
  expect(pause()).toBe(0)
})
