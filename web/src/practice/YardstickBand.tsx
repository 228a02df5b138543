import { useState } from 'react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { api, ask, Refused, type Schemas } from '../api/client'
import { keys } from '../api/hooks'
import { capital, dateWords, numberFrom, timeWords } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'
import { say } from '../words/say'

type Setting = Schemas['YardstickView']

/** By what the practice chooses, each setting in words, with who changed it. */
export function YardstickBand() {
  const yardstick = useQuery({
    queryKey: keys.yardstick,
    queryFn: () => ask(api.GET('/api/practice/yardstick')),
  })
  const [who] = useWho()
  if (yardstick.isError) return <ErrorBand error={yardstick.error} again={() => void yardstick.refetch()} />
  const groups = [...new Set((yardstick.data ?? []).map((s) => s.group))]
  return (
    <section className="band practice" aria-label={say('practice.whatTheChoiceWeighs')}>
      <div>
        <h2>{say('practice.whatTheChoiceWeighs')}</h2>
        <p className="second">{say('practice.allConcernsOfAPlanShare100')}</p>
        <Who help={say('practice.neededBeforeAChange')} />
      </div>
      <div>
        {groups.map((group) => (
          <details key={group} className="yardstick">
            <summary>{capital(group)}</summary>
            {(yardstick.data ?? [])
              .filter((s) => s.group === group)
              .map((s) => (
                <OneSetting key={s.id + s.value} setting={s} who={who} />
              ))}
          </details>
        ))}
      </div>
    </section>
  )
}

function OneSetting({ setting, who }: { setting: Setting; who: string }) {
  const queries = useQueryClient()
  const [text, setText] = useState(String(setting.value))
  const set = useMutation({
    mutationFn: (value: number) =>
      ask(
        api.PUT('/api/practice/yardstick/{id}', {
          params: { path: { id: setting.id } },
          body: { value, by: who, version: setting.changes.length },
        }),
      ),
    onSuccess: (all) => {
      queries.setQueryData(keys.yardstick, all)
      void queries.invalidateQueries({ queryKey: ['plan'] })
    },
  })
  const value = text.trim() === '' ? null : numberFrom(text)
  const refused = set.error instanceof Refused ? set.error.fields[0]?.sentence : set.error?.message
  const wrong = value === null ? say('practice.isNotANumber2', { text }) : refused
  return (
    <form
      className="row"
      onSubmit={(e) => {
        e.preventDefault()
        if (value !== null) set.mutate(value)
      }}
    >
      <TextField
        label={say('practice.to', { least: setting.least, most: setting.most })}
        value={text}
        error={!!wrong}
        onChange={(e) => setText(e.target.value)}
        slotProps={{ htmlInput: { inputMode: 'decimal', 'aria-label': capital(setting.words) } }}
        sx={{ width: 110 }}
      />
      <span style={{ flex: 1 }}>
        {capital(setting.words)}.
        {wrong && (
          <b role="alert" className="refusal">
            {' '}
            {wrong}
          </b>
        )}
        {setting.changes[0] && (
          <span className="second">
            {say('practice.shippedWith', {
              by: setting.changes[0].by,
              at: dateWords(setting.changes[0].at),
              at2: timeWords(setting.changes[0].at),
              shipped: setting.shipped,
            })}
          </span>
        )}
      </span>
      <Button
        type="submit"
        disabled={value === null || value === setting.value || who.trim() === '' || set.isPending}
        aria-label={say('practice.set2', { words: setting.words })}
      >
        {say('practice.set')}
      </Button>
      {setting.value !== setting.shipped && (
        <Button
          disabled={who.trim() === ''}
          onClick={() => set.mutate(setting.shipped)}
          aria-label={say('practice.backTo', { shipped: setting.shipped, words: setting.words })}
        >
          {say('practice.backTo2', { shipped: setting.shipped })}
        </Button>
      )}
    </form>
  )
}
