import type { Intake, Schemas } from '../api/client'
import { dateWords } from '../shared/format'
import { DateField } from '../shared/DateField'
import { Choose, ChooseAny, problemAt } from './Ask'
import type { VisitContext } from './VisitShell'
import { say } from '../words/say'
import '../words/visit'

type Said = Schemas['LatelySaid']

const RULE = [
  { value: 'usual' as const, label: say('visit.asUsual') },
  { value: 'lately' as const, label: say('visit.otherwiseLately') },
]

/** Whether the skin is as it is as a rule; where it is not, by what and since when. */
export function Lately({
  context,
  before,
  set,
}: {
  context: VisitContext
  /** what was said at the visit before */
  before: Said | null | undefined
  set: (edit: Partial<Intake>) => void
}) {
  const { visit, words, work } = context
  const said = work.draft.document.intake.lately ?? null
  const label = (id: string) => words.lately.find((c) => c.id === id)?.label ?? id
  const otherwise = said !== null && !said.asUsual
  return (
    <>
      <Choose
        question={say('visit.isItAsUsual')}
        value={said === null ? null : said.asUsual ? 'usual' : 'lately'}
        options={RULE}
        choose={(v) =>
          set({ lately: v === 'usual' ? { asUsual: true, causes: [] } : { asUsual: false, causes: [] } })
        }
        {...(before && !before.asUsual
          ? {
              was: before.since
                ? say('visit.latelySince', {
                    causes: before.causes.map(label).join(', '),
                    since: dateWords(before.since),
                  })
                : before.causes.map(label).join(', '),
            }
          : {})}
      />
      {otherwise && (
        <>
          <ChooseAny
            question={say('visit.byWhat')}
            value={said.causes}
            options={words.lately.map((c) => ({ value: c.id, label: c.label }))}
            choose={(causes) => set({ lately: { ...said, causes } })}
          />
          <div className="ask">
            <span>{say('visit.sinceWhen')}</span>
            <DateField
              label={say('visit.sinceAbout')}
              about={say('visit.sinceWhen')}
              value={said.since ?? ''}
              pick={(day) => set({ lately: { ...said, since: day === '' ? null : day } })}
              until={visit.date}
              error={problemAt(work, '/intake/lately/since')}
            />
          </div>
        </>
      )}
    </>
  )
}
