import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { expect, test, vi } from 'vitest'
import type { Step } from '../api/client'
import type { Evening, Track, Weeks } from './edits'
import { Evenings } from './Evenings'
import { OneEvening } from './OneEvening'
import { Stair } from './Stair'

vi.mock('../shared/Behind', () => ({ Behind: () => null }))

const because = (sentence: string) => ({
  sentence,
  evidence: 'PROPOSED' as const,
  source: 'house',
  rule: null,
})

const evening = (date: string, over: Partial<Evening> = {}): Evening => ({
  date,
  round: 0,
  uses: [],
  maybe: [],
  would: [],
  daily: 0,
  products: ['cream'],
  load: 0,
  three: 0,
  minutes: 3.2,
  calm: false,
  leftOut: [],
  rest: because('Rest.'),
  ...over,
})

const retinal = { product: 'retinal', name: 'Retinal cream', letter: 'R', points: 1, byHand: false, why: '' }

const track = (over: Partial<Track> = {}): Track => ({
  product: 'retinal',
  name: 'Retinal cream',
  letter: 'R',
  points: 1,
  queued: false,
  free: true,
  weeks: [
    { from: '2026-11-30', led: 0, uses: 1, standing: 'LED_UP', because: because('Led up to.') },
    { from: '2026-12-07', led: 1, uses: 0, standing: 'PAUSED', because: because('Waxing.') },
  ],
  weekdays: [],
  more: 'One more night of Retinal cream: it has the nights that it may have for now.',
  turns: [{ from: '2026-11-30', nights: 'Tue' }],
  ...over,
})

const weeks = (over: Partial<Weeks> = {}): Weeks => ({
  now: '2026-11-30',
  begun: '2026-11-30',
  from: '2026-11-30',
  first: '2026-11-30',
  until: '2027-02-21',
  rhythm: { every: 7, first: '1969-12-29' },
  methodEvery: 7,
  nights: 7,
  bears: { week: 8, night: 4, three: 6, daily: 0, because: because('Bears.') },
  fullestThree: 1,
  tracks: [track()],
  evenings: [
    evening('2026-11-30'),
    evening('2026-12-01', { uses: [retinal], products: ['retinal', 'cream'], load: 1, rest: undefined }),
  ],
  checkIns: [],
  dueCheckIns: ['2026-12-28'],
  usual: { part: 'EVENING', steps: [] } as unknown as Weeks['usual'],
  byDate: true,
  notFollowed: [],
  verdicts: [],
  ...over,
})

const step = (product: string, name: string) =>
  ({
    product,
    name,
    texture: 4,
    comesOff: false,
    nights: [],
    part: '',
    letter: 'R',
    shares: { water: 1, oils: 0, sealing: 0, filter: 0 },
  }) as unknown as Step

const steps = new Map([
  ['retinal', step('retinal', 'Retinal cream')],
  ['cream', step('cream', 'Ceramide cream')],
])

test('each evening says what it brings, and opens by a tap', async () => {
  const choose = vi.fn()
  const data = weeks()
  render(<Evenings weeks={data} shown={data.evenings} steps={steps} chosen={null} choose={choose} />)
  const [rest, strong] = screen.getAllByRole('listitem')
  expect(within(rest!).getByText('Rest')).toBeInTheDocument()
  expect(within(rest!).queryByText('0.0')).not.toBeInTheDocument()
  expect(within(strong!).getByText('Retinal cream')).toBeInTheDocument()
  expect(within(strong!).getByText('1.0')).toBeInTheDocument()
  await userEvent.click(within(strong!).getByRole('button'))
  expect(choose).toHaveBeenCalledWith('2026-12-01')
})

test('what waits for a condition is told beside what is sure, and what one more would carry before it is set', () => {
  render(
    <OneEvening
      evening={evening('2026-11-30', {
        maybe: [
          { product: 'acid', name: 'Mild acid', letter: 'A', points: 2, when: 'when it shone by noon' },
        ],
        would: [
          { product: 'retinal', load: 5, allowed: true, against: because('The night would carry 5.0.') },
          { product: 'cure', load: 2, allowed: false, against: because('It is prescribed.') },
        ],
      })}
      tracks={[track(), track({ product: 'cure', name: 'Cure' })]}
      steps={new Map()}
      set={vi.fn()}
      leaveWeek={vi.fn()}
      readOnly={false}
    />,
  )
  expect(screen.getByText(/Mild acid when it shone by noon: 2\.0 of load more/)).toBeVisible()
  expect(screen.getByText(/The evening would carry 5\.0\./)).toBeVisible()
  expect(screen.getByText(/It is prescribed/)).toBeVisible()
  expect(screen.getAllByRole('button', { name: 'Put it on' })).toHaveLength(1)
})

test('an evening of a calm reset is told as that', () => {
  const data = weeks({ evenings: [evening('2026-11-30', { calm: true })] })
  render(<Evenings weeks={data} shown={data.evenings} steps={steps} chosen={null} choose={() => {}} />)
  expect(screen.getByText('Calm')).toBeInTheDocument()
})

test('against the plan a thing goes on with a reason only; left out it goes without', async () => {
  const set = vi.fn()
  const night = evening('2026-11-30', {
    leftOut: [{ product: 'retinal', name: 'Retinal cream', because: because('She swims.') }],
    would: [{ product: 'retinal', load: 1, allowed: true }],
  })
  const { rerender } = render(
    <OneEvening
      evening={night}
      tracks={[track()]}
      steps={steps}
      set={set}
      leaveWeek={() => {}}
      readOnly={false}
    />,
  )
  expect(screen.getByText('She swims.')).toBeInTheDocument()
  expect(screen.getByRole('button', { name: 'Put it on' })).toBeDisabled()
  await userEvent.type(screen.getByLabelText('Reason, for the record'), 'late shift')
  await userEvent.click(screen.getByRole('button', { name: 'Put it on' }))
  expect(set).toHaveBeenCalledWith('retinal', true, 'late shift')
  await userEvent.click(screen.getByRole('button', { name: 'As planned' }))
  expect(set).toHaveBeenLastCalledWith('retinal', null, '')

  rerender(
    <OneEvening
      evening={evening('2026-12-01', { uses: [retinal], products: ['retinal'], over: because('Too much.') })}
      tracks={[track()]}
      steps={steps}
      set={set}
      leaveWeek={() => {}}
      readOnly
    />,
  )
  expect(screen.getByText('More than this skin bears')).toBeInTheDocument()
  expect(screen.queryByRole('button', { name: 'Leave it out' })).not.toBeInTheDocument()
})

test('the stair tells every week, its nights and why, and when to ask', async () => {
  const toggle = vi.fn()
  const { rerender } = render(
    <Stair weeks={weeks({ dueCheckIns: ['2026-12-08'] })} open={null} toggle={toggle} />,
  )
  expect(screen.getByText('this week')).toBeInTheDocument()
  expect(screen.getByText('1 nights, led up to')).toBeInTheDocument()
  expect(screen.getByText('paused')).toBeInTheDocument()
  expect(screen.getByText(/8 Dec/)).toBeInTheDocument()
  await userEvent.click(screen.getByRole('button', { name: 'Retinal cream' }))
  expect(toggle).toHaveBeenCalledWith('retinal')
  rerender(<Stair weeks={weeks()} open="retinal" toggle={toggle} />)
  expect(screen.getByText('Waxing.')).toBeInTheDocument()
  expect(screen.getByText(/One more night of Retinal cream/)).toBeInTheDocument()
})

test('a plan without strong things says that every evening is the same', () => {
  render(<Stair weeks={weeks({ tracks: [] })} open={null} toggle={() => {}} />)
  expect(screen.getByText(/every evening is the same/)).toBeInTheDocument()
})
