import type { Part } from '../api/client'
import { useByOwnRules, useOwnRules } from '../api/hooks'
import { dateWords } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { Why } from '../shared/Why'
import type { VisitContext } from '../visit/VisitShell'
import { ChangeList, becomes } from './Changes'
import type { Drawer } from './Drawers'
import { say } from '../words/say'
import '../words/behind'
import '../words/regimen'

/** What the practice's own rules do in this plan, in a drawer; none where it has no rules of its own. */
export function useOwnDrawer({ visit, work }: VisitContext): Drawer[] {
  const rules = useOwnRules(true).data ?? []
  const did = useByOwnRules(visit.id, work.draft.document.version)
  if (rules.length === 0) return []
  const n = did.data?.length
  const line =
    n === undefined
      ? say('regimen.drawerWaits')
      : n === 0
        ? say('regimen.ownNone')
        : n === 1
          ? say('regimen.ownOne')
          : say('regimen.ownMany', { n })
  return [
    {
      id: 'own',
      name: say('regimen.drawerOwn'),
      line: did.isError ? did.error.message : line,
      inside: (
        <section aria-label={say('regimen.ownRules')}>
          <h2>{say('regimen.ownRules')}</h2>
          <ul className="dots">
            {rules.map((r) => (
              <li key={r.because.sentence}>
                {r.because.sentence}{' '}
                {r.by != null && r.at != null && (
                  <span className="second">{say('behind.ownBy', { by: r.by, at: dateWords(r.at) })}</span>
                )}
              </li>
            ))}
          </ul>
          {did.isError && <ErrorBand error={did.error} again={() => void did.refetch()} />}
          {did.data && did.data.length > 0 && (
            <>
              <h3>{say('regimen.ownDo')}</h3>
              <ChangeList changes={did.data} />
            </>
          )}
        </section>
      ),
    },
  ]
}

/** On a step: which rule of the practice's own made it stand as it does. */
export function OwnRuleDid({
  context,
  part,
  product,
}: {
  context: VisitContext
  part: Part
  product: string
}) {
  const did = useByOwnRules(context.visit.id, context.work.draft.document.version)
  return did.data
    ?.filter((c) => c.part === part && c.products.includes(product))
    .map((c) => (
      <li key={c.what + c.from}>
        <b>{say('regimen.ownDid')}</b> {becomes(c)}{' '}
        {c.because.map((b) => (
          <span key={b.sentence}>
            <Why because={b} />{' '}
          </span>
        ))}
      </li>
    ))
}
