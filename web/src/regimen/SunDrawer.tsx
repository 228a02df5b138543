import { useQuery } from '@tanstack/react-query'
import { api, ask, type Month, type Schemas } from '../api/client'
import { keys } from '../api/hooks'
import { capital, timeWords } from '../shared/format'
import { Why } from '../shared/Why'
import type { VisitContext } from '../visit/VisitShell'
import { say } from '../words/say'
import '../words/regimen'
import '../words/sun'
import type { Drawer } from './Drawers'

const one = (n: number) => n.toFixed(n < 10 ? 1 : 0)

/** The sun of her day: one word in the line, the arithmetic within. */
export function useSunDrawer({ visit, work }: VisitContext, month: Month): Drawer {
  const sun = useQuery({
    queryKey: keys.sun(visit.id, work.draft.document.version, month),
    queryFn: ({ signal }) =>
      ask(api.GET('/api/visits/{id}/sun', { params: { path: { id: visit.id }, query: { month } }, signal })),
    enabled: !work.draft.dirty,
    retry: false,
  })
  return {
    id: 'sun',
    name: say('sun.drawer'),
    line: sun.isError
      ? sun.error.message
      : sun.data
        ? capital(sun.data.word.sentence)
        : say('regimen.drawerWaits'),
    inside: sun.data ? <Inside sun={sun.data} /> : <p>{sun.error?.message ?? say('regimen.drawerWaits')}</p>,
  }
}

function Inside({ sun }: { sun: Schemas['SunView'] }) {
  const [tested] = sun.tested
  const [truly] = sun.truly
  const times = sun.coats.map((t) => timeWords(`2026-01-01T${t}`)).join(', ')
  return (
    <section aria-label={say('sun.ofHerDay')}>
      <h2>{say('sun.ofHerDay')}</h2>
      <ul>
        <li>
          <Why because={{ ...sun.word, sentence: `${capital(sun.word.sentence)}.` }} />
        </li>
        {sun.coats.length > 0 && (
          <li>
            {say(sun.coats.length > 1 ? 'sun.coats' : 'sun.oneCoat', { times, grams: sun.dose.toFixed(2) })}
          </li>
        )}
        {tested && truly && (
          <li>
            {say(sun.share < 100 ? 'sun.leftMixed' : 'sun.left', {
              share: sun.share,
              tested: one(tested.careful),
              testedHopeful: one(tested.hopeful),
              density: truly.density,
              careful: one(truly.careful),
              hopeful: one(truly.hopeful),
            })}{' '}
            <Why because={truly.because} />
          </li>
        )}
        <li>{say('sun.doses', { hour: one(sun.anHour), day: one(sun.day) })}</li>
        {sun.minutesToRedden !== null && sun.minutesToRedden !== undefined && (
          <li>{say('sun.reddens', { minutes: Math.round(sun.minutesToRedden) })}</li>
        )}
        {[...sun.raised, ...sun.cautions].map((b) => (
          <li key={b.sentence}>
            <Why because={b} />
          </li>
        ))}
      </ul>
    </section>
  )
}
