import { useHotkeys } from 'react-hotkeys-hook'

/**
 * One way for every shortcut. In a field that is typed into the keys belong to the field.
 *
 * @param keys as printed on the key: "?", "/", "z", "mod+z", "alt+1"; several are parted by a comma
 */
export function useShortcut(keys: string, act: (event: KeyboardEvent) => void, on = true) {
  const combined = keys.includes('+')
  useHotkeys(keys, act, {
    enabled: on,
    preventDefault: true,
    // with Alt nothing is typed, so that these go from within a field too
    enableOnFormTags: keys.startsWith('alt'),
    // a lone sign is what it prints on this keyboard; with Alt and Ctrl the place of the key counts
    useKey: !combined,
    ignoreModifiers: false,
  })
}
