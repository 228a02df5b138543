import { useEffect, useRef } from 'react'
import { useLocation } from 'react-router'
import { say } from '../words/say'
import '../words/app'

const PAGE = 'page'

/** The first stop by Tab: past the bar, to what the page is about. */
export const SkipLink = () => (
  <a
    className="skip-link"
    href={`#${PAGE}`}
    onClick={(e) => {
      e.preventDefault()
      focusOn(heading())
    }}
  >
    {say('app.skipToThePage')}
  </a>
)

/**
 * Each step has a title of its own and begins at its heading: there the focus goes, so that it is read out and Tab goes on from
 * there. Where something on the page has taken the focus itself, or something is being typed anywhere, it stays; on the first page the browser's own place stands.
 */
export function Arrival() {
  const { pathname } = useLocation()
  const first = useRef(true)
  useEffect(() => {
    const opened = first.current
    first.current = false
    const arrive = () => {
      const at = heading()
      if (!at) return false
      // a client's name belongs in no list of pages that were open
      document.title = say('app.titleOf', { page: at.dataset.title ?? at.textContent })
      if (!opened && !isTaken(document.activeElement)) focusOn(at)
      return true
    }
    if (arrive()) return
    const waiting = new MutationObserver(() => arrive() && waiting.disconnect())
    waiting.observe(document.body, { childList: true, subtree: true })
    return () => waiting.disconnect()
  }, [pathname])
  return null
}

const heading = () => document.querySelector<HTMLElement>('main h1')
const isTaken = (focused: Element | null) => !!focused?.closest('main, [role="dialog"], input, textarea')

function focusOn(at: HTMLElement | null) {
  if (!at) return
  // a heading is no control: it takes the focus, and is no stop by Tab
  at.tabIndex = -1
  at.focus()
}
