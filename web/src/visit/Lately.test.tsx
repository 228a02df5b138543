import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import type { Intake } from '../api/client'
import { Lately } from './Lately'
import type { VisitContext } from './VisitShell'

const seen = vi.fn<(edit: Partial<Intake>) => void>()
const now = () => seen.mock.lastCall?.[0].lately

function Asked({ before }: { before?: Intake['lately'] }) {
  const [lately, setLately] = useState<Intake['lately']>(undefined)
  const context = {
    visit: { date: '2026-11-20' },
    words: {
      lately: [
        { id: 'mask', label: 'a mask worn for hours' },
        { id: 'stress', label: 'strain, little sleep' },
      ],
    },
    work: { draft: { document: { intake: { lately } } }, saving: { state: 'saved' } },
  } as unknown as VisitContext
  return (
    <Lately
      context={context}
      before={before}
      set={(edit) => {
        seen(edit)
        setLately(edit.lately)
      }}
    />
  )
}

test('nobody has said; as usual asks no more, and otherwise asks by what', async () => {
  render(<Asked />)
  expect(screen.getByRole('button', { name: 'as usual' })).toHaveAttribute('aria-pressed', 'false')
  await userEvent.click(screen.getByRole('button', { name: 'as usual' }))
  expect(now()).toEqual({ asUsual: true, causes: [] })
  expect(screen.queryByText('a mask worn for hours')).toBeNull()
  await userEvent.click(screen.getByRole('button', { name: 'otherwise, these weeks' }))
  await userEvent.click(screen.getByRole('button', { name: 'a mask worn for hours' }))
  await userEvent.click(screen.getByRole('button', { name: 'strain, little sleep' }))
  expect(now()).toEqual({ asUsual: false, causes: ['mask', 'stress'] })
})

test('what was said last time stands beside the question', () => {
  render(<Asked before={{ asUsual: false, since: '2026-09-01', causes: ['stress'] }} />)
  expect(screen.getByText(/strain, little sleep, since/)).toBeInTheDocument()
})
