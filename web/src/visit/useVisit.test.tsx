import { act, renderHook, waitFor } from '@testing-library/react'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import type { ReactNode } from 'react'
import { keys } from '../api/hooks'
import type { Visit } from '../api/client'
import { useVisit } from './useVisit'

const visit = {
  id: 'v',
  client: 'c',
  date: '2026-11-25',
  version: 3,
  intake: { note: '', answers: [] },
  reading: { grades: [] },
  method: 'classic',
  month: 'NOVEMBER',
  pins: [],
  takenOut: [],
  steps: [],
  week: { every: 7, first: null, evenings: [], courses: [], byHand: [] },
} as unknown as Visit

const PLAN = { status: 'PLANNED', verdict: { type: 'dry' }, regimen: { money: 12 } }
const VERDICT = { type: 'oily' }

type Sent = { query: { shown?: string }; ask: string; answer: (saved: unknown) => void }

const { saves, giveUp } = vi.hoisted(() => ({ saves: [] as Sent[], giveUp: vi.fn() }))

vi.mock('../api/client', async (real) => ({
  ...(await real<object>()),
  giveUp,
  api: {
    PUT: (_: string, how: { params: { query: Sent['query'] }; headers: { 'X-Ask': string } }) =>
      new Promise((answer) => {
        saves.push({
          query: how.params.query,
          ask: how.headers['X-Ask'],
          answer: (data) => answer({ data, response: new Response() }),
        })
      }),
  },
}))

let queries: QueryClient

beforeEach(() => {
  localStorage.clear()
  saves.length = 0
  giveUp.mockClear()
  queries = new QueryClient()
})

const within = ({ children }: { children: ReactNode }) => (
  <QueryClientProvider client={queries}>{children}</QueryClientProvider>
)

/** What is answered, and all that follows from it at once. */
const settled = (answer: () => void) =>
  act(() => {
    answer()
    return Promise.resolve()
  })
const open = () => renderHook(() => useVisit(visit), { wrapper: within }).result
const planKey = (version: number) => keys.plan('v', version, 'JULY', 'shelf')
const by = (method: string) => (d: Parameters<Parameters<ReturnType<typeof useVisit>['change']>[0]>[0]) => ({
  ...d,
  method,
})

test('one call saves and answers the plan that is in sight, with the verdict that it stands on', async () => {
  const work = open()
  act(() => void work.current.show({ month: 'JULY', key: planKey }))
  act(() => work.current.change(by('layered')))
  await waitFor(() => expect(saves).toHaveLength(1))
  const [save] = saves
  expect(save!.query.shown).toBe('JULY')
  const saved = { ...visit, version: 4, method: 'layered' }
  await settled(() => save!.answer({ visit: saved, plan: PLAN, verdict: null }))
  await waitFor(() => expect(work.current.saving.state).toBe('saved'))
  expect(queries.getQueryData(planKey(4))).toEqual(PLAN)
  expect(queries.getQueryData(keys.verdict('v', saved))).toEqual(PLAN.verdict)
})

test('where no plan is in sight the verdict is answered', async () => {
  const work = open()
  act(() => work.current.show({ month: 'JULY', key: planKey })())
  act(() => work.current.change(by('layered')))
  await waitFor(() => expect(saves).toHaveLength(1))
  expect(saves[0]!.query.shown).toBeUndefined()
  const saved = { ...visit, version: 4, method: 'layered' }
  await settled(() => saves[0]!.answer({ visit: saved, plan: null, verdict: VERDICT }))
  await waitFor(() => expect(queries.getQueryData(keys.verdict('v', saved))).toEqual(VERDICT))
})

test('what follows from an overtaken save is given up, the save is not', async () => {
  const work = open()
  act(() => void work.current.show({ month: 'JULY', key: planKey }))
  act(() => work.current.change(by('layered')))
  await waitFor(() => expect(saves).toHaveLength(1))
  const first = saves[0]!
  act(() => work.current.change(by('essentials')))
  expect(giveUp).toHaveBeenCalledExactlyOnceWith(first.ask)
  await settled(() =>
    first.answer({ visit: { ...visit, version: 4, method: 'layered' }, plan: null, verdict: null }),
  )
  await waitFor(() => expect(saves).toHaveLength(2))
  await settled(() =>
    saves[1]!.answer({
      visit: { ...visit, version: 5, method: 'essentials' },
      plan: PLAN,
      verdict: null,
    }),
  )
  await waitFor(() => expect(work.current.saving.state).toBe('saved'))
  expect(queries.getQueryData(planKey(4))).toBeUndefined()
  expect(queries.getQueryData(planKey(5))).toEqual(PLAN)
})

test('nothing follows from a note: the verdict of the letters before it is that of the letters after', () => {
  const noted = { ...visit, intake: { ...visit.intake, note: 'windy' } }
  expect(keys.verdict('v', noted)).toEqual(keys.verdict('v', visit))
})
