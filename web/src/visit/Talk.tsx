import { useNavigate } from 'react-router'
import Button from '@mui/material/Button'
import { ClientShelf } from '../products/ClientShelf'
import { dateWords } from '../shared/format'
import { say } from '../words/say'
import '../words/app'
import '../words/visit'
import { problemAt } from './Ask'
import { AskedBack } from './AskedBack'
import { Follows } from './Follows'
import { Screen } from './Screen'
import { Life } from './talk/Life'
import { MakeUpAndSun } from './talk/MakeUpAndSun'
import { OwnWord } from './talk/OwnWord'
import { TimeAndTaste } from './talk/TimeAndTaste'
import { useTalk } from './talk/useTalk'
import { was } from './was'
import { Words } from './Words'

/** What is asked before the skin is read, in the order of a conversation. */
export default function Talk() {
  const talk = useTalk()
  const { context, last, before, intake, set } = talk
  const { visit, client, work } = context
  const navigate = useNavigate()
  return (
    <div className="page">
      <div className="desk-head">
        <h1 data-title={say('app.talk')}>{say('visit.talkWith', { value: client.name.split(' ')[0] })}</h1>
        <span className="second">
          {last
            ? say('visit.whatHasChangedSinceIsMarked', { date: dateWords(last.date) })
            : say('visit.skipWhatDoesNotMatterEveryAnswer')}
        </span>
        <Button
          variant="contained"
          sx={{ ml: 'auto' }}
          onClick={() => void navigate(`/visits/${visit.id}/read`)}
        >
          {say('visit.readTheSkin')}
        </Button>
      </div>
      <div className="talk">
        <Life talk={talk} />
        <MakeUpAndSun talk={talk} />
        <TimeAndTaste talk={talk} />
        <OwnWord talk={talk} />
        <section aria-label={say('visit.safetyScreen')} className="screen">
          <h2>{say('visit.safety')}</h2>
          <Screen before={before} />
          <div className="own-words">
            <Words
              work={work}
              pointer="/intake/medicines"
              label={say('visit.medicineByItsName')}
              words={intake.medicines}
              set={(medicines) => set({ medicines })}
              problem={problemAt(work, '/intake/medicines')}
              was={was(before, intake, 'medicines', (v) => v.join(', '))}
            />
            <Words
              work={work}
              pointer="/intake/otherAllergies"
              label={say('visit.anotherAllergyAsOnALabel')}
              words={intake.otherAllergies}
              set={(otherAllergies) => set({ otherAllergies })}
              problem={problemAt(work, '/intake/otherAllergies')}
              was={was(before, intake, 'otherAllergies', (v) => v.join(', '))}
            />
          </div>
          <AskedBack />
          <Follows />
        </section>
      </div>
      <ClientShelf client={client.id} visit={visit.id} />
    </div>
  )
}
