import { useState } from 'react'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import type { Schemas } from '../api/client'
import { DateField } from '../shared/DateField'
import { capital, shortDay } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { Why } from '../shared/Why'
import { say } from '../words/say'
import '../words/year'

type Pausing = Schemas['Pausing']

/** A spell called ahead: what, from when to when. */
export function SpellForm({
  kinds,
  busy,
  error,
  close,
  add,
}: {
  kinds: Pick<Schemas['KindOfPause'], 'id' | 'label' | 'asks'>[]
  busy: boolean
  error: Error | null
  close: () => void
  add: (body: Pausing) => void
}) {
  const [kind, setKind] = useState('flight')
  const [from, setFrom] = useState('')
  const [until, setUntil] = useState('')
  const [figure, setFigure] = useState('')
  const asks = kinds.find((k) => k.id === kind)?.asks
  const told = asks && figure.trim() !== '' ? Number(figure.replace(',', '.')) : null
  const within = told === null || (asks && told >= asks.least && told <= asks.most)
  const ready = from !== '' && until !== '' && until >= from && within
  return (
    <form
      className="band year-form"
      aria-label={say('year.addASpell')}
      onSubmit={(e) => {
        e.preventDefault()
        if (ready) add({ kind, from, until, figure: told, remark: '' })
      }}
    >
      <TextField
        select
        label={say('year.whatSpell')}
        value={kind}
        onChange={(e) => {
          setKind(e.target.value)
          setFigure('')
        }}
        sx={{ minWidth: 230 }}
      >
        {kinds.map((k) => (
          <MenuItem key={k.id} value={k.id}>
            {capital(k.label)}
          </MenuItem>
        ))}
      </TextField>
      <DateField
        label={say('year.firstDay')}
        value={from}
        pick={(day) => {
          setFrom(day)
          if (until === '' || until < day) setUntil(day)
        }}
      />
      <DateField label={say('year.lastDay')} value={until} pick={setUntil} />
      {asks && (
        <TextField
          label={say('year.figure', { words: asks.words, unit: asks.unit })}
          value={figure}
          placeholder={String(asks.usual)}
          onChange={(e) => setFigure(e.target.value)}
          error={!within}
          helperText={
            within
              ? say('year.figureUsual', { usual: asks.usual, unit: asks.unit })
              : say('year.figureWithin', { least: asks.least, most: asks.most, unit: asks.unit })
          }
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
          sx={{ width: 210 }}
        />
      )}
      <div className="row">
        <Button type="submit" variant="contained" disabled={!ready || busy}>
          {say('year.layItOver')}
        </Button>
        <Button onClick={close}>{say('year.notNow')}</Button>
      </div>
      {until !== '' && until < from && <p className="fault">{say('year.endsBeforeItBegins')}</p>}
      {error && <ErrorBand error={error} />}
    </form>
  )
}

const WHAT: Record<Schemas['SpellLine']['what'], string> = {
  RESTS: say('year.rests'),
  ADDED: say('year.added'),
  AGAIN: say('year.again'),
  NOTHING_NEW: say('year.kept'),
  STAYS: say('year.stays'),
}

/** Spells laid over the year, a card each: what is added, rests, is done again, and goes into the bag. */
export function SpellCards({
  spells,
  pauses,
  takeOut,
}: {
  spells: Schemas['SpellPlan'][]
  pauses: Schemas['KeptPause'][]
  takeOut?: ((id: string) => void) | undefined
}) {
  return (
    <>
      {spells.map((s) => {
        const kept = pauses.find(
          (p) => p.pause.kind === s.id && p.pause.from === s.from && p.pause.until === s.until,
        )
        return (
          <section key={s.id + s.from} className="year-card spell" aria-label={capital(s.label)}>
            <h2>
              <span>
                {capital(s.label)}
                <small>
                  {s.from === s.until
                    ? shortDay(s.from)
                    : say('year.fromTo', { from: shortDay(s.from), to: shortDay(s.until) })}
                </small>
              </span>
            </h2>
            <ul>
              {s.lines.map((l) => (
                <li key={l.words}>
                  <span className="cause">{WHAT[l.what]}</span>
                  <span>
                    <b>{capital(l.words)}.</b> <Why because={l.because} />
                  </span>
                </li>
              ))}
              {s.says.map((b) => (
                <li key={b.sentence}>
                  <span className="cause">{say('year.tell')}</span>
                  <span>{capital(b.sentence)}.</span>
                </li>
              ))}
            </ul>
            {(s.quietFrom !== s.from || s.quietUntil !== s.until) && (
              <p className="second">
                {say('year.restsFromTo', { from: shortDay(s.quietFrom), to: shortDay(s.quietUntil) })}
              </p>
            )}
            {s.pack.length > 0 && (
              <details>
                <summary>{say('year.bag', { n: s.pack.length })}</summary>
                <ul className="year-bag">
                  {s.pack.map((p) => (
                    <li key={p.name} className={p.decant ? 'decant' : undefined}>
                      {p.name} <small>{p.words}</small>
                    </li>
                  ))}
                </ul>
              </details>
            )}
            {kept && takeOut && <Button onClick={() => takeOut(kept.id)}>{say('year.takeOut')}</Button>}
          </section>
        )
      })}
    </>
  )
}
