import { Link } from 'react-router'
import Button from '@mui/material/Button'
import type { Schemas } from '../api/client'
import { usePresent } from '../api/hooks'
import { ErrorBand, Fetching } from '../shared/States'
import { Why } from '../shared/Why'
import { useVisitContext } from './VisitShell'
import { say } from '../words/say'
import '../words/app'
import '../words/visit'
import './now.css'

type Now = Schemas['Now']
type Flawed = Schemas['Flawed']

const FATES: Record<Now['fate'], string> = {
  KEEP: say('visit.fateKeep'),
  MOVE: say('visit.fateMove'),
  USE_LESS: say('visit.useLess'),
  WAITS: say('visit.fateWaits'),
  STOP: say('visit.fateStop'),
}
const FLAWS: Record<Flawed['flaw'], string> = {
  CLASH: say('visit.theseMeetAndShouldNot'),
  DOUBLE: say('visit.theSameThingTwice'),
  GAP: say('visit.whatIsMissing'),
  LOAD: say('visit.howMuchItAsksOfTheSkin'),
}
const ORDER: Flawed['flaw'][] = ['CLASH', 'DOUBLE', 'GAP', 'LOAD']

/** What she does now, on one screen: in its right order, what is wrong with it, what stays and what goes. */
export default function NowPage() {
  const { visit, client, work } = useVisitContext()
  const present = usePresent(visit.id, visit.version)
  const first = client.name.split(' ')[0]
  if (present.isError) {
    return (
      <div className="page">
        <ErrorBand error={present.error} again={() => void present.refetch()} />
      </div>
    )
  }
  if (!present.data) return <Fetching what={say('visit.sRoutine', { first })} />
  const { morning, evening, found } = present.data
  const nothing = morning.length === 0 && evening.length === 0
  return (
    <div className="page now">
      <div className="desk-head">
        <h1 data-title={say('app.now')}>{say('visit.whatDoesNow', { first })}</h1>
        <span className="second">
          {work.saving.state === 'saved'
            ? say('visit.putIntoItsOrderAndReadAgainst')
            : say('visit.readAgainstWhatWasLastSaved')}
        </span>
        <Button component={Link} to={`/visits/${visit.id}/talk`} sx={{ ml: 'auto' }}>
          {say('visit.theShelf')}
        </Button>
        <Button component={Link} to={`/visits/${visit.id}/read`}>
          {say('visit.readTheSkin')}
        </Button>
        <Button variant="contained" component={Link} to={`/visits/${visit.id}/regimen`}>
          {say('visit.theNewRegimen')}
        </Button>
      </div>
      {nothing ? (
        <p>
          {say('visit.nothingOnTheShelfIsInUse')}
          <Link to={`/visits/${visit.id}/talk`}>{say('visit.talk')}</Link>
          {say('visit.whatIsUsedAndHowOften')}
        </p>
      ) : (
        <Sums steps={[...morning, ...evening]} />
      )}
      <div className="now-halves">
        {!nothing && (
          <>
            <Routine title={say('visit.morning')} steps={morning} />
            <Routine title={say('visit.evening')} steps={evening} />
          </>
        )}
        <section className="band" aria-label={say('visit.whatIsWrongWithIt')}>
          {found.length === 0 && <p>{say('visit.noClashNoDoubleNoGap')}</p>}
          {ORDER.filter((flaw) => found.some((f) => f.flaw === flaw)).map((flaw) => (
            <div key={flaw}>
              <h2>{FLAWS[flaw]}</h2>
              <ul className="dots">
                {found
                  .filter((f) => f.flaw === flaw)
                  .map((f) => (
                    <li key={f.because.sentence}>
                      <Why because={f.because} />
                    </li>
                  ))}
              </ul>
            </div>
          ))}
        </section>
      </div>
    </div>
  )
}

/** How many products stay, move and go; each counted once. */
function Sums({ steps }: { steps: Now[] }) {
  const fates = (['KEEP', 'MOVE', 'USE_LESS', 'WAITS', 'STOP'] as const).map((fate) => ({
    fate,
    names: [...new Set(steps.filter((s) => s.fate === fate).map((s) => s.name))],
  }))
  return (
    <p className="now-sums">
      {fates
        .filter((f) => f.names.length > 0)
        .map((f) => (
          <span key={f.fate} className={`fate is-${f.fate.toLowerCase()}`}>
            <b>{FATES[f.fate]}</b> {f.names.join(', ')}
          </span>
        ))}
    </p>
  )
}

function Routine({ title, steps }: { title: string; steps: Now[] }) {
  return (
    <section className="band" aria-label={title}>
      <h2>{title}</h2>
      {steps.length === 0 && <p className="second">{say('visit.nothing')}</p>}
      <ol className="now-steps">
        {steps.map((s) => (
          <li key={s.product} className={`is-${s.fate.toLowerCase()}`}>
            <span className="num">{s.number}</span>
            <div>
              <b>{s.name}</b> <span className="second">{s.kind}</span>
              <p>
                <span className="fate-word">{FATES[s.fate]}.</span> <Why because={s.because} />
              </p>
              <details>
                <summary>{say('visit.whyHere')}</summary>
                <Why because={s.place} />
              </details>
            </div>
          </li>
        ))}
      </ol>
    </section>
  )
}
