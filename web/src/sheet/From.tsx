import type { ReactNode } from 'react'
import { useHouse } from '../api/hooks'

/** Who a sheet or a note is from: the practice as its own page says it. */
export function From({ children }: { children?: ReactNode }) {
  const house = useHouse().data
  const details = house?.details
  // an address in one line: the sheet has one side
  const lines = [
    details?.address.replaceAll('\n', ', '),
    [details?.telephone, details?.hours].filter((part) => !!part).join(', '),
  ].filter((line) => !!line)
  return (
    <div className="paper-from">
      {house && house.mark !== '' && (
        <img src={`/api/practice/house/mark?v=${encodeURIComponent(house.markVersion)}`} alt="" />
      )}
      <p>
        {details?.name && (
          <>
            <b>{details.name}</b>
            <br />
          </>
        )}
        {lines.map((line) => (
          <span key={line} className="paper-line">
            {line}
          </span>
        ))}
        {children}
      </p>
    </div>
  )
}
