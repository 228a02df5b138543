/** While letters are typed; what is tapped or chosen is whole at once. */
export const PAUSE_MS = 350
const TAPPED = ['checkbox', 'radio', 'range', 'button']

/** How long saving waits: not at all, unless the cursor stands in a field for text, or in a part of a day that is being typed. */
export function pause(): number {
  const at = document.activeElement
  const typing =
    at instanceof HTMLTextAreaElement ||
    (at instanceof HTMLInputElement && !TAPPED.includes(at.type)) ||
    at?.getAttribute('role') === 'spinbutton'
  return typing ? PAUSE_MS : 0
}
