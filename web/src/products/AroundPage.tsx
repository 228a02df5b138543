import { useMemo, useState } from 'react'
import { useQuery } from '@tanstack/react-query'
import Autocomplete from '@mui/material/Autocomplete'
import TextField from '@mui/material/TextField'
import { Link, useParams, useSearchParams } from 'react-router'
import { api, ask, type Part, type Routine, type Schemas } from '../api/client'
import { keys, useDesk, useProductsNamed } from '../api/hooks'
import { useMoney } from '../shared/money'
import { partName } from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { Why } from '../shared/Why'
import { Key, PatternSet } from '../strip/Bands'
import { units } from '../strip/layout'
import { Strip } from '../strip/Strip'
import { say } from '../words/say'
import '../words/around'
import './around.css'

type Round = Schemas['OneRound']

/** @param visit whose face it is built on; '' for a plain skin */
const useAround = (id: string, visit: string) =>
  useQuery({
    queryKey: keys.around(id, visit),
    queryFn: ({ signal }) =>
      ask(
        api.GET('/api/products/{id}/around', {
          params: { path: { id }, query: visit === '' ? {} : { visit } },
          signal,
        }),
      ),
  })

/** Round one thing that a client has brought: the smallest, the usual and the fullest routine, on a plain skin or on a client's. */
export default function AroundPage() {
  const { id = '' } = useParams()
  const [params, setParams] = useSearchParams()
  const visit = params.get('visit') ?? ''
  const found = useAround(id, visit)
  const [named] = useProductsNamed([id])
  const name = named?.data?.product.name
  const rounds = found.data?.rounds ?? []
  const unit = units(rounds.flatMap((r) => [r.regimen.morning, r.regimen.evening]))
  return (
    <div className="page around">
      <PatternSet />
      <div className="desk-head">
        <h1>{name ? say('around.title', { name }) : say('around.titleWaiting')}</h1>
        <Link to={`/products/${encodeURIComponent(id)}`}>{say('around.toTheProduct')}</Link>
      </div>
      <ForWhom
        visit={visit}
        client={found.data?.client ?? ''}
        choose={(next) => setParams(next === '' ? {} : { visit: next }, { replace: true })}
      />
      {found.isError && <ErrorBand error={found.error} again={() => void found.refetch()} />}
      {found.isLoading && <Fetching what={say('around.three')} />}
      {found.data?.refused && (
        <p className="look" role="status">
          <b>{say('around.refused')}</b> <Why because={found.data.refused} />
        </p>
      )}
      {rounds.map((r) => (
        <OneRound key={r.id} round={r} thing={id} unit={unit} />
      ))}
      {rounds.length > 0 && <Key strip />}
    </div>
  )
}

// one and the same at every drawing: another object would begin the field anew
const PLAIN = { id: '', label: say('around.plainSkin') }

/** A plain skin, or that of a client's last visit. */
function ForWhom({
  visit,
  client,
  choose,
}: {
  visit: string
  /** whose visit it is, once that is known */
  client: string
  choose: (visit: string) => void
}) {
  const [text, setText] = useState('')
  const desk = useDesk({ text })
  const clients = (desk.data?.clients ?? []).flatMap((c) =>
    c.lastVisit ? [{ id: c.lastVisit, label: c.name }] : [],
  )
  const hers = useMemo(() => ({ id: visit, label: client }), [visit, client])
  const now = visit === '' ? PLAIN : hers
  return (
    <div className="around-whom">
      <Autocomplete
        options={[PLAIN, ...clients]}
        value={now}
        onInputChange={(_, next, reason) => setText(reason === 'input' ? next : '')}
        onChange={(_, next) => choose(next.id)}
        isOptionEqualToValue={(a, b) => a.id === b.id}
        disableClearable
        noOptionsText={say('around.noClient')}
        blurOnSelect
        sx={{ width: 320 }}
        renderInput={(p) => <TextField {...p} label={say('around.forWhom')} size="small" />}
      />
      <span className="second">{say(visit === '' ? 'around.plainNote' : 'around.clientNote')}</span>
    </div>
  )
}

function OneRound({
  round,
  thing,
  unit,
}: {
  round: Round
  thing: string
  unit: { on: number; off: number }
}) {
  const money = useMoney()
  const { morning, evening } = round.regimen
  const mark = new Set([thing])
  return (
    <section className="band" aria-label={round.label}>
      <div className="around-head">
        <h2>{round.label}</h2>
        <span>{round.note}</span>
        <span className="second">
          {say('around.by', { method: round.method })},{' '}
          {say('around.steps', { morning: morning.steps.length, evening: evening.steps.length })}
        </span>
      </div>
      {([morning, evening] as Routine[]).map((r) => (
        <div key={r.part} className="around-row">
          <span>
            <b>{partName(r.part)}</b>
            <span className="second">{say('around.minutes', { minutes: r.timeline.minutes })}</span>
          </span>
          <div>
            <Strip
              routine={r}
              unit={unit}
              folded
              open={null}
              changed={mark}
              weather={r.part === 'MORNING' ? { uv: round.regimen.asked.air.outdoors.uvIndex } : 'night'}
            />
            <ol className="around-steps">
              {r.steps.map((s) => (
                <li key={s.product} className={s.product === thing ? 'it' : ''}>
                  <i>{s.number}</i> {s.name}
                </li>
              ))}
            </ol>
          </div>
        </div>
      ))}
      <ul className="dots">
        {round.stands.map((s) => (
          <li key={s.part}>
            <b>{say('around.stands', { number: s.number, of: s.of, part: partWords(s.part) })}</b>{' '}
            <Why because={s.because} quiet />
          </li>
        ))}
        <li>
          {round.buys.length === 0 ? (
            say('around.buyNothing')
          ) : (
            <>
              <b>{say('around.buy', { month: money.words(round.month) })}</b> {round.buys.join(', ')}.
            </>
          )}{' '}
          {round.unpriced.length > 0 && say('around.unpriced', { names: round.unpriced.join(', ') })}
        </li>
      </ul>
    </section>
  )
}

const partWords = (part: Part) => (part === 'MORNING' ? say('around.partMORNING') : say('around.partEVENING'))
