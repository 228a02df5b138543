import { Link } from 'react-router'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { api, ask, type Schemas, type Visit } from '../api/client'
import { keys } from '../api/hooks'
import { agoWords, dateWords, longDate, timeWords } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { useKeptForm } from '../shared/form'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'
import type { VisitWork } from './useVisit'
import { say } from '../words/say'
import '../words/visit'

/** The day of a visit that has passed, in sight at all times, and the way to put it right. */
export function EarlierDay({
  visit,
  day,
  unsaved,
  touched,
  work,
}: {
  visit: Visit
  day: Schemas['DayView']
  /** something was typed that is not taken without a correction */
  unsaved: boolean
  /** how often something was tried that cannot be done */
  touched: number
  work: VisitWork
}) {
  const queries = useQueryClient()
  const [who] = useWho()
  const form = useKeptForm('correction', visit.id, { asked: false, why: '' })
  const correct = useMutation({
    mutationFn: (why: string) =>
      ask(
        api.POST('/api/visits/{id}/corrections', {
          params: { path: { id: visit.id } },
          body: { who, why },
        }),
      ),
    onSuccess: (view) => {
      queries.setQueryData(keys.visitDay(visit.id), view)
      form.leave()
      void work.settle()
    },
  })
  const asking = form.now.asked || unsaved
  return (
    <section className="earlier-day" aria-label={say('visit.anEarlierVisit')}>
      <div className="earlier-head">
        <b>{longDate(visit.date)}</b>
        <span>
          {say('visit.anEarlierVisit2')}
          {agoWords(visit.date)}.{' '}
          {day.open ? (
            say('visit.itIsBeingPutRight')
          ) : (
            <b
              key={touched}
              className={touched > 0 ? 'as-it-was' : undefined}
              role={touched > 0 ? 'alert' : undefined}
            >
              {say('visit.itIsKeptAsItWasNothing')}
            </b>
          )}
        </span>
        {!day.open && !asking && (
          <Button onClick={() => form.put({ asked: true })}>{say('visit.putSomethingRight')}</Button>
        )}
        <Button component={Link} to={`/clients/${visit.client}`}>
          {say('visit.toTheClientSPage')}
        </Button>
      </div>
      {asking && !day.open && (
        <form className="row earlier-why" onSubmit={form.submit(({ why }) => correct.mutateAsync(why))}>
          {unsaved && <p>{say('visit.whatYouTypedIsKeptHereIt')}</p>}
          <Who />
          <TextField
            label={say('visit.whyItIsPutRight')}
            autoFocus
            sx={{ flex: 1, minWidth: 260 }}
            {...form.text('why')}
          />
          <Button type="submit" disabled={who.trim() === '' || form.now.why.trim() === '' || form.busy}>
            {say('visit.openItForACorrection')}
          </Button>
          <Button onClick={form.leave}>{say('visit.leaveItAsItWas')}</Button>
          {form.fault && <ErrorBand error={form.fault} />}
        </form>
      )}
      {day.corrections.length > 0 && (
        <ul className="earlier-list">
          {day.corrections.map((c) => (
            <li key={c.id}>
              {say('visit.putRight', {
                openedAt: dateWords(c.openedAt),
                openedAt2: timeWords(c.openedAt),
                who: c.who,
                why: c.why,
              })}
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
