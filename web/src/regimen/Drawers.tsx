import { useId, useState, type ReactNode } from 'react'
import { say } from '../words/say'
import '../words/regimen'

export interface Drawer {
  id: string
  name: string
  /** Its verdict, in one line. */
  line: string
  /** Whether the verdict asks to be looked at. */
  off?: boolean
  inside: ReactNode
}

/**
 * What lies under the strips, closed: each front tells its verdict, and one opens at a time.
 *
 * @param pulled the one that stands open at first
 */
export function Drawers({ drawers, pulled = null }: { drawers: Drawer[]; pulled?: string | null }) {
  const [open, setOpen] = useState<string | null>(pulled)
  const box = useId()
  const shown = drawers.find((d) => d.id === open)
  return (
    <div className="drawers">
      <div className="drawer-fronts" role="group" aria-label={say('regimen.drawers')}>
        {drawers.map((d) => (
          <button
            key={d.id}
            type="button"
            className={d.off ? 'drawer drawer-off' : 'drawer'}
            aria-expanded={d.id === open}
            aria-controls={d.id === open ? box : undefined}
            onClick={() => setOpen(d.id === open ? null : d.id)}
          >
            <b>{d.name}</b> <span>{d.line}</span>
          </button>
        ))}
      </div>
      {shown && (
        <div id={box} className="drawer-open">
          {shown.inside}
        </div>
      )}
    </div>
  )
}
