import type { Schemas } from '../api/client'
import { Why } from '../shared/Why'
import { say } from '../words/say'
import '../words/products'

/** What comes of a mixture: weights, harms, strengths, dilution, how long it keeps, what the sun gets through. */
export function MixedReading({ mixed }: { mixed: Schemas['MixedView'] }) {
  const refused = mixed.harms.filter((h) => h.refused)
  const minded = mixed.harms.filter((h) => !h.refused)
  return (
    <>
      {refused.length > 0 && (
        <div className="stop" role="alert">
          <b>{say('products.notOnAnybodySFace')}</b>
          {say('products.itMayStandOnTheShelfNo')}
          <Harms harms={refused} />
        </div>
      )}
      <h3>{say('products.altogether', { grams: grams(mixed.grams), kindLabel: mixed.product.kindLabel })}</h3>
      <table className="mix-shares">
        <tbody>
          {mixed.shares.map((s, i) => (
            <tr key={`${i}${s.name}`}>
              <th scope="row">{s.name}</th>
              <td>{s.words}</td>
              <td>{grams(s.grams)}</td>
              <td>{percent(s.percent)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {minded.length > 0 && (
        <div className="look">
          <b>{say('products.toMind')}</b>
          <Harms harms={minded} />
        </div>
      )}
      <ul className="dots mix-findings">
        {mixed.sun.map((s) => (
          <li key={s.name}>
            <b>{say('products.ofSpfToIsLeft', { spf: s.spf, careful: s.careful, hopeful: s.hopeful })}</b>{' '}
            {say('products.where')}
            {s.name}
            {say('products.is')}
            {percent(s.share)}
            {say('products.ofIt')}
            <Why because={s.because} quiet />
          </li>
        ))}
        {mixed.strengths.map((s) => (
          <li key={s.active + s.in}>
            <b>{s.active}</b>
            {say('products.of')}
            {s.in}: {s.before}
            {say('products.becomes')}
            {s.after}.
          </li>
        ))}
        {mixed.dilutions.map((d) => (
          <li key={d.oil}>
            <b>{d.oil}</b>
            {say('products.at')}
            {percent(d.percent)}.
          </li>
        ))}
        <li>
          <b>
            {mixed.keeps.days === 0
              ? say('products.forThisOnce')
              : say('products.keeps', { days: days(mixed.keeps.days) })}
            .
          </b>{' '}
          <Why because={mixed.keeps.because} quiet />
        </li>
        {mixed.because.map((b) => (
          <li key={b.sentence}>
            <Why because={b} />
          </li>
        ))}
      </ul>
    </>
  )
}

function Harms({ harms }: { harms: Schemas['Harm'][] }) {
  return (
    <ul>
      {harms.map((h) => (
        <li key={h.harm}>
          <b>{h.harm.charAt(0).toUpperCase() + h.harm.slice(1)}.</b> <Why because={h.because} />
        </li>
      ))}
    </ul>
  )
}

const grams = (g: number) => `${g < 1 ? g.toFixed(2) : g < 10 ? g.toFixed(1) : g.toFixed(0)} g`
const percent = (p: number) => `${p < 1 ? p.toFixed(2) : p < 10 ? p.toFixed(1) : p.toFixed(0)} %`
const days = (n: number) =>
  n === 1
    ? say('products.oneDay')
    : n < 60
      ? say('products.days', { n })
      : say('products.aboutMonths', { round: Math.round(n / 30) })
