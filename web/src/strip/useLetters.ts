import { useSettings } from '../shared/settings'

const USUAL_PIXELS = 16

/** How much larger than usual the letters of the screen are, by what is chosen here or in the browser; 1 for as usual. */
export function useLetters(): number {
  useSettings()
  const pixels = parseFloat(getComputedStyle(document.documentElement).fontSize)
  return pixels > USUAL_PIXELS ? pixels / USUAL_PIXELS : 1
}
