import { useState } from 'react'
import Button from '@mui/material/Button'
import type { Schemas } from '../api/client'
import { useComputed } from '../api/hooks'
import { ErrorBand } from '../shared/States'
import { partName } from '../shared/format'
import type { VisitContext } from '../visit/VisitShell'
import { say } from '../words/say'

/** Her plan against the one that is computed without anything by hand. */
export function AgainstComputed({ context }: { context: VisitContext }) {
  const [open, setOpen] = useState(false)
  const { visit, work } = context
  const compared = useComputed(visit.id, visit.version, open && !work.draft.dirty)
  return (
    <div>
      <Button aria-expanded={open} onClick={() => setOpen((now) => !now)}>
        {open ? say('regimen.foldTheComparison') : say('regimen.holdItAgainstTheComputedPlan')}
      </Button>
      {open && compared.isError && <ErrorBand error={compared.error} again={() => void compared.refetch()} />}
      {open && compared.data && (
        <>
          <p>{compared.data.because.sentence}</p>
          <ChangeList changes={compared.data.changes} />
        </>
      )}
    </div>
  )
}

/** Changes, each with its routine, what happened and why. */
export function ChangeList({ changes }: { changes: Schemas['Change'][] }) {
  return (
    <ul>
      {changes.map((c) => (
        <li key={c.part + c.kind + c.what + c.from + c.to}>
          <b>
            {partName(c.part)}, {c.what}:
          </b>{' '}
          {[...new Set([c.from, c.to])].filter((x) => x !== '').join(' → ')}. {c.because.sentence}
        </li>
      ))}
    </ul>
  )
}
