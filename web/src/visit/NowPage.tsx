import { Link } from 'react-router'
import Button from '@mui/material/Button'
import type { Schemas } from '../api/client'
import { usePresent } from '../api/hooks'
import { ErrorBand, Fetching } from '../shared/States'
import { Why } from '../shared/Why'
import { useVisitContext } from './VisitShell'
import './now.css'

type Now = Schemas['Now']
type Flawed = Schemas['Flawed']

const FATES: Record<Now['fate'], string> = { KEEP: 'Keep', MOVE: 'Move', USE_LESS: 'Use less', STOP: 'Stop' }
const FLAWS: Record<Flawed['flaw'], string> = {
  CLASH: 'These meet and should not',
  DOUBLE: 'The same thing twice',
  GAP: 'What is missing',
  LOAD: 'How much it asks of the skin',
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
  if (!present.data) return <Fetching what={`${first}’s routine`} />
  const { morning, evening, found } = present.data
  const nothing = morning.length === 0 && evening.length === 0
  return (
    <div className="page now">
      <div className="desk-head">
        <h1>What {first} does now</h1>
        <span className="second">
          {work.saving.state === 'saved'
            ? 'Put into its order and read against this visit’s skin.'
            : 'Read against what was last saved.'}
        </span>
        <Button component={Link} to={`/visits/${visit.id}/talk`} sx={{ ml: 'auto' }}>
          The shelf
        </Button>
        <Button component={Link} to={`/visits/${visit.id}/read`}>
          Read the skin
        </Button>
        <Button variant="contained" component={Link} to={`/visits/${visit.id}/regimen`}>
          The new regimen
        </Button>
      </div>
      {nothing ? (
        <p>
          Nothing on the shelf is in use. Put down on <Link to={`/visits/${visit.id}/talk`}>Talk</Link> what
          is used and how often.
        </p>
      ) : (
        <Sums steps={[...morning, ...evening]} />
      )}
      <div className="now-halves">
        {!nothing && (
          <>
            <Routine title="Morning" steps={morning} />
            <Routine title="Evening" steps={evening} />
          </>
        )}
        <section className="band" aria-label="What is wrong with it">
          {found.length === 0 && <p>No clash, no double, no gap.</p>}
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
  const fates = (['KEEP', 'MOVE', 'USE_LESS', 'STOP'] as const).map((fate) => ({
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
      {steps.length === 0 && <p className="second">Nothing.</p>}
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
                <summary>Why here</summary>
                <Why because={s.place} />
              </details>
            </div>
          </li>
        ))}
      </ol>
    </section>
  )
}
