import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { useOneStop } from '../shared/oneStop'
import { useSettings, type Settings } from '../shared/settings'
import { say } from '../words/say'
import '../words/sheet'
import type { Spare } from './useFit'

const NAMES: Record<Spare, string> = {
  ifs: say('sheet.spareIfs'),
  year: say('sheet.throughTheYear'),
  feel: say('sheet.spareFeel'),
  room: say('sheet.roomToWrite'),
}

/**
 * How the sheet lies and what stands on it; and what one side has no room for.
 *
 * @param over parts that its front has no room for
 * @param whole whether what must stand on the front does
 */
export function PaperSettings({ over, whole }: { over: Spare[]; whole: boolean }) {
  const [settings, set] = useSettings()
  const lies = useOneStop<HTMLDivElement>()
  const letters = useOneStop<HTMLDivElement>()
  const tick = (name: 'boxes' | 'room' | 'back', label: string) => (
    <FormControlLabel
      control={<Checkbox checked={settings[name]} onChange={(e) => set({ [name]: e.target.checked })} />}
      label={label}
    />
  )
  return (
    <div className="no-print paper-settings" role="group" aria-label={say('sheet.howItIsPrinted')}>
      <ToggleButtonGroup
        exclusive
        {...lies}
        value={settings.paper}
        aria-label={say('sheet.lies')}
        onChange={(_, paper: Settings['paper'] | null) => paper && set({ paper })}
      >
        <ToggleButton value="across">{say('sheet.across')}</ToggleButton>
        <ToggleButton value="upright">{say('sheet.upright')}</ToggleButton>
      </ToggleButtonGroup>
      <ToggleButtonGroup
        exclusive
        {...letters}
        value={settings.sheetLetters}
        aria-label={say('sheet.letters')}
        onChange={(_, next: Settings['sheetLetters'] | null) => next && set({ sheetLetters: next })}
      >
        <ToggleButton value="usual">{say('sheet.lettersUsual')}</ToggleButton>
        <ToggleButton value="large">{say('sheet.lettersLarge')}</ToggleButton>
      </ToggleButtonGroup>
      {tick('boxes', say('sheet.boxesToTick'))}
      {tick('room', say('sheet.roomToWrite'))}
      {over.length > 0 &&
        settings.sheetLetters === 'usual' &&
        whole &&
        tick('back', say('sheet.printTheBack'))}
      <span className="second" role="status">
        {!whole && say('sheet.twoSides')}
        {over.length > 0 &&
          say(
            settings.back || settings.sheetLetters === 'large' || !whole
              ? 'sheet.onTheBack'
              : 'sheet.leftOff',
            {
              parts: over.map((name) => NAMES[name]).join(', '),
            },
          )}
        {whole && over.length === 0 && say('sheet.oneSide')}
      </span>
    </div>
  )
}
