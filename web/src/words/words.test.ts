import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import './app'
import './desk'
import { languages, pseudo, say, type Words } from './say'

const SRC = join(__dirname, '..')
const EN = import.meta.glob<Words>('./en/*.json', { eager: true, import: 'default' })
const KEYS = Object.values(EN).flatMap((area) => Object.keys(area))
const READ_OUT = new Set([
  'label',
  'aria-label',
  'title',
  'alt',
  'placeholder',
  'helperText',
  'noOptionsText',
  'question',
  'what',
  'help',
  'hint',
])
const letters = (text: string) => /[A-Za-z]{2}/.test(text.replace(/&\w+;/g, ''))

/** Names of keys, what a server is asked to do, a unit as packs print it: no words of ours. */
const NO_WORDS = new Set(['Enter', 'Home', 'End', 'AltGraph', 'GET', 'POST', 'PUT', 'DELETE', 'fl oz'])
/** A capital letter and then small ones, or two words with a gap between them: that is said to somebody. */
const isSaid = (text: string) =>
  !NO_WORDS.has(text) && (/^[A-Z][a-z]+(\s|$)/.test(text) || /[a-z]{2,} [a-z]{2,}/i.test(text))
/** Attributes whose text nobody reads. */
const UNREAD =
  /^(className|style|sx|d|viewBox|preserveAspectRatio|transform|key|to|href|id|name|role|type|value)$/

function sources(folder = SRC): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name)
    if (statSync(path).isDirectory()) return name === 'api' ? [] : sources(path)
    return /\.tsx?$/.test(name) && !/\.test\.|setup|\.d\.ts/.test(name) ? [path] : []
  })
}

/** Words that stand in the code of a screen instead of in a language's file. */
function wordsIn(path: string): string[] {
  const source = ts.createSourceFile(
    path,
    readFileSync(path, 'utf8'),
    ts.ScriptTarget.Latest,
    true,
    path.endsWith('.tsx') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  )
  const found: string[] = []
  const keep = (text: string) => found.push(text.trim())
  const look = (node: ts.Node) => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isThrowStatement(node)) return
    if (ts.isJsxAttribute(node) && UNREAD.test(node.name.getText())) return
    if (ts.isCallExpression(node) && node.expression.getText() === 'say') {
      node.arguments.slice(1).forEach(look)
      return
    }
    if (ts.isJsxText(node) && letters(node.text)) keep(node.text)
    if (ts.isJsxAttribute(node) && READ_OUT.has(node.name.getText())) {
      const text = node.initializer
      if (text && ts.isStringLiteral(text) && letters(text.text)) keep(text.text)
    }
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
      if (isSaid(node.text)) keep(node.text)
    }
    if (ts.isTemplateExpression(node)) {
      const parts = [node.head.text, ...node.templateSpans.map((s) => s.literal.text)]
      if (parts.some((p) => /^ ?[a-z]{2,}( [a-z]+)* $/i.test(p) || / [a-z]{2,} ?$/i.test(p)))
        keep(node.getText())
    }
    if (ts.isJsxExpression(node) && !ts.isJsxAttribute(node.parent) && node.expression) told(node.expression)
    ts.forEachChild(node, look)
  }
  const told = (e: ts.Expression) => {
    if (ts.isStringLiteral(e) && letters(e.text)) keep(e.text)
    if (ts.isConditionalExpression(e)) {
      told(e.whenTrue)
      told(e.whenFalse)
    }
    if (ts.isBinaryExpression(e) && e.operatorToken.kind === ts.SyntaxKind.AmpersandAmpersandToken)
      told(e.right)
  }
  look(source)
  return [...new Set(found)]
}

test('no words are left in the code of the screens', () => {
  const all = sources().flatMap((path) => wordsIn(path).map((w) => `${path.slice(SRC.length)}: ${w}`))
  expect(all).toEqual([])
})

test('every word in the file is said somewhere', () => {
  const code = readdirSync(SRC, { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !/\.test\./.test(name))
    .map((name) => readFileSync(join(SRC, name), 'utf8'))
    .join('\n')
  expect(KEYS.filter((key) => !code.includes(`'${key}'`))).toEqual([])
})

test('each screen brings along the words that it says, and no others', () => {
  const wrong = sources()
    .filter((path) => !path.includes('/words/'))
    .flatMap((path) => {
      const code = readFileSync(path, 'utf8')
      const said = new Set(KEYS.filter((key) => code.includes(`'${key}'`)).map((key) => key.split('.')[0]))
      const brought = new Set([...code.matchAll(/^import '.*\/words\/(\w+)'$/gm)].map((m) => m[1]))
      return [
        ...[...said].filter((a) => !brought.has(a)).map((a) => `${path.slice(SRC.length)} lacks ${a}`),
        ...[...brought].filter((a) => !said.has(a)).map((a) => `${path.slice(SRC.length)} needs no ${a}`),
      ]
    })
  expect(wrong).toEqual([])
})

test('a key stands in the file of its area', () => {
  for (const [path, area] of Object.entries(EN)) {
    const name = path.slice('./en/'.length, -'.json'.length)
    expect(Object.keys(area).filter((key) => !key.startsWith(`${name}.`))).toEqual([])
  }
})

test('the pseudo-language marks every word, is two fifths longer and keeps what is put in', () => {
  expect(pseudo('Minutes, morning')).toBe('[Minutes, morning~~~~~~~]')
  expect(pseudo('Plan {{number}} kept')).toContain('{{number}}')
  expect(pseudo('Saved').length).toBeGreaterThan('Saved'.length * 1.4)
})

test('what is put in stands in its place', () => {
  expect(languages()).toContain('en')
  expect(say('desk.beginWith', { name: 'Maren' })).toBe('Begin with Maren')
})
