import Button from '@mui/material/Button'
import { useVocabulary } from '../api/hooks'
import type { Regimen, Step } from '../api/client'
import { sometimes } from '../shared/format'
import { FILL_WORDS } from './Bands'
import { say } from '../words/say'
import '../words/lesson'

const names = (steps: Step[]) => [...new Set(steps.map((s) => s.name))].join(', ')
/** Where it stands, or that it does not. */
const here = (steps: Step[]) =>
  steps.length === 0 ? say('lesson.noneHere') : say('lesson.here', { names: names(steps) })

/** Everything that a strip says without words, told once, each by what stands in this plan. */
export function Lesson({ regimen, close }: { regimen: Regimen; close: () => void }) {
  const actives = useVocabulary().data?.actives ?? []
  const { morning, evening } = regimen
  const steps = [...morning.steps, ...evening.steps]
  const on = steps.filter((s) => !s.comesOff)
  const richest = [...on].sort((a, b) => b.texture - a.texture)[0]
  const letters = [...new Set(steps.map((s) => s.letter).filter((l) => l !== ''))].sort()
  const called = (letter: string) =>
    say('lesson.letterIs', {
      letter,
      active: actives
        .filter((a) => a.letter === letter)
        .map((a) => a.label)
        .join(' / '),
    })
  const told: { id: string; code: string; example: string }[] = [
    {
      id: 'order',
      code: say('lesson.order'),
      example: say('lesson.orderHere', {
        off: evening.steps.filter((s) => s.comesOff).length,
        on: evening.steps.filter((s) => !s.comesOff).length,
      }),
    },
    { id: 'dots', code: say('lesson.dots'), example: here(evening.steps.filter((s) => s.comesOff)) },
    {
      id: 'width',
      code: say('lesson.width'),
      example: richest ? say('lesson.widthHere', { name: richest.name }) : say('lesson.noneHere'),
    },
    {
      id: 'bands',
      code: say('lesson.bands'),
      example: richest
        ? say('lesson.bandsHere', { name: richest.name, parts: partsOf(richest) })
        : say('lesson.noneHere'),
    },
    { id: 'half', code: say('lesson.half'), example: here(on.filter((s) => s.part !== '')) },
    { id: 'dashed', code: say('lesson.dashed'), example: here(steps.filter(sometimes)) },
    {
      id: 'letters',
      code: say('lesson.letters'),
      example:
        letters.length === 0
          ? say('lesson.noneHere')
          : say('lesson.here', { names: letters.map(called).join(', ') }),
    },
    { id: 'beside', code: say('lesson.beside'), example: here(steps.filter((s) => s.then.length > 0)) },
    {
      id: 'time',
      code: say('lesson.time'),
      example: say('lesson.timeHere', {
        minutes: evening.timeline.minutes,
        limit: evening.timeline.limitMinutes,
      }),
    },
    { id: 'touch', code: say('lesson.touch'), example: '' },
  ]
  return (
    <section className="lesson" aria-label={say('lesson.title')}>
      <div className="row">
        <h2 tabIndex={-1} ref={(heading) => heading?.focus()}>
          {say('lesson.title')}
        </h2>
        <Button onClick={close}>{say('lesson.close')}</Button>
      </div>
      <ol>
        {told.map(({ id, code, example }) => (
          <li key={id}>
            {code} <b>{example}</b>
          </li>
        ))}
      </ol>
    </section>
  )
}

/** What a layer is made of, in its parts, in the order in which they are drawn. */
function partsOf({ shares }: Step) {
  const parts = [shares.water, shares.oils, shares.sealing, shares.filter]
  return FILL_WORDS.filter((_, i) => (parts[i] ?? 0) > 0).join(', ')
}
