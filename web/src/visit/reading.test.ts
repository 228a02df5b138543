import type { Reading, Vocabulary } from '../api/client'
import { graded, gradeOf, mirrored, neighbour } from './reading'

const shine = {
  sign: 'SHINE',
  label: 'Shine',
  how: 'SEEN',
  zones: ['FOREHEAD', 'NOSE', 'CHEEK_R', 'CHEEK_L'],
  grades: ['a', 'b', 'c', 'd', 'e'],
} as unknown as Vocabulary['signs'][number]
const none: Reading = { grades: [], probe: [] }

test('a grade replaces the one before and null takes the look back', () => {
  const three = graded(graded(none, shine, 'NOSE', 1), shine, 'NOSE', 3)
  expect(three.grades).toHaveLength(1)
  expect(gradeOf(three, 'SHINE', 'NOSE')).toBe(3)
  expect(gradeOf(graded(three, shine, 'NOSE', null), 'SHINE', 'NOSE')).toBeNull()
})

test('not looked at is never nought', () => {
  expect(gradeOf(none, 'SHINE', 'NOSE')).toBeNull()
  expect(gradeOf(graded(none, shine, 'NOSE', 0), 'SHINE', 'NOSE')).toBe(0)
})

test('both sides alike works from either side and leaves the middle alone', () => {
  const right = graded(none, shine, 'CHEEK_R', 2)
  expect(gradeOf(mirrored(right, shine, 'CHEEK_R'), 'SHINE', 'CHEEK_L')).toBe(2)
  expect(gradeOf(mirrored(right, shine, 'CHEEK_L'), 'SHINE', 'CHEEK_L')).toBe(2)
  expect(mirrored(right, shine, 'NOSE')).toBe(right)
})

test('the next zone goes round', () => {
  expect(neighbour(shine.zones, 'CHEEK_L', 1)).toBe('FOREHEAD')
  expect(neighbour(shine.zones, 'FOREHEAD', -1)).toBe('CHEEK_L')
})
