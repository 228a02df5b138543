import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import TextField from '@mui/material/TextField'
import { Refused } from '../api/client'
import { useKeptForm } from './form'
import { NumberText } from './NumberText'
import { ErrorBand } from './States'
import { rereadTyped, typed } from './typed'

type Pack = { name: string; size: string; kind: string }
const EMPTY: Pack = { name: '', size: '', kind: 'a' }

function Form({
  send,
  of = 'one',
  start = EMPTY,
}: {
  send: (typed: Pack) => Promise<unknown>
  of?: string
  start?: Pack
}) {
  const form = useKeptForm<Pack>('pack', of, start, '/product')
  return (
    <form
      aria-label="pack"
      onSubmit={form.submit(async (t) => {
        await send(t)
        form.leave()
      })}
    >
      <TextField label="Name" {...form.text('name')} />
      <NumberText label="Size" {...form.number('size', true)} />
      <button type="button" onClick={() => form.put({ kind: 'b' })}>
        {form.now.kind}
      </button>
      <button type="button" onClick={form.leave}>
        Leave
      </button>
      <button type="submit">Send</button>
      {form.fault && <ErrorBand error={form.fault} />}
    </form>
  )
}

beforeEach(() => {
  localStorage.clear()
  rereadTyped()
})

test('what is typed outlives a reload, by whom it is about, and is gone once taken', async () => {
  const send = vi.fn(() => Promise.resolve())
  const { unmount } = render(<Form send={send} />)
  await userEvent.type(screen.getByLabelText('Name'), 'Kelp wash')
  await userEvent.click(screen.getByRole('button', { name: 'a' }))
  unmount()
  rereadTyped()
  render(<Form send={send} of="another" />).unmount()
  render(<Form send={send} />)
  expect(screen.getByLabelText('Name')).toHaveValue('Kelp wash')
  expect(screen.getByRole('button', { name: 'b' })).toBeVisible()
  await userEvent.type(screen.getByLabelText('Size'), '12,5')
  await userEvent.click(screen.getByText('Send'))
  expect(send).toHaveBeenCalledWith({ name: 'Kelp wash', size: '12,5', kind: 'b' })
  expect(screen.getByLabelText('Name')).toHaveValue('')
  expect(typed('pack', 'one')).toBeUndefined()
})

test('typed back to what stood there, or left, nothing is kept', async () => {
  render(<Form send={() => Promise.resolve()} />)
  await userEvent.type(screen.getByLabelText('Name'), 'x{Backspace}')
  expect(typed('pack', 'one')).toBeUndefined()
  await userEvent.type(screen.getByLabelText('Name'), 'x')
  expect(typed('pack', 'one')).toEqual({ name: 'x' })
  await userEvent.click(screen.getByText('Leave'))
  expect(screen.getByLabelText('Name')).toHaveValue('')
  expect(typed('pack', 'one')).toBeUndefined()
})

test('a refusal stands at its field until that is changed, and what is typed stays', async () => {
  const refusal = new Refused(
    400,
    'bad',
    'Not so.',
    [{ pointer: '/product/name', sentence: 'Too long.', allowed: '' }],
    null,
  )
  render(<Form send={() => Promise.reject(refusal)} />)
  await userEvent.type(screen.getByLabelText('Name'), 'Kelp')
  await userEvent.type(screen.getByLabelText('Size'), '5')
  await userEvent.click(screen.getByText('Send'))
  expect(await screen.findByText('Too long.')).toBeVisible()
  expect(screen.queryByRole('alert')).toBeNull()
  await userEvent.type(screen.getByLabelText('Name'), '!')
  expect(screen.queryByText('Too long.')).toBeNull()
  expect(screen.getByLabelText('Name')).toHaveValue('Kelp!')
})

test('a refusal of no field of the form, or a fault, is told whole', async () => {
  const refusal = new Refused(
    400,
    'bad',
    'Not so.',
    [{ pointer: '/who', sentence: 'Nobody.', allowed: '' }],
    null,
  )
  const send = vi
    .fn<() => Promise<unknown>>()
    .mockRejectedValueOnce(refusal)
    .mockRejectedValueOnce(new Error('Gone.'))
  render(<Form send={send} />)
  await userEvent.type(screen.getByLabelText('Size'), '5')
  await userEvent.click(screen.getByText('Send'))
  expect(await screen.findByRole('alert')).toHaveTextContent('Not so.')
  await userEvent.click(screen.getByText('Send'))
  expect(await screen.findByText('Gone.')).toBeVisible()
})

test('nothing is sent with a number that is none; half of one is no mistake while it is typed', async () => {
  const send = vi.fn(() => Promise.resolve())
  render(<Form send={send} />)
  await userEvent.type(screen.getByLabelText('Size'), '-')
  expect(screen.queryByText(/is not a number/)).toBeNull()
  await userEvent.tab()
  expect(screen.getByText('"-" is not a number.')).toBeVisible()
  await userEvent.click(screen.getByText('Send'))
  expect(send).not.toHaveBeenCalled()
  await userEvent.clear(screen.getByLabelText('Size'))
  await userEvent.click(screen.getByText('Send'))
  expect(screen.getByText('A number is needed.')).toBeVisible()
  expect(send).not.toHaveBeenCalled()
})

test('what somebody else changed meanwhile stands where nothing was typed here', async () => {
  const send = vi.fn(() => Promise.resolve())
  const { rerender } = render(<Form send={send} start={{ name: 'Kelp', size: '5', kind: 'a' }} />)
  rerender(<Form send={send} start={{ name: 'Kelp', size: '7', kind: 'a' }} />)
  await userEvent.type(screen.getByLabelText('Name'), ' wash')
  expect(typed('pack', 'one')).toEqual({ name: 'Kelp wash' })
  await userEvent.click(screen.getByText('Send'))
  expect(send).toHaveBeenCalledWith({ name: 'Kelp wash', size: '7', kind: 'a' })
})
