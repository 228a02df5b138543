import { Link, useSearchParams } from 'react-router'
import { useComparison, useProductsNamed } from '../api/hooks'
import { ErrorBand, Fetching } from '../shared/States'
import { Bands, Key, PatternSet } from '../strip/Bands'
import { say } from '../words/say'
import '../words/products'
import './products.css'

/** Two to four products side by side; rows in which they part stand out. */
export default function ComparePage() {
  const [params] = useSearchParams()
  const ids = params.getAll('ids')
  const rows = useComparison(ids)
  const chosen = useProductsNamed(ids).map((q) => q.data?.product)
  return (
    <div className="page">
      <PatternSet />
      <div className="desk-head">
        <h1>{say('products.sideBySide')}</h1>
        <Link to={`/products?${ids.map((id) => `compare=${encodeURIComponent(id)}`).join('&')}`}>
          {say('products.chooseOthers')}
        </Link>
      </div>
      {rows.isError && <ErrorBand error={rows.error} again={() => void rows.refetch()} />}
      {ids.length < 2 && <p>{say('products.twoToFourProductsCanBeLaid')}</p>}
      {rows.isLoading && <Fetching what={say('products.theComparison')} />}
      {rows.data && (
        <div className="compare-wide">
          <table className="compare">
            <thead>
              <tr>
                <td />
                {chosen.map((p, i) => (
                  <th key={ids[i]} scope="col">
                    {p && (
                      <svg width="40" height="40" aria-hidden="true">
                        <Bands shares={p.shares} x={0} y={0} width={40} height={40} />
                        <rect x="0.5" y="0.5" width="39" height="39" fill="none" stroke="var(--ink)" />
                      </svg>
                    )}
                    <Link to={`/products/${ids[i]}`}>{p?.name ?? ids[i]}</Link>
                    <span className="second">{p?.maker}</span>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.data.map((r) => (
                <tr key={r.label} className={r.differs ? 'parts' : ''}>
                  <th scope="row">{r.label}</th>
                  {r.values.map((v, i) => (
                    <td key={ids[i]}>{v}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
          <p className="second">{say('products.aBarAtTheLeftMarksThe')}</p>
          <Key />
        </div>
      )}
    </div>
  )
}
