import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'

import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { api, ask, type Schemas } from '../api/client'
import { keys } from '../api/hooks'
import { capital, dateWords, MEETINGS, timeWords } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'
import { Why } from '../shared/Why'
import { say } from '../words/say'
import '../words/practice'

type Debated = Schemas['DebatedView']

/** Where schools differ on what may meet, and which of them the practice follows. */
export function SchoolsBand() {
  const schools = useQuery({
    queryKey: keys.schools,
    queryFn: () => ask(api.GET('/api/practice/schools')),
  })
  const [who] = useWho()
  if (schools.isError) return <ErrorBand error={schools.error} again={() => void schools.refetch()} />
  const followed = (schools.data ?? []).filter((d) => d.followsOther).length
  return (
    <section className="band practice" aria-label={say('practice.whatMayMeet')}>
      <div>
        <h2>{say('practice.whatMayMeet')}</h2>
        <p className="second">{say('practice.whereSchoolsDifferChooseTheOneThat')}</p>
        <Who help={say('practice.neededBeforeAChange')} />
      </div>
      <div>
        <details className="yardstick">
          <summary>
            {schools.data?.length ?? 0}
            {say('practice.meetingsOnWhichSchoolsDiffer')}
            {followed > 0 && say('practice.theOtherSchoolIn', { followed })}
          </summary>
          {(schools.data ?? []).map((d) => (
            <OneMeeting key={d.id} debated={d} who={who} />
          ))}
        </details>
      </div>
    </section>
  )
}

function OneMeeting({ debated, who }: { debated: Debated; who: string }) {
  const queries = useQueryClient()
  const follow = useMutation({
    mutationFn: (other: boolean) =>
      ask(
        api.PUT('/api/practice/schools/{id}', {
          params: { path: { id: debated.id } },
          body: { other, by: who, version: debated.version },
        }),
      ),
    onSuccess: (all) => {
      queries.setQueryData(keys.schools, all)
      void queries.invalidateQueries({ queryKey: ['plan'] })
    },
  })
  const name = capital(debated.name)
  return (
    <div className="row">
      <ToggleButtonGroup
        exclusive
        value={debated.followsOther}
        aria-label={name}
        disabled={who.trim() === '' || follow.isPending}
        onChange={(_, other: boolean | null) => other !== null && follow.mutate(other)}
      >
        <ToggleButton value={false}>{capital(MEETINGS[debated.meeting])}</ToggleButton>
        <ToggleButton value={true}>{capital(MEETINGS[debated.otherMeeting])}</ToggleButton>
      </ToggleButtonGroup>
      <span style={{ flex: 1 }}>
        <b>{name}.</b> <Why because={debated.because} />
        {say('practice.others')}
        {debated.otherSchool}
        {debated.by != null && debated.at != null && (
          <span className="second">
            {' '}
            {debated.by}, {dateWords(debated.at)} {timeWords(debated.at)}.
          </span>
        )}
      </span>
      {follow.isError && <ErrorBand error={follow.error} />}
    </div>
  )
}
