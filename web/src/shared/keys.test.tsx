import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useKeys } from './keys'

function Keys({ act, on = true }: { act: (name: string) => void; on?: boolean }) {
  useKeys('?', () => act('?'), on)
  useKeys('z', () => act('z'), on)
  useKeys('mod+z', () => act('mod+z'))
  useKeys('arrowleft,arrowup', () => act('back'))
  useKeys('shift+arrowleft', () => act('move'))
  useKeys('escape', () => act('escape'))
  useKeys(
    'k',
    () => act('k'),
    (e) => (e.target as HTMLElement).dataset.step === '1',
  )
  return (
    <>
      <input aria-label="field" />
      <button data-step="1">one</button>
      <button data-step="2">two</button>
    </>
  )
}

const pressed = async (keys: string, on = true) => {
  const act = vi.fn<(key: string) => void>()
  const { unmount } = render(<Keys act={act} on={on} />)
  await userEvent.keyboard(keys)
  unmount()
  return act.mock.calls.flat()
}

test('a sign is what it prints, with Shift or without', async () => {
  expect(await pressed('?')).toEqual(['?'])
  expect(await pressed('{Shift>}?{/Shift}')).toEqual(['?'])
  expect(await pressed('{Shift>}Z{/Shift}')).toEqual(['z'])
})

test('with Ctrl a letter is another thing, or the browser’s own', async () => {
  expect(await pressed('{Control>}z{/Control}')).toEqual(['mod+z'])
  expect(await pressed('{Alt>}z{/Alt}')).toEqual([])
})

test('an arrow with Shift is not the arrow', async () => {
  expect(await pressed('{ArrowLeft}{ArrowUp}')).toEqual(['back', 'back'])
  expect(await pressed('{Shift>}{ArrowLeft}{/Shift}')).toEqual(['move'])
})

test('what is off does nothing', async () => {
  expect(await pressed('z?', false)).toEqual([])
})

test('in a field the keys are typed, and Escape leaves', async () => {
  const act = vi.fn()
  render(<Keys act={act} />)
  await userEvent.type(screen.getByLabelText('field'), 'z?')
  expect(act).not.toHaveBeenCalled()
  expect(screen.getByLabelText('field')).toHaveValue('z?')
  await userEvent.keyboard('{Escape}')
  expect(act).toHaveBeenCalledWith('escape')
})

test('a key may mean something at one place only', async () => {
  const act = vi.fn()
  render(<Keys act={act} />)
  screen.getByText('two').focus()
  await userEvent.keyboard('k')
  expect(act).not.toHaveBeenCalled()
  screen.getByText('one').focus()
  await userEvent.keyboard('k')
  expect(act).toHaveBeenCalledWith('k')
})
