import type { Routine, Step } from '../api/client'
import { blocks, SKIN_W, SKIN_X, units, WIDTH } from './layout'

const step = (number: number, texture: number, comesOff: boolean): Step =>
  ({ number, product: `p${number}`, texture, comesOff, left: 0.1, nights: [], part: '' }) as unknown as Step

const routine = (...steps: Step[]) => ({ part: 'EVENING', steps }) as unknown as Routine

const three = routine(step(1, 3, true), step(2, 6, false), step(3, 4, false))
const twelve = routine(
  ...[1, 2, 3, 4].map((n) => step(n, 6, true)),
  ...[5, 6, 7, 8, 9, 10, 11, 12].map((n) => step(n, 7, false)),
)

test.each([
  ['none', routine()],
  ['one', routine(step(1, 8, false))],
  ['three', three],
  ['twelve', twelve],
])('%s steps stay within the drawing and meet at the skin', (_, r) => {
  const placed = blocks(r, units([r]))
  for (const b of placed) {
    expect(b.x).toBeGreaterThanOrEqual(0)
    expect(b.x + b.width).toBeLessThanOrEqual(WIDTH - 40)
    expect(b.width).toBeGreaterThan(0)
    expect(b.labelX + b.labelWidth).toBeLessThanOrEqual(WIDTH)
  }
  const off = placed.filter((b) => b.step.comesOff)
  const on = placed.filter((b) => !b.step.comesOff)
  if (off.length > 0) expect((off.at(-1)?.x ?? 0) + (off.at(-1)?.width ?? 0)).toBeCloseTo(SKIN_X)
  if (on.length > 0) expect(on[0]?.x).toBeCloseTo(SKIN_X + SKIN_W)
})

test('morning and evening share one unit, so that widths compare', () => {
  const unit = units([three, twelve])
  expect(unit).toEqual(units([twelve, three]))
  const cream = blocks(three, unit).find((b) => b.step.number === 2)
  expect(cream?.width).toBeCloseTo(6 * unit.on)
})

test('what is still on the skin falls from step to step', () => {
  const r = routine(step(1, 6, true), step(2, 3, true), step(3, 5, false))
  expect(blocks(r, units([r])).map((b) => b.before)).toEqual([1, 0.1, 0])
})

test('twelve steps have labels in two rows, wide enough for two short words, three have them in one', () => {
  const placed = blocks(twelve, units([twelve]))
  const on = placed.filter((b) => !b.step.comesOff)
  expect(on.every((b) => b.crowded && b.labelWidth >= 104)).toBe(true)
  expect(on.map((b) => b.row)).toEqual([0, 0, 0, 0, 1, 1, 1, 1])
  expect(blocks(three, units([three])).some((b) => b.crowded)).toBe(false)
})

test('a narrower window puts labels in two rows sooner', () => {
  const five = routine(...[1, 2, 3, 4, 5].map((n) => step(n, 4, false)))
  expect(blocks(five, units([five]), 1).some((b) => b.crowded)).toBe(false)
  expect(blocks(five, units([five]), 0.7).every((b) => b.crowded)).toBe(true)
})
