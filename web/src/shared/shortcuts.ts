import { useSyncExternalStore } from 'react'
import { say } from '../words/say'
import '../words/app'
import '../words/keys'
import { useKeys } from './keys'

export type Place = 'everywhere' | 'visit' | 'read' | 'regimen' | 'nights' | 'year' | 'sheet'

type Shortcut = {
  place: Place
  does: string
  /** as long as nobody has changed it; several keys that do the same, or a row of them, are parted by a comma */
  keys: string
  /** arrows, Escape and digits are what everybody expects there */
  fixed?: true
}

/** Every shortcut there is: what listens, what the list of keys shows, and what may be changed. */
export const SHORTCUTS = {
  keys: { place: 'everywhere', does: say('keys.theseKeys'), keys: '?' },
  find: { place: 'everywhere', does: say('keys.findAClient'), keys: '/' },
  desk: { place: 'everywhere', does: say('keys.theDesk'), keys: 'alt+d' },
  talk: { place: 'visit', does: say('app.talk'), keys: 'alt+1' },
  read: { place: 'visit', does: say('app.read'), keys: 'alt+2' },
  regimen: { place: 'visit', does: say('app.regimen'), keys: 'alt+3' },
  nights: { place: 'visit', does: say('app.nights'), keys: 'alt+4' },
  year: { place: 'visit', does: say('app.year'), keys: 'alt+5' },
  sheet: { place: 'visit', does: say('app.sheet'), keys: 'alt+6' },
  undo: { place: 'visit', does: say('keys.undo'), keys: 'mod+z', fixed: true },
  redo: { place: 'visit', does: say('keys.redo'), keys: 'mod+shift+z', fixed: true },
  grade: { place: 'read', does: say('keys.gradeTheZone'), keys: '0,1,2,3,4', fixed: true },
  zoneAfter: { place: 'read', does: say('keys.nextZone'), keys: 'arrowright,arrowdown', fixed: true },
  zoneBefore: { place: 'read', does: say('keys.zoneBefore'), keys: 'arrowleft,arrowup', fixed: true },
  signAfter: { place: 'read', does: say('keys.nextSign'), keys: ']' },
  signBefore: { place: 'read', does: say('keys.signBefore'), keys: '[' },
  alike: { place: 'read', does: say('keys.bothSidesAlike'), keys: 'm' },
  restNone: { place: 'read', does: say('keys.theRestIsNone'), keys: 'r' },
  asLastTime: { place: 'read', does: say('keys.asLastTime'), keys: 'l' },
  howKnown: { place: 'read', does: say('keys.seenFeltTold'), keys: 'h' },
  ungrade: { place: 'read', does: say('keys.undo'), keys: 'z' },
  notLooked: { place: 'read', does: say('keys.notLookedAt'), keys: 'delete', fixed: true },
  stepAfter: { place: 'regimen', does: say('keys.nextStep'), keys: 'arrowright', fixed: true },
  stepBefore: { place: 'regimen', does: say('keys.stepBefore'), keys: 'arrowleft', fixed: true },
  closeStep: { place: 'regimen', does: say('keys.closeTheStep'), keys: 'escape', fixed: true },
  moveOn: {
    place: 'regimen',
    does: say('keys.moveTheStepOn'),
    keys: 'shift+arrowright,shift+arrowdown',
    fixed: true,
  },
  moveBack: {
    place: 'regimen',
    does: say('keys.moveTheStepBack'),
    keys: 'shift+arrowleft,shift+arrowup',
    fixed: true,
  },
  keep: { place: 'regimen', does: say('keys.keepTheStep'), keys: 'k' },
  takeOut: { place: 'regimen', does: say('keys.takeTheStepOut'), keys: 'delete', fixed: true },
  eveningAfter: { place: 'nights', does: say('keys.nextEvening'), keys: 'arrowright', fixed: true },
  eveningBefore: { place: 'nights', does: say('keys.eveningBefore'), keys: 'arrowleft', fixed: true },
  closeEvening: { place: 'nights', does: say('keys.closeTheEvening'), keys: 'escape', fixed: true },
  dateAfter: { place: 'year', does: say('keys.nextDate'), keys: 'arrowright', fixed: true },
  dateBefore: { place: 'year', does: say('keys.dateBefore'), keys: 'arrowleft', fixed: true },
  closeDate: { place: 'year', does: say('keys.closeTheDate'), keys: 'escape', fixed: true },
  print: { place: 'sheet', does: say('keys.print'), keys: 'p' },
} as const satisfies Record<string, Shortcut>

export type ShortcutId = keyof typeof SHORTCUTS
export const IDS = Object.keys(SHORTCUTS) as ShortcutId[]
export const shortcut = (id: ShortcutId): Shortcut => SHORTCUTS[id]

/** What somebody has made of the keys on this machine. */
type Own = { signsOff: boolean; changed: Partial<Record<ShortcutId, string>> }

const KEY = 'outfell.keys'
const NOTHING: Own = { signsOff: false, changed: {} }
const listeners = new Set<() => void>()
let own = kept()

function kept(): Own {
  try {
    return { ...NOTHING, ...(JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Own>) }
  } catch {
    return NOTHING
  }
}

function put(next: Own) {
  own = next
  try {
    localStorage.setItem(KEY, JSON.stringify(next))
  } catch {
    // a full or forbidden store costs the change at the next start, not now
  }
  listeners.forEach((tell) => tell())
}

function listen(tell: () => void) {
  listeners.add(tell)
  return () => listeners.delete(tell)
}

const useOwn = () => useSyncExternalStore(listen, () => own)
const keysOf = (id: ShortcutId, mine: Own) => mine.changed[id] ?? SHORTCUTS[id].keys

/** A sign by itself, which a voice or a slipped finger may type: those can be switched off. */
export const isLoneSign = (keys: string) => keys.split(',').every((key) => key.length === 1)

/**
 * Does something at the keys of a shortcut.
 *
 * @param on whether they mean anything now; while they do not, they stay the browser's
 */
export function useShortcut(
  id: ShortcutId,
  act: (event: KeyboardEvent) => void,
  on: boolean | ((event: KeyboardEvent) => boolean) = true,
) {
  const mine = useOwn()
  const keys = keysOf(id, mine)
  useKeys(keys, act, mine.signsOff && isLoneSign(keys) ? false : on)
}

/** The keys of a shortcut in words; '' where it is switched off. */
export function useKeyWords(id: ShortcutId) {
  const mine = useOwn()
  const keys = keysOf(id, mine)
  return mine.signsOff && isLoneSign(keys) ? '' : keyWords(keys)
}

/** The keys as they are on this machine, and what changes them. */
export function useOwnKeys() {
  const mine = useOwn()
  return {
    signsOff: mine.signsOff,
    isChanged: Object.keys(mine.changed).length > 0,
    keys: (id: ShortcutId) => keysOf(id, mine),
    switchSigns: (off: boolean) => put({ ...own, signsOff: off }),
    /** Sets a key, or says why it cannot be. */
    change: (id: ShortcutId, keys: string) => {
      const other = IDS.find((o) => o !== id && meets(o, id) && keysOf(o, own).split(',').includes(keys))
      if (other) return say('keys.isTaken', { key: keyWords(keys), does: SHORTCUTS[other].does })
      put({ ...own, changed: { ...own.changed, [id]: keys } })
      return null
    },
    asShipped: () => put({ ...own, changed: {} }),
  }
}

/** Whether two are ever listened to at once. */
function meets(one: ShortcutId, other: ShortcutId) {
  const [a, b] = [SHORTCUTS[one].place, SHORTCUTS[other].place]
  const wide = (p: Place) => p === 'everywhere' || p === 'visit'
  return a === b || wide(a) || wide(b)
}

/** The key that was pressed as a shortcut is written; null for one that can be none. */
export function pressed(e: Pick<KeyboardEvent, 'key' | 'code' | 'altKey' | 'ctrlKey' | 'metaKey'>) {
  if (e.ctrlKey || e.metaKey) return null
  if (e.altKey) {
    const place = /^(?:Key|Digit)(.)$/.exec(e.code)?.[1]
    return place ? `alt+${place.toLowerCase()}` : null
  }
  // a comma and a plus part keys from one another where they are written
  return e.key.length === 1 && !' ,+'.includes(e.key) ? e.key.toLowerCase() : null
}

const WORDS: Record<string, string> = {
  arrowleft: '←',
  arrowright: '→',
  arrowup: '↑',
  arrowdown: '↓',
  delete: say('keys.delete'),
  escape: say('keys.esc'),
  mod: say('keys.ctrl'),
  shift: say('keys.shift'),
  alt: say('keys.alt'),
}

export const keyWords = (keys: string) =>
  keys
    .split(',')
    .map((key) =>
      key
        .split('+')
        .map((part) => WORDS[part] ?? part.toUpperCase())
        .join(' '),
    )
    .join(', ')
