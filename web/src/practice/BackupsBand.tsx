import { useMutation, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import { api, ask, type Schemas } from '../api/client'
import { keys, useBackups } from '../api/hooks'
import { dateWords, timeWords } from '../shared/format'
import { ErrorBand } from '../shared/States'
import { say } from '../words/say'
import '../words/practice'

const KINDS: Record<Schemas['Backup']['kind'], string> = {
  DAILY: say('practice.byItselfForTheDay'),
  BY_HAND: say('practice.byHand'),
  BEFORE_MIGRATION: say('practice.beforeANewerOutfellChangedTheFile'),
  BEFORE_RESTORE: say('practice.beforeABackupWasPutBack'),
}

const sizeOf = (bytes: number) =>
  bytes < 1024 * 1024
    ? say('practice.kb', { max: Math.max(1, Math.round(bytes / 1024)) })
    : say('practice.mb', { toFixed: (bytes / 1024 / 1024).toFixed(1) })

/** The copies of everything that is kept, with day and size. */
export function BackupsBand() {
  const queries = useQueryClient()
  const backups = useBackups()
  const make = useMutation({
    mutationFn: () => ask(api.POST('/api/practice/backups')),
    onSuccess: () => void queries.invalidateQueries({ queryKey: keys.backups }),
  })
  const all = backups.data ?? []
  return (
    <section className="band practice" aria-label={say('practice.backups')}>
      <div>
        <h2>{say('practice.backups')}</h2>
        <p className="second">
          {say('practice.oneIsMadeByItselfEachDay')}
          <code>{say('practice.outfellRestoreFile')}</code>.
        </p>
        <Button onClick={() => make.mutate()} disabled={make.isPending}>
          {make.isPending ? say('practice.copyingAndReadingItThrough') : say('practice.makeOneNow')}
        </Button>
        {make.isError && <ErrorBand error={make.error} />}
      </div>
      <div>
        {backups.isError && <ErrorBand error={backups.error} again={() => void backups.refetch()} />}
        {backups.data && all.length === 0 && <p>{say('practice.noneYetTheFirstIsMadeWithin')}</p>}
        {all.length > 0 && (
          <details open={all.length <= 5}>
            <summary>
              {all.length === 1 ? say('practice.1Backup') : say('practice.backups2', { length: all.length })}
              {say('practice.theNewestOf')} {all[0] && `${dateWords(all[0].made)} ${timeWords(all[0].made)}`}
            </summary>
            <table className="backups">
              <thead>
                <tr>
                  <th scope="col">{say('practice.made')}</th>
                  <th scope="col">{say('practice.size')}</th>
                  <th scope="col">{say('practice.how')}</th>
                  <th scope="col">{say('practice.file')}</th>
                </tr>
              </thead>
              <tbody>
                {all.map((b) => (
                  <tr key={b.name}>
                    <td>
                      {dateWords(b.made)} {timeWords(b.made)}
                    </td>
                    <td>{sizeOf(b.bytes)}</td>
                    <td>{KINDS[b.kind]}</td>
                    <td>{b.name}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </details>
        )}
      </div>
    </section>
  )
}
