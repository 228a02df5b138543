import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { api, ask, type Month, type PlanAnswer } from '../api/client'
import { keys, useShelf } from '../api/hooks'
import type { VisitContext } from '../visit/VisitShell'

/** The plan of a month, for the visit as it is saved; held against the plan of another method when one is named. */
export function usePlan({ visit, work }: VisitContext, month: Month, instead?: string) {
  const shelf = useShelf(visit.client)
  const shelfKey = (shelf.data ?? []).map((i) => i.id).join(' ')
  const ready = !work.draft.dirty && shelf.isSuccess
  return useQuery<PlanAnswer>({
    queryKey: keys.plan(visit.id, work.draft.document.version, month, shelfKey, instead),
    queryFn: () =>
      ask(
        api.GET('/api/visits/{id}/plan', { params: { path: { id: visit.id }, query: { month, instead } } }),
      ),
    enabled: ready,
    placeholderData: keepPreviousData,
  })
}

/** Why no plan may be shown now: what was typed last is not saved, so no plan knows it. */
export function withheld({ work }: VisitContext): string | null {
  if (!work.draft.dirty) return null
  switch (work.saving.state) {
    case 'refused':
      return `${work.saving.sentence} Until that field is right nothing typed since is saved, and a plan without it may be wrong.`
    case 'clash':
      return 'This visit was changed in another window. Choose which to keep; the plan follows.'
    case 'earlier':
      return 'This visit is of an earlier day. What was typed is not part of it until a correction is opened.'
    case 'fault':
      return `${work.saving.sentence} What was typed last is kept on this machine, and a plan without it may be wrong.`
    case 'offline':
      return 'Outfell is not answering. What was typed last is kept on this machine, and a plan without it may be wrong.'
    case 'saved':
    case 'saving':
      return null
  }
}
