import { lazy, Suspense, type ComponentType } from 'react'

/**
 * A part that the first picture does without. It is fetched when the machine has nothing else to do, so that it is there when
 * somebody opens it.
 *
 * @param pick which part of what is fetched
 * @param Place what stands there until then; nothing when it is not said
 */
export function later<Fetched, P extends object>(
  fetch: () => Promise<Fetched>,
  pick: (fetched: Fetched) => ComponentType<P>,
  Place: ComponentType<P> = () => null,
) {
  const Part = lazy(async () => ({ default: pick(await fetch()) }))
  const soon = window.requestIdleCallback ?? ((then: () => void) => window.setTimeout(then))
  // not fetched now it is fetched when it is opened
  soon(() => void fetch().catch(() => undefined))
  return function Later(props: P) {
    return (
      <Suspense fallback={<Place {...props} />}>
        <Part {...props} />
      </Suspense>
    )
  }
}
