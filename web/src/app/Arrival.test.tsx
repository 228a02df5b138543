import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { Link, MemoryRouter, Route, Routes } from 'react-router'
import { expect, test } from 'vitest'
import { Arrival, SkipLink } from './Arrival'

const open = () =>
  render(
    <MemoryRouter initialEntries={['/nights']}>
      <SkipLink />
      <Arrival />
      <header>
        <Link to="/sheet">Sheet</Link>
        <Link to="/note">Note</Link>
      </header>
      <main>
        <Routes>
          <Route path="/nights" element={<h1>Nights</h1>} />
          <Route path="/sheet" element={<h1 data-title="Sheet">Rue Halyard’s skin plan</h1>} />
          <Route
            path="/note"
            element={
              <>
                <h1>Note</h1>
                <input aria-label="What was said" ref={(field) => field?.focus()} />
              </>
            }
          />
        </Routes>
      </main>
    </MemoryRouter>,
  )

test('the first page has its title and leaves the focus where the browser has it', () => {
  open()
  expect(document.title).toBe('Nights – Outfell')
  expect(document.body).toHaveFocus()
})

test('each step after it begins at its heading, and no title tells a name', async () => {
  open()
  await userEvent.click(screen.getByRole('link', { name: 'Sheet' }))
  await waitFor(() => expect(screen.getByRole('heading')).toHaveFocus())
  expect(document.title).toBe('Sheet – Outfell')
})

test('what has taken the focus itself keeps it', async () => {
  open()
  await userEvent.click(screen.getByRole('link', { name: 'Note' }))
  expect(document.title).toBe('Note – Outfell')
  expect(screen.getByLabelText('What was said')).toHaveFocus()
})

test('what is being typed in the bar is not taken away when the page comes', async () => {
  render(
    <MemoryRouter initialEntries={['/nights']}>
      <Arrival />
      <input aria-label="Find" />
      <Link to="/sheet">Sheet</Link>
      <main>
        <Routes>
          <Route path="/nights" element={<h1>Nights</h1>} />
          <Route path="/sheet" element={<p>Still on its way</p>} />
        </Routes>
      </main>
    </MemoryRouter>,
  )
  await userEvent.click(screen.getByRole('link', { name: 'Sheet' }))
  await userEvent.type(screen.getByLabelText('Find'), 'Rue')
  screen.getByRole('main').append(Object.assign(document.createElement('h1'), { textContent: 'Sheet' }))
  await waitFor(() => expect(document.title).toBe('Sheet – Outfell'))
  expect(screen.getByLabelText('Find')).toHaveFocus()
})

test('the first stop by Tab leads past the bar', async () => {
  open()
  await userEvent.tab()
  expect(screen.getByRole('link', { name: 'Skip to the page' })).toHaveFocus()
  await userEvent.keyboard('{Enter}')
  expect(screen.getByRole('heading')).toHaveFocus()
})
