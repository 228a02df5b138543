import Button from '@mui/material/Button'
import type { Part, Regimen, Vocabulary } from '../api/client'
import { useProductsNamed } from '../api/hooks'
import { dayShort } from '../shared/format'
import type { VisitContext } from '../visit/VisitShell'
import { AgainstComputed } from './AgainstComputed'
import { release, type StepByHand } from './byHandEdits'

/** What is changed on a step, in a few words each. */
function inWords(s: StepByHand, coverages: Vocabulary['coverages']): string[] {
  const on = coverages.find((c) => c.coverage === s.on)?.label
  return [
    s.move && (s.move.why === '' ? 'moved' : `moved: ${s.move.why}`),
    s.optional && 'may be left out',
    on !== undefined && `only on ${on}`,
    s.nights.length > 0 && `on ${s.nights.map(dayShort).join(', ')} only`,
    s.secondCoat && 'second coat',
    s.words !== '' && `in own words: ${s.words}`,
  ].filter((x) => typeof x === 'string')
}

/** What was changed by hand, each with its way back, what a rule did not let in, and the computed plan beside it. */
export function ByHand({ context, regimen }: { context: VisitContext; regimen: Regimen }) {
  const { work, words } = context
  const { pins, takenOut, steps } = work.draft.document
  const told = (s: StepByHand | undefined) => (s ? inWords(s, words.coverages) : [])
  const changed = (part: Part, product: string) => steps.find((s) => s.part === part && s.product === product)
  const entries = [
    ...pins.map((c) => ({ ...c, words: ['put in or kept', ...told(changed(c.part, c.product))] })),
    ...takenOut.map((c) => ({ ...c, words: ['taken out'] })),
    ...steps
      .filter((s) => !pins.some((p) => p.part === s.part && p.product === s.product))
      .map((s) => ({ ...s, words: told(s) })),
  ]
  const named = useProductsNamed(entries.map((e) => e.product))
  const name = (id: string) => named.find((q) => q.data?.product.id === id)?.data?.product.name ?? id
  if (entries.length === 0) return null
  const refusals = (part: Part, product: string) =>
    regimen.refusals.filter((r) => r.part === part && r.product === product)
  return (
    <section className="by-hand" aria-label="Changed by hand">
      <h2>By hand</h2>
      <ul>
        {entries.map((c) => (
          <li key={c.words[0] + c.part + c.product}>
            <span>
              <b>{name(c.product)}</b> in the {c.part.toLowerCase()}: {c.words.join('; ')}
              {refusals(c.part, c.product).map((r) => (
                <b key={r.because.sentence} className="refusal">
                  {' '}
                  Not followed: {r.because.sentence}
                </b>
              ))}
            </span>
            <Button onClick={() => work.change((d) => release(d, c.part, c.product))}>As computed</Button>
          </li>
        ))}
      </ul>
      <AgainstComputed context={context} />
    </section>
  )
}
