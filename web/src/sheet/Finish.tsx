import { useState } from 'react'
import { Link } from 'react-router'
import Button from '@mui/material/Button'
import type { Schemas } from '../api/client'
import { useOpenEnds } from '../api/hooks'
import { NextVisit } from '../client/NextVisit'
import { ErrorBand, Fetching } from '../shared/States'
import type { VisitContext } from '../visit/VisitShell'
import { say } from '../words/say'
import '../words/sheet'

/** Ends a visit: what is still open, each with the way to it, and the next appointment. */
export function Finish({ context }: { context: VisitContext }) {
  const { visit, client, work } = context
  const [open, setOpen] = useState(false)
  const ends = useOpenEnds(visit.id, work.draft.document.version, open && !work.draft.dirty)
  if (!open) {
    return (
      <Button fullWidth onClick={() => setOpen(true)}>
        {say('sheet.finishTheVisit')}
      </Button>
    )
  }
  return (
    <section aria-label={say('sheet.finishTheVisit')} className="finish">
      <h2>{say('sheet.beforeYouPart')}</h2>
      {ends.isError && <ErrorBand error={ends.error} again={() => void ends.refetch()} />}
      {ends.isPending && <Fetching what={say('sheet.whatIsStillOpen')} />}
      {ends.data?.length === 0 && <p>{say('sheet.nothingIsOpenTheVisitIsWhole')}</p>}
      {ends.data && ends.data.length > 0 && (
        <ul className="plain">
          {ends.data.map((e) => (
            <li key={e.where + e.sentence}>
              {e.where === 'CLIENT' ? e.sentence : <Link to={way(e, context)}>{e.sentence}</Link>}
            </li>
          ))}
        </ul>
      )}
      <NextVisit client={client} />
      <Button component={Link} to="/" fullWidth>
        {say('sheet.toTheDesk')}
      </Button>
    </section>
  )
}

function way(end: Schemas['OpenEnd'], { visit, client }: VisitContext) {
  return end.where === 'PATCH' ? `/patch/${client.id}` : `/visits/${visit.id}/${end.where.toLowerCase()}`
}
