import { Link, useParams, useSearchParams } from 'react-router'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import type { Schemas } from '../api/client'
import { useAgainst, useClient, useClientPage, useKeptPlan } from '../api/hooks'
import { capital, dateWords, longDate, monthName, timeWords } from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { useShortcut } from '../shared/shortcuts'
import { Paper } from '../sheet/Paper'
import '../sheet/sheet.css'

/** A plan as it was handed over: read, printed, and held against another or against what stands now. */
export default function KeptPlanPage() {
  const { plan: id = '' } = useParams()
  const [search, setSearch] = useSearchParams()
  const other = search.get('against') ?? ''
  const kept = useKeptPlan(id)
  const client = useClient(kept.data?.client ?? '')
  useShortcut('p', () => window.print())
  const failed = kept.error ?? client.error
  if (failed) {
    return (
      <div className="page">
        <ErrorBand error={failed} again={() => void kept.refetch()} />
        <a href="/">Back to the desk</a>
      </div>
    )
  }
  if (!kept.data || !client.data) return <Fetching what="the plan" />
  const { plan, answer, visitDate } = kept.data
  const title = `Plan ${plan.number} of ${longDate(visitDate)}`
  return (
    <div className="sheet-page">
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
        <p className="page">This plan holds nothing but a referral.</p>
      )}
      <aside className="no-print sheet-side">
        <h1>{title}</h1>
        <p className="second">
          For {monthName(plan.month)}, kept {dateWords(plan.savedAt)} {timeWords(plan.savedAt)}. It stays as
          it was handed over.
        </p>
        <Button variant="contained" fullWidth sx={{ minHeight: 52 }} onClick={() => window.print()}>
          Print this plan
        </Button>
        <Button fullWidth component={Link} to={`/clients/${kept.data.client}`}>
          To the client’s page
        </Button>
        <Against
          id={id}
          client={kept.data.client}
          other={other}
          choose={(next) => setSearch(next === '' ? {} : { against: next }, { replace: true })}
        />
      </aside>
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
    <section aria-label="Held against" className="against">
      <TextField
        select
        fullWidth
        label="Held against"
        value={other}
        onChange={(e) => choose(e.target.value)}
        slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
      >
        <MenuItem value="">nothing</MenuItem>
        <MenuItem value="now">what is planned now</MenuItem>
        {plans.map((p) => (
          <MenuItem key={p.plan.id} value={p.plan.id}>
            plan {p.plan.number} of {dateWords(p.visitDate)}
          </MenuItem>
        ))}
      </TextField>
      {lines.isError && <ErrorBand error={lines.error} />}
      {lines.isPending && other !== '' && <Fetching what="the differences" />}
      {lines.data && lines.data.length === 0 && <p>Step by step the same.</p>}
      {lines.data && lines.data.length > 0 && (
        <ul className="plain">
          {lines.data.map((l) => (
            <li key={l.part + l.what + l.from + l.to}>
              <span className="second">{capital(l.part.toLowerCase())}</span> {lineWords(l)}
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
      return `${from} is not in the other.`
    case 'PUT_IN':
      return `${to} is in the other only.`
    case 'REPLACED':
      return `${from} here, ${to} there.`
    case 'OTHER_NIGHTS':
    case 'OTHER_AMOUNT':
      return `${from} here; ${to} there.`
    case 'MOVED':
      return `${from} stands earlier in the other.`
  }
}
