import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { api, ask, type Month, type PlanAnswer } from '../api/client'
import { keys, useShelf } from '../api/hooks'
import type { VisitContext } from '../visit/VisitShell'

/** The plan of a month, for the visit as it is saved. */
export function usePlan({ visit, work }: VisitContext, month: Month) {
  const shelf = useShelf(visit.client)
  const shelfKey = (shelf.data ?? []).map((i) => i.id).join(' ')
  const ready = !work.draft.dirty && shelf.isSuccess
  return useQuery<PlanAnswer>({
    queryKey: keys.plan(visit.id, work.draft.document.version, month, shelfKey),
    queryFn: () =>
      ask(api.GET('/api/visits/{id}/plan', { params: { path: { id: visit.id }, query: { month } } })),
    enabled: ready,
    placeholderData: keepPreviousData,
  })
}
