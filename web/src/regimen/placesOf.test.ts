import type { Vocabulary } from '../api/client'
import { toggled } from './placesOf'

const known = [
  { coverage: 'FACE', onTheFace: true },
  { coverage: 'CHEEKS', onTheFace: true },
  { coverage: 'MARKS', onTheFace: true },
  { coverage: 'NECK', onTheFace: false },
  { coverage: 'CHEST', onTheFace: false },
] as unknown as Vocabulary['coverages']

test('a place below the jaw goes in and out beside the others', () => {
  expect(toggled(['FACE', 'NECK'], 'CHEST', known)).toEqual(['FACE', 'NECK', 'CHEST'])
  expect(toggled(['FACE', 'NECK', 'CHEST'], 'NECK', known)).toEqual(['FACE', 'CHEST'])
})

test('a part of the face takes the place of the whole, and the whole that of its parts', () => {
  expect(toggled(['FACE', 'NECK'], 'CHEEKS', known)).toEqual(['CHEEKS', 'NECK'])
  expect(toggled(['CHEEKS', 'NECK'], 'MARKS', known)).toEqual(['CHEEKS', 'MARKS', 'NECK'])
  expect(toggled(['CHEEKS', 'MARKS', 'NECK'], 'FACE', known)).toEqual(['FACE', 'NECK'])
})

test('the last place stays', () => {
  expect(toggled(['FACE'], 'FACE', known)).toEqual(['FACE'])
})
