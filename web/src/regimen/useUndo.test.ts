import { act, renderHook } from '@testing-library/react'
import { useState } from 'react'
import type { VisitDocument } from '../api/client'
import type { VisitContext } from '../visit/VisitShell'
import { putIn } from './byHandEdits'
import { useUndo } from './useUndo'

const start = { pins: [], takenOut: [], steps: [], method: 'classic' } as unknown as VisitDocument

const board = (id: string) =>
  renderHook(() => {
    const [document, setDocument] = useState(start)
    const change = (edit: (d: VisitDocument) => VisitDocument) => setDocument(edit)
    const work = { draft: { document }, change }
    return { document, change, ...useUndo({ visit: { id }, work } as unknown as VisitContext) }
  })

test('every change by hand is taken back and put back, newest first', () => {
  const { result } = board('one')
  expect(result.current.undo).toBeNull()
  act(() => result.current.change((d) => putIn(d, 'EVENING', 'a')))
  act(() => result.current.change((d) => ({ ...d, method: 'layered' })))
  act(() => result.current.undo?.())
  expect(result.current.document.method).toBe('classic')
  expect(result.current.document.pins).toHaveLength(1)
  act(() => result.current.undo?.())
  expect(result.current.document.pins).toHaveLength(0)
  expect(result.current.undo).toBeNull()
  act(() => result.current.redo?.())
  act(() => result.current.redo?.())
  expect(result.current.document.method).toBe('layered')
  expect(result.current.redo).toBeNull()
})

test('a new change after taking back forgets what was taken back', () => {
  const { result } = board('two')
  act(() => result.current.change((d) => ({ ...d, method: 'layered' })))
  act(() => result.current.undo?.())
  act(() => result.current.change((d) => ({ ...d, method: 're-tone' })))
  expect(result.current.redo).toBeNull()
  act(() => result.current.undo?.())
  expect(result.current.document.method).toBe('classic')
})

test('what another part of the visit says does not count as a change of the board', () => {
  const { result } = board('three')
  act(() => result.current.change((d) => ({ ...d, month: 'JULY' })))
  expect(result.current.undo).toBeNull()
})
