import { useState } from 'react'
import Button from '@mui/material/Button'
import { Link } from 'react-router'
import type { Schemas } from '../api/client'
import { usePatchChange } from '../api/hooks'
import { Why } from '../shared/Why'
import { Decide } from '../visit/Decide'
import './patch.css'

/** Whether a strong new step may begin, with the test to start or to do without. */
export function PatchMark({ client, call }: { client: string; call: Schemas['PatchCall'] }) {
  const change = usePatchChange(client)
  const [waiving, setWaiving] = useState(false)
  const refused = change.start.error ?? change.waive.error ?? change.unwaive.error
  const waits = call.state === 'MISSING' || call.state === 'RUNNING'
  return (
    <div className={waits ? 'look patch-call' : 'patch-call'}>
      <p>
        <b>
          {
            {
              MISSING: 'Patch test first.',
              RUNNING: 'Patch test running.',
              PASSED: 'Patch test read.',
              WAIVED: 'Without a patch test.',
            }[call.state]
          }
        </b>{' '}
        <Why because={call.because} quiet />
      </p>
      <div className="row">
        {call.state === 'MISSING' && (
          <Button
            onClick={() => change.start.mutate({ product: call.product, kind: 'USE_TEST', site: 'FOREARM' })}
          >
            Start the test
          </Button>
        )}
        {waits && !waiving && <Button onClick={() => setWaiving(true)}>Do without</Button>}
        {call.state === 'WAIVED' && (
          <Button onClick={() => change.unwaive.mutate(call.product)}>Ask for a test after all</Button>
        )}
        <Link className="note-link" to={`/patch/${client}`}>
          All tests
        </Link>
      </div>
      {waiving && waits && (
        <Decide
          pointer={`/waiver/${call.product}`}
          question="Do without a patch test"
          options={[{ value: 'waive', label: 'without a test' }]}
          decide={(_, who, why) => change.waive.mutate({ product: call.product, who, why })}
          close={() => setWaiving(false)}
        />
      )}
      {refused && <p role="alert">{refused.message}</p>}
    </div>
  )
}
