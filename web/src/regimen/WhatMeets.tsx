import Button from '@mui/material/Button'
import type { Part, Schemas, VisitDocument } from '../api/client'
import { useFindings } from '../api/hooks'
import { capital, MEETINGS } from '../shared/format'
import { ErrorBand } from '../shared/States'
import type { VisitContext } from '../visit/VisitShell'
import { adjust, putIn, takeOut } from './byHandEdits'
import { say } from '../words/say'
import '../words/regimen'

const other = (part: Part): Part => (part === 'MORNING' ? 'EVENING' : 'MORNING')

function mended(d: VisitDocument, { mend, from, product, nights }: Schemas['Repair']): VisitDocument {
  switch (mend) {
    case 'MOVE':
      return putIn(takeOut(d, from, product), other(from), product)
    case 'OTHER_NIGHTS':
      return adjust(d, from, product, { nights })
    case 'TAKE_OUT':
      return takeOut(d, from, product)
  }
}

/** What the steps of the plan do to one another, gravest first, each with one-tap repairs that have been tried. */
export function WhatMeets({ visit, work }: Pick<VisitContext, 'visit' | 'work'>) {
  const findings = useFindings(visit.id, visit.version)
  if (findings.isError) return <ErrorBand error={findings.error} again={() => void findings.refetch()} />
  if (!findings.data) return null
  const minded = findings.data.filter((f) => f.meeting !== 'FINE' && f.meeting !== 'MYTH')
  const fine = findings.data.filter((f) => f.meeting === 'FINE' || f.meeting === 'MYTH')
  return (
    <section aria-label={say('regimen.whatMeets')} className="meets">
      <h2>{say('regimen.whatMeetsWhat')}</h2>
      <ul>
        {minded.map((f) => (
          <li key={f.id + f.products.join()}>
            <span>
              <b>
                {capital(MEETINGS[f.meeting])}: {f.names.join(' and ')}.
              </b>{' '}
              {f.because.sentence}{' '}
              {f.otherSchool !== '' && <i>{say('regimen.others', { otherSchool: f.otherSchool })}</i>}
            </span>
            <span className="row">
              {f.repairs.map((r) => (
                <Button key={r.words} onClick={() => work.change((d) => mended(d, r))}>
                  {r.words}
                </Button>
              ))}
            </span>
          </li>
        ))}
        {minded.length === 0 && <li>{say('regimen.nothingInThisPlanStandsInThe')}</li>}
      </ul>
      {fine.length > 0 && (
        <details>
          <summary>
            {fine.length === 1
              ? say('regimen.onePairIsFine')
              : say('regimen.pairsAreFine', { length: fine.length })}
            {say('regimen.together')}
          </summary>
          <ul>
            {fine.map((f) => (
              <li key={f.id + f.products.join()}>
                <span>
                  <b>
                    {f.names.join(' and ')}, {MEETINGS[f.meeting]}:
                  </b>{' '}
                  {f.because.sentence}
                </span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  )
}
