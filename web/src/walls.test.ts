import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join, normalize, sep } from 'node:path'

const SRC = join(import.meta.dirname)

/** What stands under everything, from the lowest: each may use those before it, and none of the rest. */
const GROUND = ['words', 'api', 'shared', 'strip']

/** Which folders use which, each with one file that does. */
function uses() {
  const all = new Map<string, Map<string, string>>()
  for (const path of readdirSync(SRC, { recursive: true, encoding: 'utf8' })) {
    if (!/\.tsx?$/.test(path) || /\.test\./.test(path) || !path.includes(sep)) continue
    const from = path.split(sep)[0] ?? ''
    const code = readFileSync(join(SRC, path), 'utf8')
    for (const [, named = ''] of code.matchAll(/(?:from|import)\s*\(?'(\.[^']*)'/g)) {
      const to = normalize(join(dirname(path), named)).split(sep)[0] ?? ''
      if (to !== from) all.set(from, (all.get(from) ?? new Map<string, string>()).set(to, path))
    }
  }
  return all
}

test('no folder stands on one that stands on it, over however many others', () => {
  const all = uses()
  const circles: string[] = []
  const walk = (at: string, way: string[]) => {
    if (way.includes(at)) {
      circles.push([...way.slice(way.indexOf(at)), at].join(' > '))
      return
    }
    for (const next of all.get(at)?.keys() ?? []) walk(next, [...way, at])
  }
  for (const folder of all.keys()) walk(folder, [])
  expect([...new Set(circles)]).toEqual([])
})

test('what stands under everything uses nothing of what stands on it', () => {
  const all = uses()
  const wrong = GROUND.flatMap((folder, i) =>
    [...(all.get(folder) ?? [])]
      .filter(([used]) => !GROUND.slice(0, i).includes(used))
      .map(([used, path]) => `${path} uses ${used}`),
  )
  expect(wrong).toEqual([])
})

test('only the front door opens pages', () => {
  const pages = ['app']
  const wrong = [...uses()].flatMap(([folder, used]) =>
    pages.filter((page) => used.has(page)).map((page) => `${folder} uses ${page}`),
  )
  expect(wrong).toEqual([])
})
