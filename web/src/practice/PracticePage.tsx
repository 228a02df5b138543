import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Link } from 'react-router'
import Autocomplete from '@mui/material/Autocomplete'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { api, ask, type Schemas } from '../api/client'
import { keys, toldSinceOpened, useHouse } from '../api/hooks'
import { useMoney } from '../shared/money'
import { dateWords, timeWords } from '../shared/format'
import { ErrorBand, Fetching } from '../shared/States'
import { useKeptForm } from '../shared/form'
import { numberFrom } from '../shared/numbers'
import { NumberText } from '../shared/NumberText'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'
import { Why } from '../shared/Why'
import { BackupsBand } from './BackupsBand'
import { HouseBand } from './HouseBand'
import { SchoolsBand } from './SchoolsBand'
import { YardstickBand } from './YardstickBand'
import { say } from '../words/say'
import '../words/practice'
import './practice.css'

type Band = Schemas['BandView']

/** What the practice sets for itself: the bands of its probe, with who changed what and when. */
export default function PracticePage() {
  const bands = useQuery({
    queryKey: keys.bands,
    queryFn: () => ask(api.GET('/api/practice/probe-bands')),
  })
  const settings = [bands, useHouse(), useMoney().query]
  const failed = settings.find((s) => s.isError)
  if (failed?.error) {
    return (
      <div className="page">
        <ErrorBand error={failed.error} again={() => settings.forEach((s) => void s.refetch())} />
      </div>
    )
  }
  // a setting of before a change, laid by on this machine, would turn under her hand when the true one comes
  if (!bands.data || !settings.every(toldSinceOpened)) return <Fetching what={say('practice.theSettings')} />
  return (
    <div className="page">
      <div className="desk-head">
        <h1>{say('practice.thePractice')}</h1>
      </div>
      <HouseBand />
      <CurrencyBand />
      <section className="band practice" aria-label={say('practice.places')}>
        <div>
          <h2>{say('practice.places')}</h2>
          <p className="second">{say('practice.placesNote')}</p>
        </div>
        <div>
          <Link to="/places">{say('practice.toThePlaces')}</Link>
        </div>
      </section>
      <BackupsBand />
      <YardstickBand />
      <SchoolsBand />
      <div className="desk-head">
        <h2>{say('practice.theBandsOfTheProbe')}</h2>
        <span className="second">{say('practice.bandsBelongToAProbeSetThem')}</span>
      </div>
      {bands.data.map((b) => (
        <OneBand key={`${b.band} ${b.low} ${b.high}`} band={b} />
      ))}
    </div>
  )
}

/** What prices count; the numbers themselves stay. */
function CurrencyBand() {
  const queries = useQueryClient()
  const { query } = useMoney()
  const setting = query.data
  const [who] = useWho()
  const set = useMutation({
    mutationFn: (code: string) =>
      ask(
        api.PUT('/api/practice/currency', { body: { code, by: who, version: setting?.changes.length ?? 0 } }),
      ),
    onSuccess: (now) => {
      queries.setQueryData(keys.currency, now)
      void queries.invalidateQueries({ queryKey: keys.products })
    },
  })
  if (!setting) return null
  return (
    <section className="band practice" aria-label={say('practice.currency')}>
      <div>
        <h2>{say('practice.currency')}</h2>
        <p className="second">{say('practice.pricesStayTheNumbersThatTheyAre')}</p>
      </div>
      <div>
        <div className="row">
          <Autocomplete
            options={setting.choices}
            value={setting.choices.find((c) => c.code === setting.code)}
            disableClearable
            getOptionLabel={(c) => `${c.name} (${c.code})`}
            isOptionEqualToValue={(a, b) => a.code === b.code}
            disabled={who.trim() === '' || set.isPending}
            onChange={(_, next) => set.mutate(next.code)}
            sx={{ width: 340 }}
            renderInput={(params) => <TextField {...params} label={say('practice.pricesAreIn')} />}
          />
          <Who />
        </div>
        {set.isError && <ErrorBand error={set.error} />}
        {setting.changes.length > 0 && (
          <ul className="second">
            {setting.changes.slice(0, 5).map((c) => (
              <li key={c.at}>
                {dateWords(c.at)} {timeWords(c.at)}, {c.by}: {c.code}
              </li>
            ))}
          </ul>
        )}
      </div>
    </section>
  )
}

function OneBand({ band }: { band: Band }) {
  const queries = useQueryClient()
  const [who] = useWho()
  const form = useKeptForm('probe-band', band.band, { low: String(band.low), high: String(band.high) })
  const set = useMutation({
    mutationFn: (bounds: { low: number; high: number }) =>
      ask(
        api.PUT('/api/practice/probe-bands/{band}', {
          params: { path: { band: band.band } },
          body: { ...bounds, by: who, version: band.changes.length },
        }),
      ),
    onSuccess: (all) => {
      queries.setQueryData(keys.bands, all)
      void queries.invalidateQueries({ queryKey: ['verdict'] })
      void queries.invalidateQueries({ queryKey: ['plan'] })
    },
  })
  const shipped = band.shipped.low === band.low && band.shipped.high === band.high
  const put = (bounds: { low: number; high: number }) =>
    form.submit(async () => {
      await set.mutateAsync(bounds)
      form.leave()
    })
  return (
    <section className="band practice" aria-label={band.label}>
      <div>
        <h2>{band.label}</h2>
        <p className="second">{band.unit}</p>
        <p>
          {band.words[0]} | {band.words[1]} | {band.words[2]}
        </p>
      </div>
      <div>
        <form
          className="row"
          onSubmit={put({ low: numberFrom(form.now.low) ?? 0, high: numberFrom(form.now.high) ?? 0 })}
        >
          <NumberText
            label={say('practice.endsAt', { value: band.words[0] })}
            width={170}
            {...form.number('low', true)}
          />
          <NumberText
            label={say('practice.beginsAt', { value: band.words[2] })}
            width={170}
            {...form.number('high', true)}
          />
          <Who />
          <Button type="submit" disabled={!form.begun || who.trim() === '' || form.busy}>
            {say('practice.set')}
          </Button>
          {!shipped && (
            <Button disabled={who.trim() === ''} onClick={() => put(band.shipped)()}>
              {say('practice.backToAnd', { low: band.shipped.low, high: band.shipped.high })}
            </Button>
          )}
        </form>
        {form.fault && <ErrorBand error={form.fault} />}
        <p className="second">
          {band.otherSchool} <Why because={{ ...band.because, sentence: '' }} />
        </p>
        {band.changes.length > 0 && (
          <ul className="second">
            {band.changes.slice(0, 5).map((c) => (
              <li key={c.at}>
                {say('practice.and', {
                  at: dateWords(c.at),
                  at2: timeWords(c.at),
                  by: c.by,
                  low: c.low,
                  high: c.high,
                })}
              </li>
            ))}
          </ul>
        )}
      </div>
    </section>
  )
}
