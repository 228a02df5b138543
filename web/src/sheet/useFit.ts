import { useEffect, useLayoutEffect, useReducer, useState, type RefObject } from 'react'
import { spareThatFits } from './fit'

/** Millimetres: how wide an A4 side is, and how much of its height is printed on. */
const SIDE = { across: { width: 297, height: 194 }, upright: { width: 210, height: 281 } }

/** What may go over to the back, from the first to stay on the front to the first to leave it. */
export type Spare = 'room' | 'ifs' | 'year' | 'feel'
const ORDER: Spare[] = ['room', 'ifs', 'year', 'feel']

/**
 * Which parts of a sheet its front has no room for, measured on the sheet as it is drawn: it is as wide as the paper at whatever
 * size it is shown.
 *
 * @param sheet element that holds a .front and the parts, each with its name in data-spare
 */
export function useFit(sheet: RefObject<HTMLElement | null>, lies: keyof typeof SIDE) {
  const [over, setOver] = useState<Spare[]>([])
  const [whole, setWhole] = useState(true)
  const [, again] = useReducer((n: number) => n + 1, 0)
  // in another font than its own a sheet has another height
  useEffect(() => {
    void document.fonts?.ready.then(again)
    window.addEventListener('resize', again)
    return () => window.removeEventListener('resize', again)
  }, [])
  // eslint-disable-next-line react-hooks/exhaustive-deps -- whatever is drawn anew may be taller
  useLayoutEffect(() => {
    const front = sheet.current?.querySelector('.front')
    if (!front) return
    // what is measured is known only once it is drawn; on a narrow screen it is not laid out as on paper, and all of it goes on
    if (getComputedStyle(front).getPropertyValue('--wide') === 'auto') {
      // eslint-disable-next-line react-hooks/set-state-in-effect
      setOver((now) => (now.length === 0 ? now : []))
      setWhole(true)
      return
    }
    const tall = (e: Element) => e.getBoundingClientRect().height
    const room = front.getBoundingClientRect().width * (SIDE[lies].height / SIDE[lies].width)
    const parts = ORDER.flatMap((name) => {
      const part = sheet.current?.querySelector(`[data-spare="${name}"]`)
      return part ? [{ name, height: tall(part), here: front.contains(part) }] : []
    })
    const inner = [...front.children].reduce((sum, child) => sum + tall(child), 0)
    const fixed = inner - parts.filter((p) => p.here).reduce((sum, p) => sum + p.height, 0)
    const next = spareThatFits(room - fixed, parts).over
    setOver((now) => (now.join() === next.join() ? now : next))
    setWhole(fixed <= room)
  })
  return { over, whole }
}
