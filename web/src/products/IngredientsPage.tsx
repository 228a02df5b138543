import { useState } from 'react'
import { useMutation, useQuery, useQueryClient, keepPreviousData } from '@tanstack/react-query'
import { Link, useSearchParams } from 'react-router'
import Autocomplete from '@mui/material/Autocomplete'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { api, ask, type Schemas } from '../api/client'
import { keys } from '../api/hooks'
import { dateWords } from '../shared/format'
import { useKeptForm } from '../shared/form'
import { numberFrom } from '../shared/numbers'
import { NumberText } from '../shared/NumberText'
import { ErrorBand, Fetching } from '../shared/States'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'
import { say } from '../words/say'
import '../words/ingredients'
import '../words/products'
import './products.css'

type RowView = Schemas['RowView']
type Own = Schemas['OwnView']
type Answer = Schemas['IngredientAnswer']
type Tag = Own['tags'][number]

const IRRITANCY = ['0', '1', '2', '3', '4']

const useBook = () =>
  useQuery({ queryKey: keys.ownIngredients, queryFn: () => ask(api.GET('/api/ingredients/own')) })

/** The table of ingredients, looked up by any name; and what the practice says over it, with who and why. */
export default function IngredientsPage() {
  const [params, setParams] = useSearchParams()
  const text = params.get('text') ?? ''
  const about = params.get('say') ?? ''
  const book = useBook()
  const found = useQuery({
    queryKey: keys.ingredients(text),
    queryFn: () => ask(api.GET('/api/ingredients', { params: { query: { text } } })),
    placeholderData: keepPreviousData,
  })
  const set = (name: string, value: string) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before)
        if (value === '') next.delete(name)
        else next.set(name, value)
        return next
      },
      { replace: true },
    )
  return (
    <div className="page product">
      <div className="desk-head">
        <h1>{say('ingredients.ingredients')}</h1>
        <Link to="/products">{say('products.toTheHouseShelf')}</Link>
      </div>
      <div className="product-halves">
        <section className="band" aria-label={say('ingredients.theTable')}>
          <TextField
            label={say('ingredients.findByAnyName')}
            type="search"
            fullWidth
            value={text}
            onChange={(e) => set('text', e.target.value)}
          />
          {found.isError && <ErrorBand error={found.error} again={() => void found.refetch()} />}
          {found.isPending && <Fetching what={say('ingredients.theTable')} />}
          {found.data && (
            <p className="second" role="status">
              {found.data.total > found.data.rows.length
                ? say('ingredients.rowsTheFirst', {
                    total: found.data.total,
                    shown: found.data.rows.length,
                  })
                : say('ingredients.rows', { total: found.data.total })}
            </p>
          )}
          <ul className="ingredients">
            {found.data?.rows.map((r) => (
              <li key={r.inci}>
                <Row row={r} />
                <Button
                  aria-label={say('ingredients.sayMoreOf', { name: r.inci })}
                  onClick={() => set('say', r.inci)}
                >
                  {say('ingredients.sayMore')}
                </Button>
              </li>
            ))}
          </ul>
          {found.data?.total === 0 && text !== '' && (
            <p>
              {say('ingredients.theTableDoesNotHave', { text })}{' '}
              <Button onClick={() => set('say', text)}>{say('ingredients.sayWhatItIs')}</Button>
            </p>
          )}
        </section>
        <div>
          {book.isError && <ErrorBand error={book.error} again={() => void book.refetch()} />}
          {book.data && <Say key={about} book={book.data} name={about} done={() => set('say', '')} />}
          {book.data && <Said own={book.data.own} say={(name) => set('say', name)} />}
        </div>
      </div>
    </div>
  )
}

function Row({ row: r }: { row: RowView }) {
  const facts = [
    say('ingredients.usual', { low: r.usualLow, high: r.usualHigh }),
    r.phLow != null && r.phHigh != null && say('ingredients.ph', { low: r.phLow, high: r.phHigh }),
    say('ingredients.irritancy', { grade: r.irritancy }),
    say('ingredients.origin', { origin: r.origin }),
    r.comedogenic !== 'low' && say('ingredients.comedogenic', { grade: r.comedogenic }),
    r.legal,
    r.notes,
    say('ingredients.source', { source: r.source }),
  ]
  return (
    <div>
      <b>{r.inci}</b>
      {r.common !== r.inci && <span>, {r.common}</span>}
      <div>
        {r.is.map((c, i) => (
          <span key={c.words}>
            {i > 0 && ', '}
            {c.words} <span className="second">({c.source})</span>
          </span>
        ))}
      </div>
      <div className="second">{facts.filter((f) => f !== false && f !== '').join(' · ')}</div>
      {r.names.length > 0 && (
        <div className="second">{say('ingredients.also', { names: r.names.join(', ') })}</div>
      )}
    </div>
  )
}

type Typed = {
  name: string
  common: string
  tags: Tag[]
  low: string
  high: string
  irritancy: string
  why: string
  version: string
}

/** What a name is: new to the table, or more than the table says of it. */
function Say({ book, name, done }: { book: Schemas['Book']; name: string; done: () => void }) {
  const [who] = useWho()
  const queries = useQueryClient()
  const before = book.own.find((o) => o.name.toLowerCase() === name.toLowerCase())
  const form = useKeptForm<Typed>(
    'ingredient',
    name,
    {
      name,
      common: before?.common ?? '',
      tags: before?.tags ?? [],
      low: before?.low == null ? '' : String(before.low),
      high: before?.high == null ? '' : String(before.high),
      irritancy: before?.irritancy == null ? '' : String(before.irritancy),
      why: '',
      version: String(before?.version ?? 0),
    },
    '',
    ['version'],
  )
  const [answer, setAnswer] = useState<Answer | null>(null)
  const save = form.submit(async (typed) => {
    const got = await ask(
      api.PUT('/api/ingredients/own', {
        body: {
          name: typed.name,
          common: typed.common,
          tags: typed.tags,
          low: numberFrom(typed.low) ?? null,
          high: numberFrom(typed.high) ?? null,
          irritancy: typed.irritancy === '' ? null : Number(typed.irritancy),
          why: typed.why,
          who,
          version: Number(typed.version),
        },
      }),
    )
    setAnswer(got)
    queries.setQueryData(keys.ownIngredients, got.book)
    void queries.invalidateQueries({ queryKey: keys.products })
    void queries.invalidateQueries({ queryKey: ['plan'] })
    form.leave()
  })
  const words = new Map(book.tags.map((t) => [t.tag, t.words]))
  return (
    <section className="band" aria-label={say('ingredients.sayWhatANameIs')}>
      <h2>{say('ingredients.sayWhatANameIs')}</h2>
      <p className="second">{say('ingredients.itHoldsForThePractice')}</p>
      <form className="label-typed" onSubmit={save}>
        <TextField label={say('ingredients.nameAsPrinted')} fullWidth {...form.text('name')} />
        <TextField label={say('ingredients.inPlainWords')} fullWidth {...form.text('common')} />
        <Autocomplete
          multiple
          options={book.tags.map((t) => t.tag)}
          getOptionLabel={(t) => words.get(t) ?? t}
          value={form.now.tags}
          disableCloseOnSelect
          onChange={(_, tags) => form.put({ tags })}
          renderInput={(p) => <TextField {...p} label={say('ingredients.itIs')} />}
        />
        <div className="row">
          <NumberText label={say('ingredients.usualFrom')} width={150} {...form.number('low')} />
          <NumberText label={say('ingredients.usualTo')} width={150} {...form.number('high')} />
          <TextField
            label={say('ingredients.howIrritant')}
            select
            sx={{ width: 150 }}
            {...form.pick('irritancy')}
          >
            <MenuItem value="">{say('ingredients.asTheTable')}</MenuItem>
            {IRRITANCY.map((g) => (
              <MenuItem key={g} value={g}>
                {g}
              </MenuItem>
            ))}
          </TextField>
        </div>
        <TextField label={say('ingredients.why')} fullWidth multiline minRows={2} {...form.text('why')} />
        <div className="row">
          <Who label={say('products.signedBy')} />
          <Button type="submit" variant="contained" disabled={form.busy || who.trim() === ''}>
            {say('ingredients.keepIt')}
          </Button>
          {name !== '' && (
            <Button
              onClick={() => {
                form.leave()
                done()
              }}
            >
              {say('ingredients.leaveIt')}
            </Button>
          )}
        </div>
        {form.fault && <ErrorBand error={form.fault} />}
      </form>
      {answer && <Changed answer={answer} />}
    </section>
  )
}

/** Which labels say something else since. */
function Changed({ answer }: { answer: Answer }) {
  return (
    <div role="status">
      <p>
        <b>
          {answer.products === 0
            ? say('ingredients.noLabelSaysOtherwise')
            : say('ingredients.labelsSayOtherwise', { count: answer.products })}
        </b>
      </p>
      <ul className="dots">
        {answer.changed.map((c) => (
          <li key={c.id}>
            <Link to={`/products/${c.id}`}>{c.name}</Link>
            {c.now.length > 0 && say('ingredients.now', { what: c.now.join('; ') })}
            {c.gone.length > 0 && say('ingredients.noLonger', { what: c.gone.join('; ') })}
          </li>
        ))}
      </ul>
    </div>
  )
}

function Said({ own, say: speak }: { own: Own[]; say: (name: string) => void }) {
  const [who] = useWho()
  const queries = useQueryClient()
  const back = useMutation({
    mutationFn: (o: Own) =>
      ask(
        api.POST('/api/ingredients/own/withdrawn', {
          body: { name: o.name, why: say('ingredients.takenBack'), who, version: o.version },
        }),
      ),
    onSuccess: (got) => {
      queries.setQueryData(keys.ownIngredients, got.book)
      void queries.invalidateQueries({ queryKey: keys.products })
      void queries.invalidateQueries({ queryKey: ['plan'] })
    },
  })
  return (
    <section className="band" aria-label={say('ingredients.saidHere')}>
      <h2>{say('ingredients.saidHere')}</h2>
      {own.length === 0 && <p className="second">{say('ingredients.nothingYet')}</p>}
      {back.isError && <ErrorBand error={back.error} />}
      {back.data && <Changed answer={back.data} />}
      <ul className="ingredients">
        {own.map((o) => (
          <li key={o.name}>
            <div>
              <b>{o.name}</b>
              {o.common !== '' && <span>, {o.common}</span>}
              <div>{o.is.join(', ')}</div>
              <div className="second">
                {say('ingredients.because', { why: o.why, who: o.who, at: dateWords(o.at) })}
              </div>
            </div>
            <Button aria-label={say('ingredients.sayMoreOf', { name: o.name })} onClick={() => speak(o.name)}>
              {say('products.change')}
            </Button>
            <Button
              aria-label={say('ingredients.takeBackOf', { name: o.name })}
              disabled={who.trim() === '' || back.isPending}
              onClick={() => back.mutate(o)}
            >
              {say('products.takeBack2')}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  )
}
