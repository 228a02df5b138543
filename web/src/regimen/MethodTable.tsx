import { useMutation, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { api, ask, Refused, type Schemas } from '../api/client'
import { keys } from '../api/hooks'
import { dateWords } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { useTyped } from '../shared/typed'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'
import { say } from '../words/say'

type Method = Schemas['MethodView']

/** A method being made: a copy with its own answers, or a method of the house being changed. */
type Draft = {
  /** of the method that is changed; absent for a new one */
  version?: number
  /** absent for a new copy */
  id?: string
  copyOf: string
  name: string
  note: string
  because: string
  settings: Record<string, string>
}

const draftOf = (m: Method, copy: boolean): Draft => ({
  id: copy ? undefined : m.id,
  version: copy ? undefined : m.version,
  copyOf: m.id,
  name: copy ? say('regimen.ofTheHouse', { name: m.name }) : m.name,
  note: m.note,
  because: copy ? '' : m.because.sentence,
  settings: Object.fromEntries(m.answers.map((a) => [a.id, a.value])),
})

/** Every question on which schools differ, and what each method answers; a copy can be made and changed beside them. */
export function MethodTable({
  methods,
  questions,
  chosen,
  choose,
}: {
  methods: Method[]
  questions: Schemas['SchoolQuestion'][]
  chosen: string
  choose: (id: string) => void
}) {
  const [typed, keep, forget] = useTyped<Draft>('method', '')
  const draft = typed ?? null
  const edit = (next: Draft | null) => (next ? keep(next) : forget())
  const shown = methods.filter((m) => m.offered || m.id === chosen)
  const withdrawn = methods.filter((m) => !m.offered && m.id !== chosen)
  return (
    <section className="method-table" aria-label={say('regimen.methodsSideBySide')}>
      <h2>{say('regimen.whatEachMethodSays')}</h2>
      {draft && <MethodForm draft={draft} questions={questions} edit={edit} choose={choose} />}
      <div className="method-scroll">
        <table>
          <thead>
            <tr>
              <th scope="col">{say('regimen.question')}</th>
              {shown.map((m) => (
                <th key={m.id} scope="col" className={m.id === chosen ? 'chosen' : ''}>
                  {m.name}
                  {m.id === chosen && ' ✓'}
                  <MethodButtons method={m} edit={edit} />
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {questions.map((q, i) => (
              <tr key={q.id}>
                <th scope="row">{q.question}</th>
                {shown.map((m) => (
                  <td
                    key={m.id}
                    className={`${m.id === chosen ? 'chosen' : ''} ${differs(methods, chosen, m.id, i) ? 'differs' : ''}`}
                  >
                    {m.answers[i]?.answer}
                  </td>
                ))}
              </tr>
            ))}
            <tr>
              <th scope="row">{say('regimen.why')}</th>
              {shown.map((m) => (
                <td key={m.id} className={m.id === chosen ? 'chosen' : ''}>
                  {m.because.sentence}
                  {m.by != null && m.at != null && (
                    <span className="second">
                      {say('regimen.aCopyOf', { by: m.by, at: dateWords(m.at), copyOf: m.copyOf })}
                    </span>
                  )}
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
      {withdrawn.length > 0 && (
        <ul className="row">
          {withdrawn.map((m) => (
            <li key={m.id}>
              {m.name}
              {say('regimen.noLongerOffered')}
              <OfferButton method={m} />
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

function MethodButtons({ method, edit }: { method: Method; edit: (draft: Draft) => void }) {
  return (
    <span className="method-buttons">
      <Button
        size="small"
        aria-label={say('regimen.copy', { name: method.name })}
        onClick={() => edit(draftOf(method, true))}
      >
        {say('regimen.copy2')}
      </Button>
      {method.house && (
        <>
          <Button
            size="small"
            aria-label={say('regimen.change', { name: method.name })}
            onClick={() => edit(draftOf(method, false))}
          >
            {say('regimen.change2')}
          </Button>
          <OfferButton method={method} />
        </>
      )}
    </span>
  )
}

/** Takes a method of the house from the choice of new plans, or puts it back; plans made with it keep it. */
function OfferButton({ method }: { method: Method }) {
  const queries = useQueryClient()
  const [who] = useWho()
  const offer = useMutation({
    mutationFn: () =>
      ask(
        api.PUT('/api/methods/{id}/offered', {
          params: { path: { id: method.id } },
          body: {
            offered: !method.offered,
            by: who.trim() === '' ? (method.by ?? '') : who,
            version: method.version,
          },
        }),
      ),
    onSuccess: () => void queries.invalidateQueries({ queryKey: keys.methods }),
  })
  return (
    <Button
      size="small"
      disabled={offer.isPending}
      aria-label={`${method.offered ? say('regimen.withdraw') : say('regimen.offer')} ${method.name}`}
      onClick={() => offer.mutate()}
    >
      {method.offered ? say('regimen.withdraw') : say('regimen.offerAgain')}
    </Button>
  )
}

function MethodForm({
  draft,
  questions,
  edit,
  choose,
}: {
  draft: Draft
  questions: Schemas['SchoolQuestion'][]
  edit: (draft: Draft | null) => void
  choose: (id: string) => void
}) {
  const queries = useQueryClient()
  const [who] = useWho()
  const save = useMutation({
    mutationFn: () => {
      const { id, version, ...typed } = draft
      const body = { ...typed, by: who, version: version ?? 0 }
      return id === undefined
        ? ask(api.POST('/api/methods', { body }))
        : ask(api.PUT('/api/methods/{id}', { params: { path: { id } }, body }))
    },
    onSuccess: (kept) => {
      void queries.invalidateQueries({ queryKey: keys.methods })
      void queries.invalidateQueries({ queryKey: ['plan'] })
      edit(null)
      choose(kept.id)
    },
  })
  const refused = save.error instanceof Refused ? save.error : null
  const problem = (field: string) => refused?.fields.find((f) => f.pointer === `/${field}`)?.sentence
  const text = (field: 'name' | 'note' | 'because', label: string, longest: number) => (
    <TextField
      label={label}
      value={draft[field]}
      error={!!problem(field)}
      helperText={problem(field)}
      onChange={(e) => edit({ ...draft, [field]: e.target.value })}
      slotProps={{ htmlInput: { maxLength: longest } }}
      sx={{ flex: field === 'name' ? undefined : 1, minWidth: 220 }}
    />
  )
  const title =
    draft.id === undefined ? say('regimen.aMethodOfTheHouse') : say('regimen.change', { name: draft.name })
  return (
    <form
      className="method-form"
      aria-label={title}
      onSubmit={(e) => {
        e.preventDefault()
        save.mutate()
      }}
    >
      <h3>{title}</h3>
      <div className="row">
        {text('name', 'Name', 40)}
        {text('because', say('regimen.whyTheHouseDoesItSo'), 200)}
        <Who />
      </div>
      <div className="method-answers">
        {questions.map((q) => (
          <TextField
            key={q.id}
            select
            size="small"
            label={q.question}
            value={draft.settings[q.id] ?? ''}
            onChange={(e) => edit({ ...draft, settings: { ...draft.settings, [q.id]: e.target.value } })}
          >
            {q.schools.map((s) => (
              <MenuItem key={s.value} value={s.value}>
                {s.words}
              </MenuItem>
            ))}
          </TextField>
        ))}
      </div>
      {problem('settings') && (
        <p role="alert" className="refusal">
          {say('regimen.theseSettingsSpeakAgainstEachOther', { problem: problem('settings') })}
        </p>
      )}
      {save.error && !refused && <ErrorBand error={save.error} />}
      <div className="row">
        <Button
          type="submit"
          variant="contained"
          disabled={save.isPending || draft.name.trim() === '' || who.trim() === ''}
        >
          {say('regimen.keepItAndPlanByIt')}
        </Button>
        <Button onClick={() => edit(null)}>{say('regimen.leaveIt')}</Button>
      </div>
    </form>
  )
}

function differs(methods: Method[], chosen: string, id: string, question: number): boolean {
  const own = methods.find((m) => m.id === chosen)?.answers[question]?.answer
  return id !== chosen && methods.find((m) => m.id === id)?.answers[question]?.answer !== own
}
