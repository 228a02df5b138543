import i18next from 'i18next'
import type api from './en/api.json'
import type app from './en/app.json'
import type around from './en/around.json'
import type behind from './en/behind.json'
import type changes from './en/changes.json'
import type client from './en/client.json'
import type desk from './en/desk.json'
import type files from './en/files.json'
import type ingredients from './en/ingredients.json'
import type keys from './en/keys.json'
import type lesson from './en/lesson.json'
import type docket from './en/docket.json'
import type patch from './en/patch.json'
import type places from './en/places.json'
import type practice from './en/practice.json'
import type products from './en/products.json'
import type regimen from './en/regimen.json'
import type shared from './en/shared.json'
import type sheet from './en/sheet.json'
import type strip from './en/strip.json'
import type sun from './en/sun.json'
import type visit from './en/visit.json'
import type weather from './en/weather.json'
import type week from './en/week.json'
import type whatif from './en/whatif.json'
import type where from './en/where.json'
import type year from './en/year.json'

/** Words of one area of the screens in one language, by key. */
export type Words = Record<string, string>

export type Key = keyof (typeof api &
  typeof app &
  typeof around &
  typeof behind &
  typeof changes &
  typeof client &
  typeof desk &
  typeof files &
  typeof ingredients &
  typeof keys &
  typeof lesson &
  typeof docket &
  typeof patch &
  typeof places &
  typeof practice &
  typeof products &
  typeof regimen &
  typeof shared &
  typeof sheet &
  typeof strip &
  typeof sun &
  typeof visit &
  typeof weather &
  typeof week &
  typeof whatif &
  typeof where &
  typeof year)
type Values = Record<string, string | number | boolean | null | undefined>

const KEPT = 'outfell.language'
/** No language: every word marked and two fifths longer, so that a word left in code, or one that does not fit, is seen. */
export const PSEUDO = 'en-XA'

const known = new Set<string>()

export const languages = () => [...known]

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
  resources: {},
})

/**
 * Takes in the words of one area, in every language there is. A language is a folder beside this file, named by its code; a screen
 * imports the areas that it speaks in, so that a view brings its own words along and the first one is not kept waiting for all.
 *
 * @param files by path, such as ./en/year.json
 */
export function learn(files: Record<string, Words>) {
  for (const [path, all] of Object.entries(files)) {
    const language = path.split('/')[1] ?? 'en'
    known.add(language)
    words.addResourceBundle(language, 'translation', all, true, true)
    if (language === 'en') {
      const marked = Object.fromEntries(Object.entries(all).map(([key, text]) => [key, pseudo(text)]))
      words.addResourceBundle(PSEUDO, 'translation', marked, true, true)
    }
  }
}

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
