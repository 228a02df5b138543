import { useState, type KeyboardEvent } from 'react'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import FormControlLabel from '@mui/material/FormControlLabel'
import Switch from '@mui/material/Switch'
import {
  IDS,
  isLoneSign,
  keyWords,
  pressed,
  shortcut,
  useOwnKeys,
  type Place,
  type ShortcutId,
} from '../shared/shortcuts'
import { say } from '../words/say'
import '../words/app'
import '../words/keys'

const PLACES: [Place, string][] = [
  ['everywhere', say('keys.everywhere')],
  ['visit', say('keys.inAVisit')],
  ['read', say('app.read')],
  ['regimen', say('app.regimen')],
  ['nights', say('app.nights')],
  ['year', say('app.year')],
  ['sheet', say('app.sheet')],
]

/** Keys that lead away or belong to another. */
const PASSED_BY = ['tab', 'shift', 'alt', 'altgraph', 'control', 'meta']

/** Every key in one list; a lone sign can be another one, or all of them be switched off. */
export function KeysHelp({ close }: { close: () => void }) {
  const own = useOwnKeys()
  const [asking, setAsking] = useState<ShortcutId | null>(null)
  const [refused, setRefused] = useState<{ id: ShortcutId; why: string } | null>(null)

  function take(id: ShortcutId, event: KeyboardEvent) {
    const key = event.key.toLowerCase()
    if (PASSED_BY.includes(key)) return
    event.preventDefault()
    event.stopPropagation()
    if (key === 'escape') {
      setAsking(null)
      return
    }
    const keys = pressed(event.nativeEvent)
    const why = keys === null ? say('keys.canBeNone') : own.change(id, keys)
    setRefused(why === null ? null : { id, why })
    if (why === null) setAsking(null)
  }

  return (
    <Dialog open onClose={close} aria-labelledby="keys-title" fullWidth maxWidth="sm">
      <DialogTitle id="keys-title" sx={{ fontFamily: 'var(--head)', fontWeight: 650 }}>
        {say('app.keys2')}
      </DialogTitle>
      <DialogContent>
        <FormControlLabel
          control={<Switch checked={!own.signsOff} onChange={(_, on) => own.switchSigns(!on)} />}
          label={say('keys.loneSigns')}
        />
        <table className="keys-table">
          {PLACES.map(([place, name]) => (
            <tbody key={place}>
              <tr>
                <th scope="colgroup" colSpan={3}>
                  {name}
                </th>
              </tr>
              {IDS.filter((id) => shortcut(id).place === place).map((id) => {
                const { does, fixed } = shortcut(id)
                const keys = own.keys(id)
                const off = own.signsOff && isLoneSign(keys)
                return (
                  <tr key={id}>
                    <th scope="row">
                      <kbd>{keyWords(keys)}</kbd>
                    </th>
                    <td>
                      {does}
                      {off && ` (${say('keys.off')})`}
                      {refused?.id === id && <p role="alert">{refused.why}</p>}
                    </td>
                    <td>
                      {!fixed && (
                        <Button
                          size="small"
                          variant="text"
                          sx={{ minHeight: 28, py: 0 }}
                          aria-label={say('keys.anotherKeyFor', { does })}
                          onClick={() => {
                            setAsking(id)
                            setRefused(null)
                          }}
                          onBlur={() => setAsking(null)}
                          onKeyDown={(e: KeyboardEvent) => asking === id && take(id, e)}
                        >
                          {asking === id ? say('keys.pressIt') : say('keys.change')}
                        </Button>
                      )}
                    </td>
                  </tr>
                )
              })}
              {place === 'regimen' && (
                <tr>
                  <th scope="row">
                    <kbd>{say('keys.enter')}</kbd>
                  </th>
                  <td colSpan={2}>{say('keys.openTheStep')}</td>
                </tr>
              )}
            </tbody>
          ))}
        </table>
      </DialogContent>
      <DialogActions>
        {own.isChanged && <Button onClick={own.asShipped}>{say('keys.asShipped')}</Button>}
        <Button onClick={close} autoFocus>
          {say('app.close')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
