import { Link } from 'react-router'
import Button from '@mui/material/Button'
import type { PlanAnswer } from '../api/client'
import { useKeptPlan, useKeptPlans } from '../api/hooks'
import { dateWords } from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { usePlan, withheld } from '../regimen/usePlan'
import { useShortcut } from '../shared/shortcuts'
import { useVisitContext } from '../visit/VisitShell'
import { Finish } from './Finish'
import { Paper } from './Paper'
import './sheet.css'

/** One A4 sheet for the client: two lists, the week, the cautions. */
export default function SheetPage() {
  const context = useVisitContext()
  const { work, client, visit } = context
  const plan = usePlan(context, work.draft.document.month)
  const kept = useThatIsKept(visit.id, plan.data)
  useShortcut('p', () => window.print())
  if (plan.isError) {
    return (
      <div className="page">
        <ErrorBand error={plan.error} again={() => void plan.refetch()} />
      </div>
    )
  }
  const why = withheld(context)
  if (why !== null) {
    return (
      <div className="page">
        <div className="look" role="alert">
          <b>No sheet is shown now.</b> {why}
        </div>
      </div>
    )
  }
  if (!plan.data) return <Fetching what="the sheet" />
  if (!plan.data.regimen) {
    return (
      <div className="page">
        <div className="stop">
          <h1>No sheet yet</h1>
          <p>
            Something must be referred first.{' '}
            <Link to={`/visits/${visit.id}/referral`}>The note to take along</Link> can be printed.
          </p>
        </div>
      </div>
    )
  }
  return (
    <div className="sheet-page">
      <Paper
        regimen={plan.data.regimen}
        client={client}
        made={visit.date}
        kept={kept}
        cautions={plan.data.verdict.safety.cautions.filter((c) => c.forClient !== '')}
        mind={[...new Set(plan.data.verdict.safety.bans.map((b) => b.name))]}
      />
      <aside className="no-print sheet-side">
        <Button variant="contained" fullWidth sx={{ minHeight: 52 }} onClick={() => window.print()}>
          Print the sheet
        </Button>
        <p className="second">One side of A4, across, in black only: the patterns carry the meaning.</p>
        <p>
          {kept ? (
            <>
              This is plan {kept.number}, kept {dateWords(kept.savedAt)}.
            </>
          ) : (
            <>
              <b>A draft:</b> this plan is not kept, and the sheet says so. Keep it on the regimen board.
            </>
          )}
        </p>
        <Finish context={context} />
      </aside>
    </div>
  )
}

/** The newest kept plan of the visit, when it is what is shown; null when what is shown is not kept. */
function useThatIsKept(visit: string, shown: PlanAnswer | undefined) {
  const newest = useKeptPlans(visit).data?.[0]
  const kept = useKeptPlan(newest?.id ?? '')
  const same = newest && kept.data && shown && JSON.stringify(kept.data.answer) === JSON.stringify(shown)
  return same ? newest : null
}
