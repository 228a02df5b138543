import { lazy, Suspense, useState, type ComponentType } from 'react'

/**
 * A part that the first picture does without. It is fetched right after, so that it is there when somebody opens it.
 *
 * @param pick which part of what is fetched
 * @param Place what stands there until then; nothing when it is not said
 */
export function later<Fetched, P extends object>(
  fetch: () => Promise<Fetched>,
  pick: (fetched: Fetched) => ComponentType<P>,
  Place: ComponentType<P> = () => null,
) {
  let Ready: ComponentType<P> | undefined
  const get = async () => {
    Ready = pick(await fetch())
    return Ready
  }
  const Part = lazy(async () => ({ default: await get() }))
  // not fetched now it is fetched when it is opened
  void get().catch(() => undefined)
  return function Later(props: P) {
    // once it is there it is drawn at once, so that what is typed after opening it goes into it
    const [Now] = useState(() => Ready)
    return Now ? (
      <Now {...props} />
    ) : (
      <Suspense fallback={<Place {...props} />}>
        <Part {...props} />
      </Suspense>
    )
  }
}
