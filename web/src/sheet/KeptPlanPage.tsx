import { Link, useParams, useSearchParams } from 'react-router'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import type { Schemas } from '../api/client'
import { useAgainst, useClient, useClientPage, useKeptPlan } from '../api/hooks'
import { dateWords, longDate, monthName, timeWords, partName } from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { useShortcut } from '../shared/shortcuts'
import { Paper } from './Paper'
import { say } from '../words/say'
import '../words/client'
import './sheet.css'

/** A plan as it was handed over: read, printed, and held against another or against what stands now. */
export default function KeptPlanPage() {
  const { plan: id = '' } = useParams()
  const [search, setSearch] = useSearchParams()
  const other = search.get('against') ?? ''
  const kept = useKeptPlan(id)
  const client = useClient(kept.data?.client ?? '')
  useShortcut('print', () => window.print())
  const failed = kept.error ?? client.error
  if (failed) {
    return (
      <div className="page">
        <ErrorBand error={failed} again={() => void kept.refetch()} />
        <a href="/">{say('client.backToTheDesk')}</a>
      </div>
    )
  }
  if (!kept.data || !client.data) return <Fetching what={say('client.thePlan')} />
  const { plan, answer, visitDate } = kept.data
  const title = say('client.planOf', { number: plan.number, visitDate: longDate(visitDate) })
  return (
    <div className="sheet-page">
      <aside className="no-print sheet-side">
        <h1>{title}</h1>
        <p className="second">
          {say('client.forKeptItStaysAsItWas', {
            month: monthName(plan.month),
            savedAt: dateWords(plan.savedAt),
            savedAt2: timeWords(plan.savedAt),
          })}
        </p>
        <Button variant="contained" fullWidth sx={{ minHeight: 52 }} onClick={() => window.print()}>
          {say('client.printThisPlan')}
        </Button>
        <Button fullWidth component={Link} to={`/clients/${kept.data.client}`}>
          {say('client.toTheClientSPage')}
        </Button>
        <Against
          id={id}
          client={kept.data.client}
          other={other}
          choose={(next) => setSearch(next === '' ? {} : { against: next }, { replace: true })}
        />
      </aside>
      {answer.regimen ? (
        <Paper
          regimen={answer.regimen}
          client={client.data}
          made={visitDate}
          kept={plan}
          cautions={answer.verdict.safety.cautions.filter((c) => c.forClient !== '')}
          mind={[...new Set(answer.verdict.safety.bans.map((b) => b.name))]}
        />
      ) : (
        <p className="page">{say('client.thisPlanHoldsNothingButAReferral')}</p>
      )}
    </div>
  )
}

/** Where this plan and another part, step by step. */
function Against({
  id,
  client,
  other,
  choose,
}: {
  id: string
  client: string
  other: string
  choose: (other: string) => void
}) {
  const plans = useClientPage(client).data?.plans.filter((p) => p.plan.id !== id) ?? []
  const lines = useAgainst(id, other)
  return (
    <section aria-label={say('client.heldAgainst')} className="against">
      <TextField
        select
        fullWidth
        label={say('client.heldAgainst')}
        value={other}
        onChange={(e) => choose(e.target.value)}
        slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
      >
        <MenuItem value="">{say('client.nothing')}</MenuItem>
        <MenuItem value="now">{say('client.whatIsPlannedNow')}</MenuItem>
        {plans.map((p) => (
          <MenuItem key={p.plan.id} value={p.plan.id}>
            {say('client.planOf2', { number: p.plan.number, visitDate: dateWords(p.visitDate) })}
          </MenuItem>
        ))}
      </TextField>
      {lines.isError && <ErrorBand error={lines.error} />}
      {lines.isPending && other !== '' && <Fetching what={say('client.theDifferences')} />}
      {lines.data && lines.data.length === 0 && <p>{say('client.stepByStepTheSame')}</p>}
      {lines.data && lines.data.length > 0 && (
        <ul className="plain">
          {lines.data.map((l) => (
            <li key={l.part + l.what + l.from + l.to}>
              <span className="second">{partName(l.part)}</span> {lineWords(l)}
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

function lineWords({ what, from, to }: Schemas['PlanDifference']) {
  switch (what) {
    case 'TAKEN_OUT':
      return say('client.isNotInTheOther', { from })
    case 'PUT_IN':
      return say('client.isInTheOtherOnly', { to })
    case 'REPLACED':
      return say('client.hereThere', { from, to })
    case 'OTHER_NIGHTS':
    case 'OTHER_AMOUNT':
      return say('client.hereThere2', { from, to })
    case 'MOVED':
      return say('client.standsEarlierInTheOther', { from })
  }
}
