import { useState } from 'react'
import Autocomplete from '@mui/material/Autocomplete'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useHouse } from '../api/hooks'
import { useWho } from './who'
import { say } from '../words/say'
import '../words/shared'

/** Who does it: picked once on this machine from those who work here, or typed; after that it is only said. */
export function Who({
  label = say('shared.who'),
  width = 200,
  help,
}: {
  label?: string
  width?: number
  /** shown while nobody is picked */
  help?: string
}) {
  const [who, setWho] = useWho()
  // stays a field while it is typed into: one that folded as it is left would take the next tap from under the finger
  const [picking, setPicking] = useState(who.trim() === '')
  const house = useHouse()
  if (!picking && who.trim() !== '') {
    return (
      <span className="who">
        <span>
          <span className="second">{label}</span> <b>{who}</b>
        </span>
        <Button size="small" onClick={() => setPicking(true)}>
          {say('shared.notMe')}
        </Button>
      </span>
    )
  }
  return (
    <Autocomplete
      freeSolo
      options={(house.data?.workers ?? []).map((w) => w.name)}
      inputValue={who}
      onInputChange={(_, next, reason) => reason !== 'reset' && setWho(next)}
      onChange={(_, next) => {
        if (next === null) return
        setWho(next)
        setPicking(false)
      }}
      sx={{ width }}
      renderInput={(params) => (
        <TextField {...params} label={label} helperText={who.trim() === '' ? help : undefined} />
      )}
    />
  )
}
