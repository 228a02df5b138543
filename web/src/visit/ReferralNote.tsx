import Button from '@mui/material/Button'
import { longDate } from '../shared/format'
import { From } from '../sheet/From'
import { Fetching } from '../shared/States'
import { useVisitContext } from './VisitShell'
import '../sheet/sheet.css'

/** What the client takes to a doctor or prescriber: plain words, no diagnosis. */
export default function ReferralNote() {
  const { client, visit, verdict } = useVisitContext()
  if (!verdict) return <Fetching what="the note" />
  const open = verdict.safety.referrals.filter((r) => !r.settled)
  if (open.length === 0) {
    return (
      <div className="page">
        <h1>There is nothing to refer</h1>
        <p>Every referral of this visit is settled, or there was none.</p>
      </div>
    )
  }
  return (
    <div className="sheet-page">
      <article className="paper note-paper" data-paper aria-label={`Note for ${client.name}`}>
        <header>
          <div>
            <h1>Please have this looked at</h1>
            <p>
              for {client.name}, {longDate(visit.date)}
            </p>
          </div>
          <From />
        </header>
        {open.map((r) => (
          <section key={r.rule}>
            <h2>To see: {r.whom}</h2>
            <p>{r.note}</p>
          </section>
        ))}
        <section>
          <h2>For whoever reads this</h2>
          <p>
            A skin therapist does not diagnose and has not treated what is described here. We plan no care for
            this skin until you tell us, or {client.name.split(' ')[0]}, what may be used.
          </p>
          <p className="note-lines">
            What may be used, and from when:
            <span />
            <span />
            Name and day:
            <span />
          </p>
        </section>
      </article>
      <aside className="no-print sheet-side">
        <Button variant="contained" fullWidth sx={{ minHeight: 52 }} onClick={() => window.print()}>
          Print the note
        </Button>
        <p className="second">
          When it is settled, say by whom and when under Talk or Regimen; the plan is shown then.
        </p>
      </aside>
    </div>
  )
}
