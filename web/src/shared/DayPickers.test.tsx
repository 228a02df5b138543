import { useEffect, useLayoutEffect, useState } from 'react'
import { createRoot } from 'react-dom/client'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { DateField } from './DayPickers'

/** Longer than the page is drawn in one go: its effects wait for a later turn, and a key can come before them. */
const LONG_MS = 20

const page = new EventTarget()

function Page({ told }: { told: (day: string) => void }) {
  const [day, setDay] = useState('2026-11-29')
  const [answers, setAnswers] = useState(0)
  useEffect(() => {
    const come = () => setAnswers((n) => n + 1)
    page.addEventListener('answer', come)
    return () => page.removeEventListener('answer', come)
  }, [])
  useLayoutEffect(() => {
    if (answers === 0) return
    const until = performance.now() + LONG_MS
    while (performance.now() < until);
    queueMicrotask(() => page.dispatchEvent(new Event('painted')))
  }, [answers])
  const pick = (picked: string) => {
    setDay(picked)
    told(picked)
  }
  return <DateField label="Day" value={day} pick={pick} />
}

let place: HTMLElement

// as in a browser, where nothing waits for all that is pending
beforeEach(() => {
  vi.stubGlobal('IS_REACT_ACT_ENVIRONMENT', false)
  place = document.body.appendChild(document.createElement('div'))
})

afterEach(() => {
  place.remove()
  vi.unstubAllGlobals()
})

const part = (n: number) => place.querySelectorAll<HTMLElement>('[role=spinbutton]')[n]!

function type(n: number, digit: string) {
  part(n).textContent = digit
  part(n).dispatchEvent(new InputEvent('input', { bubbles: true }))
}

const standing = () => [0, 1, 2].map((n) => part(n).textContent?.replace(/[^0-9A-Z]/g, ''))

test('the 31st stands though an answer comes while the month is not typed yet', async () => {
  const told = vi.fn()
  createRoot(place).render(<Page told={told} />)
  await vi.waitFor(() => expect(standing()).toEqual(['29', '11', '2026']))
  part(0).focus()
  await vi.waitFor(() => expect(document.activeElement).toBe(part(0)))
  type(0, '3')
  await vi.waitFor(() => expect(standing()).toEqual(['03', '11', '2026']))
  await new Promise<void>((done) => {
    const between = () => {
      type(0, '1')
      done()
    }
    page.addEventListener('painted', between, { once: true })
    page.dispatchEvent(new Event('answer'))
  })
  await vi.waitFor(() => expect(standing()).toEqual(['31', '11', '2026']))
  type(1, '1')
  await vi.waitFor(() => expect(standing()).toEqual(['31', '01', '2026']))
  type(1, '2')
  await vi.waitFor(() => expect(told).toHaveBeenLastCalledWith('2026-12-31'))
  expect(standing()).toEqual(['31', '12', '2026'])
})
