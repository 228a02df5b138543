import { useSyncExternalStore } from 'react'

const KEY = 'outfell.settings'

/** How this machine shows and prints: hers, and not the client's. */
export type Settings = {
  letters: 'usual' | 'large'
  /** light, dark, or as the machine has it */
  light: 'machine' | 'light' | 'dark'
  /** of the sheet, which is the client's to read */
  sheetLetters: 'usual' | 'large'
  /** how the sheet lies */
  paper: 'across' | 'upright'
  /** whether a sheet has boxes to tick */
  boxes: boolean
  /** whether a sheet has room to write */
  room: boolean
  /** whether what one side has no room for is printed on the back */
  back: boolean
}

const USUAL: Settings = {
  letters: 'usual',
  light: 'machine',
  sheetLetters: 'usual',
  paper: 'across',
  boxes: false,
  room: false,
  back: false,
}

const listeners = new Set<() => void>()
let settings = kept()

function kept(): Settings {
  try {
    return { ...USUAL, ...(JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Settings>) }
  } catch {
    return USUAL
  }
}

/** The page takes letters and light from its root. */
function show({ letters, light }: Settings) {
  const root = document.documentElement.dataset
  root.letters = letters
  root.light = light
}
show(settings)

function change(edit: Partial<Settings>) {
  settings = { ...settings, ...edit }
  show(settings)
  try {
    localStorage.setItem(KEY, JSON.stringify(settings))
  } catch {
    // a full or forbidden store costs the habit, not the choice
  }
  listeners.forEach((tell) => tell())
}

function listen(tell: () => void) {
  listeners.add(tell)
  return () => listeners.delete(tell)
}

/** What is chosen on this machine, and how it is chosen otherwise. */
export const useSettings = (): [Settings, (edit: Partial<Settings>) => void] => [
  useSyncExternalStore(listen, () => settings),
  change,
]
