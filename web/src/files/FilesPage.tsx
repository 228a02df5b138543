import { useEffect, useRef, useState } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import LinearProgress from '@mui/material/LinearProgress'

import type { Schemas } from '../api/client'
import { onItsWay, useClient, useFile, useFileChange, useTakenFiles, type FileOf } from '../api/hooks'
import { dateWords, timeWords } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'
import { say } from '../words/say'
import '../words/files'
import './files.css'

type FileView = Schemas['FileView']

const FORMS = [
  ['CSV', 'CSV', say('files.commaBetweenCellsPointInNumbers')],
  ['SEMICOLON', say('files.csvWithSemicolons'), say('files.commaInNumbersAsManySpreadsheetsWant')],
  ['JSON', 'JSON', say('files.byTheSchemaInDocsFormats')],
] as const

/** The house catalogue, or a client's shelf, out to a file and in from one. */
export default function FilesPage() {
  const { client } = useParams()
  const of: FileOf = client ? { what: 'SHELF', client } : { what: 'CATALOGUE' }
  const who = useClient(client ?? '').data?.name
  const title = client
    ? say('files.sShelfAsAFile', { value: who ?? say('files.theClient') })
    : say('files.theHouseShelfAsAFile')
  return (
    <div className="page">
      <div className="desk-head">
        <h1>{title}</h1>
        {!client && <Link to="/products">{say('files.toTheHouseShelf')}</Link>}
      </div>
      <div className="file-halves">
        <section className="band file-out" aria-label={say('files.takeOut')}>
          <h2>{say('files.takeOut')}</h2>
          <ul>
            {FORMS.map(([form, name, words]) => (
              <li key={form}>
                <a href={exportOf(of, form)} download>
                  {name}
                </a>
                <span className="second">{words}</span>
              </li>
            ))}
          </ul>
        </section>
        <TakeIn key={client ?? ''} of={of} />
      </div>
      <Taken of={of} />
    </div>
  )
}

function exportOf(of: FileOf, form: string) {
  const query = new URLSearchParams({ what: of.what, form, ...(of.client && { client: of.client }) })
  return `/api/files/export?${query.toString()}`
}

/** Chosen, looked at, taken in. The chosen file stands in the address, so that a reload goes on where it was. */
function TakeIn({ of }: { of: FileOf }) {
  const [params, setParams] = useSearchParams()
  const id = params.get('file') ?? ''
  const file = useFile(id)
  const { choose, moved } = useFileChange(of)
  const input = useRef<HTMLInputElement>(null)
  const [over, setOver] = useState(false)
  const state = file.data?.state
  // what the file left is fetched anew once it is in
  const told = useRef('')
  useEffect(() => {
    if (state === 'TAKEN' && told.current !== id) {
      told.current = id
      moved()
    }
  }, [state, id, moved])
  const read = (chosen: File | undefined) => {
    if (chosen)
      choose.mutate(chosen, { onSuccess: (view) => setParams({ file: view.id }, { replace: true }) })
  }
  return (
    <section
      className={`band file-in${over ? ' over' : ''}`}
      aria-label={say('files.takeIn')}
      onDragOver={(e) => {
        e.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(e) => {
        e.preventDefault()
        setOver(false)
        read(e.dataTransfer.files[0])
      }}
    >
      <h2>{say('files.takeIn')}</h2>
      <p>{say('files.csvOrJsonByColumnsOfThe')}</p>
      <div className="row" style={{ marginTop: 10 }}>
        <Button
          variant={file.data ? undefined : 'contained'}
          disabled={choose.isPending || onItsWay(state)}
          onClick={() => input.current?.click()}
        >
          {file.data ? say('files.chooseAnotherFile') : say('files.chooseAFile')}
        </Button>
        <input
          ref={input}
          type="file"
          accept=".csv,.txt,.json,text/csv,application/json"
          hidden
          aria-label={say('files.fileToTakeIn')}
          onChange={(e) => {
            read(e.target.files?.[0])
            // the same file may be chosen again after it was put right
            e.target.value = ''
          }}
        />
        <span className="second">{say('files.orDropItHere')}</span>
      </div>
      {choose.isError && <ErrorBand error={choose.error} />}
      {file.isError && <ErrorBand error={file.error} />}
      {file.data && <Preview of={of} file={file.data} />}
    </section>
  )
}

function Preview({ of, file }: { of: FileOf; file: FileView }) {
  const [who] = useWho()
  const { take, stop } = useFileChange(of)
  const moving = onItsWay(file.state)
  return (
    <div className="file-preview">
      <p role="status">
        <b>{file.file}</b> <span className="second">{file.sentence}</span>
      </p>
      {moving && (
        <div className="row">
          <LinearProgress
            variant={file.all > 0 ? 'determinate' : 'indeterminate'}
            value={file.all > 0 ? (100 * file.done) / file.all : undefined}
            aria-label={file.state === 'READING' ? say('files.reading') : say('files.takingIn')}
            sx={{ flex: 1, height: 10 }}
          />
          {file.all > 0 && <span>{say('files.of', { done: file.done, all: file.all })}</span>}
          <Button disabled={stop.isPending} onClick={() => stop.mutate(file.id)}>
            {say('files.stop')}
          </Button>
        </div>
      )}
      {!moving && (
        <p className="file-sums">
          <span>
            <b>{file.added}</b>
            {say('files.new')}
          </span>
          <span>
            <b>{file.changed}</b>
            {say('files.changed')}
          </span>
          <span>
            <b>{file.same}</b>
            {say('files.theSame')}
          </span>
          {file.stops > 0 && (
            <span className="stops">
              <b>{file.stops}</b> {file.stops === 1 ? say('files.faultStops') : say('files.faultsStop')}
              {say('files.it')}
            </span>
          )}
          {file.warnings > 0 && (
            <span className="minds">
              <b>{file.warnings}</b>
              {say('files.toMind')}
            </span>
          )}
        </p>
      )}
      {file.state === 'READY' && (
        <div className="row">
          <Who label={say('files.signedBy')} />
          <Button
            variant="contained"
            disabled={who.trim() === '' || take.isPending}
            onClick={() => take.mutate({ id: file.id, who })}
          >
            {say('files.takeAllOfItIn')}
          </Button>
        </div>
      )}
      {take.isError && <ErrorBand error={take.error} />}
      {!moving && file.state !== 'TAKEN' && file.headings.length > 0 && (
        <Headings key={file.id} of={of} file={file} />
      )}
      {file.remarks.length > 0 && <Remarks file={file} />}
      {file.changes.length > 0 && file.state !== 'TAKEN' && (
        <details open={file.remarks.length === 0}>
          <summary>{say('files.whatItBringsAndChanges')}</summary>
          <ul className="file-changes">
            {file.changes.map((c) => (
              <li key={c.id}>
                <span>
                  {c.name} <span className="second">{c.maker}</span>
                </span>
                <span>{c.what.join(', ')}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  )
}

/** What each heading of the file was taken for; put right by hand once, it is remembered. */
function Headings({ of, file }: { of: FileOf; file: FileView }) {
  const [who] = useWho()
  const { match } = useFileChange(of)
  const [said, setSaid] = useState<Record<string, string>>({})
  const open = file.headings.some((h) => h.column === '')
  return (
    <details className="file-headings" open={open && file.state === 'REFUSED'}>
      <summary>{say('files.headings', { count: file.headings.length })}</summary>
      <ul>
        {file.headings.map((h) => (
          <li key={h.printed}>
            <span>
              <b>{h.printed}</b> <span className="second">{h.sample}</span>
            </span>
            <TextField
              select
              size="small"
              sx={{ width: 190 }}
              label={say('files.is', { heading: h.printed })}
              value={said[h.printed] ?? h.column}
              onChange={(e) => setSaid({ ...said, [h.printed]: e.target.value })}
            >
              <MenuItem value="">{say('files.leftOut')}</MenuItem>
              {file.columns.map((c) => (
                <MenuItem key={c} value={c}>
                  {c.replaceAll('_', ' ')}
                </MenuItem>
              ))}
            </TextField>
          </li>
        ))}
      </ul>
      <div className="row">
        <Who label={say('files.signedBy')} />
        <Button
          disabled={who.trim() === '' || match.isPending || Object.keys(said).length === 0}
          onClick={() => match.mutate({ id: file.id, who, headings: said })}
        >
          {say('files.readAnewSo')}
        </Button>
      </div>
      {match.isError && <ErrorBand error={match.error} />}
    </details>
  )
}

function Remarks({ file }: { file: FileView }) {
  const where = file.file.toLowerCase().endsWith('.json') ? say('files.product') : say('files.line')
  const shown = file.remarks.length
  const all = file.stops + file.warnings
  return (
    <div className="file-remarks">
      <table>
        <caption className="second">
          {shown < all ? say('files.theFirstOfRemarks', { shown, all }) : say('files.remarks')}
          {say('files.thoseThatStopItFirst')}
        </caption>
        <thead>
          <tr>
            <th scope="col">{where}</th>
            <th scope="col">{say('files.column')}</th>
            <th scope="col">{say('files.what')}</th>
            <th scope="col">{say('files.code')}</th>
          </tr>
        </thead>
        <tbody>
          {file.remarks.map((r, i) => (
            <tr key={`${i}${r.code}`} className={r.stops ? 'stops' : 'minds'}>
              <td>{r.line > 0 ? r.line : say('files.wholeFile')}</td>
              <td>{r.column.replaceAll('_', ' ')}</td>
              <td>{r.sentence}</td>
              <td className="second">{r.code.toLowerCase().replaceAll('_', '-')}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

function Taken({ of }: { of: FileOf }) {
  const taken = useTakenFiles(of)
  const { undo } = useFileChange(of)
  const [who] = useWho()
  if (!taken.data || taken.data.length === 0) return null
  return (
    <section aria-label={say('files.takenInBefore')} style={{ marginTop: 18 }}>
      <div className="desk-head">
        <h2>{say('files.takenInBefore')}</h2>
        <span style={{ marginLeft: 'auto' }}>
          <Who label={say('files.signedBy')} />
        </span>
      </div>
      {undo.isError && <ErrorBand error={undo.error} />}
      <ul className="file-taken">
        {taken.data.map((f) => (
          <li key={f.id}>
            <span>
              <b>{f.file}</b>{' '}
              <span className="second">
                {say('files.newChanged', {
                  who: f.who,
                  at: dateWords(f.at),
                  at2: timeWords(f.at),
                  added: f.added,
                  changed: f.changed,
                })}
              </span>
            </span>
            {f.undoneAt ? (
              <span className="second">
                {say('files.takenBackBy', {
                  undoneBy: f.undoneBy,
                  undoneAt: dateWords(f.undoneAt),
                  undoneAt2: timeWords(f.undoneAt),
                })}
              </span>
            ) : (
              <Button
                disabled={who.trim() === '' || undo.isPending}
                onClick={() => undo.mutate({ id: f.id, who })}
                aria-label={say('files.takeBack', { file: f.file })}
              >
                {say('files.takeBack2')}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
