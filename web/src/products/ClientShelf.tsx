import { useState, type ReactNode } from 'react'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { Link } from 'react-router'
import ToggleButton from '@mui/material/ToggleButton'
import { api, ask, type ShelfItem } from '../api/client'
import { useOthers, useShelf, useShelfChange } from '../api/hooks'
import { useKeptForm } from '../shared/form'
import { dateWords, dayShort, toggled, week, type Day } from '../shared/format'
import { DateField } from '../shared/DateField'
import { useOneStop } from '../shared/oneStop'
import { ErrorBand } from '../shared/States'
import { PatternSet, Bands } from '../strip/Bands'
import { LabelForm } from './LabelForm'
import { MixForm } from './MixForm'
import { ProductPicker, type Picked } from './ProductPicker'
import { say } from '../words/say'
import '../words/products'
import './products.css'

/** What the client owns: from the house shelf by name, or by its label. */
export function ClientShelf({ client, visit }: { client: string; visit?: string }) {
  const shelf = useShelf(client)
  const change = useShelfChange(client)
  const [labelling, setLabelling] = useState(false)
  const [mixing, setMixing] = useState(false)
  const failed = change.addKnown.error ?? change.use.error ?? change.takeOff.error ?? shelf.error
  const others = useOthers(client)
  /** a prescription that was picked, until its nights are said */
  const [prescribed, setPrescribed] = useState<Picked | null>(null)
  const pick = async (next: Picked) => {
    const { product } = await ask(api.GET('/api/products/{id}', { params: { path: { id: next.id } } }))
    if (product.prescription) setPrescribed(next)
    else change.addKnown.mutate({ product: next.id, weeks: 4, nights: [] })
  }
  return (
    <section className="band shelf" aria-label={say('products.theClientSOwnShelf')}>
      <PatternSet />
      <div className="desk-head">
        <h2>{say('products.whatStandsOnTheShelfAtHome')}</h2>
        <span style={{ marginLeft: 'auto' }}>
          <ProductPicker
            label={say('products.byNameFromAnyShelf')}
            width={300}
            value={null}
            pick={(next) => next && void pick(next)}
            shelves={[{ from: say('products.ownedByOtherClients'), products: others.data ?? [] }]}
          />
        </span>
        <Ways>
          {visit && (
            <Button component={Link} to={`/visits/${visit}/now`} disabled={shelf.data?.length === 0}>
              {say('products.readAsARoutine')}
            </Button>
          )}
          <Button onClick={() => setLabelling(!labelling)} aria-expanded={labelling}>
            {say('products.byItsLabel')}
          </Button>
          <Button onClick={() => setMixing(!mixing)} aria-expanded={mixing}>
            {say('products.homeMade')}
          </Button>
          <Button component={Link} to={`/clients/${client}/files`}>
            {say('products.files')}
          </Button>
        </Ways>
      </div>
      {failed && <ErrorBand error={failed} />}
      {prescribed && (
        <Nights
          key={prescribed.id}
          of={`${prescribed.id}.${client}`}
          name={prescribed.label}
          close={() => setPrescribed(null)}
          take={async (nights) => {
            await change.addKnown.mutateAsync({ product: prescribed.id, weeks: 4, nights })
            setPrescribed(null)
          }}
        />
      )}
      {labelling && (
        <LabelForm
          own
          of={client}
          visit={visit}
          close={() => setLabelling(false)}
          save={(product, weeks, nights) =>
            change.addLabel.mutateAsync({ id: crypto.randomUUID(), product, weeks, nights })
          }
        />
      )}
      {mixing && (
        <MixForm
          client={client}
          own={(shelf.data ?? []).map((i) => i.product)}
          close={() => setMixing(false)}
          save={(body) => change.addRecipe.mutateAsync(body)}
        />
      )}
      <ul className="shelf-list">
        {(shelf.data ?? []).map((item) => (
          <ShelfLine key={item.id}>
            <svg width="40" height="40" aria-hidden="true">
              <Bands shares={item.product.shares} x={0} y={0} width={40} height={40} />
              <rect x="0.5" y="0.5" width="39" height="39" fill="none" stroke="var(--ink)" />
            </svg>
            <span>
              <Link to={`/products/${item.product.id}`}>{item.product.name}</Link>
              <span className="second">
                {item.product.kindLabel}, {item.product.textureWords}
                {item.use.weeks > 0
                  ? say('products.usedWeeks', { weeks: item.use.weeks })
                  : say('products.new')}
                {item.use.opened && say('products.opened', { opened: dateWords(item.use.opened) })}
                {item.use.left < 100 && `, ${leftWords(item.use.left)}`}
                {item.nights.length > 0 &&
                  say('products.prescribedFor', { join: item.nights.map(dayShort).join(', ') })}
              </span>
            </span>
            <Use
              item={item}
              set={(use) => change.use.mutate({ item: item.id, version: item.version, ...use })}
            />
            {item.missing !== '' && (
              <Nights
                of={`${item.id}.${client}`}
                name={item.product.name}
                missing={item.missing}
                take={(nights) =>
                  change.use.mutateAsync({ item: item.id, version: item.version, ...item.use, nights })
                }
              />
            )}
            <span className="row shelf-buttons">
              {visit && (
                <Button
                  component={Link}
                  to={`/products/${encodeURIComponent(item.product.id)}/around?visit=${visit}`}
                  aria-label={say('products.buildRound', { name: item.product.name })}
                >
                  {say('products.buildRoundIt')}
                </Button>
              )}
              <Button
                onClick={() => change.takeOff.mutate(item.id)}
                aria-label={say('products.takeOff', { name: item.product.name })}
              >
                {say('products.takeOff2')}
              </Button>
            </span>
          </ShelfLine>
        ))}
        {shelf.data?.length === 0 && <li className="second">{say('products.nothingYetAddWhatIsUsedNow')}</li>}
      </ul>
    </section>
  )
}

/** The other ways to put a thing there, and what can be done with all of them: one stop of the Tab key. */
function Ways({ children }: { children: ReactNode }) {
  return (
    <div
      className="row"
      role="toolbar"
      aria-label={say('products.shelfWays')}
      {...useOneStop<HTMLDivElement>()}
    >
      {children}
    </div>
  )
}

/** All that can be done to one thing is one stop of the Tab key. */
function ShelfLine({ children }: { children: ReactNode }) {
  return <li {...useOneStop<HTMLLIElement>()}>{children}</li>
}

const NO_NIGHTS = { nights: [] }

/** Asks for the nights that a prescriber has said; nothing counts as what it is before. */
function Nights({
  of,
  name,
  missing,
  take,
  close,
}: {
  /** the thing on whose shelf they are asked for */
  of: string
  name: string
  /** why they are asked for a thing that stands there already */
  missing?: string
  take: (nights: Day[]) => Promise<unknown>
  close?: () => void
}) {
  const form = useKeptForm<{ nights: Day[] }>('nights', of, NO_NIGHTS)
  const { nights } = form.now
  return (
    <form
      className="look row nights"
      aria-label={say('products.nightsOf', { name })}
      onSubmit={form.submit(async (typed) => {
        await take(typed.nights)
        form.leave()
      })}
    >
      <p>
        <b>{name}</b> {missing ?? say('products.isPrescribedOnWhichNightsAsThe')}
      </p>
      <div className="row">
        {week().map((d) => (
          <ToggleButton
            key={d}
            value={d}
            selected={nights.includes(d)}
            onChange={() => form.put({ nights: toggled(nights, d) })}
          >
            {dayShort(d)}
          </ToggleButton>
        ))}
        <Button type="submit" disabled={nights.length === 0}>
          {say('products.thoseNights')}
        </Button>
        {close && <Button onClick={close}>{say('products.notNow')}</Button>}
      </div>
    </form>
  )
}

const WEEKS = [0, 2, 6, 12, 26, 52]
const LEFT = [100, 75, 50, 25, 10, 0]
const OFTEN = [1, 2, 3, 5, 7]

/** How a thing is used now: when, how often, since when; each by one tap. */
function Use({ item, set }: { item: ShelfItem; set: (use: ShelfItem['use']) => void }) {
  const { use, product } = item
  const [pack, setPack] = useState(false)
  if (item.nights.length > 0) return <span />
  return (
    <div
      className="row shelf-use"
      role="group"
      aria-label={say('products.howIsUsed', { name: product.name })}
    >
      <ToggleButton
        value="morning"
        selected={use.morning}
        onChange={() => set({ ...use, morning: !use.morning })}
      >
        {say('products.morning')}
      </ToggleButton>
      <ToggleButton
        value="evening"
        selected={use.evening}
        onChange={() => set({ ...use, evening: !use.evening })}
      >
        {say('products.evening')}
      </ToggleButton>
      <Pick
        label={say('products.daysAWeek')}
        value={use.daysAWeek}
        choices={OFTEN}
        words={(n) => (n === 7 ? say('products.daily') : say('products.aWeek', { n }))}
        pick={(daysAWeek) => set({ ...use, daysAWeek })}
      />
      <Pick
        label={say('products.for')}
        value={use.weeks}
        choices={WEEKS}
        words={(n) => (n === 0 ? say('products.isNew') : say('products.weeks', { n }))}
        pick={(weeks) => set({ ...use, weeks })}
      />
      {product.kind === 'WASH' && (
        <TextField
          select
          label={say('products.tightAfter')}
          value={use.leavesTight === true ? 'yes' : use.leavesTight === false ? 'no' : ''}
          slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
          sx={{ width: 106 }}
          onChange={(e) =>
            set({ ...use, leavesTight: e.target.value === '' ? null : e.target.value === 'yes' })
          }
        >
          <MenuItem value="">{say('products.tightNotAsked')}</MenuItem>
          <MenuItem value="yes">{say('products.tightYes')}</MenuItem>
          <MenuItem value="no">{say('products.tightNo')}</MenuItem>
        </TextField>
      )}
      <Button
        onClick={() => setPack(!pack)}
        aria-expanded={pack}
        aria-label={say('products.packOf', { name: product.name })}
      >
        {say('products.pack')}
      </Button>
      {pack && (
        <>
          <Pick
            label={say('products.left')}
            value={use.left}
            choices={LEFT}
            words={leftWords}
            pick={(left) => set({ ...use, left })}
          />
          <DateField
            label={say('products.opened2')}
            value={use.opened ?? ''}
            pick={(day) => set({ ...use, opened: day === '' ? null : day })}
          />
        </>
      )}
    </div>
  )
}

function leftWords(percent: number) {
  return percent === 100 ? 'full' : percent === 0 ? 'empty' : say('products.left2', { percent })
}

function Pick({
  label,
  value,
  choices,
  words,
  pick,
}: {
  label: string
  value: number
  choices: number[]
  words: (n: number) => string
  pick: (n: number) => void
}) {
  return (
    <TextField
      select
      label={label}
      value={value}
      sx={{ width: 118 }}
      onChange={(e) => pick(Number(e.target.value))}
    >
      {[...new Set([...choices, value])]
        .sort((a, b) => a - b)
        .map((n) => (
          <MenuItem key={n} value={n}>
            {words(n)}
          </MenuItem>
        ))}
    </TextField>
  )
}
