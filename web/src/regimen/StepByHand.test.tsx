import { fireEvent, render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useEffect, useState } from 'react'
import type { Regimen, Step, VisitDocument } from '../api/client'
import type { VisitContext } from '../visit/VisitShell'
import { StepByHand } from './StepByHand'

vi.mock('../shared/Behind', () => ({ Behind: () => null }))

const week = ['MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY', 'SATURDAY', 'SUNDAY']
const none = { kept: false, optional: false, on: [], words: '', moved: false, movedBecause: '' }
const because = (sentence: string) => ({ sentence, evidence: 'PROPOSED', source: 'house' })
const step = (over: Partial<Step> = {}): Step =>
  ({
    number: 2,
    product: 'serum',
    name: 'Calm serum',
    part: '',
    shares: { water: 1, oils: 0, sealing: 0, filter: 0 },
    amount: {
      words: '5 drops',
      where: 'face',
      places: [{ place: 'FACE', label: 'face', words: '5 drops', grams: 0.25 }],
      because: because('0.25 g for face.'),
    },
    rest: ['NECK'],
    leftOut: [{ place: 'EARS', because: because('what the collar covers needs none; the ears do') }],
    zones: [],
    nights: week,
    aWeek: 7,
    comesOff: false,
    prescription: false,
    hand: none,
    ...over,
  }) as unknown as Step

const seen = vi.fn<(d: VisitDocument) => void>()
const now = () => seen.mock.lastCall?.[0] as VisitDocument
const move = vi.fn()

function Board({ of, refusals }: { of: Step; refusals: Regimen['refusals'] }) {
  const [draft, setDraft] = useState({
    document: { pins: [], takenOut: [], steps: [] } as unknown as VisitDocument,
    typed: {},
  })
  useEffect(() => seen(draft.document), [draft.document])
  const context = {
    words: {
      coverages: [
        { coverage: 'FACE', label: 'face', onTheFace: true },
        { coverage: 'CHEEKS', label: 'cheeks', onTheFace: true },
        { coverage: 'EARS', label: 'ears', onTheFace: false },
        { coverage: 'NECK', label: 'neck', onTheFace: false },
      ],
      weeks: {
        conditions: [{ id: 'dry', label: 'the skin feels dry', usual: 3 }],
        alone: [{ id: 'residue', label: 'Look for residue' }],
      },
    },
    work: {
      draft,
      change: (edit: (d: VisitDocument) => VisitDocument) =>
        setDraft((now) => ({ ...now, document: edit(now.document) })),
      type: (pointer: string, text: string | null) =>
        setDraft((now) => ({ ...now, typed: { ...now.typed, [pointer]: text ?? '' } })),
    },
  } as unknown as VisitContext
  return (
    <StepByHand
      context={context}
      part={'EVENING'}
      step={of}
      steps={[
        step({ number: 1, product: 'toner', name: 'Water toner' }),
        of,
        step({ number: 3, product: 'cream', name: 'Calm cream' }),
      ]}
      refusals={refusals}
      move={move}
    />
  )
}

const open = (of = step(), refusals: Regimen['refusals'] = []) =>
  render(<Board of={of} refusals={refusals} />)

test('earlier and later ask for the neighbouring number, and the ends have nowhere to go', () => {
  const { unmount } = open()
  fireEvent.click(screen.getByRole('button', { name: 'Move Calm serum earlier' }))
  expect(move).toHaveBeenCalledWith('serum', 1)
  fireEvent.click(screen.getByRole('button', { name: 'Move Calm serum later' }))
  expect(move).toHaveBeenCalledWith('serum', 3)
  unmount()
  open(step({ number: 3 }))
  expect(screen.getByRole('button', { name: 'Move Calm serum later' })).toBeDisabled()
})

test('keep puts the step among those that planning again keeps, and lets it go with all that was changed', () => {
  const { unmount } = open()
  fireEvent.click(screen.getByRole('button', { name: 'Keep' }))
  expect(now().pins).toEqual([{ part: 'EVENING', product: 'serum' }])
  unmount()
  open(step({ hand: { ...none, kept: true } as unknown as Step['hand'] }))
  fireEvent.click(screen.getByRole('button', { name: 'Second coat' }))
  expect(now().steps).toHaveLength(1)
  fireEvent.click(screen.getByRole('button', { name: 'Keep' }))
  expect(now().steps).toEqual([])
})

test('what may be left out, a second coat, part of the face and days stand on the step', async () => {
  open()
  fireEvent.click(screen.getByRole('button', { name: 'May be left out' }))
  fireEvent.click(screen.getByRole('button', { name: 'Second coat' }))
  fireEvent.click(screen.getByRole('button', { name: 'Sun' }))
  fireEvent.click(screen.getByRole('button', { name: 'Where: face' }))
  expect(await screen.findByText('5 drops')).toBeVisible()
  expect(screen.getByText('what is left on the hands')).toBeVisible()
  expect(screen.getByText(/the ears do/)).toBeVisible()
  await userEvent.click(screen.getByRole('button', { name: 'cheeks' }))
  expect(now().steps).toMatchObject([
    { product: 'serum', optional: true, secondCoat: true, places: ['CHEEKS'], nights: week.slice(0, 6) },
  ])
  await userEvent.click(screen.getByRole('combobox', { name: 'The same places for' }))
  expect(screen.getAllByRole('option').map((o) => o.textContent)).toEqual(['1 Water toner', '3 Calm cream'])
  await userEvent.click(screen.getByRole('option', { name: '3 Calm cream' }))
  expect(now().steps).toMatchObject([{ product: 'serum' }, { product: 'cream', places: ['CHEEKS'] }])
  await userEvent.click(screen.getByRole('button', { name: 'Back to the computed places' }))
  expect(now().steps[0]?.places).toEqual([])
  fireEvent.click(screen.getByRole('button', { name: 'Computed days' }))
  expect(now().steps[0]?.nights).toEqual([])
})

test('a condition takes the place of days, at its usual number until another is said', async () => {
  open()
  fireEvent.click(screen.getByRole('button', { name: 'Sun' }))
  await userEvent.click(screen.getByRole('combobox', { name: 'Only when' }))
  await userEvent.click(screen.getByRole('option', { name: 'the skin feels dry' }))
  expect(now().steps[0]).toMatchObject({ nights: [], when: { kind: 'dry', usual: 3 } })
  await userEvent.click(screen.getByRole('combobox', { name: 'Usually a week' }))
  await userEvent.click(screen.getByRole('option', { name: '2' }))
  expect(now().steps[0]?.when).toEqual({ kind: 'dry', usual: 2 })
  await userEvent.click(screen.getByRole('combobox', { name: 'Only when' }))
  await userEvent.click(screen.getByRole('option', { name: 'on its days' }))
  expect(now().steps).toEqual([])
})

test('own words are kept while they are typed and set with Enter', async () => {
  open()
  const field = screen.getByLabelText('Own words on the sheet')
  await userEvent.type(field, 'three drops')
  expect(now().steps).toEqual([])
  await userEvent.type(field, '{Enter}')
  expect(now().steps[0]?.words).toBe('three drops')
  await userEvent.clear(field)
  expect(now().steps).toEqual([])
})

test('a prescription keeps its days, amount and place on the face; words and order are hers', () => {
  open(step({ prescription: true }))
  expect(screen.queryByRole('button', { name: 'Second coat' })).toBeNull()
  expect(screen.queryByRole('group')).toBeNull()
  expect(screen.getByLabelText('Own words on the sheet')).toBeVisible()
  expect(screen.getByRole('button', { name: 'Move Calm serum later' })).toBeEnabled()
})

test('what comes off has no second coat, and what a rule forbids is said', () => {
  open(step({ comesOff: true }), [
    {
      part: 'EVENING',
      product: 'serum',
      name: 'Calm serum',
      because: { sentence: 'The wash is never left out.', evidence: 'CONVENTION', source: 'custom' },
      overrulable: false,
    },
  ])
  expect(screen.queryByRole('button', { name: 'Second coat' })).toBeNull()
  expect(screen.getByRole('alert')).toHaveTextContent('Not followed: The wash is never left out.')
})

test('a toner comes again after it, a step without a product stands beside it, and each is taken away again', async () => {
  open()
  const user = userEvent.setup()
  await user.click(screen.getByRole('combobox', { name: /Beside it/ }))
  await user.click(screen.getByRole('option', { name: 'Water toner again' }))
  await user.click(screen.getByRole('combobox', { name: /Beside it/ }))
  expect(screen.queryByRole('option', { name: 'Water toner again' })).toBeNull()
  expect(screen.queryByRole('option', { name: 'Calm serum again' })).toBeNull()
  await user.click(screen.getByRole('option', { name: 'Look for residue' }))
  expect(now().steps[0]?.then).toEqual([{ again: 'toner' }, { alone: 'residue' }])
  await user.click(
    within(screen.getByText('Water toner again').closest('.MuiChip-root')!).getByTestId('CancelIcon'),
  )
  expect(now().steps[0]?.then).toEqual([{ alone: 'residue' }])
})

test('what a rule holds back for now stands all the same by a reason, which stays with the step', async () => {
  open(step(), [
    {
      part: 'EVENING',
      product: 'serum',
      name: 'Calm serum',
      because: because('No roller for now: the barrier is strained.'),
      overrulable: true,
    } as Regimen['refusals'][number],
  ])
  const put = screen.getByRole('button', { name: 'Put it in all the same' })
  expect(put).toBeDisabled()
  await userEvent.type(screen.getByLabelText(/Why all the same/i), 'Only over the jaw')
  await userEvent.click(put)
  expect(now().steps[0]?.overrule).toBe('Only over the jaw')
})
