import { render, screen } from '@testing-library/react'
import { expect, test, vi } from 'vitest'
import { later } from './later'

const Hello = ({ name }: { name: string }) => <p>{`hello ${name}`}</p>
const Wait = ({ name }: { name: string }) => <p>{`soon ${name}`}</p>

test('until it is fetched its place is held, with what it is about', async () => {
  let come: (fetched: { Hello: typeof Hello }) => void = () => undefined
  const Part = later(
    () => new Promise<{ Hello: typeof Hello }>((resolve) => (come = resolve)),
    (m) => m.Hello,
    Wait,
  )
  render(<Part name="Rue" />)
  expect(screen.getByText('soon Rue')).toBeInTheDocument()
  come({ Hello })
  expect(await screen.findByText('hello Rue')).toBeInTheDocument()
  expect(screen.queryByText('soon Rue')).not.toBeInTheDocument()
})

test('it is fetched before anybody opens it, and what could not be fetched then is fetched when it is opened', async () => {
  const fetch = vi
    .fn<() => Promise<{ Hello: typeof Hello }>>()
    .mockRejectedValueOnce(new Error('no connection'))
    .mockResolvedValue({ Hello })
  const Part = later(fetch, (m) => m.Hello)
  await vi.waitFor(() => expect(fetch).toHaveBeenCalledTimes(1))
  render(<Part name="Rue" />)
  expect(await screen.findByText('hello Rue')).toBeInTheDocument()
})
