import { fireEvent, render, screen } from '@testing-library/react'
import type { Zone } from '../api/client'
import { Face } from './Face'

const ZONES: Zone[] = ['FOREHEAD', 'NOSE', 'CHEEK_R', 'CHEEK_L', 'DECOLLETE', 'EARS', 'HANDS']

function show(grades: Partial<Record<Zone, number>>, pick: (z: Zone) => void, paint?: (z: Zone) => void) {
  render(
    <Face
      zones={ZONES}
      label={(z) => z.toLowerCase()}
      grade={(z) => grades[z] ?? null}
      current="NOSE"
      pick={pick}
      paint={paint}
    />,
  )
}

test('every zone is a button that says its grade, or that it was not looked at', () => {
  show({ NOSE: 3, FOREHEAD: 0 }, () => undefined)
  expect(screen.getAllByRole('button')).toHaveLength(ZONES.length)
  expect(screen.getByRole('button', { name: 'nose: 3' })).toBeTruthy()
  expect(screen.getByRole('button', { name: 'forehead: 0' })).toBeTruthy()
  expect(screen.getByRole('button', { name: 'hands: not looked at' })).toBeTruthy()
})

test('a drag from one zone to the next paints both, once each', () => {
  const painted: Zone[] = []
  show(
    {},
    () => undefined,
    (z) => painted.push(z),
  )
  const at: Record<number, string> = { 1: 'cheek_r', 2: 'nose', 3: 'cheek_l' }
  document.elementFromPoint = (x: number) => screen.getByRole('button', { name: new RegExp(`^${at[x]}:`) })
  const face = screen.getByRole('group')
  fireEvent.pointerDown(face, { clientX: 1 })
  expect(painted).toEqual([])
  fireEvent.pointerMove(face, { clientX: 1 })
  fireEvent.pointerMove(face, { clientX: 2 })
  fireEvent.pointerMove(face, { clientX: 2 })
  fireEvent.pointerMove(face, { clientX: 3 })
  fireEvent.pointerUp(face)
  fireEvent.pointerMove(face, { clientX: 1 })
  expect(painted).toEqual(['CHEEK_R', 'NOSE', 'CHEEK_L'])
})
