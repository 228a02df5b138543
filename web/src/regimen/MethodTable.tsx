import { useMutation, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { api, ask, type Schemas } from '../api/client'
import { keys } from '../api/hooks'
import { dateWords } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { useKeptForm } from '../shared/form'
import { useTyped } from '../shared/typed'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'
import { say } from '../words/say'
import '../words/regimen'

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
  const [draft, begin, leave] = useTyped<Draft>('method', '')
  const shown = methods.filter((m) => m.offered || m.id === chosen)
  const withdrawn = methods.filter((m) => !m.offered && m.id !== chosen)
  return (
    <section className="method-table" aria-label={say('regimen.methodsSideBySide')}>
      <h2>{say('regimen.whatEachMethodSays')}</h2>
      {draft && (
        <MethodForm key={formOf(draft)} draft={draft} questions={questions} choose={choose} close={leave} />
      )}
      <div className="method-scroll">
        <table>
          <thead>
            <tr>
              <th scope="col">{say('regimen.question')}</th>
              {shown.map((m) => (
                <th key={m.id} scope="col" className={m.id === chosen ? 'chosen' : ''}>
                  {m.name}
                  {m.id === chosen && ' ✓'}
                  <MethodButtons method={m} begin={begin} />
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

function MethodButtons({ method, begin }: { method: Method; begin: (draft: Draft) => void }) {
  return (
    <span className="method-buttons">
      <Button
        size="small"
        aria-label={say('regimen.copy', { name: method.name })}
        onClick={() => begin(draftOf(method, true))}
      >
        {say('regimen.copy2')}
      </Button>
      {method.house && (
        <>
          <Button
            size="small"
            aria-label={say('regimen.change', { name: method.name })}
            onClick={() => begin(draftOf(method, false))}
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

/** Which method is changed, or copied: what is typed for one is not typed for another. */
const formOf = (draft: Draft) => draft.id ?? `copy-${draft.copyOf}`

function MethodForm({
  draft,
  questions,
  choose,
  close,
}: {
  draft: Draft
  questions: Schemas['SchoolQuestion'][]
  choose: (id: string) => void
  close: () => void
}) {
  const queries = useQueryClient()
  const [who] = useWho()
  const { name, note, because, settings } = draft
  const form = useKeptForm('method-typed', formOf(draft), { name, note, because, settings })
  const left = () => {
    form.leave()
    close()
  }
  const save = useMutation({
    mutationFn: (typed: typeof form.now) => {
      const { id, version, copyOf } = draft
      const body = { ...typed, copyOf, by: who, version: version ?? 0 }
      return id === undefined
        ? ask(api.POST('/api/methods', { body }))
        : ask(api.PUT('/api/methods/{id}', { params: { path: { id } }, body }))
    },
    onSuccess: (kept) => {
      void queries.invalidateQueries({ queryKey: keys.methods })
      void queries.invalidateQueries({ queryKey: ['plan'] })
      left()
      choose(kept.id)
    },
  })
  const text = (field: 'name' | 'because', label: string, longest: number) => (
    <TextField
      label={label}
      slotProps={{ htmlInput: { maxLength: longest } }}
      sx={{ flex: field === 'name' ? undefined : 1, minWidth: 220 }}
      {...form.text(field)}
    />
  )
  const title =
    draft.id === undefined ? say('regimen.aMethodOfTheHouse') : say('regimen.change', { name: draft.name })
  return (
    <form
      className="method-form"
      aria-label={title}
      onSubmit={form.submit((typed) => save.mutateAsync(typed))}
    >
      <h3>{title}</h3>
      <div className="row">
        {text('name', say('regimen.name'), 40)}
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
            value={form.now.settings[q.id] ?? ''}
            onChange={(e) => form.put({ settings: { ...form.now.settings, [q.id]: e.target.value } })}
          >
            {q.schools.map((s) => (
              <MenuItem key={s.value} value={s.value}>
                {s.words}
              </MenuItem>
            ))}
          </TextField>
        ))}
      </div>
      {form.errorOf('settings') && (
        <p role="alert" className="refusal">
          {say('regimen.theseSettingsSpeakAgainstEachOther', { problem: form.errorOf('settings') })}
        </p>
      )}
      {form.fault && <ErrorBand error={form.fault} />}
      <div className="row">
        <Button
          type="submit"
          variant="contained"
          disabled={form.busy || form.now.name.trim() === '' || who.trim() === ''}
        >
          {say('regimen.keepItAndPlanByIt')}
        </Button>
        <Button onClick={left}>{say('regimen.leaveIt')}</Button>
      </div>
    </form>
  )
}

function differs(methods: Method[], chosen: string, id: string, question: number): boolean {
  const own = methods.find((m) => m.id === chosen)?.answers[question]?.answer
  return id !== chosen && methods.find((m) => m.id === id)?.answers[question]?.answer !== own
}
