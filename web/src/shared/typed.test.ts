import { act, renderHook } from '@testing-library/react'
import { forgetTyped, keepTyped, rereadTyped, typed, useTyped } from './typed'

beforeEach(() => {
  localStorage.clear()
  rereadTyped()
})

test('what is typed outlives a reload, and is gone once it is taken', () => {
  keepTyped('label', 'maren', { name: 'Harbour soap' })
  rereadTyped()
  expect(typed('label', 'maren')).toEqual({ name: 'Harbour soap' })
  forgetTyped('label', 'maren')
  rereadTyped()
  expect(typed('label', 'maren')).toBeUndefined()
})

test('what is typed about one client never shows in the form of another', () => {
  keepTyped('label', 'maren', { name: 'Harbour soap' })
  const { result } = renderHook(() => useTyped<{ name: string }>('label', 'tobit'))
  expect(result.current[0]).toBeUndefined()
})

test('two places that show the same text show it alike', () => {
  const one = renderHook(() => useTyped<string>('note', 'v'))
  const other = renderHook(() => useTyped<string>('note', 'v'))
  act(() => one.result.current[1]('windy'))
  expect(other.result.current[0]).toBe('windy')
  act(() => other.result.current[2]())
  expect(one.result.current[0]).toBeUndefined()
})

test('a damaged store costs the text, not the page', () => {
  localStorage.setItem('outfell.typed.label.maren', '{ not json')
  expect(typed('label', 'maren')).toBeUndefined()
})
