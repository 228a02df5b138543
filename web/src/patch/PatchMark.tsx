import { useState } from 'react'
import Button from '@mui/material/Button'
import { Link } from 'react-router'
import type { Schemas } from '../api/client'
import { usePatchChange } from '../api/hooks'
import { Why } from '../shared/Why'
import { later } from '../shared/later'
import { say } from '../words/say'
import '../words/patch'

const Decide = later(
  () => import('../visit/Decide'),
  (m) => m.Decide,
)
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
              MISSING: say('patch.patchTestFirst'),
              RUNNING: say('patch.patchTestRunning'),
              PASSED: say('patch.patchTestRead'),
              WAIVED: say('patch.withoutAPatchTest'),
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
            {say('patch.startTheTest')}
          </Button>
        )}
        {waits && !waiving && <Button onClick={() => setWaiving(true)}>{say('patch.doWithout')}</Button>}
        {call.state === 'WAIVED' && (
          <Button onClick={() => change.unwaive.mutate(call.product)}>
            {say('patch.askForATestAfterAll')}
          </Button>
        )}
        <Link className="note-link" to={`/patch/${client}`}>
          {say('patch.allTests')}
        </Link>
      </div>
      {waiving && waits && (
        <Decide
          pointer={`/waiver/${call.product}`}
          question={say('patch.doWithoutAPatchTest')}
          options={[{ value: 'waive', label: say('patch.withoutATest') }]}
          decide={(_, who, why) => change.waive.mutate({ product: call.product, who, why })}
          close={() => setWaiving(false)}
        />
      )}
      {refused && <p role="alert">{refused.message}</p>}
    </div>
  )
}
