import Button from '@mui/material/Button'
import type { Part, Regimen } from '../api/client'
import { useProductsNamed } from '../api/hooks'
import type { VisitContext } from '../visit/VisitShell'
import { release } from './byHandEdits'

/** What was changed by hand, each with its way back, and what a rule did not let in. */
export function ByHand({ context, regimen }: { context: VisitContext; regimen: Regimen }) {
  const { work } = context
  const document = work.draft.document
  const entries = [
    ...document.pins.map((c) => ({ ...c, words: 'put in' })),
    ...document.takenOut.map((c) => ({ ...c, words: 'taken out' })),
  ]
  const named = useProductsNamed(entries.map((e) => e.product))
  const name = (id: string) => named.find((q) => q.data?.product.id === id)?.data?.product.name ?? id
  if (entries.length === 0) return null
  const refusal = (part: Part, product: string) =>
    regimen.refusals.find((r) => r.part === part && r.product === product)
  return (
    <section className="by-hand" aria-label="Changed by hand">
      <h2>By hand</h2>
      <ul>
        {entries.map((c) => (
          <li key={c.words + c.part + c.product}>
            <span>
              {name(c.product)}, {c.words} in the {c.part.toLowerCase()}
              {refusal(c.part, c.product) && (
                <b className="refusal"> Not followed: {refusal(c.part, c.product)?.because.sentence}</b>
              )}
            </span>
            <Button onClick={() => work.change((d) => release(d, c.part, c.product))}>Undo</Button>
          </li>
        ))}
      </ul>
    </section>
  )
}
