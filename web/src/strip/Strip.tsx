import { Fragment, useEffect, useState, type ReactNode } from 'react'
import type { Routine, Step } from '../api/client'
import { nightsWords, sometimes } from '../shared/format'
import { Bands, BesideRing } from './Bands'
import { MoveArea, useMovable, type Move } from './Movable'
import { blocks, SKIN_W, SKIN_X, WIDTH, type Block } from './layout'
import { useLetters } from './useLetters'
import { say } from '../words/say'
import '../words/strip'

const HEIGHT = 78
/** Height of a label with letters of the usual size. */
const LABELS = 78
const LEAD = 18

/** A routine as a cross-section: what comes off, the skin, what stays on, the weather. */
export function Strip({
  routine,
  unit,
  open,
  folded,
  changed,
  toggle,
  move,
  weather,
}: {
  routine: Routine
  /** width of one grade of texture */
  unit: { on: number; off: number }
  /** product of the step whose fold-out is open */
  open: string | null
  /** drawn as a thin core without labels */
  folded?: boolean
  /** products of steps that another plan has otherwise, marked where the strip is thin */
  changed?: ReadonlySet<string>
  /** opens or closes a step; a thin core has nothing to open */
  toggle?: (product: string) => void
  move?: Move
  /** what stands at the outer end: the UV index by day, the moon by night */
  weather: { uv: number } | 'night'
}) {
  const [strip, scale] = useScale()
  const placed = blocks(routine, unit, scale)
  const rows = placed.some((b) => b.crowded) ? 2 : 1
  const labels = LABELS * useLetters()
  const line = labels * rows
  const top = folded ? 16 : line + LEAD
  const height = folded ? 36 : HEIGHT
  return (
    <div className="strip" ref={strip} style={{ height: top + height + 6 }}>
      <svg viewBox={`0 0 ${WIDTH} ${top + height + 6}`} preserveAspectRatio="none" aria-hidden="true">
        <Skin top={folded ? 4 : 0} bottom={top + height + 6} />
        {placed.map((b) => (
          <BlockShape
            key={b.step.product}
            block={b}
            line={line}
            scale={scale}
            top={top}
            height={height}
            open={b.step.product === open}
            folded={!!folded}
          />
        ))}
        {!folded &&
          placed.map((b) => (
            <BesideRings key={b.step.product} block={b} bottom={top + height} scale={scale} />
          ))}
        <Upright x={WIDTH - Math.max(22, 20 / scale)} y={top + height / 2} scale={scale}>
          <Weather weather={weather} />
        </Upright>
      </svg>
      {!folded && placed.every((b) => b.x * scale > CAP) && (
        <span className="strip-cap">{say('strip.comesOff')}</span>
      )}
      <MoveArea steps={routine.steps} move={move}>
        {placed.map((b) =>
          folded ? (
            <BlockNumber
              key={b.step.product}
              block={b}
              top={-2}
              marked={changed?.has(b.step.product) ?? false}
            />
          ) : (
            <Fragment key={b.step.product}>
              {b.crowded && <BlockNumber block={b} top={top - 18} />}
              <Label
                block={b}
                top={labels * (b.crowded ? b.row : rows - 1)}
                height={b.crowded ? labels - 2 : undefined}
                open={b.step.product === open}
                toggle={() => toggle?.(b.step.product)}
              />
            </Fragment>
          ),
        )}
      </MoveArea>
    </div>
  )
}

/** Width of the words before the first step, px. */
const CAP = 76

const percent = (x: number) => `${(x / WIDTH) * 100}%`

function BlockNumber({ block, top, marked = false }: { block: Block; top: number; marked?: boolean }) {
  return (
    <span
      className={marked ? 'strip-number marked' : 'strip-number'}
      style={{ left: percent(block.x + block.width / 2), top }}
      aria-hidden="true"
    >
      {block.step.number}
    </span>
  )
}

/** How many px a drawing unit has on the screen now. */
function useScale(): [(node: HTMLElement | null) => void, number] {
  const [scale, setScale] = useState(1)
  const [node, setNode] = useState<HTMLElement | null>(null)
  useEffect(() => {
    if (!node || typeof ResizeObserver === 'undefined') return
    const observer = new ResizeObserver(([entry]) => {
      const width = entry?.contentRect.width ?? 0
      if (width > 0) setScale(width / WIDTH)
    })
    observer.observe(node)
    return () => observer.disconnect()
  }, [node])
  return [setNode, scale]
}

/** @param top of the label: in its row, or in the lowest beside a side that needs two */
function Label({
  block,
  top,
  height,
  open,
  toggle,
}: {
  block: Block
  top: number
  height: number | undefined
  open: boolean
  toggle: () => void
}) {
  const { step } = block
  const nights = step.hand.when || nightsWords(step)
  const { attach, listeners, style, className } = useMovable(step)
  return (
    <button
      type="button"
      ref={attach}
      {...listeners}
      className={`strip-label${nights ? ' some' : ''} ${className}`}
      style={{
        left: percent(block.labelX),
        width: percent(block.labelWidth),
        top,
        height,
        ...style,
      }}
      data-product={step.product}
      aria-expanded={open}
      title={`${step.name}: ${step.amount.words}, ${step.technique}`}
      onClick={toggle}
    >
      <i>{step.number}</i> <span className="name">{step.name}</span>{' '}
      <span className="amount">
        <b>{step.amount.words}</b>
        <span className="visually-hidden">
          , {step.technique}
          {nights && ', '}
        </span>
        {nights && <em> {nights}</em>}
        <BesideMarks step={step} />
        <HandMarks step={step} />
      </span>
    </button>
  )
}

/** What is done straight before or after a step. */
function BesideMarks({ step }: { step: Step }) {
  // a plan that was kept before there were such words has none
  const [first, ...more] = step.then ?? []
  return first === undefined ? null : (
    <em>
      {' '}
      {first.told}
      {more.length > 0 && <span aria-hidden="true"> +{more.length}</span>}
      <span className="visually-hidden">{more.map((a) => `, ${a.told}`)}</span>
    </em>
  )
}

/** What is hers on a step, in a word or two. */
export function HandMarks({ step }: { step: Step }) {
  const { kept, optional, moved } = step.hand
  const words = [
    kept && say('strip.kept'),
    moved && say('strip.moved'),
    optional && say('strip.mayBeLeftOut'),
  ].filter(Boolean)
  return words.length === 0 ? null : (
    <>
      {' '}
      <em className="hand-mark">{words.join(', ')}</em>
    </>
  )
}

function Skin({ top, bottom }: { top: number; bottom: number }) {
  return (
    <>
      <rect x={SKIN_X} y={top} width={SKIN_W} height={bottom - top} fill="url(#p-skin)" />
      <path
        d={`M${SKIN_X + 1.2} ${top}V${bottom}M${SKIN_X + SKIN_W - 1.2} ${top}V${bottom}`}
        stroke="var(--skin)"
        strokeWidth="2.4"
      />
    </>
  )
}

function BlockShape({
  block,
  line,
  scale,
  top,
  height,
  open,
  folded,
}: {
  block: Block
  line: number
  scale: number
  top: number
  height: number
  open: boolean
  folded: boolean
}) {
  const { step, x, width } = block
  const half = step.part !== ''
  const y = half ? top + height / 2 : top
  const h = half ? height / 2 : height
  const some = sometimes(step)
  // over half a block stands the name of its part: the line goes down beside it
  const leadTo = half ? x + Math.min(width / 2, 10 / scale) : x + width / 2
  const leadX = Math.min(Math.max(x + width / 2, block.labelX + 10), block.labelX + block.labelWidth - 6)
  return (
    <g>
      {!folded && !block.crowded && (
        <>
          <path
            d={`M${block.labelX} ${line}H${block.labelX + block.labelWidth}`}
            stroke="var(--edge)"
            strokeWidth="1"
          />
          <path
            d={`M${leadX} ${line}L${leadTo} ${top - 3}V${y + 1}`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.2"
          />
        </>
      )}
      {step.comesOff ? (
        <ComesOff block={block} top={top} height={height} />
      ) : (
        <Bands shares={step.shares} x={x} y={y} width={width} height={h} />
      )}
      {some && (
        <rect
          x={x + 2.5}
          y={y + 2.5}
          width={Math.max(1, width - 5)}
          height={h - 5}
          fill="none"
          stroke="var(--sheet)"
          strokeWidth="5"
        />
      )}
      <rect
        x={x + 1}
        y={y + 1}
        width={width - 2}
        height={h - 2}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={some ? 2 : 1.6}
        strokeDasharray={some ? '6 4' : undefined}
      />
      {half && !folded && (
        <Upright x={x + width / 2} y={top + 22} scale={scale}>
          <text fontSize="13" textAnchor="middle" fill="var(--ink2)">
            {width * scale > 60 ? step.part : step.part.split(' ')[0]}
          </text>
        </Upright>
      )}
      {step.letter !== '' && !folded && width > 24 && (
        <Upright x={x + width / 2} y={y + h / 2} scale={scale}>
          <Lozenge letter={step.letter} />
        </Upright>
      )}
      {open && (
        <rect
          x={x - 2}
          y={y - 2}
          width={width + 4}
          height={h + 4}
          fill="none"
          stroke="var(--pri)"
          strokeWidth="4"
        />
      )}
    </g>
  )
}

function ComesOff({ block, top, height }: { block: Block; top: number; height: number }) {
  const { step, x, width, before } = block
  const bottom = top + height
  return (
    <>
      <rect x={x} y={top} width={width} height={height} fill="var(--sheet)" />
      <path
        d={`M${x} ${bottom}V${bottom - height * before}L${x + width} ${bottom - height * step.left}V${bottom}Z`}
        fill="url(#p-day)"
        stroke="var(--edge)"
      />
    </>
  )
}

/** Draws what must not be squeezed with the strip: round a place, upright at any width of the window. */
function Upright({ x, y, scale, children }: { x: number; y: number; scale: number; children: ReactNode }) {
  return <g transform={`translate(${x} ${y}) scale(${1 / scale} 1)`}>{children}</g>
}

/** At the edge of a block what is done before or after it: a step that comes again by its number, a hand's stroke without a product. */
function BesideRings({ block, bottom, scale }: { block: Block; bottom: number; scale: number }) {
  const { step, x, width } = block
  return (step.then ?? []).map((a, i) => (
    <Upright key={a.told} x={a.before ? x : x + width} y={bottom - 13 - 23 * i} scale={scale}>
      <BesideRing number={a.again ? a.number : 0} />
    </Upright>
  ))
}

function Lozenge({ letter }: { letter: string }) {
  const r = 13
  return (
    <>
      <path
        d={`M0 ${-r}l${r} ${r}l${-r} ${r}l${-r} ${-r}z`}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth="1.6"
      />
      <text y={5} fontSize="13" fontWeight="700" textAnchor="middle" fill="var(--ink)">
        {letter}
      </text>
    </>
  )
}

function Weather({ weather }: { weather: { uv: number } | 'night' }) {
  if (weather === 'night') {
    return <path d="M-4 -17a17 17 0 1 1 0 34a22 22 0 0 0 0 -34z" fill="var(--moon)" />
  }
  return (
    <>
      <circle r="17" fill="var(--sun)" stroke="var(--onsun)" strokeWidth="1.4" />
      <text y={-1} fontSize="10" fontWeight="700" textAnchor="middle" fill="var(--onsun)">
        {say('strip.uv')}
      </text>
      <text y={12} fontSize="13" fontWeight="700" textAnchor="middle" fill="var(--onsun)">
        {Math.round(weather.uv)}
      </text>
    </>
  )
}

/** The same steps as a list, for narrow windows and the client's phone. */
export function StepList({
  routine,
  open,
  toggle,
  move,
  fold,
}: {
  routine: Routine
  open: string | null
  toggle: (product: string) => void
  move?: Move
  /** what the open step shows, straight under it */
  fold?: ReactNode
}) {
  return (
    <MoveArea steps={routine.steps} move={move}>
      <ol className="step-list">
        {routine.steps.map((s) => (
          <ListedStep
            key={s.product}
            step={s}
            open={s.product === open}
            toggle={() => toggle(s.product)}
            fold={s.product === open && fold}
          />
        ))}
      </ol>
    </MoveArea>
  )
}

function ListedStep({
  step,
  open,
  toggle,
  fold,
}: {
  step: Step
  open: boolean
  toggle: () => void
  fold: ReactNode
}) {
  const { attach, listeners, style, className } = useMovable(step)
  return (
    <li>
      <button
        type="button"
        ref={attach}
        {...listeners}
        className={className}
        style={style}
        data-product={step.product}
        aria-expanded={open}
        onClick={toggle}
      >
        <svg width="34" height="34" aria-hidden="true">
          {step.comesOff ? (
            <rect width="34" height="34" fill="url(#p-day)" />
          ) : (
            <Bands shares={step.shares} x={0} y={0} width={34} height={34} />
          )}
          <rect x="0.5" y="0.5" width="33" height="33" fill="none" stroke="var(--ink)" />
        </svg>
        <span>
          <b>
            {step.number} {step.name}
          </b>
          <span className="second">
            {step.amount.words}, {step.technique}
            {nightsWords(step) && `; ${nightsWords(step)}`}
            <BesideMarks step={step} />
            <HandMarks step={step} />
          </span>
        </span>
      </button>
      {fold}
    </li>
  )
}
