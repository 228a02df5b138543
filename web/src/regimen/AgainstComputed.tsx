import { useState } from 'react'
import Button from '@mui/material/Button'
import { useComputed } from '../api/hooks'
import { ErrorBand } from '../shared/States'
import { ChangeList } from './Changes'
import type { VisitContext } from '../visit/VisitShell'
import { say } from '../words/say'
import '../words/regimen'

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
