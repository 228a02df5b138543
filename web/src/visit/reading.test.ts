import type { Reading, Vocabulary } from '../api/client'
import {
  asBefore,
  graded,
  gradeOf,
  measured,
  mirrored,
  neighbour,
  spotOf,
  unmeasured,
  zonesOf,
} from './reading'

const shine = {
  sign: 'SHINE',
  label: 'Shine',
  how: 'SEEN',
  zones: ['FOREHEAD', 'NOSE', 'CHEEK_R', 'CHEEK_L'],
  grades: ['a', 'b', 'c', 'd', 'e'],
} as unknown as Vocabulary['signs'][number]
const none: Reading = { grades: [], probe: [], settlements: [], byHand: [] }

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

test('as last time fills what was not looked at and keeps how it was known', () => {
  const before = graded(graded(none, shine, 'NOSE', 3, 'FELT'), shine, 'FOREHEAD', 1)
  const now = asBefore(graded(none, shine, 'FOREHEAD', 4), before, shine)
  expect(gradeOf(now, 'SHINE', 'FOREHEAD')).toBe(4)
  expect(now.grades.find((g) => g.zone === 'NOSE')).toMatchObject({ grade: 3, how: 'FELT' })
})

test('places on request are read when asked for, or when they have a grade', () => {
  const rough = { ...shine, sign: 'ROUGHNESS', zones: ['FOREHEAD', 'HANDS'] } as typeof shine
  const zones = [
    { zone: 'FOREHEAD', label: 'forehead', onRequest: false },
    { zone: 'HANDS', label: 'hands', onRequest: true },
  ] as Vocabulary['zones']
  expect(zonesOf(rough, zones, [], none)).toEqual(['FOREHEAD'])
  expect(zonesOf(rough, zones, ['HANDS'], none)).toEqual(['FOREHEAD', 'HANDS'])
  expect(zonesOf(rough, zones, [], graded(none, rough, 'HANDS', 2))).toEqual(['FOREHEAD', 'HANDS'])
  const bumps = { ...shine, zones: ['HANDS'] } as typeof shine
  expect(zonesOf(bumps, zones, [], none)).toEqual(['HANDS'])
})

test('readings of a spot are kept in order, and a simulated one stays marked', () => {
  const two = measured(measured(none, 'SEBUM', 'NOSE', 150.2, true), 'SEBUM', 'NOSE', 151, false)
  expect(spotOf(two, 'SEBUM', 'NOSE')).toMatchObject({ values: [150.2, 151], simulated: true })
  expect(unmeasured(two, 'SEBUM', 'NOSE').probe).toHaveLength(0)
})
