import Dialog from '@mui/material/Dialog'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { useOneStop } from '../shared/oneStop'
import { useSettings, type Settings } from '../shared/settings'
import { say } from '../words/say'
import '../words/docket'

const LETTERS: { value: Settings['letters']; label: string }[] = [
  { value: 'usual', label: say('docket.lettersUsual') },
  { value: 'large', label: say('docket.lettersLarge') },
]
const LIGHT: { value: Settings['light']; label: string }[] = [
  { value: 'machine', label: say('docket.lightMachine') },
  { value: 'light', label: say('docket.lightLight') },
  { value: 'dark', label: say('docket.lightDark') },
]

/** How the screens look on this machine: the size of their letters, and light or dark. */
export function Looks({ close }: { close: () => void }) {
  const [settings, set] = useSettings()
  return (
    <Dialog open onClose={close} aria-labelledby="looks-title">
      <DialogTitle id="looks-title" sx={{ fontFamily: 'var(--head)', fontWeight: 650 }}>
        {say('docket.looks')}
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2 }}>
        <OneOf
          label={say('docket.letters')}
          value={settings.letters}
          options={LETTERS}
          choose={(letters) => set({ letters })}
        />
        <OneOf
          label={say('docket.light')}
          value={settings.light}
          options={LIGHT}
          choose={(light) => set({ light })}
        />
        <p className="second">{say('docket.kept')}</p>
      </DialogContent>
    </Dialog>
  )
}

function OneOf<T extends string>({
  label,
  value,
  options,
  choose,
}: {
  label: string
  value: T
  options: { value: T; label: string }[]
  choose: (value: T) => void
}) {
  return (
    <div>
      <b>{label}</b>
      <ToggleButtonGroup
        {...useOneStop<HTMLDivElement>()}
        exclusive
        fullWidth
        value={value}
        aria-label={label}
        onChange={(_, next: T | null) => next && choose(next)}
      >
        {options.map((o) => (
          <ToggleButton key={o.value} value={o.value}>
            {o.label}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </div>
  )
}
