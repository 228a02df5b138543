import type { Intake } from '../../api/client'
import { say } from '../../words/say'
import '../../words/visit'
import { ChooseAny } from '../Ask'
import { HoursInTheAir, OutdoorsByMonth, SitePicker } from '../HoursInTheAir'
import { was } from '../was'
import { lower } from './lower'
import { TalkPart } from './TalkPart'
import { TalkMaybe, TalkNumber, type Talking } from './useTalk'

const PLACES: { value: Intake['places'][number]; label: string }[] = [
  { value: 'OUTDOORS', label: say('visit.outdoors') },
  { value: 'SEA', label: say('visit.onOrInWater') },
  { value: 'HEATED_ROOMS', label: say('visit.heatedRooms') },
  { value: 'COOLED_ROOMS', label: say('visit.cooledRooms') },
  { value: 'HEAT', label: say('visit.kitchenOvensSteam') },
  { value: 'PLANES', label: say('visit.planes') },
]

/** Where the days are spent. */
export function Life({ talk }: { talk: Talking }) {
  const { context, before, intake, set } = talk
  const { words, work } = context
  return (
    <TalkPart talk={talk} label={say('visit.life')} fields={['site', 'outdoorHours']}>
      <SitePicker
        intake={intake}
        set={set}
        was={was(before, intake, 'site', (v) => words.sites.find((s) => s.id === v)?.name ?? v)}
        assumed={talk.isAssumed('site')}
      />
      <ChooseAny
        question={say('visit.theDayIsSpentIn')}
        value={intake.places}
        options={PLACES}
        choose={(places) => set({ places })}
        was={was(before, intake, 'places', lower)}
      />
      <HoursInTheAir intake={intake} set={set} work={work} />
      <div className="ask numbers">
        <TalkNumber talk={talk} label={say('visit.hoursOutdoorsADay')} field="outdoorHours" />
        <TalkMaybe talk={talk} label={say('visit.yearOfBirth')} field="birthYear" width={130} />
        <OutdoorsByMonth intake={intake} set={set} work={work} />
      </div>
    </TalkPart>
  )
}
