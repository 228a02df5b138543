import type { Question } from '../api/client'
import { answered, asDrafted, noToTheRest, openInBulk, stillSo } from './answers'

const question = (id: string, over: Partial<Question> = {}): Question => ({
  id,
  group: 'today',
  text: id,
  dated: false,
  must: true,
  alone: false,
  seldom: false,
  stale: false,
  ...over,
})

test('a new answer takes the place of the old one', () => {
  const once = answered([], 'mole', false, '2026-11-01')
  const twice = answered(once, 'mole', true, '2026-11-25')
  expect(twice).toEqual([{ question: 'mole', yes: true, on: null, asked: '2026-11-25' }])
})

test('no to the rest leaves what was answered, and never says that a guardian does not agree', () => {
  const said = answered([], 'mole', true, '2026-11-25')
  const all = noToTheRest(
    said,
    [question('mole', { answer: said[0] }), question('rash'), question('guardian')],
    '2026-11-25',
  )
  expect(all).toHaveLength(2)
  expect(all.find((a) => a.question === 'mole')?.yes).toBe(true)
  expect(all.find((a) => a.question === 'rash')?.yes).toBe(false)
})

test('still so renews the day of stale answers and of no other', () => {
  const old = [...answered([], 'pregnant', true, '2026-10-01'), ...answered([], 'nuts', true, '2026-10-01')]
  const renewed = stillSo(old, [question('pregnant', { stale: true }), question('nuts')], '2026-11-25')
  expect(renewed.map((a) => a.asked)).toEqual(['2026-11-25', '2026-10-01'])
  expect(renewed[0]?.yes).toBe(true)
  expect(renewed.map((a) => a.bulk ?? false)).toEqual([true, false])
  const emergency = answered([], 'emergency', false, '2026-10-01')
  expect(stillSo(emergency, [question('emergency', { stale: true, alone: true })], '2026-11-25')).toEqual(
    emergency,
  )
})

test('an answer shows at once, before the server has heard of it', () => {
  const old = answered([], 'mole', false, '2026-10-01')[0]
  const heard = [question('mole', { answer: old, stale: true }), question('rash')]
  const drafted = asDrafted(heard, answered([old!], 'mole', true, '2026-11-25'))
  expect(drafted[0]).toMatchObject({ stale: false, answer: { yes: true } })
  expect(drafted[1]?.answer).toBeUndefined()
})

test('an emergency is asked by itself, and what is answered with the rest is marked so', () => {
  const questions = [question('emergency', { alone: true }), question('mole'), question('guardian')]
  expect(openInBulk(questions).map((q) => q.id)).toEqual(['mole'])
  const all = noToTheRest([], questions, '2026-11-25')
  expect(all).toEqual([{ question: 'mole', yes: false, on: null, asked: '2026-11-25', bulk: true }])
  expect(answered(all, 'mole', false, '2026-11-25')[0]?.bulk).toBeUndefined()
})
