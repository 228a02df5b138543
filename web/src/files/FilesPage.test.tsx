import { fireEvent, render, screen } from '@testing-library/react'
import { MemoryRouter } from 'react-router'
import { vi } from 'vitest'
import type { Schemas } from '../api/client'
import FilesPage from './FilesPage'

type FileView = Schemas['FileView']

const file = (over: Partial<FileView>): FileView => ({
  id: 'f1',
  what: 'CATALOGUE',
  client: null,
  file: 'list.csv',
  state: 'READY',
  sentence: 'Nothing is stored yet.',
  done: 2,
  all: 2,
  added: 1,
  changed: 1,
  same: 3,
  stops: 0,
  warnings: 0,
  headings: [],
  columns: [],
  remarks: [],
  changes: [],
  ...over,
})

let shown: FileView
const take = vi.fn()
const choose = vi.fn()

vi.mock('../api/hooks', () => ({
  useHouse: () => ({ data: undefined }),
  useClient: () => ({}),
  useFile: () => ({ data: shown }),
  useTakenFiles: () => ({ data: [] }),
  useFileChange: () => ({
    choose: { mutate: choose },
    take: { mutate: take },
    match: { mutate: vi.fn(), isPending: false, isError: false, error: null },
    stop: { mutate: vi.fn(), isPending: false },
    undo: { mutate: vi.fn() },
    moved: vi.fn(),
  }),
  onItsWay: (state: string) => state === 'READING' || state === 'TAKING',
}))

beforeEach(() => {
  take.mockReset()
  choose.mockReset()
})

const open = (view: FileView) => {
  shown = view
  render(
    <MemoryRouter initialEntries={['/products/files?file=f1']}>
      <FilesPage />
    </MemoryRouter>,
  )
}

test('a file on its way shows how far it is and cannot be taken', async () => {
  open(file({ state: 'READING', sentence: 'The file is being read.', done: 40, all: 200 }))
  const bar = await screen.findByRole('progressbar', { name: 'Reading' })
  expect(bar).toHaveAttribute('aria-valuenow', '20')
  expect(screen.getByText('40 of 200')).toBeInTheDocument()
  expect(screen.queryByRole('button', { name: 'Take all of it in' })).toBeNull()
})

test('a file is taken only when somebody signs', async () => {
  open(file({}))
  const button = await screen.findByRole('button', { name: 'Take all of it in' })
  expect(button).toBeDisabled()
  fireEvent.change(screen.getByLabelText('Signed by'), { target: { value: 'Signe' } })
  expect(button).toBeEnabled()
  fireEvent.click(button)
  expect(take).toHaveBeenCalledWith({ id: 'f1', who: 'Signe' })
})

test('faults stand at their line and column, those that stop first, and stop it', async () => {
  open(
    file({
      state: 'REFUSED',
      stops: 1,
      warnings: 1,
      remarks: [
        { line: 5, column: 'price', code: 'WRONG_NUMBER', stops: true, sentence: 'price is "twelve".' },
        { line: 0, column: 'days_a_week', code: 'UNKNOWN_COLUMN', stops: false, sentence: 'Left out.' },
      ],
    }),
  )
  expect(await screen.findByText('fault stops it')).toBeInTheDocument()
  const rows = screen.getAllByRole('row').slice(1)
  expect(rows[0]).toHaveTextContent('5priceprice is "twelve".wrong-number')
  expect(rows[0]).toHaveClass('stops')
  expect(rows[1]).toHaveTextContent('whole filedays a weekLeft out.unknown-column')
  expect(screen.queryByRole('button', { name: 'Take all of it in' })).toBeNull()
})

test('a file may be chosen, and the same again once it was put right', () => {
  open(file({ state: 'REFUSED' }))
  const list = new File(['name\nA\n'], 'list.csv', { type: 'text/csv' })
  const input = screen.getByLabelText('File to take in')
  fireEvent.change(input, { target: { files: [list] } })
  expect(choose.mock.lastCall?.[0]).toBe(list)
})

test('the three forms to take out name their marks', async () => {
  open(file({}))
  const links = await screen.findAllByRole('link', { name: /CSV|JSON/ })
  expect(links.map((l) => l.getAttribute('href'))).toEqual([
    '/api/files/export?what=CATALOGUE&form=CSV',
    '/api/files/export?what=CATALOGUE&form=SEMICOLON',
    '/api/files/export?what=CATALOGUE&form=JSON',
  ])
})
