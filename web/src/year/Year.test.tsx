import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { expect, test, vi } from 'vitest'
import type { Schemas } from '../api/client'
import { DateCard, OpenDate } from './Dates'
import type { Stretch, YearView } from './layout'
import { SpellCards, SpellForm } from './Spells'
import { TwoDays } from './TwoDays'
import { YearPicture } from './YearPicture'

vi.mock('../shared/Behind', () => ({ Behind: () => null }))
vi.mock('../shared/DateField', () => ({
  DateField: ({ label, value, pick }: { label: string; value: string; pick: (day: string) => void }) => (
    <label>
      {label}
      <input value={value} onChange={(e) => pick(e.target.value)} />
    </label>
  ),
}))

const because = (sentence: string) => ({
  sentence,
  evidence: 'PROPOSED' as const,
  source: 'house',
  rule: null,
})

const step = (name: string, over: object = {}) => ({
  product: name,
  name,
  number: 1,
  kind: 'MOISTURISER',
  texture: 6,
  aWeek: 7,
  nights: [],
  comesOff: false,
  left: 0,
  letter: '',
  part: '',
  shares: { water: 0.6, oils: 0.3, sealing: 0.1, filter: 0 },
  hand: {},
  ...over,
})

const routine = (part: string, ...steps: object[]) => ({ part, steps, timeline: { minutes: 4.2 } })

const change = (over: object) => ({
  part: 'EVENING',
  kind: 'MOISTURISER',
  what: 'OTHER_AMOUNT',
  from: 'Cream, 4 peas',
  to: 'Cream, 5 peas',
  products: ['Cream'],
  cause: 'AIR',
  because: [because('The air is dry.')],
  limit: null,
  ...over,
})

const stretch = (from: string, until: string, over: object = {}) =>
  ({
    from,
    until,
    name: 'mild air, low sun',
    air: { outdoors: { uvIndex: 2 } },
    turned: [],
    morning: routine('MORNING', step('Cream')),
    evening: routine('EVENING', step('Cream')),
    changes: [],
    ripened: [],
    told: [],
    quiet: [],
    month: 20,
    ...over,
  }) as unknown as Stretch

const MONTHS = [
  'DECEMBER',
  'JANUARY',
  'FEBRUARY',
  'MARCH',
  'APRIL',
  'MAY',
  'JUNE',
  'JULY',
  'AUGUST',
  'SEPTEMBER',
  'OCTOBER',
  'NOVEMBER',
]

const year = (over: object = {}) =>
  ({
    from: '2026-12-01',
    until: '2027-12-01',
    months: MONTHS.map((month, i) => ({
      year: i === 0 ? 2026 : 2027,
      month,
      air: {
        outdoors: { uvIndex: i === 6 ? 9 : 1 },
        uvBand: i === 6 ? 'VERY_HIGH' : 'LOW',
        roomHumidity: 30 + i,
      },
    })),
    stretches: [stretch('2026-12-01', '2027-04-01'), stretch('2027-04-01', '2027-12-01')],
    spells: [],
    bottles: [],
    apart: [],
    marks: { sunToMind: 3, dryRooms: 40 },
    ...over,
  }) as unknown as YearView

test('the picture has a button for each date, and tells which one is open', async () => {
  const choose = vi.fn()
  const { rerender } = render(<YearPicture year={year()} chosen={0} choose={choose} />)
  const date = screen.getByRole('button', { name: /^1 1 Apr/ })
  expect(date).toHaveAttribute('aria-pressed', 'false')
  await userEvent.click(date)
  expect(choose).toHaveBeenCalledWith(1)
  rerender(<YearPicture year={year()} chosen={1} choose={choose} />)
  await userEvent.click(screen.getByRole('button', { pressed: true }))
  expect(choose).toHaveBeenLastCalledWith(0)
})

test('more bottles than there is room for wait behind a button', async () => {
  const bottles = Array.from({ length: 10 }, (_, i) => ({
    product: `b${i}`,
    name: `Bottle ${i}`,
    kind: 'SERUM',
    packs: [{ from: '2026-12-01', until: '2027-03-01', end: 'EMPTY', lasts: false, hers: false }],
  }))
  render(<YearPicture year={year({ bottles })} chosen={0} choose={() => undefined} />)
  expect(screen.queryByText('Bottle 9')).not.toBeInTheDocument()
  await userEvent.click(screen.getByRole('button', { name: '2 more' }))
  expect(screen.getByText('Bottle 9')).toBeInTheDocument()
})

test('a card says in a word what did each change, and how many it leaves out', () => {
  const many = Array.from({ length: 7 }, (_, i) =>
    change({ from: `Cream ${i}`, to: `Gel ${i}`, what: 'REPLACED' }),
  )
  render(
    <DateCard
      n={1}
      stretch={stretch('2027-04-01', '2027-12-01', {
        changes: [change({ cause: 'MONEY', what: 'TAKEN_OUT', from: 'Toner', to: '' }), ...many],
        told: [{ begins: true, title: 'Outdoors', text: 'Again every 2 hours.', because: because('UV 3.') }],
      })}
      before={stretch('2026-12-01', '2027-04-01')}
      open={false}
      toggle={() => undefined}
    />,
  )
  const card = screen.getByRole('region', { name: /^1 1 Apr/ })
  expect(within(card).getByText('Toner leaves', { exact: false })).toBeInTheDocument()
  expect(within(card).getByText(/money/i)).toBeInTheDocument()
  expect(within(card).getByText('The sheet says: Outdoors.')).toBeInTheDocument()
  expect(within(card).getByText('and 3 more')).toBeInTheDocument()
  expect(within(card).getByText('mild air, low sun, as before')).toBeInTheDocument()
})

test('an open date takes the focus and tells what turned in vain', () => {
  render(
    <OpenDate
      n={1}
      before={stretch('2026-12-01', '2027-04-01')}
      stretch={stretch('2027-04-01', '2027-12-01', {
        changes: [change({})],
        quiet: [
          { day: '2027-04-03', words: 'how much of a wash', because: because('The plan is the same.') },
        ],
      })}
      close={() => undefined}
    />,
  )
  expect(screen.getByRole('region', { name: /^1: on 1 Apr/ })).toHaveFocus()
  expect(screen.getByText('The air is dry.')).toBeInTheDocument()
  expect(screen.getByText('The plan is the same.')).toBeInTheDocument()
})

test('a spell needs both its days, the last not before the first', async () => {
  const add = vi.fn()
  render(
    <SpellForm
      kinds={[{ id: 'flight', label: 'a flight' }]}
      busy={false}
      error={null}
      close={() => undefined}
      add={add}
    />,
  )
  const lay = screen.getByRole('button', { name: 'Lay it over the year' })
  expect(lay).toBeDisabled()
  await userEvent.type(screen.getByLabelText('First day'), 'b')
  expect(lay).toBeEnabled()
  await userEvent.clear(screen.getByLabelText('Last day'))
  await userEvent.type(screen.getByLabelText('Last day'), 'a')
  expect(lay).toBeDisabled()
  expect(screen.getByText('It cannot end before it begins.')).toBeInTheDocument()
  await userEvent.clear(screen.getByLabelText('Last day'))
  await userEvent.type(screen.getByLabelText('Last day'), 'c')
  await userEvent.click(lay)
  expect(add).toHaveBeenCalledWith({ kind: 'flight', from: 'b', until: 'c', figure: null, remark: '' })
})

test('a flight is asked its hours, within reason, or stands as is usual', async () => {
  const add = vi.fn()
  const asks = { words: 'Hours in the air', unit: 'h', least: 1, most: 20, usual: 8 }
  render(
    <SpellForm
      kinds={[{ id: 'flight', label: 'a flight', asks }]}
      busy={false}
      error={null}
      close={() => undefined}
      add={add}
    />,
  )
  await userEvent.type(screen.getByLabelText('First day'), 'b')
  const hours = screen.getByLabelText('Hours in the air, h')
  const lay = screen.getByRole('button', { name: 'Lay it over the year' })
  expect(screen.getByText('Empty: 8 h as is usual')).toBeInTheDocument()
  await userEvent.type(hours, '40')
  expect(screen.getByText('From 1 to 20 h')).toBeInTheDocument()
  expect(lay).toBeDisabled()
  await userEvent.clear(hours)
  await userEvent.type(hours, '11,5')
  await userEvent.click(lay)
  expect(add).toHaveBeenCalledWith({ kind: 'flight', from: 'b', until: 'b', figure: 11.5, remark: '' })
})

test('a spell is taken out by its own card only', async () => {
  const takeOut = vi.fn()
  const spell = (from: string) =>
    ({
      id: 'flight',
      label: 'a flight',
      from,
      until: from,
      quietFrom: from,
      quietUntil: from,
      lines: [{ what: 'RESTS', words: 'retinal cream rests', because: because('Cabin air is dry.') }],
      says: [because('drink')],
      pack: [{ name: 'Toner', decant: true, words: '200 ml: fill some into 100 ml' }],
    }) as unknown as Schemas['SpellPlan']
  const kept = (id: string, from: string) =>
    ({ id, pause: { kind: 'flight', from, until: from } }) as unknown as Schemas['KeptPause']
  render(
    <SpellCards
      spells={[spell('2027-02-06'), spell('2027-03-06')]}
      pauses={[kept('one', '2027-02-06'), kept('two', '2027-03-06')]}
      takeOut={takeOut}
    />,
  )
  expect(screen.getAllByText('Retinal cream rests.')).toHaveLength(2)
  await userEvent.click(screen.getAllByRole('button', { name: 'Take it out' })[1]!)
  expect(takeOut).toHaveBeenCalledWith('two')
})

test('two days that do not meet are told with the dates in between, two that do with their own', async () => {
  const difference = { part: 'EVENING', kind: 'MOISTURISER', what: 'OTHER_AMOUNT', from: 'Cream, 4 peas' }
  const shown = year({
    stretches: [
      stretch('2026-12-01', '2027-03-18'),
      stretch('2027-03-18', '2027-04-22', { changes: [change({ because: [because('It is mild.')] })] }),
      stretch('2027-04-22', '2027-12-01'),
    ],
    apart: [
      {
        from: 0,
        to: 2,
        differences: [
          {
            difference: { ...difference, to: 'Cream, 3 peas', products: ['Cream'] },
            since: [
              { day: '2027-03-18', change: change({ because: [because('It is mild.')] }) },
              { day: '2027-04-22', change: change({ cause: 'MONEY', because: [because('It is dear.')] }) },
            ],
          },
        ],
        told: [{ begins: true, title: 'Sunscreen again', text: '', because: because('') }],
      },
    ],
  })
  const close = vi.fn()
  render(<TwoDays year={shown} close={close} />)
  const section = screen.getByRole('region', { name: 'Compare two days' })
  expect(section).toHaveTextContent('18 Mar: It is mild.')
  expect(section).toHaveTextContent('22 Apr: It is dear.')
  expect(section).toHaveTextContent('The sheet says: Sunscreen again.')
  await userEvent.click(screen.getByRole('combobox', { name: 'and a day from' }))
  await userEvent.click(screen.getByRole('option', { name: /^18 Mar/ }))
  expect(section).not.toHaveTextContent('It is dear.')
  expect(section).toHaveTextContent('18 Mar: It is mild.')
  await userEvent.click(screen.getByRole('button', { name: 'Close' }))
  expect(close).toHaveBeenCalledOnce()
})
