import { useVocabulary } from '../api/hooks'
import type { Because } from '../api/client'

/** A reason as the core gave it, with its evidence in words and its source on demand. */
export function Why({
  because,
  quiet = false,
}: {
  /** the reason */
  because: Because
  /** without evidence and source */
  quiet?: boolean
}) {
  const words = useVocabulary().data
  const evidence = words?.evidence[because.evidence] ?? ''
  const source = words?.sources[because.source] ?? because.source
  return (
    <span>
      {because.sentence}
      {!quiet && (
        <span className="second" title={source}>
          {' '}
          ({evidence})
        </span>
      )}
    </span>
  )
}
