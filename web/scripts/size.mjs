// What a view sends over the wire before it can be drawn, in script packed with Brotli, held against its budget.
import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'

const BUDGETS = [
  // 200 is the aim; the form of a new client stands in it, so that no letter typed after opening it is lost
  { view: 'first screen', parts: ['index'], kB: 200 },
  { view: 'Regimen', parts: ['index', 'VisitShell', 'RegimenPage'], kB: 260 },
]
// an import that is waited for: what is fetched later stands in brackets
const STATIC = /(?:import|from)\s*["']\.\/([^"']+\.js)["']/g

const folder = join(process.argv[2], 'assets')
const files = readdirSync(folder)
const page = readFileSync(join(process.argv[2], 'index.html'), 'utf8')

function chunkOf(part) {
  const named = files.filter((f) => f.startsWith(`${part}-`) && f.endsWith('.js'))
  const found = named.length === 1 ? named : named.filter((f) => page.includes(`src="/assets/${f}"`))
  if (found.length !== 1) throw new Error(`There is no one script of ${part}: ${named.join(', ') || 'none'}.`)
  return found[0]
}

function withImports(file, all = new Set()) {
  if (all.has(file)) return all
  all.add(file)
  for (const [, next] of readFileSync(join(folder, file), 'utf8').matchAll(STATIC)) withImports(next, all)
  return all
}

function packed(file) {
  return statSync(join(folder, files.includes(`${file}.br`) ? `${file}.br` : file)).size
}

let over = false
for (const { view, parts, kB } of BUDGETS) {
  const scripts = new Set(parts.flatMap((part) => [...withImports(chunkOf(part))]))
  const sum = [...scripts].reduce((bytes, file) => bytes + packed(file), 0) / 1000
  over ||= sum > kB
  console.log(`${view}: ${sum.toFixed(1)} kB of ${kB} kB, in ${scripts.size} scripts${sum > kB ? ': over its budget' : ''}`)
}
process.exit(over ? 1 : 0)
