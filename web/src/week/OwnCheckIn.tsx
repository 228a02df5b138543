import { useState } from 'react'
import { Link, useLocation, useNavigate, useParams } from 'react-router'
import Button from '@mui/material/Button'
import { useClientPage, useDiary, useDiaryChange } from '../api/hooks'
import { ErrorBand, Fetching } from '../shared/States'
import { say } from '../words/say'
import '../words/client'
import '../words/week'
import { CheckInForm } from './CheckInForm'
import './week.css'

/** The check-in as the client taps it: large, with nothing of anybody else, and no way on but back to who handed it over. */
export default function OwnCheckIn() {
  const { client = '' } = useParams()
  const page = useClientPage(client)
  const diary = useDiary(client)
  const change = useDiaryChange(client)
  const navigate = useNavigate()
  // opened by its address there is nothing to go back to
  const opened = useLocation().key === 'default'
  const back = () => void (opened ? navigate(`/clients/${client}`) : navigate(-1))
  const [noted, setNoted] = useState<'no' | 'calmly' | 'swelling'>('no')
  const failed = page.error ?? diary.error
  if (failed) {
    return (
      <main id="page" className="page">
        <ErrorBand error={failed} again={() => void Promise.all([page.refetch(), diary.refetch()])} />
        <Link to="/">{say('client.backToTheDesk')}</Link>
      </main>
    )
  }
  if (!page.data || !diary.data) return <Fetching what={say('client.theClientSPage')} />
  const done = noted !== 'no'
  return (
    <main id="page" className="own-check-in">
      <h1 data-title={say('week.checkIn')}>
        {done ? say('week.thankYou') : say('week.howHasYourSkinBeen', { name: page.data.client.name })}
      </h1>
      {done ? (
        <>
          <p role="status">{say('week.giveItBack')}</p>
          {noted === 'swelling' && (
            <p role="alert">
              <b>{diary.data.urgent}</b>
            </p>
          )}
          <Button variant="contained" onClick={back}>
            {say('week.backToTheTherapist')}
          </Button>
        </>
      ) : (
        <>
          <p>{say('week.tapOneForEach')}</p>
          <CheckInForm
            client={client}
            today={diary.data.today}
            how="CLIENT"
            say={change.say}
            urgent={diary.data.urgent}
            noted={(swelling) => setNoted(swelling ? 'swelling' : 'calmly')}
          />
          <p>
            <Button onClick={back}>{say('week.notNow')}</Button>
          </p>
        </>
      )}
    </main>
  )
}
