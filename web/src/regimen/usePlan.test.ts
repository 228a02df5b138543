import type { VisitContext } from '../visit/VisitShell'
import type { Saving } from '../visit/useVisit'
import { withheld } from './usePlan'

const context = (dirty: boolean, saving: Saving) =>
  ({ work: { draft: { dirty }, saving } }) as unknown as VisitContext
const refused: Saving = { state: 'refused', sentence: 'note is too long.', fields: [] }

test('no plan is shown while something that it does not know is refused, clashing or offline', () => {
  expect(withheld(context(true, refused))).toContain('note is too long.')
  expect(withheld(context(true, { state: 'offline' }))).toContain('kept on this machine')
  expect(withheld(context(true, { state: 'clash', conflicts: [], theirs: {} as never }))).toContain(
    'another window',
  )
})

test('what is saved, or on its way, is planned with', () => {
  expect(withheld(context(false, refused))).toBeNull()
  expect(withheld(context(true, { state: 'saving' }))).toBeNull()
  expect(withheld(context(true, { state: 'saved' }))).toBeNull()
})
