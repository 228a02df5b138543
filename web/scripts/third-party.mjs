// Writes docs/third-party.md from the two lists of components, and says whether it differs from what stands there.
// Arguments: the Maven list, the npm list (both CycloneDX JSON), the page; --check only compares.
import { existsSync, readFileSync, writeFileSync } from 'node:fs'

const [maven, npm, page, mode] = process.argv.slice(2)

const licences = (component) =>
  (component.licenses ?? [])
    .map((l) => l.expression ?? l.license?.id ?? l.license?.name ?? 'not said')
    .join(', ') || 'not said'

const rows = (file) =>
  (JSON.parse(readFileSync(file, 'utf8')).components ?? [])
    // our own, and annotations that are left out of the jar
    .filter((c) => !['outfell', 'outfell-web', 'io.swagger.core.v3'].includes(c.group ?? c.name))
    .map((c) => ({ name: [c.group, c.name].filter(Boolean).join(c['bom-ref']?.startsWith('pkg:maven') ? ':' : '/'), version: c.version, licence: licences(c) }))
    .sort((a, b) => a.name.localeCompare(b.name) || String(a.version).localeCompare(String(b.version)))

const table = (all) =>
  ['| component | version | licence |', '|---|---|---|', ...all.map((r) => `| ${r.name} | ${r.version} | ${r.licence} |`)].join('\n')

const font = (name) => {
  const text = readFileSync(new URL(`../node_modules/@fontsource-variable/${name}/LICENSE`, import.meta.url), 'utf8')
  return '```text\n' + text.trim().replace(/[ \t]+$/gm, '') + '\n```'
}

const unsaid = [...rows(maven), ...rows(npm)].filter((r) => r.licence === 'not said')
if (unsaid.length > 0) {
  console.error(`No licence is said for ${unsaid.map((r) => r.name).join(', ')}.`)
  process.exit(1)
}

const text = `# What Outfell is built with

Everything that is in the shipped server, with its version and licence. Written by \`./outfell check\`, which also lays the
same lists as CycloneDX documents in \`target/components\`.

## In the server

${table(rows(maven))}

## In the screens

${table(rows(npm))}

## Fonts

Atkinson Hyperlegible Next:

${font('atkinson-hyperlegible-next')}

Bricolage Grotesque:

${font('bricolage-grotesque')}
`
const before = existsSync(page) ? readFileSync(page, 'utf8') : ''
if (before !== text) {
  writeFileSync(page, text)
  if (mode === '--check') {
    console.error(`${page} did not say what is shipped; it is written anew. Read it, and commit it.`)
    process.exit(1)
  }
}
