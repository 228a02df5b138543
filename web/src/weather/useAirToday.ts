import { useQuery } from '@tanstack/react-query'
import { api, ask } from '../api/client'
import { keys, useDiary } from '../api/hooks'
import type { VisitContext } from '../visit/VisitShell'

/** A forecast is looked at anew after an hour; until then it stands. */
const FRESH_MS = 60 * 60 * 1000

/** Today's air where the practice is; null while nobody has said where that is. */
export const useAirAtThePractice = () =>
  useQuery({
    queryKey: keys.airAtThePractice,
    queryFn: async ({ signal }) => (await ask(api.GET('/api/weather', { signal }))) ?? null,
    staleTime: FRESH_MS,
    retry: false,
  })

/** Today's air where a client lives, and what it is to her plan. */
export function useAirToday({ visit, client, work }: VisitContext) {
  const diary = useDiary(client.id)
  const pauses = (diary.data?.pauses ?? []).map((p) => p.id).join(' ')
  return useQuery({
    queryKey: keys.airToday(visit.id, work.draft.document.version, pauses),
    queryFn: ({ signal }) =>
      ask(api.GET('/api/visits/{id}/weather', { params: { path: { id: visit.id } }, signal })),
    enabled: !work.draft.dirty && diary.isSuccess,
    staleTime: FRESH_MS,
    retry: false,
  })
}
