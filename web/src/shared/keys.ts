import { useHotkeys } from 'react-hotkeys-hook'

type On = boolean | ((event: KeyboardEvent) => boolean)

/**
 * How keys are listened to, for every shortcut. In a field that is typed into the keys belong to the field.
 *
 * @param keys as printed on the key: "?", "z", "arrowleft", "delete", "mod+z", "alt+1"; several are parted by a comma
 * @param on whether they mean anything now; while they do not, they stay the browser's
 */
export function useKeys(keys: string, act: (event: KeyboardEvent) => void, on: On = true) {
  const combined = keys.includes('+')
  const signs = keys.split(',').every((key) => key.length === 1)
  useHotkeys(keys, act, {
    enabled: on,
    preventDefault: (event) => typeof on === 'boolean' || on(event),
    // with Alt or Escape nothing is typed, so that these go from within a field too
    enableOnFormTags: keys.startsWith('alt') || keys === 'escape',
    // a lone sign is what it prints on this keyboard, with Shift or without; with Alt and Ctrl the place counts
    useKey: !combined,
    ignoreModifiers: signs,
    ignoreEventWhen: (event) => signs && isCommand(event),
  })
}

/** A sign that is typed with AltGr is a sign; with Ctrl, Alt or Command it is the browser's own. */
const isCommand = (event: KeyboardEvent) =>
  (event.ctrlKey || event.metaKey || event.altKey) && !event.getModifierState('AltGraph')
