import type { Schemas } from '../api/client'
import { DirectionField } from '../shared/DirectionField'
import { Why } from '../shared/Why'
import { say } from '../words/say'
import '../words/products'

type Detail = Schemas['Detail']
type Direction = Schemas['DirectionOf']
type Correction = Schemas['Correction']

/** What the pack directs: what is known with who says it, and each can be said by hand. */
export function Directed({
  detail,
  disabled,
  right,
}: {
  detail: Detail
  disabled: boolean
  right: (about: Correction['about'], of: string, to: string) => void
}) {
  const { directions } = detail.product
  return (
    <section aria-label={say('products.whatThePackDirects')} className="directed">
      <h3>{say('products.whatThePackDirects')}</h3>
      <p className="second">{say('products.directionsHint')}</p>
      <ul>
        {directions.map((d) => (
          <li key={d.direction}>
            <span>
              {d.question}{' '}
              {d.because ? (
                <>
                  <b>{d.words}</b>. <Why because={d.because} quiet />
                </>
              ) : (
                <span className="second">{say('products.notKnownOfPack')}</span>
              )}
            </span>
            <DirectionField
              key={d.value}
              direction={d}
              disabled={disabled}
              take={(to) => right('DIRECTION', d.direction, to)}
            />
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What was said by hand of one direction, in words. */
export function directedWords(directions: Direction[], c: Correction): string {
  const of = directions.find((d) => d.direction === c.of)
  const question = of?.question ?? c.of
  return c.to === ''
    ? say('products.directionSilent', { question })
    : say('products.directionIs', {
        question,
        to: of?.value === c.to ? of.words : c.to,
      })
}
