import Button from '@mui/material/Button'
import type { Part, Regimen, Vocabulary } from '../api/client'
import { useProductsNamed } from '../api/hooks'
import { dayShort, partName } from '../shared/format'
import type { VisitContext } from '../visit/VisitShell'
import { AgainstComputed } from './AgainstComputed'
import { release, type StepByHand } from './byHandEdits'
import { say } from '../words/say'
import '../words/regimen'

/** What is changed on a step, in a few words each. */
function inWords(s: StepByHand, { coverages, weeks }: Vocabulary, name: (id: string) => string): string[] {
  const when = weeks.conditions.find((c) => c.id === s.when?.kind)?.label
  const places = s.places ?? (s.on ? [s.on] : [])
  const on = coverages
    .filter((c) => places.includes(c.coverage))
    .map((c) => c.label)
    .join(', ')
  return [
    s.move && (s.move.why === '' ? say('regimen.isMoved') : say('regimen.moved', { why: s.move.why })),
    s.optional && say('regimen.mayBeLeftOut'),
    on !== '' && say('regimen.onlyOn', { on }),
    s.nights.length > 0 && say('regimen.onOnly', { join: s.nights.map(dayShort).join(', ') }),
    when !== undefined && say('regimen.onlyWhenAbout', { when, usual: s.when?.usual ?? 0 }),
    s.secondCoat && say('regimen.secondCoat'),
    ...(s.then ?? []).map((t) =>
      say('regimen.beside', {
        what: t.alone
          ? (weeks.alone.find((a) => a.id === t.alone)?.label.toLowerCase() ?? t.alone)
          : say('regimen.nameAgain', { name: name(t.again ?? '') }),
      }),
    ),
    s.words !== '' && say('regimen.inOwnWords', { words: s.words }),
  ].filter((x) => typeof x === 'string')
}

/** What was changed by hand, each with its way back, what a rule did not let in, and the computed plan beside it. */
export function ByHand({ context, regimen }: { context: VisitContext; regimen: Regimen }) {
  const { work, words } = context
  const { pins, takenOut, steps } = work.draft.document
  const changed = (part: Part, product: string) => steps.find((s) => s.part === part && s.product === product)
  const named = useProductsNamed([
    ...new Set([
      ...[...pins, ...takenOut, ...steps].map((c) => c.product),
      ...steps.flatMap((s) => s.then ?? []).flatMap((t) => t.again ?? []),
    ]),
  ])
  const name = (id: string) => named.find((q) => q.data?.product.id === id)?.data?.product.name ?? id
  const told = (s: StepByHand | undefined) => (s ? inWords(s, words, name) : [])
  const entries = [
    ...pins.map((c) => ({ ...c, words: [say('regimen.putInOrKept'), ...told(changed(c.part, c.product))] })),
    ...takenOut.map((c) => ({ ...c, words: [say('regimen.takenOut')] })),
    ...steps
      .filter((s) => !pins.some((p) => p.part === s.part && p.product === s.product))
      .map((s) => ({ ...s, words: told(s) })),
  ]
  if (entries.length === 0) return null
  const refusals = (part: Part, product: string) =>
    regimen.refusals.filter((r) => r.part === part && r.product === product)
  return (
    <section className="by-hand" aria-label={say('regimen.changedByHand')}>
      <h2>{say('regimen.byHand')}</h2>
      <ul>
        {entries.map((c) => (
          <li key={c.words[0] + c.part + c.product}>
            <span>
              <b>{name(c.product)}</b>
              {say('regimen.inThe')}
              {partName(c.part).toLowerCase()}: {c.words.join('; ')}
              {refusals(c.part, c.product).map((r) => (
                <b key={r.because.sentence} className="refusal block">
                  {say('regimen.notFollowed', { sentence: r.because.sentence })}
                </b>
              ))}
            </span>
            <Button onClick={() => work.change((d) => release(d, c.part, c.product))}>
              {say('regimen.asComputed')}
            </Button>
          </li>
        ))}
      </ul>
      <AgainstComputed context={context} />
    </section>
  )
}
