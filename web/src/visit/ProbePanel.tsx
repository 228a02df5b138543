import { useCallback, useState } from 'react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { api, ask, type Conditions, type Quantity, type Reading, type Zone } from '../api/client'
import { keys } from '../api/hooks'
import { capital } from '../shared/format'
import { Why } from '../shared/Why'
import { NumberField } from './Ask'
import { Face } from './Face'
import { kept } from './kept'
import { measured, spotOf, unmeasured } from './reading'
import { useProbe } from './useProbe'
import { useVisitContext } from './VisitShell'

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
            ? 'Looking for the probe'
            : probe.connected
              ? `Probe ${probe.serial}${probe.simulated ? ', simulated' : ''}`
              : 'No probe'}
        </b>
        <span className="second" style={{ flex: 1 }}>
          {probe?.connected ? `room ${probe.roomCelsius} °C, ${probe.humidity} %` : probe?.sentence}
        </span>
        {probe?.connected === false && <Button onClick={lookAgain}>Look again</Button>}
        {differs && (
          <Button onClick={() => set({ roomCelsius: probe?.roomCelsius, humidity: probe?.humidity })}>
            Take over the room
          </Button>
        )}
      </div>
      <ConditionFields conditions={conditions} set={set} />
      <ToggleButtonGroup
        exclusive
        fullWidth
        value={quantity}
        aria-label="What is measured"
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
          <b>The probe was lost.</b> {doing.sentence}{' '}
          {doing.taken > 0
            ? `The ${doing.taken} of ${EACH} readings taken are kept.`
            : 'Nothing was read yet; what was read before is kept.'}{' '}
          {probe?.connected && 'It answers again now.'}
        </div>
      )}
      <div className="row read-tools">
        <Button
          className="measure"
          onClick={() => (busy ? halt() : measure(quantity, zone, EACH))}
          disabled={!probe?.connected && !busy}
        >
          {busy
            ? `Reading ${Math.min(EACH, doing.taken + 1)} of ${EACH}: ${doing.settling ?? '…'}`
            : `Measure ${unit?.label.toLowerCase()} on the ${label(zone)}`}
        </Button>
        <ByHandValue quantity={quantity} zone={zone} label={label} edit={edit} />
        <Button onClick={undo}>Undo</Button>
        {spotOf(reading, quantity, zone) && (
          <Button onClick={() => edit((r) => unmeasured(r, quantity, zone))}>Not measured</Button>
        )}
      </div>
      <ul className="probe-lines" aria-label="Readings">
        {lines.map((l) => (
          <li key={l.quantity + l.zone}>
            <b>
              {words.quantities.find((q) => q.quantity === l.quantity)?.label}, {label(l.zone)}: {l.median}{' '}
              {words.quantities.find((q) => q.quantity === l.quantity)?.unit}, {l.band}
            </b>
            <span className="second">
              {' '}
              {l.values.join(' · ')}
              {l.simulated && ', simulated'}
            </span>
            <br />
            <span className={l.counts < 1 ? 'doubt' : 'second'}>
              <Why because={l.because} quiet />
            </span>
          </li>
        ))}
        {lines.length === 0 && <li className="second">Nothing measured yet. Three readings a spot.</li>}
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
  const field = (name: string, at: Exclude<keyof Conditions, 'cleanser'>) => (
    <NumberField
      label={name}
      width={116}
      pointer={`/reading/conditions/${at}`}
      value={conditions[at] ?? null}
      work={work}
      set={(value) => set({ [at]: value })}
      clear={() => set({ [at]: null })}
    />
  )
  return (
    <div className="row conditions">
      {field('Room, °C', 'roomCelsius')}
      {field('Humidity, %', 'humidity')}
      {field('Washed, min ago', 'minutesSinceWash')}
      <ToggleButton
        value="cleanser"
        selected={conditions.cleanser}
        onChange={() => set({ cleanser: !conditions.cleanser })}
      >
        cleanser
      </ToggleButton>
      {field('Settled, min', 'minutesSettled')}
      {field('Product, h ago', 'hoursSinceProduct')}
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
  const value = Number(text.replace(',', '.'))
  const fits = text.trim() !== '' && range !== undefined && value >= range.least && value <= range.most
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
      <TextField
        label="Or type a reading"
        value={text}
        error={text !== '' && !fits}
        helperText={
          text !== '' && !fits && range
            ? `${capital(range.label)} lies between ${range.least} and ${range.most} ${range.unit}.`
            : undefined
        }
        slotProps={{ htmlInput: { inputMode: 'decimal', 'aria-label': `Reading of the ${label(zone)}` } }}
        sx={{ width: text !== '' && !fits ? 260 : 150 }}
        onChange={(e) => setText(e.target.value)}
      />
      <Button type="submit" disabled={!fits}>
        Note it
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
      <span className="second">Simulated probe:</span>
      <TextField
        select
        label="Face beneath it"
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
        {knobs.plugged ? 'Pull the cable' : 'Plug it in'}
      </Button>
    </div>
  )
}
