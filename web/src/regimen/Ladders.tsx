import type { Intake, Schemas } from '../api/client'
import { useLadders } from '../api/hooks'
import { useMoney } from '../shared/money'
import { ErrorBand } from '../shared/States'
import type { VisitContext } from '../visit/VisitShell'
import { say } from '../words/say'
import '../words/regimen'

type Ladder = Schemas['Ladder']
type Rung = Schemas['Rung']

const NAMES: Record<Ladder['limit'], string> = {
  MONEY: say('regimen.ladderMoney'),
  MORNING_MINUTES: say('regimen.ladderMorning'),
  EVENING_MINUTES: say('regimen.ladderEvening'),
  STEPS: say('regimen.ladderSteps'),
}

/** What sets the client's limit to a rung. */
function limited(limit: Ladder['limit'], at: number): Partial<Intake> {
  switch (limit) {
    case 'MONEY':
      return { budget: at }
    case 'MORNING_MINUTES':
      return { morningMinutes: at }
    case 'EVENING_MINUTES':
      return { eveningMinutes: at }
    case 'STEPS':
      return { mostSteps: at }
  }
}

/** Under each limit the best plans as it grows: one tap climbs or steps down, and Undo takes it back. */
export function Ladders({ context }: { context: VisitContext }) {
  const ladders = useLadders(context.visit.id, context.visit.version)
  if (ladders.isError) return <ErrorBand error={ladders.error} again={() => void ladders.refetch()} />
  const all = (ladders.data ?? []).filter((l) => l.rungs.length > 1)
  if (all.length === 0) return null
  const climb = (l: Ladder, rung: Rung) =>
    context.work.change((d) => ({ ...d, intake: { ...d.intake, ...limited(l.limit, rung.at) } }))
  return (
    <section aria-label={say('regimen.ladders')} className="ladders">
      <h2>{say('regimen.ladders')}</h2>
      {all.map((l) => (
        <LadderRow key={l.limit} ladder={l} climb={(rung) => climb(l, rung)} />
      ))}
    </section>
  )
}

export function LadderRow({ ladder, climb }: { ladder: Ladder; climb: (rung: Rung) => void }) {
  const money = useMoney()
  const value = (n: number) => (ladder.limit === 'MONEY' ? money.round(n) : String(Math.round(n * 10) / 10))
  const stands = ladder.rungs.findIndex((r) => r.where === 'STANDS')
  const above = ladder.rungs.filter((r) => r.where === 'ABOVE').slice(0, 2)
  const under = stands > 0 ? ladder.rungs[stands - 1] : undefined
  return (
    <div className="ladder">
      <h3>
        {NAMES[ladder.limit]}{' '}
        <span className="second">
          {ladder.hers == null
            ? say('regimen.ladderNoLimit', { uses: value(ladder.uses) })
            : say('regimen.ladderOf', { uses: value(ladder.uses), hers: value(ladder.hers) })}
        </span>
      </h3>
      <div role="group" aria-label={NAMES[ladder.limit]} className="rungs">
        {ladder.rungs.map((r) => (
          <button
            key={r.at}
            type="button"
            className={`rung rung-${r.where.toLowerCase()}`}
            aria-pressed={r.where === 'STANDS'}
            aria-label={say(r.where === 'STANDS' ? 'regimen.rungStands' : 'regimen.rung', {
              at: value(r.at),
              sentence: r.because.sentence,
            })}
            onClick={() => climb(r)}
          >
            {value(r.at)}
          </button>
        ))}
      </div>
      <ul>
        {above.map((r) => (
          <li key={r.at}>{say('regimen.rungUp', { at: value(r.at), sentence: r.because.sentence })}</li>
        ))}
        {above.length === 0 && stands >= 0 && <li>{say('regimen.rungTop')}</li>}
        {under ? (
          <li className="second">
            {say('regimen.rungDown', {
              at: value(under.at),
              names: (ladder.rungs[stands]?.brings ?? []).join('; '),
            })}
          </li>
        ) : (
          stands === 0 && <li className="second">{say('regimen.rungGround')}</li>
        )}
      </ul>
    </div>
  )
}
