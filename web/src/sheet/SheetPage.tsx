import { Link } from 'react-router'
import Button from '@mui/material/Button'
import type { PlanAnswer } from '../api/client'
import { useKeptPlan, useKeptPlans } from '../api/hooks'
import { dateWords } from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { usePlan, useWeeks, withheld } from '../regimen/usePlan'
import { useShortcut } from '../shared/shortcuts'
import { useVisitContext } from '../visit/VisitShell'
import { Finish } from './Finish'
import { Paper } from './Paper'
import { useYear } from '../year/useYear'
import { say } from '../words/say'
import '../words/sheet'
import './sheet.css'

/** One A4 sheet for the client: two lists, the week, the cautions. */
export default function SheetPage() {
  const context = useVisitContext()
  const { work, client, visit } = context
  const plan = usePlan(context, work.draft.document.month)
  const weeks = useWeeks(context)
  const year = useYear(context, '')
  const kept = useThatIsKept(visit.id, plan.data)
  useShortcut('print', () => window.print())
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
          <b>{say('sheet.noSheetIsShownNow')}</b> {why}
        </div>
      </div>
    )
  }
  // the evenings are printed by their dates, so the sheet waits for them
  const waits = !plan.data || (plan.data.regimen && weeks.isPending && !weeks.isError)
  if (!plan.data || waits) return <Fetching what={say('sheet.theSheet')} />
  if (!plan.data.regimen) {
    return (
      <div className="page">
        <div className="stop">
          <h1>{say('sheet.noSheetYet')}</h1>
          <p>
            {say('sheet.somethingMustBeReferredFirst')}{' '}
            <Link to={`/visits/${visit.id}/referral`}>{say('sheet.theNoteToTakeAlong')}</Link>
            {say('sheet.canBePrinted')}
          </p>
        </div>
      </div>
    )
  }
  return (
    <div className="sheet-page">
      <aside className="no-print sheet-side">
        <Button variant="contained" fullWidth sx={{ minHeight: 52 }} onClick={() => window.print()}>
          {say('sheet.printTheSheet')}
        </Button>
        <Button fullWidth href={`/api/visits/${visit.id}/sheet.pdf`} target="_blank" sx={{ mt: 1 }}>
          {say('sheet.asPdf')}
        </Button>
        <Button fullWidth href={`/api/visits/${visit.id}/calendar.ics`} download sx={{ mt: 1 }}>
          {say('sheet.asCalendar')}
        </Button>
        <p className="second">{say('sheet.oneSideOfA4AcrossInBlack')}</p>
        <p>
          {kept ? (
            say('sheet.thisIsPlan', { number: kept.number, day: dateWords(kept.savedAt) })
          ) : context.earlier ? (
            say('sheet.asItWouldBePlannedToday')
          ) : (
            <>
              <b>{say('sheet.aDraft')}</b>
              {say('sheet.thisPlanIsNotKeptAndThe')}
            </>
          )}
        </p>
        {!context.earlier && <Finish context={context} />}
      </aside>
      <Paper
        regimen={plan.data.regimen}
        client={client}
        made={visit.date}
        kept={kept}
        weeks={weeks.data}
        year={year.data?.sheet}
        cautions={plan.data.verdict.safety.cautions.filter((c) => c.forClient !== '')}
        mind={[...new Set(plan.data.verdict.safety.bans.map((b) => b.name))]}
      />
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
