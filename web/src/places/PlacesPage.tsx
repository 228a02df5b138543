import { useState } from 'react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Link } from 'react-router'
import Button from '@mui/material/Button'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { api, ask, type Schemas } from '../api/client'
import { keys, usePlaces } from '../api/hooks'
import { dateWords, monthName, MONTHS } from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'
import { say } from '../words/say'
import '../words/places'
import '../words/practice'
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
        <OnePlace key={p.id} place={p} home={places.data.home} edit={(copy) => setEditing({ of: p, copy })} />
      ))}
      <StandIn />
    </div>
  )
}

function OnePlace({
  place,
  home,
  edit,
}: {
  place: Place
  home: Schemas['HomeView']
  edit: (copy: boolean) => void
}) {
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
  const settle = useMutation({
    mutationFn: () =>
      ask(api.PUT('/api/places/home', { body: { place: place.id, by: who, version: home.version } })),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.places }),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.airAtThePractice }),
  })
  const here = home.place === place.id
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
            {here && <b> {say('places.isHere')}</b>}
          </p>
        </div>
        <div className="row">
          {!here && place.offered && (
            <Button disabled={who.trim() === '' || settle.isPending} onClick={() => settle.mutate()}>
              {say('places.thePracticeIsHere')}
            </Button>
          )}
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
      {settle.error && <ErrorBand error={settle.error} />}
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
    // what scrolls is a stop, so that it scrolls by keys
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <div className="place-scroll" role="group" aria-label={say('places.monthByMonth')} tabIndex={0}>
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

type Mood = Schemas['WeatherKnob']['mood']

const MOODS: { value: Mood; label: string }[] = [
  { value: 'FAIR', label: say('places.moodFair') },
  { value: 'BITTER', label: say('places.moodBitter') },
  { value: 'SLOW', label: say('places.moodSlow') },
  { value: 'DOWN', label: say('places.moodDown') },
  { value: 'ABSURD', label: say('places.moodAbsurd') },
  { value: 'GARBLED', label: say('places.moodGarbled') },
]

/** How the simulated weather service answers, to see what the screens make of it. */
function StandIn() {
  const queries = useQueryClient()
  const knob = useQuery({
    queryKey: keys.weatherKnob,
    queryFn: () => ask(api.GET('/api/standin/weather')),
  })
  const turn = useMutation({
    mutationFn: (mood: Mood) => ask(api.PUT('/api/standin/weather', { body: { mood } })),
    onSuccess: (now) => {
      queries.setQueryData(keys.weatherKnob, now)
      void queries.invalidateQueries({ queryKey: keys.airAtThePractice })
    },
  })
  if (!knob.data) return null
  return (
    <section className="band place" aria-label={say('places.standIn')}>
      <h2>{say('places.standIn')}</h2>
      <p className="second">{say('places.standInNote')}</p>
      <ToggleButtonGroup
        exclusive
        value={knob.data.mood}
        aria-label={say('places.standIn')}
        onChange={(_, mood: Mood | null) => mood !== null && turn.mutate(mood)}
      >
        {MOODS.map((m) => (
          <ToggleButton key={m.value} value={m.value}>
            {m.label}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {turn.error && <ErrorBand error={turn.error} />}
    </section>
  )
}
