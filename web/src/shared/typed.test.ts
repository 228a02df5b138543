import { act, renderHook } from '@testing-library/react'
import { forgetAbout, forgetTyped, keepTyped, rereadTyped, sweepTyped, typed, useTyped } from './typed'

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

test('what is typed about an erased client is forgotten, and about others is not', () => {
  keepTyped('label', 'maren', 'a')
  keepTyped('visit', 'v1', 'b')
  keepTyped('label', 'tobit', 'c')
  forgetAbout(['maren', 'v1'])
  expect([typed('label', 'maren'), typed('visit', 'v1'), typed('label', 'tobit')]).toEqual([
    undefined,
    undefined,
    'c',
  ])
})

test('what is no longer worth keeping is swept out of one form only', () => {
  keepTyped('visit', 'old', { at: 1 })
  keepTyped('visit', 'new', { at: 9 })
  keepTyped('label', 'old', { at: 1 })
  sweepTyped<{ at: number }>('visit', (v) => v.at > 5)
  expect([typed('visit', 'old'), typed('visit', 'new'), typed('label', 'old')]).toEqual([
    undefined,
    { at: 9 },
    { at: 1 },
  ])
})

test('a damaged store costs the text, not the page', () => {
  localStorage.setItem('outfell.typed.label.maren', '{ not json')
  expect(typed('label', 'maren')).toBeUndefined()
})
