import { Link } from 'react-router'
import type { Month } from '../api/client'
import { useSupply } from '../api/hooks'
import { useMoney } from '../shared/money'
import { dateWords } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { Why } from '../shared/Why'
import type { VisitContext } from '../visit/VisitShell'
import { say } from '../words/say'
import '../words/regimen'

/** What a month of the plan costs, and when each pack is empty or past its time. */
export function SupplyTable({ context, month }: { context: VisitContext; month: Month }) {
  const money = useMoney()
  const supply = useSupply(context.visit.id, context.visit.version, month)
  if (supply.isError) return <ErrorBand error={supply.error} again={() => void supply.refetch()} />
  if (!supply.data) return null
  const { lines, month: whole, bought, unpriced, budget, over } = supply.data
  return (
    <section aria-label={say('regimen.moneyAndSupply')} className="supply">
      <h2>
        {money.words(whole)}
        {say('regimen.aMonth')}
        {money.words(bought)}
        {say('regimen.ofItForWhatIsNotOwned')}
        {budget != null &&
          (over > 0
            ? say('regimen.overTheBudget', { over: money.words(over) })
            : say('regimen.withinTheBudget'))}
      </h2>
      {unpriced.length > 0 && (
        <p className="second">{say('regimen.withoutNoPriceOrSize', { join: unpriced.join(', ') })}</p>
      )}
      <table>
        <tbody>
          {lines.map((l) => (
            <tr key={l.name}>
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
                    {say('regimen.wouldSave')}
                    {money.words(l.cheaper.saves)}
                    {say('regimen.aMonth2')}
                    {l.cheaper.lost.length > 0 && say('regimen.without', { join: l.cheaper.lost.join(', ') })}
                    .
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

function until(line: { ends?: string | null; days: number; end: 'EMPTY' | 'PAST_ITS_TIME' | 'NOT_KNOWN' }) {
  if (!line.ends || line.end === 'NOT_KNOWN') return say('regimen.notKnown')
  const what = line.end === 'EMPTY' ? say('regimen.empty') : say('regimen.pastItsTime')
  if (line.days === 0)
    return line.end === 'EMPTY'
      ? say('regimen.emptyNow')
      : say('regimen.pastItsTimeSince', { ends: dateWords(line.ends) })
  return say('regimen.in', {
    what,
    days: line.days,
    value: line.days === 1 ? say('regimen.day') : say('regimen.days'),
    ends: dateWords(line.ends),
  })
}
