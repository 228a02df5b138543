import { useMutation, useQueryClient } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import { api, ask, type Schemas } from '../api/client'
import { keys, useBackups } from '../api/hooks'
import { dateWords, timeWords } from '../shared/format'
import { ErrorBand } from '../shared/States'

const KINDS: Record<Schemas['Backup']['kind'], string> = {
  DAILY: 'by itself, for the day',
  BY_HAND: 'by hand',
  BEFORE_MIGRATION: 'before a newer Outfell changed the file',
  BEFORE_RESTORE: 'before a backup was put back',
}

const sizeOf = (bytes: number) =>
  bytes < 1024 * 1024
    ? `${Math.max(1, Math.round(bytes / 1024))} kB`
    : `${(bytes / 1024 / 1024).toFixed(1)} MB`

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
    <section className="band practice" aria-label="Backups">
      <div>
        <h2>Backups</h2>
        <p className="second">
          One is made by itself each day, and before a newer Outfell changes the file; each was opened and
          read through. The thirty newest are kept. To put one back: <code>./outfell restore FILE</code>.
        </p>
        <Button onClick={() => make.mutate()} disabled={make.isPending}>
          {make.isPending ? 'Copying and reading it through' : 'Make one now'}
        </Button>
        {make.isError && <ErrorBand error={make.error} />}
      </div>
      <div>
        {backups.isError && <ErrorBand error={backups.error} again={() => void backups.refetch()} />}
        {backups.data && all.length === 0 && <p>None yet; the first is made within the minute.</p>}
        {all.length > 0 && (
          <details open={all.length <= 5}>
            <summary>
              {all.length === 1 ? '1 backup' : `${all.length} backups`}, the newest of{' '}
              {all[0] && `${dateWords(all[0].made)} ${timeWords(all[0].made)}`}
            </summary>
            <table className="backups">
              <thead>
                <tr>
                  <th scope="col">Made</th>
                  <th scope="col">Size</th>
                  <th scope="col">How</th>
                  <th scope="col">File</th>
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
