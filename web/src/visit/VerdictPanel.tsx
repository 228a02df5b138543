import type { Sign, Verdict, Zone } from '../api/client'
import { capital } from '../shared/format'
import { Why } from '../shared/Why'

const SHOWN = 5

/** What the reading says, each line with its reason; it prints, it computes nothing. */
export function VerdictPanel({
  verdict,
  label,
  looked,
  show,
}: {
  verdict: Verdict | undefined
  label: (zone: Zone) => string
  /** how many grades there are */
  looked: number
  /** opens a sign that is still missing */
  show: (sign: Sign) => void
}) {
  if (!verdict) return <p className="second">Weighing what was read</p>
  const { barrier, sensitivity } = verdict
  return (
    <div aria-live="polite">
      <p className="second">
        Skin type, from {looked} {looked === 1 ? 'grade' : 'grades'}
        {verdict.typeKnown === 'TOLD' && `, ${verdict.confidence.toLowerCase()} confidence`}
      </p>
      <h1>{capital(verdict.type)}</h1>
      {verdict.zones.length > 0 && (
        <div className="zonetypes">
          {verdict.zones.map((z) => (
            <div key={z.zone} title={z.because.sentence}>
              <span className="second">{label(z.zone)}</span>
              <br />
              <b>{z.band.toLowerCase()}</b>
            </div>
          ))}
        </div>
      )}
      <p>
        <Why because={verdict.typeBecause} />
      </p>
      {verdict.flags.map((f) => (
        <p key={f} className="second">
          {f}
        </p>
      ))}
      {verdict.contradictions.map((c) => (
        <p key={c.sentence} className="look">
          <b>These two disagree.</b> {c.sentence}
        </p>
      ))}
      <div className="line">
        <h2>Water: {verdict.water}</h2>
        {verdict.dehydrated && <span className="second">a condition, not a type</span>}
        <p>
          <Why because={verdict.waterBecause} />
        </p>
      </div>
      <div className="line">
        <h2>
          Barrier: {barrier.state === 'NOT_YET' ? 'not known yet' : barrier.state.toLowerCase()}
          {barrier.index >= 0 && `, ${barrier.index} of 100`}
        </h2>
        {barrier.index >= 0 && <Gauge index={barrier.index} />}
        <p>
          <Why because={barrier.because} />
        </p>
      </div>
      <div className="line">
        <h2>
          {sensitivity.treatAsSensitive
            ? 'Treat as sensitive'
            : capital(
                sensitivity.band === 'NOT_YET'
                  ? 'Sensitivity not known yet'
                  : sensitivity.band.toLowerCase().replace('_', ' '),
              )}
        </h2>
        <p>
          <Why because={sensitivity.because} />
        </p>
      </div>
      <div className="line">
        <h2>Concerns, heaviest first</h2>
        {verdict.concerns.length === 0 && <p className="second">None so far.</p>}
        <ul>
          {verdict.concerns.slice(0, SHOWN).map((c) => (
            <li key={c.name} className="concern">
              <b>{capital(c.name)}</b>
              <span className="bar" aria-hidden="true">
                <i style={{ width: `${c.ranked.weight}%` }} />
              </span>
              <span>{Math.round(c.ranked.weight)}</span>
              <p>{c.ranked.because.sentence}</p>
            </li>
          ))}
        </ul>
        {verdict.concerns.length > SHOWN && (
          <p className="second">
            Lighter:{' '}
            {verdict.concerns
              .slice(SHOWN)
              .map((c) => c.name)
              .join(', ')}
            .
          </p>
        )}
      </div>
      {verdict.missing.length > 0 && (
        <div className="line">
          <h2>Still missing</h2>
          <div className="missing" style={{ marginTop: 6 }}>
            {verdict.missing.slice(0, 6).map((m) => (
              <button key={m.what} type="button" onClick={() => show(m.sign)} title={m.settles}>
                {m.what}
              </button>
            ))}
          </div>
          <p className="second" style={{ marginTop: 6 }}>
            {verdict.missing[0]?.what} {verdict.missing[0]?.settles}.
          </p>
        </div>
      )}
    </div>
  )
}

/** The barrier index on its three states; the skin's own colour is used for nothing else. */
function Gauge({ index }: { index: number }) {
  return (
    <svg className="gauge" viewBox="0 0 300 34" preserveAspectRatio="none" aria-hidden="true">
      <rect x="0" y="10" width="150" height="14" fill="var(--skin0)" opacity="0.35" />
      <rect x="150" y="10" width="75" height="14" fill="var(--skin0)" opacity="0.7" />
      <rect x="225" y="10" width="75" height="14" fill="var(--skin0)" />
      <path d="M150 10v14M225 10v14" stroke="var(--skin)" strokeWidth="1.5" />
      <rect x="0.5" y="10" width="299" height="14" fill="none" stroke="var(--edge)" />
      <path d={`M${index * 3 - 6} 0h12l-6 9z`} fill="var(--ink)" />
    </svg>
  )
}
