import { fireEvent, render, screen } from '@testing-library/react'
import { vi } from 'vitest'
import { useSettings } from './settings'

function Shown() {
  const [settings, set] = useSettings()
  return (
    <>
      <p>{`${settings.letters} ${settings.light} ${settings.sheetLetters}`}</p>
      <button type="button" onClick={() => set({ letters: 'large', light: 'dark' })}>
        change
      </button>
    </>
  )
}

afterEach(() => {
  localStorage.clear()
  vi.resetModules()
})

test('letters and light are told to the page at once and kept on this machine; the sheet has its own', () => {
  render(<Shown />)
  expect(document.documentElement.dataset.light).toBe('machine')
  fireEvent.click(screen.getByText('change'))
  expect(screen.getByText('large dark usual')).toBeTruthy()
  expect(document.documentElement.dataset.letters).toBe('large')
  expect(document.documentElement.dataset.light).toBe('dark')
  expect(localStorage.getItem('outfell.settings')).toContain('"letters":"large"')
})

test('what was kept stands at the next start, and what cannot be read counts as nothing', async () => {
  localStorage.setItem('outfell.settings', '{"paper":"upright"}')
  vi.resetModules()
  const kept = await import('./settings')
  let now: ReturnType<typeof kept.useSettings>[0] | undefined
  const Look = () => {
    now = kept.useSettings()[0]
    return null
  }
  render(<Look />)
  expect(now).toMatchObject({ paper: 'upright', letters: 'usual' })

  localStorage.setItem('outfell.settings', '{ not json')
  vi.resetModules()
  await import('./settings')
  expect(document.documentElement.dataset.letters).toBe('usual')
})
