import { useEffect } from 'react'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { api, ask, type Month, type PlanAnswer } from '../api/client'
import { JUST_TOLD_MS, keys, useShelf } from '../api/hooks'
import type { VisitContext } from '../visit/VisitShell'
import { say } from '../words/say'
import '../words/regimen'

/** The plan of a month, for the visit as it is saved; the save that changes it tells it too. */
export function usePlan({ visit, work }: VisitContext, month: Month) {
  const shelf = useShelf(visit.client)
  const shelfKey = (shelf.data ?? []).map((i) => i.id).join(' ')
  const ready = !work.draft.dirty && shelf.isSuccess
  const { show } = work
  useEffect(
    () => show({ month, key: (version) => keys.plan(visit.id, version, month, shelfKey) }),
    [show, visit.id, month, shelfKey],
  )
  return useQuery<PlanAnswer>({
    queryKey: keys.plan(visit.id, work.draft.document.version, month, shelfKey),
    queryFn: ({ signal }) =>
      ask(
        api.GET('/api/visits/{id}/plan', {
          params: { path: { id: visit.id }, query: { month } },
          signal,
        }),
      ),
    enabled: ready,
    staleTime: JUST_TOLD_MS,
    placeholderData: keepPreviousData,
  })
}

/** The plan in time, for the visit as it is saved. */
export function useWeeks({ visit, work }: VisitContext) {
  const shelf = useShelf(visit.client)
  const shelfKey = (shelf.data ?? []).map((i) => i.id).join(' ')
  return useQuery({
    queryKey: keys.weeks(visit.id, work.draft.document.version, shelfKey),
    queryFn: ({ signal }) =>
      ask(api.GET('/api/visits/{id}/weeks', { params: { path: { id: visit.id } }, signal })),
    enabled: !work.draft.dirty && shelf.isSuccess,
    placeholderData: keepPreviousData,
    retry: false,
  })
}

/** One evening of the plan; nothing is asked for without a day. */
export function useEvening({ visit, work }: VisitContext, date: string) {
  const shelf = useShelf(visit.client)
  const shelfKey = (shelf.data ?? []).map((i) => i.id).join(' ')
  return useQuery({
    queryKey: [...keys.weeks(visit.id, work.draft.document.version, shelfKey), date],
    queryFn: ({ signal }) =>
      ask(
        api.GET('/api/visits/{id}/evenings/{date}', {
          params: { path: { id: visit.id, date } },
          signal,
        }),
      ),
    enabled: date !== '' && !work.draft.dirty && shelf.isSuccess,
    retry: false,
  })
}

/** Why no plan may be shown now: what was typed last is not saved, so no plan knows it. */
export function withheld({ work }: VisitContext): string | null {
  if (!work.draft.dirty) return null
  switch (work.saving.state) {
    case 'refused':
      return say('regimen.untilThatFieldIsRightNothingTyped', { sentence: work.saving.sentence })
    case 'clash':
      return say('regimen.thisVisitWasChangedInAnotherWindow')
    case 'earlier':
      return say('regimen.thisVisitIsOfAnEarlierDay')
    case 'fault':
      return say('regimen.whatWasTypedLastIsKeptOn', { sentence: work.saving.sentence })
    case 'offline':
      return say('regimen.outfellIsNotAnsweringWhatWasTyped')
    case 'saved':
    case 'saving':
      return null
  }
}
