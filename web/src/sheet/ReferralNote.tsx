import Button from '@mui/material/Button'
import { longDate } from '../shared/format'
import { A4 } from '../shared/A4'
import { From } from './From'
import { Fetching } from '../shared/States'
import { useVisitContext } from '../visit/VisitShell'
import { say } from '../words/say'
import '../words/visit'
import './sheet.css'

/** What the client takes to a doctor or prescriber: plain words, no diagnosis. */
export default function ReferralNote() {
  const { client, visit, verdict } = useVisitContext()
  if (!verdict) return <Fetching what={say('visit.theNote')} />
  const open = verdict.safety.referrals.filter((r) => !r.settled)
  if (open.length === 0) {
    return (
      <div className="page">
        <h1>{say('visit.thereIsNothingToRefer')}</h1>
        <p>{say('visit.everyReferralOfThisVisitIsSettled')}</p>
      </div>
    )
  }
  return (
    <div className="sheet-page">
      <aside className="no-print sheet-side">
        <Button variant="contained" fullWidth sx={{ minHeight: 52 }} onClick={() => window.print()}>
          {say('visit.printTheNote')}
        </Button>
        <p className="second">{say('visit.whenItIsSettledSayByWhom')}</p>
      </aside>
      <div className="paper-holder">
        <article
          className="paper upright note-paper"
          data-paper
          aria-label={say('visit.noteFor', { name: client.name })}
        >
          <A4 lies="upright" />
          <div className="front">
            <header>
              <div>
                <h1>{say('visit.pleaseHaveThisLookedAt')}</h1>
                <p>{say('visit.for', { name: client.name, date: longDate(visit.date) })}</p>
              </div>
              <From />
            </header>
            {open.map((r) => (
              <section key={r.rule}>
                <h2>{say('visit.toSee', { whom: r.whom })}</h2>
                <p>{r.note}</p>
              </section>
            ))}
            <section>
              <h2>{say('visit.forWhoeverReadsThis')}</h2>
              <p>{say('visit.aSkinTherapistDoesNotDiagnoseAnd', { value: client.name.split(' ')[0] })}</p>
              <p className="note-lines">
                {say('visit.whatMayBeUsedAndFromWhen')}
                <span />
                <span />
                {say('visit.nameAndDay')}
                <span />
              </p>
            </section>
          </div>
        </article>
      </div>
    </div>
  )
}
