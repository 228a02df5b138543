import { useCallback, useState } from 'react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { api, ask, type Conditions, type Quantity, type Reading, type Zone } from '../api/client'
import { keys } from '../api/hooks'
import { capital, warmth, warmthWords } from '../shared/format'
import { Why } from '../shared/Why'
import { NumberField } from './Ask'
import { Face } from './Face'
import { kept } from './kept'
import { measured, spotOf, unmeasured } from './reading'
import { useProbe } from './useProbe'
import { useVisitContext } from './VisitShell'
import { numberNeeded } from '../shared/numbers'
import { NumberText } from '../shared/NumberText'
import { say } from '../words/say'
import '../words/visit'

const SPOTS: Zone[] = ['FOREHEAD', 'NOSE', 'CHIN', 'CHEEK_R', 'CHEEK_L', 'NECK']
const EACH = 3
const NOTHING: Conditions = { cleanser: false }

/** The probe: in what it is read, which spot, and every reading with what it counts. */
export function ProbePanel({
  edit,
  undo,
  label,
}: {
  edit: (next: (before: Reading) => Reading) => void
  undo: () => void
  label: (zone: Zone) => string
}) {
  const { words, work, verdict } = useVisitContext()
  const reading = work.draft.document.reading
  const [quantity, setQuantity] = useState<Quantity>('HYDRATION')
  const [zone, setZone] = useState<Zone>('FOREHEAD')
  const took = useCallback(
    (q: Quantity, z: Zone, value: number, simulated: boolean) =>
      edit((r) => measured(r, q, z, value, simulated)),
    [edit],
  )
  const { probe, doing, measure, halt, lookAgain } = useProbe(took)
  const unit = words.quantities.find((q) => q.quantity === quantity)
  const lines = verdict?.probe ?? []
  const median = (z: Zone) => lines.find((l) => l.quantity === quantity && l.zone === z)?.median
  const busy = doing.state === 'reading'
  const conditions = reading.conditions ?? NOTHING
  const set = (next: Partial<Conditions>) =>
    work.change((d) => ({
      ...d,
      reading: { ...d.reading, conditions: { ...NOTHING, ...d.reading.conditions, ...next } },
    }))
  const differs =
    probe?.roomCelsius != null &&
    (probe.roomCelsius !== conditions.roomCelsius || probe.humidity !== conditions.humidity)
  return (
    <>
      <div className="row probe-head" role="status">
        <b>
          {probe === undefined
            ? say('visit.lookingForTheProbe')
            : probe.connected
              ? say('visit.probe', {
                  serial: probe.serial,
                  value: probe.simulated ? say('visit.simulated') : '',
                })
              : say('visit.noProbe')}
        </b>
        <span className="second" style={{ flex: 1 }}>
          {probe?.connected
            ? say('visit.roomC', {
                room: probe.roomCelsius == null ? '' : warmthWords(probe.roomCelsius),
                humidity: probe.humidity,
              })
            : probe?.sentence}
        </span>
        {probe?.connected === false && <Button onClick={lookAgain}>{say('visit.lookAgain')}</Button>}
        {differs && (
          <Button onClick={() => set({ roomCelsius: probe?.roomCelsius, humidity: probe?.humidity })}>
            {say('visit.takeOverTheRoom')}
          </Button>
        )}
      </div>
      <ConditionFields conditions={conditions} set={set} />
      <ToggleButtonGroup
        exclusive
        fullWidth
        value={quantity}
        aria-label={say('visit.whatIsMeasured')}
        onChange={(_, q: Quantity | null) => q !== null && setQuantity(q)}
      >
        {words.quantities.map((q) => (
          <ToggleButton key={q.quantity} value={q.quantity}>
            {q.label}
            {q.unit && `, ${q.unit}`}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <div className="face-box probe-face">
        <Face
          zones={SPOTS}
          label={label}
          grade={() => null}
          text={(z) => String(median(z) ?? '?')}
          current={zone}
          pick={setZone}
        />
      </div>
      {doing.state === 'lost' && (
        <div className="look" role="alert">
          <b>{say('visit.theProbeWasLost')}</b> {doing.sentence}{' '}
          {doing.taken > 0
            ? say('visit.theOfReadingsTakenAreKept', { taken: doing.taken, EACH })
            : say('visit.nothingWasReadYetWhatWasRead')}{' '}
          {probe?.connected && say('visit.itAnswersAgainNow')}
        </div>
      )}
      <div className="row read-tools">
        <Button
          className="measure"
          onClick={() => (busy ? halt() : measure(quantity, zone, EACH))}
          disabled={!probe?.connected && !busy}
        >
          {busy
            ? say('visit.readingOf', {
                EACH: Math.min(EACH, doing.taken + 1),
                EACH2: EACH,
                value: doing.settling ?? '…',
              })
            : say('visit.measureOnThe', { toLowerCase: unit?.label.toLowerCase(), zone: label(zone) })}
        </Button>
        <ByHandValue quantity={quantity} zone={zone} label={label} edit={edit} />
        <Button onClick={undo}>{say('visit.undo')}</Button>
        {spotOf(reading, quantity, zone) && (
          <Button onClick={() => edit((r) => unmeasured(r, quantity, zone))}>
            {say('visit.notMeasured')}
          </Button>
        )}
      </div>
      <ul className="probe-lines" aria-label={say('visit.readings')}>
        {lines.map((l) => (
          <li key={l.quantity + l.zone}>
            <b>
              {words.quantities.find((q) => q.quantity === l.quantity)?.label}, {label(l.zone)}: {l.median}{' '}
              {words.quantities.find((q) => q.quantity === l.quantity)?.unit}, {l.band}
            </b>
            <span className="second">
              {' '}
              {l.values.join(' · ')}
              {l.simulated && say('visit.simulated')}
            </span>
            <br />
            <span className={l.counts < 1 ? 'doubt' : 'second'}>
              <Why because={l.because} quiet />
            </span>
          </li>
        ))}
        {lines.length === 0 && (
          <li className="second">{say('visit.nothingMeasuredYetThreeReadingsASpot')}</li>
        )}
      </ul>
      {(probe?.simulated || probe?.connected === false) && <Knobs />}
    </>
  )
}

/** In what the probe is read; what is not written down makes a reading count less. */
function ConditionFields({
  conditions,
  set,
}: {
  conditions: Conditions
  set: (next: Partial<Conditions>) => void
}) {
  const { work } = useVisitContext()
  const plain = { shown: (kept: number) => kept, kept: (typed: number) => typed }
  const field = (name: string, at: Exclude<keyof Conditions, 'cleanser'>, measure = plain) => (
    <NumberField
      label={name}
      width={116}
      pointer={`/reading/conditions/${at}`}
      value={conditions[at] == null ? null : measure.shown(conditions[at])}
      work={work}
      set={(value) => set({ [at]: measure.kept(value) })}
      clear={() => set({ [at]: null })}
    />
  )
  return (
    <div className="row conditions">
      {field(say('visit.room', { sign: warmth().sign }), 'roomCelsius', warmth())}
      {field(say('visit.humidity'), 'humidity')}
      {field(say('visit.washedMinAgo'), 'minutesSinceWash')}
      <ToggleButton
        value="cleanser"
        selected={conditions.cleanser}
        onChange={() => set({ cleanser: !conditions.cleanser })}
      >
        {say('visit.cleanser')}
      </ToggleButton>
      {field(say('visit.settledMin'), 'minutesSettled')}
      {field(say('visit.productHAgo'), 'hoursSinceProduct')}
    </div>
  )
}

/** A value read off a probe that is not connected. */
function ByHandValue({
  quantity,
  zone,
  label,
  edit,
}: {
  quantity: Quantity
  zone: Zone
  label: (zone: Zone) => string
  edit: (next: (before: Reading) => Reading) => void
}) {
  const { words, work } = useVisitContext()
  const [text, setText] = kept(work, '/probe/byHand')
  const range = words.quantities.find((q) => q.quantity === quantity)
  const value = numberNeeded(text)
  const fits = value !== null && range !== undefined && value >= range.least && value <= range.most
  return (
    <form
      className="row"
      onSubmit={(e) => {
        e.preventDefault()
        if (!fits) return
        edit((r) => measured(r, quantity, zone, value, false))
        setText('')
      }}
    >
      <NumberText
        label={say('visit.orTypeAReading')}
        name={say('visit.readingOfThe', { zone: label(zone) })}
        typed={text}
        change={setText}
        width={150}
        wrong={
          text !== '' && !fits && range
            ? say('visit.liesBetweenAnd', {
                label: capital(range.label),
                least: range.least,
                most: range.most,
                unit: range.unit,
              })
            : undefined
        }
      />
      <Button type="submit" disabled={!fits}>
        {say('visit.noteIt')}
      </Button>
    </form>
  )
}

/** The simulated probe can be held to another face, and lose its cable. */
function Knobs() {
  const queries = useQueryClient()
  const knobs = useQuery({
    queryKey: keys.knobs,
    queryFn: () => ask(api.GET('/api/standin/probe')),
  }).data
  const turn = useMutation({
    mutationFn: (body: { face: string; plugged: boolean }) => ask(api.PUT('/api/standin/probe', { body })),
    onSuccess: (view) => {
      queries.setQueryData(keys.knobs, view)
      void queries.invalidateQueries({ queryKey: keys.probe })
    },
  })
  if (!knobs) return null
  return (
    <div className="row knobs">
      <span className="second">{say('visit.simulatedProbe')}</span>
      <TextField
        select
        label={say('visit.faceBeneathIt')}
        value={knobs.face}
        sx={{ width: 240 }}
        onChange={(e) => turn.mutate({ face: e.target.value, plugged: knobs.plugged })}
      >
        {knobs.faces.map((f) => (
          <MenuItem key={f.id} value={f.id}>
            {f.label}
          </MenuItem>
        ))}
      </TextField>
      <Button onClick={() => turn.mutate({ face: knobs.face, plugged: !knobs.plugged })}>
        {knobs.plugged ? say('visit.pullTheCable') : say('visit.plugItIn')}
      </Button>
    </div>
  )
}
