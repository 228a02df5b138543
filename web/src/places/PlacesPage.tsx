import { useState } from 'react'
import { useQueryClient, useMutation } from '@tanstack/react-query'
import { Link } from 'react-router'
import Button from '@mui/material/Button'
import { api, ask, type Schemas } from '../api/client'
import { keys, usePlaces } from '../api/hooks'
import { dateWords, monthName, MONTHS } from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'
import { say } from '../words/say'
import { PlaceForm } from './PlaceForm'
import './places.css'

type Place = Schemas['PlaceView']

/** The places whose air plans are made for: those that ship, and the practice's own. */
export default function PlacesPage() {
  const places = usePlaces()
  const [editing, setEditing] = useState<{ of: Place | null; copy: boolean } | null>(null)
  if (places.isError) {
    return (
      <div className="page">
        <ErrorBand error={places.error} again={() => void places.refetch()} />
      </div>
    )
  }
  if (!places.data) return <Fetching what={say('places.thePlaces')} />
  return (
    <div className="page">
      <div className="desk-head">
        <h1>{say('places.places')}</h1>
        <span className="second">{say('places.note')}</span>
        <Link to="/practice">{say('places.toThePractice')}</Link>
        {!editing && (
          <Button variant="contained" onClick={() => setEditing({ of: null, copy: false })}>
            {say('places.aNewOne')}
          </Button>
        )}
      </div>
      <Who help={say('practice.neededBeforeAChange')} />
      {editing && (
        <PlaceForm
          key={`${editing.of?.id ?? ''} ${String(editing.copy)}`}
          of={editing.of}
          copy={editing.copy}
          questions={places.data.questions}
          close={() => setEditing(null)}
        />
      )}
      {places.data.places.map((p) => (
        <OnePlace key={p.id} place={p} edit={(copy) => setEditing({ of: p, copy })} />
      ))}
    </div>
  )
}

function OnePlace({ place, edit }: { place: Place; edit: (copy: boolean) => void }) {
  const queries = useQueryClient()
  const [who] = useWho()
  const offer = useMutation({
    mutationFn: (offered: boolean) =>
      ask(
        api.PUT('/api/places/{id}/offered', {
          params: { path: { id: place.id } },
          body: { offered, by: who, version: place.version },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.places }),
  })
  return (
    <section className={place.offered ? 'band place' : 'band place away'} aria-label={place.name}>
      <div className="place-head">
        <div>
          <h2>{place.name}</h2>
          <p className="second">
            {place.note}
            {place.own && place.by && (
              <> {say('places.setBy', { by: place.by, day: dateWords((place.at ?? '').slice(0, 10)) })}</>
            )}
            {!place.offered && <> {say('places.notOffered')}</>}
          </p>
        </div>
        <div className="row">
          {place.own ? (
            <>
              <Button onClick={() => edit(false)}>{say('places.change')}</Button>
              <Button
                disabled={who.trim() === '' || offer.isPending}
                onClick={() => offer.mutate(!place.offered)}
              >
                {place.offered ? say('places.remove') : say('places.putBack')}
              </Button>
            </>
          ) : (
            <Button onClick={() => edit(true)}>{say('places.copy')}</Button>
          )}
        </div>
      </div>
      {offer.error && <ErrorBand error={offer.error} />}
      <Table months={place.months} />
    </section>
  )
}

/** Twelve months in four lines. */
function Table({ months }: { months: Schemas['MonthlyAir'][] }) {
  const lines: [string, (m: Schemas['MonthlyAir']) => number][] = [
    [say('places.celsius'), (m) => m.celsius],
    [say('places.humidity'), (m) => m.humidity],
    [say('places.wind'), (m) => m.wind],
    [say('places.uv'), (m) => m.uvIndex],
  ]
  return (
    <div className="place-scroll" tabIndex={-1}>
      <table className="place-table">
        <thead>
          <tr>
            <th scope="col">
              <span className="visually-hidden">{say('places.what')}</span>
            </th>
            {MONTHS.map((m) => (
              <th key={m} scope="col">
                {monthName(m).slice(0, 3)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map(([name, of]) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              {months.map((m, i) => (
                <td key={MONTHS[i]}>{of(m)}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
