import { createContext, useContext, useState, type CSSProperties, type ReactNode } from 'react'
import {
  closestCenter,
  DndContext,
  MouseSensor,
  TouchSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core'
import type { Step } from '../api/client'
import { say } from '../words/say'
import '../words/strip'

const PIXELS_BEFORE_A_DRAG = 6
const HOLD_MS = 220

/** Asks for a step to stand at another number. */
export type Move = (product: string, to: number) => void

/** What letting a step go over another would mean: free, against a rule, or never. */
type Landing = 'free' | 'against' | 'never'

const Lifted = createContext<{ step: Step; over: number } | null>(null)

/** Steps that can be dragged onto one another's place; a click stays a click. */
export function MoveArea({
  steps,
  move,
  children,
}: {
  steps: Step[]
  /** absent where nothing is moved */
  move?: Move
  children: ReactNode
}) {
  const [lifted, setLifted] = useState<{ step: Step; over: number } | null>(null)
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: PIXELS_BEFORE_A_DRAG } }),
    useSensor(TouchSensor, { activationConstraint: { delay: HOLD_MS, tolerance: PIXELS_BEFORE_A_DRAG } }),
  )
  if (!move) return <>{children}</>
  const numberOf = (product: unknown) => steps.find((s) => s.product === product)?.number ?? 0
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{
        screenReaderInstructions: { draggable: say('strip.shiftWithAnArrowKeyMovesThe') },
      }}
      onDragStart={({ active }) => {
        const step = steps.find((s) => s.product === active.id)
        if (step) setLifted({ step, over: step.number })
      }}
      onDragOver={({ over }) => setLifted((now) => now && { ...now, over: over ? numberOf(over.id) : 0 })}
      onDragCancel={() => setLifted(null)}
      onDragEnd={({ active, over }) => {
        setLifted(null)
        const to = over ? numberOf(over.id) : 0
        if (to > 0 && to !== numberOf(active.id)) move(String(active.id), to)
      }}
    >
      <Lifted value={lifted}>{children}</Lifted>
    </DndContext>
  )
}

/** Makes one step's button draggable and a place to drop others on. */
export function useMovable(step: Step) {
  const drag = useDraggable({ id: step.product })
  const drop = useDroppable({ id: step.product })
  const lifted = useContext(Lifted)
  const landing = lifted && lifted.over === step.number ? landingOf(lifted.step, step.number) : null
  const style: CSSProperties = drag.transform
    ? { transform: `translate(${drag.transform.x}px, ${drag.transform.y}px)`, zIndex: 3 }
    : {}
  return {
    attach: (node: HTMLElement | null) => {
      drag.setNodeRef(node)
      drop.setNodeRef(node)
    },
    listeners: drag.listeners,
    style,
    className: [drag.isDragging ? 'lifted' : '', landing ? `land-${landing}` : ''].join(' '),
  }
}

function landingOf(step: Step, to: number): Landing | null {
  const shift = step.shifts.find((s) => s.to === to)
  if (!shift) return null
  return !shift.allowed ? 'never' : shift.against.length > 0 ? 'against' : 'free'
}
