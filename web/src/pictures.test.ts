import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

const PICTURES = join(import.meta.dirname, '../../docs/screenshots')
const TAKEN = join(PICTURES, 'taken.json')

const read = <T>(path: string) => JSON.parse(readFileSync(path, 'utf8')) as T
/** What each picture shows: the files that draw it. */
const views = read<Record<string, string[]>>(join(PICTURES, 'views.json'))

/** What draws a view and the picture of it, as one word that changes with either. */
const looked = (picture: string, files: string[]) => {
  const hash = createHash('sha256')
  for (const file of files) hash.update(readFileSync(join(import.meta.dirname, file)))
  return hash
    .update(readFileSync(join(PICTURES, `${picture}.png`)))
    .digest('hex')
    .slice(0, 16)
}

test('every picture says what it shows, and every view that is named is there', () => {
  const pictures = readdirSync(PICTURES)
    .filter((name) => name.endsWith('.png'))
    .map((name) => name.replace('.png', ''))
  expect(Object.keys(views).sort()).toEqual(pictures.sort())
  expect(
    Object.values(views)
      .flat()
      .filter((file) => !existsSync(join(import.meta.dirname, file))),
  ).toEqual([])
})

/** Named by who has looked: OUTFELL_LOOKED=talk,sheet or =all writes down that these pictures are as the view is now. */
test('no picture is older than the view that it shows', () => {
  const asked = process.env.OUTFELL_LOOKED?.split(',') ?? []
  const taken = existsSync(TAKEN) ? read<Record<string, string>>(TAKEN) : {}
  for (const [picture, files] of Object.entries(views)) {
    if (asked.includes(picture) || asked.includes('all')) taken[picture] = looked(picture, files)
  }
  if (asked.length > 0) writeFileSync(TAKEN, `${JSON.stringify(taken, null, 2)}\n`)
  const stale = Object.entries(views)
    .filter(([picture, files]) => taken[picture] !== looked(picture, files))
    .map(([picture]) => picture)
  expect(stale, 'take these pictures anew, look at them, then say so with OUTFELL_LOOKED').toEqual([])
})
