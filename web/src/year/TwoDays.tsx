import { useEffect, useId, useRef, useState } from 'react'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import type { Schemas } from '../api/client'
import { becomes, CAUSES } from '../regimen/Changes'
import { partName, shortDay } from '../shared/format'
import { Why } from '../shared/Why'
import { say } from '../words/say'
import '../words/year'
import { TwoStrips } from './Dates'
import { lastDay, type Stretch, type YearView } from './layout'

type Since = Schemas['Since']
type Dated = { difference: Schemas['Difference']; since: Since[] }

/** Two days of the year side by side, whichever: what differs, and on which dates it came to. */
export function TwoDays({ year, close }: { year: YearView; close: () => void }) {
  const title = useId()
  const [[from, to], choose] = useState<[number, number]>([0, Math.min(2, year.stretches.length - 1)])
  const section = useRef<HTMLElement>(null)
  useEffect(() => section.current?.focus(), [])
  const first = year.stretches[from]
  const second = year.stretches[to]
  if (!first || !second) return null
  const { differences, told } = between(year, from, to)
  const part = (label: string, value: number, put: (n: number) => void, may: (n: number) => boolean) => (
    <TextField
      select
      size="small"
      label={label}
      value={value}
      onChange={(e) => put(Number(e.target.value))}
      sx={{ width: 330, maxWidth: '100%' }}
    >
      {year.stretches.map((s, i) => (
        <MenuItem key={s.from} value={i} disabled={!may(i)}>
          {partWords(s)}
        </MenuItem>
      ))}
    </TextField>
  )
  return (
    <section className="band year-open" aria-labelledby={title} tabIndex={-1} ref={section}>
      <div className="year-open-head">
        <h2 id={title}>{say('year.twoDays')}</h2>
        {part(
          say('year.aDayFrom'),
          from,
          (n) => choose([n, to]),
          (n) => n < to,
        )}
        {part(
          say('year.andADayFrom'),
          to,
          (n) => choose([from, n]),
          (n) => n > from,
        )}
        <Button onClick={close}>{say('year.closeDate')}</Button>
      </div>
      <TwoStrips
        first={first}
        second={second}
        names={[shortDay(first.from), shortDay(second.from)]}
        changes={differences.map((d) => d.difference)}
      />
      {differences.length === 0 && told.length === 0 && <p>{say('year.twoDaysAlike')}</p>}
      <ul className="year-two">
        {differences.map((d) => (
          <li key={d.difference.part + d.difference.what + d.difference.from + d.difference.to}>
            <span className="second">{partName(d.difference.part)}</span>
            <b>{becomes(d.difference)}</b>
            <ul>
              {d.since.map((s) => (
                <li key={s.day + s.change.from + s.change.to}>
                  <span className="cause">{CAUSES[s.change.cause]}</span> {shortDay(s.day)}:{' '}
                  {s.change.because.map((b) => (
                    <span key={b.sentence}>
                      <Why because={b} />{' '}
                    </span>
                  ))}
                  {s.change.limit && <b>{s.change.limit.sentence}</b>}
                </li>
              ))}
            </ul>
          </li>
        ))}
        {told.map((t) => (
          <li key={t.title + String(t.begins)} className="year-two-told">
            {say(t.begins ? 'year.sheetSays' : 'year.sheetDrops', { title: t.title })}
          </li>
        ))}
      </ul>
    </section>
  )
}

const partWords = (s: Stretch) =>
  say('year.partOf', { from: shortDay(s.from), to: shortDay(lastDay(s)), name: s.name })

/** Of two that meet, the date between them tells all; of others, what the year holds of the pair. */
function between(
  year: YearView,
  from: number,
  to: number,
): { differences: Dated[]; told: Schemas['ToldNote'][] } {
  const met = year.stretches[to]
  if (met && to === from + 1) {
    return {
      differences: [...met.changes, ...met.ripened].map((change) => ({
        difference: change,
        since: [{ day: met.from, change }],
      })),
      told: met.told,
    }
  }
  return year.apart.find((a) => a.from === from && a.to === to) ?? { differences: [], told: [] }
}
