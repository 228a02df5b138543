import { useState } from 'react'
import { useParams } from 'react-router'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import type { Schemas, Vocabulary } from '../api/client'
import { useClient, usePatchChange, usePatches, useShelf, useVocabulary } from '../api/hooks'
import { dateWords, timeWords } from '../shared/format'
import { ProductPicker, type Picked } from '../products/ProductPicker'
import { ErrorBand, Fetching } from '../shared/States'
import { useKeptForm } from '../shared/form'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'
import { Why } from '../shared/Why'
import { say } from '../words/say'
import '../words/app'
import '../words/patch'
import './patch.css'

type Test = Schemas['TestView']
type Changes = ReturnType<typeof usePatchChange>

const STANDING: Record<Test['verdict']['standing'], string> = {
  OPEN: say('patch.stillBeingRead'),
  MAY_USE: say('patch.mayBeUsed'),
  REPEAT_WEAKER: say('patch.testAgainWeaker'),
  DO_NOT_USE: say('patch.doNotUse'),
  REFER: say('patch.stopAndADoctor'),
  URGENT: say('patch.stopHelpAtOnce'),
}

/** The patch tests of one client: start, read, verdict, and what was done without. */
export default function PatchPage() {
  const { client: id = '' } = useParams()
  const client = useClient(id)
  const patches = usePatches(id)
  const words = useVocabulary()
  const change = usePatchChange(id)
  const failed = client.error ?? patches.error ?? words.error
  if (failed) {
    return (
      <div className="page">
        <ErrorBand error={failed} again={() => void patches.refetch()} />
      </div>
    )
  }
  if (!client.data || !patches.data || !words.data) return <Fetching what={say('patch.thePatchTests')} />
  const refused = Object.values(change).find((m) => m.error)?.error
  const { tests, waivers } = patches.data
  return (
    <div className="page">
      <div className="desk-head">
        <h1 data-title={say('app.patchTests')}>{say('patch.patchTestsOf', { name: client.data.name })}</h1>
        <span className="second">{say('patch.notTheDiagnosticTestOfAClinic')}</span>
      </div>
      {refused && <ErrorBand error={refused} />}
      <StartTest client={id} words={words.data} change={change} />
      {tests.length === 0 && (
        <p className="second" style={{ padding: '18px 0' }}>
          {say('patch.noTestYetAStrongProductThat')}
        </p>
      )}
      {tests.map((t) => (
        <OneTest
          key={t.id}
          test={t}
          unsigned={patches.data.unsigned.includes(t.id)}
          words={words.data}
          change={change}
        />
      ))}
      {waivers.length > 0 && (
        <section className="band patch" aria-label={say('patch.doneWithoutATest')}>
          <h2>{say('patch.doneWithoutATest')}</h2>
          <ul>
            {waivers.map((w) => (
              <li key={w.product} className="row">
                <span style={{ flex: 1 }}>
                  <b>{w.name}:</b> {w.why} ({w.who}, {dateWords(w.on)})
                </span>
                <Button
                  onClick={() => change.unwaive.mutate(w.product)}
                  aria-label={say('patch.askForATestAfterAll2', { name: w.name })}
                >
                  {say('patch.askForATestAfterAll')}
                </Button>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  )
}

function StartTest({ client, words, change }: { client: string; words: Vocabulary; change: Changes }) {
  const own = useShelf(client).data ?? []
  const [product, setProduct] = useState<Picked | null>(null)
  const [kind, setKind] = useState<Schemas['Start']['kind']>('USE_TEST')
  const [site, setSite] = useState<Schemas['Start']['site']>('FOREARM')
  const how = words.patch.kinds.find((k) => k.kind === kind)
  const where = words.patch.sites.find((s) => s.site === site)
  return (
    <section className="band patch" aria-label={say('patch.startATest')}>
      <div className="row">
        <ProductPicker
          label={say('patch.productToTest')}
          width={300}
          value={product}
          pick={setProduct}
          shelves={[{ from: say('patch.ownShelf'), products: own.map((i) => i.product) }]}
        />
        <ToggleButtonGroup
          exclusive
          value={kind}
          aria-label={say('patch.how')}
          onChange={(_, next: typeof kind | null) => next && setKind(next)}
        >
          {words.patch.kinds.map((k) => (
            <ToggleButton key={k.kind} value={k.kind}>
              {k.label}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <ToggleButtonGroup
          exclusive
          value={site}
          aria-label={say('patch.where')}
          onChange={(_, next: typeof site | null) => next && setSite(next)}
        >
          {words.patch.sites.map((s) => (
            <ToggleButton key={s.site} value={s.site}>
              {s.label}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Button
          variant="contained"
          disabled={!product || change.start.isPending}
          onClick={() =>
            product &&
            change.start.mutate({ product: product.id, kind, site }, { onSuccess: () => setProduct(null) })
          }
        >
          {say('patch.startNow')}
        </Button>
      </div>
      <p className="second">
        {where?.label}: {where?.amount}, {how?.how}.
      </p>
    </section>
  )
}

/** A retest that was passed counts once somebody has signed for it: the test before it had failed. */
function SignForIt({ test, change }: { test: Test; change: Changes }) {
  const form = useKeptForm('retest', test.id, { why: '' })
  const [who] = useWho()
  const ready = who.trim() !== '' && form.now.why.trim() !== ''
  return (
    <form
      className="row look"
      aria-label={say('patch.signForTheRetest', { name: test.name })}
      onSubmit={form.submit(async ({ why }) => {
        if (!ready) return
        await change.waive.mutateAsync({ product: test.product, who: who.trim(), why: why.trim() })
        form.leave()
      })}
    >
      <span style={{ flex: 1, minWidth: 260 }}>{say('patch.theTestBeforeFailed')}</span>
      <TextField label={say('patch.whyItMayBeUsed')} sx={{ width: 260 }} {...form.text('why')} />
      <Who />
      <Button type="submit" variant="contained" disabled={!ready || form.busy}>
        {say('patch.signForIt')}
      </Button>
    </form>
  )
}

function OneTest({
  test,
  unsigned,
  words,
  change,
}: {
  test: Test
  unsigned: boolean
  words: Vocabulary
  change: Changes
}) {
  const form = useKeptForm('patch-remark', test.id, { remark: '' })
  const { verdict } = test
  const open = verdict.standing === 'OPEN'
  const bad = !open && verdict.standing !== 'MAY_USE'
  return (
    <section className="band patch" aria-label={say('patch.testOf', { name: test.name })}>
      <div className="row">
        <h2 style={{ flex: 1 }}>
          {test.name}: <span className={bad ? 'bad' : ''}>{STANDING[verdict.standing]}</span>
        </h2>
        {test.readings.length === 0 && (
          <Button
            onClick={() => change.drop.mutate(test.id)}
            aria-label={say('patch.takeBackTheTestOf', { name: test.name })}
          >
            {say('patch.takeBack')}
          </Button>
        )}
      </div>
      <p>
        <Why because={verdict.because} />
      </p>
      {unsigned && <SignForIt test={test} change={change} />}
      <p className="second">
        {words.patch.kinds.find((k) => k.kind === test.kind)?.label},{' '}
        {words.patch.sites.find((s) => s.site === test.site)?.label}
        {say('patch.begun')}
        {dateWords(test.started)} {timeWords(test.started)}
        {verdict.due &&
          say('patch.nextReading', { due: dateWords(verdict.due), due2: timeWords(verdict.due) })}
      </p>
      <ol className="patch-readings">
        {test.readings.map((r) => (
          <li key={r.id}>
            <b>{hoursWords(r.hours)}</b>
            <span>
              {r.grade} {words.patch.grades[r.grade]}
              {r.remark && `: ${r.remark}`}
            </span>
            <Button
              onClick={() => change.takeBack.mutate({ test: test.id, reading: r.id })}
              aria-label={say('patch.takeBackTheReadingAfter', { hours: hoursWords(r.hours) })}
            >
              {say('patch.takeBack')}
            </Button>
          </li>
        ))}
      </ol>
      {open && (
        <>
          <div
            className="pads patch-pads"
            role="group"
            aria-label={say('patch.readNow', { name: test.name })}
          >
            {words.patch.grades.map((g, i) => (
              <button
                key={g}
                type="button"
                disabled={form.busy}
                onClick={() =>
                  form.submit(async ({ remark }) => {
                    await change.read.mutateAsync({
                      test: test.id,
                      grade: i,
                      at: null,
                      remark: remark.trim(),
                    })
                    form.leave()
                  })()
                }
              >
                <b>{i}</b> {g}
              </button>
            ))}
          </div>
          <TextField
            label={say('patch.remarkForThisReading')}
            fullWidth
            sx={{ mt: 1 }}
            {...form.text('remark')}
          />
        </>
      )}
    </section>
  )
}

const hoursWords = (hours: number) =>
  hours < 1 ? say('patch.min', { round: Math.round(hours * 60) }) : `${Math.round(hours)} h`
