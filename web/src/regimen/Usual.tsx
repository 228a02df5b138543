import { useQuery } from '@tanstack/react-query'
import { api, ask } from '../api/client'
import { keys } from '../api/hooks'
import { dateWords } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { Why } from '../shared/Why'
import type { VisitContext } from '../visit/VisitShell'
import { ChangeList } from './Changes'
import type { Drawer } from './Drawers'
import { say } from '../words/say'
import '../words/regimen'

/** What the plan becomes when the skin is as usual again. */
const useUsual = (visit: string, version: number, enabled: boolean) =>
  useQuery({
    queryKey: keys.usual(visit, version),
    queryFn: ({ signal }) =>
      ask(api.GET('/api/visits/{id}/plan/usual', { params: { path: { id: visit } }, signal })),
    enabled,
  })

/** Of a skin that is otherwise these weeks: by what, and what the plan becomes when it is as usual again; none where it is as usual. */
export function useUsualDrawer({ visit, work }: VisitContext): Drawer[] {
  const { intake, version } = work.draft.document
  const otherwise = intake.lately != null && !intake.lately.asUsual
  const usual = useUsual(visit.id, version, otherwise)
  const told = usual.data?.told
  if (!otherwise) return []
  return [
    {
      id: 'usual',
      name: say('regimen.drawerUsual'),
      line: usual.isError
        ? usual.error.message
        : told
          ? say('regimen.usualLine', { day: dateWords(told.lookAgain) })
          : say('regimen.drawerWaits'),
      inside: (
        <section aria-label={say('regimen.drawerUsual')}>
          {usual.isError && <ErrorBand error={usual.error} again={() => void usual.refetch()} />}
          {told && (
            <>
              <h2>
                {say('regimen.nowAndUsual', {
                  now: told.now,
                  usual: told.usual === '' ? say('regimen.usualNotSaid') : told.usual,
                })}
              </h2>
              <p>
                <Why because={told.because} quiet />{' '}
                {told.since && say('regimen.sinceDay', { day: dateWords(told.since) })}{' '}
                {say('regimen.lookAgain', { day: dateWords(told.lookAgain) })}
              </p>
              <ul className="dots">
                {told.causes.map((c) => (
                  <li key={c.label}>
                    <b>{c.label}:</b> <Why because={c.because} />
                  </li>
                ))}
                {told.putDown.length > 0 && (
                  <li>
                    <b>{say('regimen.putDown')}</b> {told.putDown.join(', ')}.
                  </li>
                )}
              </ul>
              {told.changes.length > 0 && (
                <>
                  <h3>{say('regimen.thenItBecomes')}</h3>
                  <ChangeList changes={told.changes} />
                </>
              )}
            </>
          )}
        </section>
      ),
    },
  ]
}
