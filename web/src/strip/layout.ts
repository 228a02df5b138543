import type { Routine, Step } from '../api/client'

/** Drawing sizes of the strip, in drawing units: 1 unit is 1 px at full width. */
export const WIDTH = 1150
export const SKIN_X = 352
export const SKIN_W = 26
const ROOM_ON = WIDTH - SKIN_X - SKIN_W - 46
const ROOM_OFF = SKIN_X - 12
const WIDEST = 28
const NARROWEST_OFF = 34

/** A step drawn as a block. */
export type Block = {
  step: Step
  x: number
  width: number
  /** still on the skin before it, 0 to 1; only for what comes off */
  before: number
  /** centre of its label */
  labelX: number
  labelWidth: number
}

export const weight = (step: Step) => step.texture

/** One unit of weight in both routines, so that the two can be compared by eye. */
export function units(routines: Routine[]) {
  const most = (comesOff: boolean) =>
    Math.max(
      1,
      ...routines.map((r) =>
        r.steps.filter((s) => s.comesOff === comesOff).reduce((sum, s) => sum + weight(s), 0),
      ),
    )
  return { on: Math.min(WIDEST, ROOM_ON / most(false)), off: Math.min(WIDEST, ROOM_OFF / most(true)) }
}

/** Where every block and its label stands. */
export function blocks(routine: Routine, unit: { on: number; off: number }): Block[] {
  const off = routine.steps.filter((s) => s.comesOff)
  const on = routine.steps.filter((s) => !s.comesOff)
  const widths = off.map((s) => Math.max(NARROWEST_OFF, weight(s) * unit.off))
  const squeeze = Math.min(1, ROOM_OFF / Math.max(1, sum(widths)))
  const placed: Block[] = []
  let x = SKIN_X - sum(widths) * squeeze
  let before = 1
  const offLabel = off.length === 0 ? 0 : Math.min(150, ROOM_OFF / off.length)
  off.forEach((step, i) => {
    const width = (widths[i] ?? 0) * squeeze
    const labelX = SKIN_X - 8 - offLabel * (off.length - i)
    placed.push({ step, x, width, before, labelX, labelWidth: offLabel - 8 })
    before = step.left
    x += width
  })
  x = SKIN_X + SKIN_W
  const onLabel = on.length === 0 ? 0 : Math.min(176, (WIDTH - SKIN_X - SKIN_W - 8) / on.length)
  on.forEach((step, i) => {
    const width = weight(step) * unit.on
    const labelX = SKIN_X + SKIN_W + 8 + onLabel * i
    placed.push({ step, x, width, before: 0, labelX, labelWidth: onLabel - 8 })
    x += width
  })
  return placed
}

const sum = (numbers: number[]) => numbers.reduce((a, b) => a + b, 0)
