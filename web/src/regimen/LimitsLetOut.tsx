import type { VisitContext } from '../visit/VisitShell'
import { useLoosened } from '../api/hooks'
import { say } from '../words/say'

/** Which limit to let out, by how little, and what that buys; nothing when no limit holds a concern back. */
export function LimitsLetOut({ context }: { context: VisitContext }) {
  const loosened = useLoosened(context.visit.id, context.visit.version)
  if (!loosened.data || loosened.data.length === 0) return null
  return (
    <section aria-label={say('regimen.whatALittleMoreWouldBuy')}>
      <h2>{say('regimen.whatALittleMoreWouldBuy')}</h2>
      <ul>
        {loosened.data.map((l) => (
          <li key={l.limit}>{l.because.sentence}</li>
        ))}
      </ul>
    </section>
  )
}
