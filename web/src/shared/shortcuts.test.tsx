import { act, render, renderHook, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { afterEach, expect, test, vi } from 'vitest'
import { KeysHelp } from '../docket/KeysHelp'
import { IDS, keyWords, pressed, shortcut, useOwnKeys, useShortcut } from './shortcuts'

afterEach(() => {
  const { result } = renderHook(() => useOwnKeys())
  act(() => {
    result.current.asShipped()
    result.current.switchSigns(false)
  })
  localStorage.clear()
})

function Listening({ rest }: { rest: () => void }) {
  useShortcut('restNone', rest)
  return null
}

const key = (over: Partial<KeyboardEvent>) =>
  pressed({ key: '', code: '', altKey: false, ctrlKey: false, metaKey: false, ...over })

test('no two keys that are listened to at once are the same', () => {
  const { result } = renderHook(() => useOwnKeys())
  const wide = (id: (typeof IDS)[number]) => ['everywhere', 'visit'].includes(shortcut(id).place)
  for (const a of IDS) {
    for (const b of IDS) {
      if (a === b || !(wide(a) || wide(b) || shortcut(a).place === shortcut(b).place)) continue
      for (const k of result.current.keys(a).split(',')) {
        expect(result.current.keys(b).split(','), `${a} and ${b}`).not.toContain(k)
      }
    }
  }
})

test('another key does it in place of the one before, and is kept on this machine', async () => {
  const rest = vi.fn()
  render(<Listening rest={rest} />)
  const { result } = renderHook(() => useOwnKeys())
  act(() => void result.current.change('restNone', 'n'))
  await userEvent.keyboard('r')
  expect(rest).not.toHaveBeenCalled()
  await userEvent.keyboard('n')
  expect(rest).toHaveBeenCalledTimes(1)
  expect(localStorage.getItem('outfell.keys')).toContain('"restNone":"n"')
  act(result.current.asShipped)
  await userEvent.keyboard('r')
  expect(rest).toHaveBeenCalledTimes(2)
})

test('a key that another shortcut of the same page has is refused in a sentence', () => {
  const { result } = renderHook(() => useOwnKeys())
  let why: string | null = null
  act(() => void (why = result.current.change('restNone', 'm')))
  expect(why).toBe('M is taken: both sides alike. Press another.')
  expect(result.current.keys('restNone')).toBe('r')
  act(() => void (why = result.current.change('restNone', 'p')))
  expect(why, 'print is on another page').toBeNull()
})

test('signs by themselves are switched off together, and the rest goes on', async () => {
  const rest = vi.fn()
  const desk = vi.fn()
  function Both() {
    useShortcut('restNone', rest)
    useShortcut('desk', desk)
    return null
  }
  render(<Both />)
  const { result } = renderHook(() => useOwnKeys())
  act(() => result.current.switchSigns(true))
  await userEvent.keyboard('r')
  await userEvent.keyboard('{Alt>}d{/Alt}')
  expect(rest).not.toHaveBeenCalled()
  expect(desk).toHaveBeenCalledTimes(1)
})

test('what is pressed is a sign, or Alt with a place on the board; nothing of the browser’s', () => {
  expect(key({ key: 'N' })).toBe('n')
  expect(key({ key: '∂', code: 'KeyD', altKey: true })).toBe('alt+d')
  expect(key({ key: 's', ctrlKey: true })).toBeNull()
  expect(key({ key: 'F5' })).toBeNull()
  expect(key({ key: ',' })).toBeNull()
  expect(keyWords('shift+arrowleft,mod+z,alt+1')).toBe('Shift ←, Ctrl Z, Alt 1')
})

test('in the list a key is changed by pressing it, and Escape leaves it', async () => {
  render(<KeysHelp close={() => undefined} />)
  const row = screen.getByText('the rest is none').closest('tr')!
  const change = within(row).getByRole('button', { name: 'Another key for: the rest is none' })
  await userEvent.click(change)
  expect(change).toHaveTextContent('Press it now')
  await userEvent.keyboard('m')
  expect(within(row).getByRole('alert')).toHaveTextContent('M is taken')
  await userEvent.keyboard('n')
  expect(within(row).getByText('N')).toBeInTheDocument()
  await userEvent.click(change)
  await userEvent.keyboard('{Escape}')
  expect(change).toHaveTextContent('Change')
  expect(screen.getByRole('dialog')).toBeInTheDocument()
})
