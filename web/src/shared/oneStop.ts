import { useLayoutEffect, useRef, type FocusEvent, type KeyboardEvent } from 'react'

const WAYS: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }
const INSIDE = 'button:not(:disabled), a[href], [role="combobox"]:not([aria-disabled="true"])'

/** The key walks the group, and is not the way that a list of choices opens. */
const walks = (e: KeyboardEvent<HTMLElement>) =>
  !(
    (e.key === 'ArrowDown' || e.key === 'ArrowUp') &&
    (e.target as HTMLElement).closest('[role="combobox"]') !== null
  ) &&
  !(e.target instanceof HTMLInputElement) &&
  !(e.altKey || e.ctrlKey || e.metaKey || e.shiftKey)

/**
 * Makes the controls within an element one stop of the Tab key: arrows, Home and End walk from one to the next. The stop is
 * where the focus was last, else what is chosen, else the first. Their tab index is set on the elements themselves, since
 * most of them are another library's.
 *
 * @param before selector of what is stopped at before what is chosen, where there is one
 */
export function useOneStop<E extends HTMLElement>(before?: string) {
  const group = useRef<E>(null)
  const last = useRef<Element | null>(null)
  const all = () => [...(group.current?.querySelectorAll<HTMLElement>(INSIDE) ?? [])]
  const stopAt = (stop: HTMLElement | undefined) =>
    all().forEach((one) => {
      one.tabIndex = one === stop ? 0 : -1
    })
  useLayoutEffect(() => {
    const inside = all()
    stopAt(
      inside.find((one) => one === last.current) ??
        (before === undefined ? undefined : inside.find((one) => one.matches(before))) ??
        inside.find((one) => one.getAttribute('aria-pressed') === 'true') ??
        inside[0],
    )
  })
  return {
    ref: group,
    onFocus: (e: FocusEvent<E>) => {
      const at = all().find((one) => one.contains(e.target))
      if (!at) return
      last.current = at
      stopAt(at)
    },
    onKeyDown: (e: KeyboardEvent<E>) => {
      const inside = all()
      const at = inside.indexOf(e.target as HTMLElement)
      const way = WAYS[e.key]
      const to =
        e.key === 'Home'
          ? 0
          : e.key === 'End'
            ? inside.length - 1
            : way === undefined
              ? -1
              : (at + way + inside.length) % inside.length
      if (at < 0 || to < 0 || !walks(e)) return
      e.preventDefault()
      inside[to]?.focus()
    },
  }
}
