import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import FormControlLabel from '@mui/material/FormControlLabel'
import Switch from '@mui/material/Switch'
import { api, ask, type Schemas } from '../api/client'
import { keys } from '../api/hooks'
import { capital, dateWords, timeWords } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { useKeptForm } from '../shared/form'
import { numberFrom } from '../shared/numbers'
import { NumberText } from '../shared/NumberText'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'
import { say } from '../words/say'
import '../words/practice'

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
              .map((s) =>
                s.onOff ? (
                  <OnOff key={s.id} setting={s} who={who} />
                ) : (
                  <OneSetting key={s.id + s.value} setting={s} who={who} />
                ),
              )}
          </details>
        ))}
      </div>
    </section>
  )
}

function useSetting(setting: Setting, who: string) {
  const queries = useQueryClient()
  return useMutation({
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
}

/** What is either so or not. */
function OnOff({ setting, who }: { setting: Setting; who: string }) {
  const set = useSetting(setting, who)
  const [last] = setting.changes
  return (
    <div className="row">
      <FormControlLabel
        control={
          <Switch
            checked={setting.value === 1}
            disabled={who.trim() === '' || set.isPending}
            onChange={(e) => set.mutate(e.target.checked ? 1 : 0)}
          />
        }
        label={capital(setting.words)}
      />
      {last && (
        <span className="second">
          {say('practice.switched', {
            to: last.value === 1 ? say('practice.on') : say('practice.off'),
            by: last.by,
            day: dateWords(last.at.slice(0, 10)),
          })}
        </span>
      )}
      {set.error && <ErrorBand error={set.error} />}
    </div>
  )
}

function OneSetting({ setting, who }: { setting: Setting; who: string }) {
  const form = useKeptForm('yardstick', setting.id, { value: String(setting.value) })
  const set = useSetting(setting, who)
  const put = (value: number) =>
    form.submit(async () => {
      await set.mutateAsync(value)
      form.leave()
    })
  const number = form.number('value', true)
  const wrong = number.wrong ?? number.refused ?? form.fault?.message
  return (
    <form className="row" onSubmit={put(numberFrom(form.now.value) ?? 0)}>
      <NumberText
        label={say('practice.to', { least: setting.least, most: setting.most })}
        name={capital(setting.words)}
        {...number}
        wrong={wrong === undefined ? undefined : ''}
        refused={undefined}
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
        disabled={!form.begun || who.trim() === '' || form.busy}
        aria-label={say('practice.set2', { words: setting.words })}
      >
        {say('practice.set')}
      </Button>
      {setting.value !== setting.shipped && (
        <Button
          disabled={who.trim() === ''}
          onClick={() => put(setting.shipped)()}
          aria-label={say('practice.backTo', { shipped: setting.shipped, words: setting.words })}
        >
          {say('practice.backTo2', { shipped: setting.shipped })}
        </Button>
      )}
    </form>
  )
}
