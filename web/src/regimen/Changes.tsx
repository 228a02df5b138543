import Button from '@mui/material/Button'
import type { Because, Month, Schemas } from '../api/client'
import { useChanges, useMethods } from '../api/hooks'
import { monthName, partName } from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { Why } from '../shared/Why'
import type { VisitContext } from '../visit/VisitShell'
import type { Drawer } from './Drawers'
import { say } from '../words/say'
import '../words/changes'
import '../words/regimen'

type Change = Schemas['Change']

/** What kind of fact did it, in a word. */
export const CAUSES: Record<Change['cause'], string> = {
  SAFETY: say('changes.safety'),
  SKIN: say('changes.skin'),
  AIR: say('changes.air'),
  METHOD: say('changes.method'),
  MONEY: say('changes.money'),
  MINUTES: say('changes.minutes'),
  STEPS: say('changes.steps'),
  NIGHTS: say('changes.nights'),
  SHELF: say('changes.shelf'),
  TASTE: say('changes.taste'),
  DAY: say('changes.day'),
  TIME: say('changes.time'),
  HAND: say('changes.hand'),
  PRACTICE: say('changes.practice'),
  CHOICE: say('changes.choice'),
}

type Becoming = Pick<Change, 'what' | 'from' | 'to'>

/** What becomes of a step, in words: what stood, and what stands now. */
function what({ what, from, to }: Becoming): { step: string; becomes: string } {
  switch (what) {
    case 'TAKEN_OUT':
      return { step: from, becomes: say('changes.takenOut') }
    case 'PUT_IN':
      return { step: to, becomes: say('changes.putIn') }
    case 'REPLACED':
      return { step: from, becomes: say('changes.replaced', { to }) }
    case 'OTHER_NIGHTS':
    case 'OTHER_AMOUNT':
    case 'OTHER_BESIDE':
      return { step: from, becomes: say('changes.otherwise', { to }) }
    case 'MOVED':
      return { step: to, becomes: say('changes.moved') }
  }
}

/** The same in one line. */
export function becomes(change: Becoming): string {
  const told = what(change)
  return `${told.step} ${told.becomes}`
}

/** Changes, a line each: what kind of fact did it, which step, what becomes of it, and the fact. */
export function ChangeList({ changes }: { changes: Change[] }) {
  return (
    <ul className="change-list">
      {changes.map((c) => {
        const { step, becomes } = what(c)
        return (
          <li key={c.part + c.kind + c.what + c.from + c.to}>
            <span className="cause">{CAUSES[c.cause]}</span>
            <span className="second">{partName(c.part)}</span>
            <span>
              <b>{step}</b> {becomes}
            </span>
            <span>
              <Reasons because={c.because} />
              {c.limit && (
                <>
                  {' '}
                  <b>{c.limit.sentence}</b>
                </>
              )}
            </span>
          </li>
        )
      })}
    </ul>
  )
}

/** The fact that did it, or the few that did it only together. */
function Reasons({ because }: { because: Because[] }) {
  return (
    <>
      {because.length > 1 && <i>{say('changes.together')} </i>}
      {because.map((b) => (
        <span key={b.sentence}>
          <Why because={b} />{' '}
        </span>
      ))}
    </>
  )
}

/** What the plan on the board is held against, and how to stop. */
export type Compared =
  { month: Month; setShown: (month: Month) => void } | { instead: string; fold: () => void }

/** The drawer of what another month, or another method, changes; none where the plan is held against nothing. */
export function useChangesDrawer(context: VisitContext, compared: Compared | null): Drawer[] {
  const methods = useMethods().data?.methods ?? []
  const name = (id: string) => methods.find((m) => m.id === id)?.name ?? id
  const { method, month, version } = context.work.draft.document
  const changes = useChanges(context.visit.id, version, {
    month: compared && 'month' in compared ? compared.month : month,
    instead: compared && 'instead' in compared ? compared.instead : undefined,
    enabled: compared !== null,
  })
  if (!compared) return []
  const n = changes.data?.length
  const line = changes.isError
    ? changes.error.message
    : n === undefined
      ? say('regimen.drawerWaits')
      : n === 0
        ? say('changes.lineNone')
        : n === 1
          ? say('changes.lineOne')
          : say('changes.lineMany', { n })
  const title = 'month' in compared ? monthName(compared.month) : name(method)
  const heading =
    'month' in compared
      ? say('regimen.whatChanges', { shown: monthName(compared.month) })
      : say('changes.inPlaceOf', { method: name(method), other: name(compared.instead) })
  return [
    {
      id: 'changes',
      name: say('changes.drawer', { what: title }),
      line,
      inside: (
        <section className="changes" aria-label={say('regimen.whatChanges', { shown: title })}>
          <div className="changes-head">
            <h2>{heading}</h2>
            {n !== undefined && <span>{told(n)}</span>}
            <div className="row">
              {'month' in compared ? (
                <BackOrStay context={context} {...compared} />
              ) : (
                <BackOrFold
                  back={say('regimen.backTo2', { instead: name(compared.instead) })}
                  context={context}
                  {...compared}
                />
              )}
            </div>
          </div>
          <Found changes={changes} />
        </section>
      ),
    },
  ]
}

function BackOrStay({
  context,
  month,
  setShown,
}: {
  context: VisitContext
  month: Month
  setShown: (month: Month) => void
}) {
  const own = context.work.draft.document.month
  return (
    <>
      <Button onClick={() => setShown(own)}>{say('regimen.backTo', { own: monthName(own) })}</Button>
      {!context.earlier && (
        <Button onClick={() => context.work.change((d) => ({ ...d, month }))}>
          {say('regimen.planTheVisitFor', { shown: monthName(month) })}
        </Button>
      )}
    </>
  )
}

function BackOrFold({
  back,
  context,
  instead,
  fold,
}: {
  back: string
  context: VisitContext
  instead: string
  fold: () => void
}) {
  return (
    <>
      <Button
        onClick={() => {
          fold()
          context.work.change((d) => ({ ...d, method: instead }))
        }}
      >
        {back}
      </Button>
      <Button onClick={fold}>{say('regimen.foldThis')}</Button>
    </>
  )
}

function told(n: number): string {
  return n === 0 ? say('changes.none') : n === 1 ? say('changes.one') : say('changes.many', { n })
}

function Found({ changes }: { changes: ReturnType<typeof useChanges> }) {
  return changes.isError ? (
    <ErrorBand error={changes.error} again={() => void changes.refetch()} />
  ) : changes.data ? (
    <ChangeList changes={changes.data} />
  ) : (
    <Fetching what={say('changes.causes')} />
  )
}
