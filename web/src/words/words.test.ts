import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import en from './en.json'
import { languages, pseudo, say } from './say'

const SRC = join(__dirname, '..')
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

function sources(folder = SRC): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name)
    if (statSync(path).isDirectory()) return sources(path)
    return /\.tsx$/.test(name) && !/\.test\./.test(name) ? [path] : []
  })
}

/** Words that stand in the code of a screen instead of in a language's file. */
function wordsIn(path: string): string[] {
  const source = ts.createSourceFile(
    path,
    readFileSync(path, 'utf8'),
    ts.ScriptTarget.Latest,
    true,
    ts.ScriptKind.TSX,
  )
  const found: string[] = []
  const look = (node: ts.Node) => {
    if (ts.isJsxText(node) && letters(node.text)) found.push(node.text.trim())
    if (
      ts.isJsxAttribute(node) &&
      READ_OUT.has(node.name.getText()) &&
      node.initializer &&
      ts.isStringLiteral(node.initializer) &&
      letters(node.initializer.text)
    ) {
      found.push(node.initializer.text)
    }
    if (ts.isJsxExpression(node) && !ts.isJsxAttribute(node.parent) && node.expression) {
      const told = (e: ts.Expression) => {
        if (ts.isStringLiteral(e) && letters(e.text)) found.push(e.text)
        if (ts.isConditionalExpression(e)) {
          told(e.whenTrue)
          told(e.whenFalse)
        }
        if (ts.isBinaryExpression(e) && e.operatorToken.kind === ts.SyntaxKind.AmpersandAmpersandToken)
          told(e.right)
      }
      told(node.expression)
    }
    ts.forEachChild(node, look)
  }
  look(source)
  return found
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
  expect(Object.keys(en).filter((key) => !code.includes(`'${key}'`))).toEqual([])
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
