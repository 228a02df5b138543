import i18next from 'i18next'
import en from './en.json'

export type Key = keyof typeof en
type Values = Record<string, string | number | boolean | null | undefined>

/** Every language is one file beside this one, named by its code. */
const FILES = import.meta.glob<Record<string, string>>('./*.json', { eager: true, import: 'default' })

const KEPT = 'outfell.language'
/** No language: every word marked and two fifths longer, so that a word left in code, or one that does not fit, is seen. */
export const PSEUDO = 'en-XA'

export const languages = () => Object.keys(FILES).map((file) => file.slice(2, -5))

const LONGER = 0.4

function chosen() {
  try {
    return localStorage.getItem(KEPT) ?? 'en'
  } catch {
    return 'en'
  }
}

const words = i18next.createInstance()
void words.init({
  lng: chosen(),
  fallbackLng: 'en',
  keySeparator: false,
  nsSeparator: false,
  interpolation: { escapeValue: false },
  resources: {
    ...Object.fromEntries(
      Object.entries(FILES).map(([file, all]) => [file.slice(2, -5), { translation: all }]),
    ),
    [PSEUDO]: {
      translation: Object.fromEntries(Object.entries(en).map(([key, text]) => [key, pseudo(text)])),
    },
  },
})

/** The words of the screens, in the language of this practice. */
export const say = (key: Key, values?: Values): string => words.t(key, values ?? {})

/**
 * Speaks the practice's language from the next page on.
 *
 * @returns whether that is another than now, so that the page has to be opened anew
 */
export function speak(language: string): boolean {
  if (language === words.language) return false
  try {
    localStorage.setItem(KEPT, language)
  } catch {
    return false
  }
  return languages().includes(language) || language === PSEUDO
}

/** The text in brackets and two fifths longer, in words no longer than words are; what is put in stays as it is. */
export function pseudo(text: string): string {
  const letters = text.replace(/\{\{\w+\}\}/g, '').length
  const more = '~'.repeat(Math.ceil(letters * LONGER)).replace(/~{9}(?=~)/g, '$& ')
  return `[${text}${more}]`
}
