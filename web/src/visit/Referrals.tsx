import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { Link } from 'react-router'
import type { Referral } from '../api/client'
import { dateWords } from '../shared/format'
import { useWho } from '../shared/who'
import { Why } from '../shared/Why'
import { DateField } from '../shared/DateField'
import { problemAt } from './Ask'
import { kept } from './kept'
import { useVisitContext } from './VisitShell'
import { say } from '../words/say'
import '../words/visit'

/** What must be settled by somebody else before there is a plan: whom to see, why, the note, and the release. */
export function Referrals({ referrals }: { referrals: Referral[] }) {
  const { visit } = useVisitContext()
  const open = referrals.filter((r) => !r.settled)
  if (referrals.length === 0) return null
  return (
    <section aria-label={say('visit.referrals')}>
      {open.length > 0 && (
        <div className="stop">
          <div className="row">
            <h2 style={{ flex: 1 }}>{say('visit.referFirst')}</h2>
            <Link className="note-link" to={`/visits/${visit.id}/referral`}>
              {say('visit.noteToTakeAlong')}
            </Link>
          </div>
          <p>{say('visit.noPlanIsShownUntilThisIs')}</p>
          {open.map((r) => (
            <Open key={r.rule} referral={r} />
          ))}
        </div>
      )}
      {referrals
        .filter((r) => r.settled)
        .map((r) => (
          <Settled key={r.rule} referral={r} />
        ))}
    </section>
  )
}

function Open({ referral }: { referral: Referral }) {
  const { visit, work } = useVisitContext()
  const [me] = useWho()
  const [who, setWho] = kept(work, `/settle/${referral.rule}/who`)
  const [on, setOn] = kept(work, `/settle/${referral.rule}/on`)
  const [remark, setRemark] = kept(work, `/settle/${referral.rule}/remark`)
  const settled = work.draft.document.intake.settled
  const problem = problemAt(work, '/intake/settled')
  return (
    <div className="referral">
      <p>
        <b>{say('visit.see', { whom: referral.whom })}</b> <Why because={referral.because} />
      </p>
      <form
        className="row"
        onSubmit={(e) => {
          e.preventDefault()
          if (who.trim() === '') return
          work.change((d) => ({
            ...d,
            intake: {
              ...d.intake,
              settled: [
                ...settled.filter((s) => s.referral !== referral.rule),
                {
                  referral: referral.rule,
                  who: who.trim(),
                  on: on === '' ? visit.date : on,
                  remark: [remark.trim(), me && say('visit.notedBy', { me })].filter(Boolean).join('; '),
                },
              ],
            },
          }))
        }}
      >
        <TextField
          label={say('visit.settledByWhom')}
          value={who}
          onChange={(e) => setWho(e.target.value)}
          sx={{ width: 200 }}
        />
        <DateField
          label={say('visit.on')}
          value={on === '' ? visit.date : on}
          pick={setOn}
          until={visit.date}
        />
        <TextField
          label={say('visit.whatWasSaid')}
          value={remark}
          onChange={(e) => setRemark(e.target.value)}
          sx={{ flex: 1, minWidth: 180 }}
        />
        <Button
          type="submit"
          disabled={who.trim() === ''}
          aria-label={say('visit.itIsSettled', { name: referral.name })}
        >
          {say('visit.itIsSettled2')}
        </Button>
      </form>
      {problem && <p role="alert">{problem}</p>}
    </div>
  )
}

function Settled({ referral }: { referral: Referral }) {
  const { work } = useVisitContext()
  const s = referral.settled
  if (!s) return null
  const reopen = () => {
    // what was typed comes back, so that a slip costs nothing
    work.type(`/settle/${referral.rule}/who`, s.who)
    work.type(`/settle/${referral.rule}/remark`, s.remark === '' ? null : s.remark)
    work.change((d) => ({
      ...d,
      intake: { ...d.intake, settled: d.intake.settled.filter((x) => x.referral !== referral.rule) },
    }))
  }
  return (
    <p className="row settled">
      <span style={{ flex: 1 }}>
        <b>{referral.name}:</b>
        {say('visit.settledBy')}
        {s.who}, {dateWords(s.on)}
        {s.remark && `: ${s.remark}`}
      </span>
      <Button onClick={reopen} aria-label={say('visit.openAgain', { name: referral.name })}>
        {say('visit.openAgain2')}
      </Button>
    </p>
  )
}
