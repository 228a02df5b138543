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
  /** left edge of its label */
  labelX: number
  labelWidth: number
  /** whether its side has labels in two rows, so that a number over the block takes the place of a line to it */
  crowded: boolean
  /** row of its label: 0 above, 1 below */
  row: number
}

/** Least width of a label on the screen, px: two short words side by side. */
const NARROWEST_LABEL = 112

/** Labels of one side in one row, or in two where they would be too narrow to read. */
function labels(count: number, room: number, widest: number, scale: number) {
  const one = Math.min(widest, room / Math.max(1, count))
  if (count < 3 || one * scale >= NARROWEST_LABEL) return { width: one, columns: count, crowded: false }
  const columns = Math.ceil(count / 2)
  return { width: room / columns, columns, crowded: true }
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

/**
 * Where every block and its label stands.
 *
 * @param scale px on the screen for one drawing unit
 */
export function blocks(routine: Routine, unit: { on: number; off: number }, scale = 1): Block[] {
  const off = routine.steps.filter((s) => s.comesOff)
  const on = routine.steps.filter((s) => !s.comesOff)
  const widths = off.map((s) => Math.max(NARROWEST_OFF, weight(s) * unit.off))
  const squeeze = Math.min(1, ROOM_OFF / Math.max(1, sum(widths)))
  const placed: Block[] = []
  let x = SKIN_X - sum(widths) * squeeze
  let before = 1
  const offLabels = labels(off.length, ROOM_OFF, 150, scale)
  off.forEach((step, i) => {
    const width = (widths[i] ?? 0) * squeeze
    const row = Math.floor(i / offLabels.columns)
    const labelX = SKIN_X - 8 - offLabels.width * (offLabels.columns - (i - row * offLabels.columns))
    placed.push({
      step,
      x,
      width,
      before,
      labelX,
      labelWidth: offLabels.width - 8,
      crowded: offLabels.crowded,
      row,
    })
    before = step.left
    x += width
  })
  x = SKIN_X + SKIN_W
  const onLabels = labels(on.length, WIDTH - SKIN_X - SKIN_W - 8, 176, scale)
  on.forEach((step, i) => {
    const width = weight(step) * unit.on
    const row = Math.floor(i / onLabels.columns)
    placed.push({
      step,
      x,
      width,
      before: 0,
      labelX: SKIN_X + SKIN_W + 8 + onLabels.width * (i - row * onLabels.columns),
      labelWidth: onLabels.width - 8,
      crowded: onLabels.crowded,
      row,
    })
    x += width
  })
  return placed
}

const sum = (numbers: number[]) => numbers.reduce((a, b) => a + b, 0)
