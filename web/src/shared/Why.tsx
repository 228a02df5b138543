import type { Because } from '../api/client'
import { Behind } from './Behind'

/** A reason as the core gave it; what stands behind it opens by a tap or a key. */
export function Why({
  because,
  quiet = false,
}: {
  /** the reason */
  because: Because
  /** without what stands behind it */
  quiet?: boolean
}) {
  return (
    <span>
      {because.sentence}
      {!quiet && (
        <>
          {' '}
          <Behind because={because} />
        </>
      )}
    </span>
  )
}
