import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import type { Schemas } from '../api/client'
import { usePlaces } from '../api/hooks'
import { monthName, MONTHS } from '../shared/format'
import { say } from '../words/say'
import '../words/shared'
import '../words/visit'
import { NumberField } from './Ask'
import type { VisitWork } from './useVisit'

type Intake = Schemas['Intake']
type Place = Intake['places'][number]

/** Places that weigh by their hours, as a question for each. */
const BY_HOURS: Partial<Record<Place, string>> = {
  HEATED_ROOMS: say('visit.hoursInHeatedRooms'),
  COOLED_ROOMS: say('visit.hoursInCooledRooms'),
  HEAT: say('visit.hoursInSteam'),
  PLANES: say('visit.hoursInPlanes'),
}

type Props = { intake: Intake; set: (part: Partial<Intake>) => void; work: VisitWork }

/** Where she lives and works: places that ship, and the practice's own. */
export function SitePicker({
  intake,
  set,
  was,
  assumed,
}: Pick<Props, 'intake' | 'set'> & { was: string | undefined; assumed: boolean }) {
  const places = usePlaces().data?.places ?? []
  const shown = places.find((p) => p.id === intake.site)
  return (
    <div className="ask site">
      <TextField
        select
        label={say('visit.livesAndWorksAt')}
        value={shown ? intake.site : ''}
        onChange={(e) => set({ site: e.target.value })}
        className={assumed ? 'assumed' : undefined}
        slotProps={{ select: { 'aria-description': assumed ? say('shared.assumed') : undefined } }}
        sx={{ width: 230, maxWidth: '100%' }}
      >
        {places
          .filter((p) => p.offered || p.id === intake.site)
          .map((p) => (
            <MenuItem key={p.id} value={p.id}>
              {p.name}
            </MenuItem>
          ))}
      </TextField>
      <span className="second site-note">
        {shown?.note} {was !== undefined && <span className="was">{say('visit.was2', { value: was })}</span>}
      </span>
    </div>
  )
}

/** How long the day is spent in which air, for the places that are ticked; the usual hours while nobody has said. */
export function HoursInTheAir({ intake, set, work }: Props) {
  const told = intake.hoursIn ?? []
  const asked = intake.places.filter((p) => BY_HOURS[p] !== undefined)
  const put = (place: Place, hours: number | null) => {
    const others = told.filter((h) => h.place !== place)
    const all = hours === null ? others : [...others, { place, hours }]
    set({ hoursIn: all.length > 0 ? all : null })
  }
  return asked.length === 0 ? null : (
    <div className="ask numbers">
      {asked.map((place) => (
        <NumberField
          key={place}
          label={BY_HOURS[place] ?? ''}
          pointer={`/intake/hoursIn/${place}`}
          value={told.find((h) => h.place === place)?.hours ?? null}
          work={work}
          set={(hours) => put(place, hours)}
          clear={() => put(place, null)}
          width={170}
        />
      ))}
    </div>
  )
}

/** Hours outdoors month by month, where they differ. */
export function OutdoorsByMonth({ intake, set, work }: Props) {
  const months = intake.outdoorsByMonth ?? null
  if (months === null) {
    return (
      <Button size="small" onClick={() => set({ outdoorsByMonth: MONTHS.map(() => intake.outdoorHours) })}>
        {say('visit.outdoorsDiffers')}
      </Button>
    )
  }
  return (
    <fieldset className="outdoors-by-month">
      <legend>{say('visit.outdoorsByMonth')}</legend>
      <div className="numbers">
        {MONTHS.map((m, i) => (
          <NumberField
            key={m}
            label={monthName(m)}
            pointer={`/intake/outdoorsByMonth/${i}`}
            value={months[i] ?? 0}
            work={work}
            set={(hours) => set({ outdoorsByMonth: months.map((h, n) => (n === i ? hours : h)) })}
            width={112}
          />
        ))}
      </div>
      <Button size="small" onClick={() => set({ outdoorsByMonth: null })}>
        {say('visit.outdoorsAlike')}
      </Button>
    </fieldset>
  )
}
