import { useState } from 'react'
import { useNavigate } from 'react-router'
import Autocomplete from '@mui/material/Autocomplete'
import Dialog from '@mui/material/Dialog'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import { useDesk } from '../api/hooks'
import { say } from '../words/say'
import '../words/docket'

/** Finds a client from anywhere, by name, trade or contact; those who no longer come are found too. */
export function Find({ close }: { close: () => void }) {
  const navigate = useNavigate()
  const [text, setText] = useState('')
  const found = useDesk({ text: text.trim(), scope: 'ARCHIVED' })
  return (
    <Dialog open onClose={close} fullWidth maxWidth="sm" aria-labelledby="find-title">
      <DialogTitle id="find-title" sx={{ fontFamily: 'var(--head)', fontWeight: 650 }}>
        {say('docket.findAClient')}
      </DialogTitle>
      <DialogContent sx={{ minHeight: 360 }}>
        <Autocomplete
          open
          autoHighlight
          options={found.data?.clients ?? []}
          inputValue={text}
          onInputChange={(_, next, reason) => reason !== 'reset' && setText(next)}
          getOptionLabel={(c) => c.name}
          getOptionKey={(c) => c.id}
          isOptionEqualToValue={(a, b) => a.id === b.id}
          // what was found is what fits; it is not sifted a second time
          filterOptions={(all) => all}
          loading={found.isPending}
          noOptionsText={found.isError ? found.error.message : say('docket.nobodyByThatNameTradeOrContact')}
          onChange={(_, client) => {
            if (!client) return
            close()
            void navigate(`/clients/${client.id}`)
          }}
          slotProps={{ popper: { disablePortal: true } }}
          sx={{ mt: 1 }}
          renderInput={(params) => (
            <TextField {...params} label={say('docket.nameTradeOrContact')} autoFocus />
          )}
          renderOption={({ key, ...props }, c) => (
            <li key={key} {...props}>
              <b>{c.name}</b>
              <span className="second" style={{ marginLeft: 8 }}>
                {[c.trade, c.contact].filter(Boolean).join(', ')}
              </span>
            </li>
          )}
        />
      </DialogContent>
    </Dialog>
  )
}
