import type { Vocabulary } from '../api/client'

/** Every question on which schools differ, and what each method answers; the chosen one is marked. */
export function MethodTable({ methods, chosen }: { methods: Vocabulary['methods']; chosen: string }) {
  const questions = methods[0]?.answers ?? []
  return (
    <section className="method-table" aria-label="Methods side by side">
      <h2>What each method says</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">Question</th>
            {methods.map((m) => (
              <th key={m.id} scope="col" className={m.id === chosen ? 'chosen' : ''}>
                {m.name}
                {m.id === chosen && ' ✓'}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {questions.map((q, i) => (
            <tr key={q.id}>
              <th scope="row">{q.question}</th>
              {methods.map((m) => (
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
            <th scope="row">Why</th>
            {methods.map((m) => (
              <td key={m.id} className={m.id === chosen ? 'chosen' : ''}>
                {m.because.sentence}
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </section>
  )
}

function differs(methods: Vocabulary['methods'], chosen: string, id: string, question: number): boolean {
  const own = methods.find((m) => m.id === chosen)?.answers[question]?.answer
  return id !== chosen && methods.find((m) => m.id === id)?.answers[question]?.answer !== own
}
