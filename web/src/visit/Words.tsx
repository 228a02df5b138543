import Button from '@mui/material/Button'
import Chip from '@mui/material/Chip'
import TextField from '@mui/material/TextField'
import { kept } from './kept'
import type { VisitWork } from './useVisit'
import { say } from '../words/say'
import '../words/visit'

/** Words of the client's own, one by one: medicines, allergies. A word half typed is kept. */
export function Words({
  work,
  pointer,
  label,
  words,
  set,
  problem,
  was,
}: {
  work: VisitWork
  /** JSON pointer of the list in the visit */
  pointer: string
  label: string
  words: string[]
  set: (words: string[]) => void
  problem?: string
  was?: string
}) {
  const [text, setText] = kept(work, pointer)
  const add = () => {
    const word = text.trim()
    setText('')
    if (word !== '' && !words.includes(word)) set([...words, word])
  }
  return (
    <div className="ask">
      <div className="row">
        <TextField
          label={label}
          value={text}
          error={!!problem}
          helperText={
            problem ??
            (was === undefined ? undefined : say('visit.was2', { value: was || say('visit.none') }))
          }
          onChange={(e) => setText(e.target.value)}
          onBlur={add}
          sx={{ width: 260 }}
          onKeyDown={(e) => {
            if (e.key === 'Enter') {
              e.preventDefault()
              add()
            }
          }}
        />
        {text !== '' && <Button onClick={add}>{say('visit.add')}</Button>}
        {words.map((w) => (
          <Chip key={w} label={w} onDelete={() => set(words.filter((x) => x !== w))} />
        ))}
      </div>
    </div>
  )
}
