import { Link } from 'react-router'
import type { Month } from '../api/client'
import { useCheaper, useMoney, useSupply } from '../api/hooks'
import { dateWords } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { Why } from '../shared/Why'
import type { VisitContext } from '../visit/VisitShell'
import { ChangeList } from './AgainstComputed'

/** What a month of the plan costs, and when each pack is empty or past its time. */
export function SupplyTable({ context, month }: { context: VisitContext; month: Month }) {
  const money = useMoney()
  const supply = useSupply(context.visit.id, context.visit.version, month)
  if (supply.isError) return <ErrorBand error={supply.error} again={() => void supply.refetch()} />
  if (!supply.data) return null
  const { lines, month: whole, bought, unpriced, budget, over } = supply.data
  return (
    <section aria-label="Money and supply" className="supply">
      <h2>
        {money.words(whole)} a month, {money.words(bought)} of it for what is not owned yet
        {budget != null && (over > 0 ? `: ${money.words(over)} over the budget` : ': within the budget')}
      </h2>
      {unpriced.length > 0 && <p className="second">Without {unpriced.join(', ')}: no price or size.</p>}
      <table>
        <tbody>
          {lines.map((l) => (
            <tr key={l.product}>
              <th scope="row">{l.name}</th>
              <td>{l.month == null ? '' : money.words(l.month)}</td>
              <td className={l.soon && l.end !== 'NOT_KNOWN' ? 'soon' : ''}>{until(l)}</td>
              <td>
                <Why because={l.because} quiet />
                {l.cheaper && (
                  <>
                    {' '}
                    <Link
                      to={`/products/compare?ids=${encodeURIComponent(l.product)}&ids=${encodeURIComponent(l.cheaper.product)}`}
                    >
                      {l.cheaper.name}
                    </Link>{' '}
                    would save {money.words(l.cheaper.saves)} a month
                    {l.cheaper.lost.length > 0 && `, without ${l.cheaper.lost.join(', ')}`}.
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <CheaperSet context={context} />
    </section>
  )
}

/** The best plan for three quarters of the money, and what is lost by it. */
function CheaperSet({ context }: { context: VisitContext }) {
  const money = useMoney()
  const cheaper = useCheaper(context.visit.id, context.visit.version).data
  if (!cheaper) return null
  return (
    <details>
      <summary>
        A cheaper set: {money.words(cheaper.month)} a month for what is to be bought, in place of{' '}
        {money.words(cheaper.monthOther)}. {cheaper.because.sentence}
      </summary>
      <ChangeList changes={cheaper.changes} />
    </details>
  )
}

function until(line: { ends?: string | null; days: number; end: 'EMPTY' | 'PAST_ITS_TIME' | 'NOT_KNOWN' }) {
  if (!line.ends || line.end === 'NOT_KNOWN') return 'not known'
  const what = line.end === 'EMPTY' ? 'empty' : 'past its time'
  if (line.days === 0)
    return line.end === 'EMPTY' ? 'empty now' : `past its time since ${dateWords(line.ends)}`
  return `${what} in ${line.days} ${line.days === 1 ? 'day' : 'days'}, ${dateWords(line.ends)}`
}
