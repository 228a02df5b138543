import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { api, ask } from '../api/client'
import { keys, useShelf } from '../api/hooks'
import type { VisitContext } from '../visit/VisitShell'

/** The year after today for the visit as it is saved; at the client's place, or another. */
export function useYear({ visit, work }: VisitContext, place: string) {
  const shelf = useShelf(visit.client)
  const shelfKey = (shelf.data ?? []).map((i) => i.id).join(' ')
  return useQuery({
    queryKey: keys.year(visit.id, work.draft.document.version, shelfKey, place),
    queryFn: ({ signal }) =>
      ask(
        api.GET('/api/visits/{id}/year', {
          params: { path: { id: visit.id }, query: place ? { place } : {} },
          signal,
        }),
      ),
    enabled: !work.draft.dirty && shelf.isSuccess,
    placeholderData: keepPreviousData,
    retry: false,
  })
}

/** A year before some days of a client's. */
export const useLastYear = (visit: string, of: { from: string; until: string }) =>
  useQuery({
    queryKey: keys.lastYear(visit, of.from, of.until),
    queryFn: ({ signal }) =>
      ask(
        api.GET('/api/visits/{id}/last-year', {
          params: { path: { id: visit }, query: { from: of.from, until: of.until } },
          signal,
        }),
      ),
    retry: false,
  })
