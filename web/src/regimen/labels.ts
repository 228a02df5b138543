import type { Part } from '../api/client'

/** The label of a step beside the one that has the focus, as the arrows go from one to the next. */
export function labelBeside(by: number): HTMLElement | undefined {
  const labels = [...window.document.querySelectorAll<HTMLElement>('.strip-label')]
  const at = labels.indexOf(window.document.activeElement as HTMLElement)
  return at < 0 ? undefined : labels[at + by]
}

/**
 * Gives the focus back to the label of a step whose fold closes.
 * @param gone whether the step leaves the plan: its neighbour takes the focus
 */
export function giveBack(part: Part, product: string, gone: boolean) {
  // strip and list have a label each, and one of them is on the screen
  const labels = [
    ...window.document.querySelectorAll<HTMLElement>(`[data-part="${part}"] button[data-product]`),
  ].filter((label) => label.offsetParent !== null)
  const at = labels.findIndex((label) => label.dataset.product === product)
  const to = gone ? (labels[at + 1] ?? labels[at - 1]) : labels[at]
  to?.focus()
}
