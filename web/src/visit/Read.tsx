import { useCallback, useEffect, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import Button from '@mui/material/Button'
import type { Reading, Sign, Zone } from '../api/client'
import { capital } from '../shared/format'
import { Face } from './Face'
import { graded, gradeOf, mirrored, neighbour } from './reading'
import { VerdictPanel } from './VerdictPanel'
import { useVisitContext } from './VisitShell'

const NAMES = ['none', 'faint', 'mild', 'marked', 'severe']

/** The face, one sign at a time, with the live verdict beside it. */
export default function Read() {
  const { visit, words, work, verdict } = useVisitContext()
  const navigate = useNavigate()
  const reading = work.draft.document.reading
  const signs = words.signs
  const [signId, setSign] = useState<Sign>('SHINE')
  const sign = signs.find((s) => s.sign === signId) ?? signs[0]
  const [zoneId, setZone] = useState<Zone>('FOREHEAD')
  const zone = sign && sign.zones.includes(zoneId) ? zoneId : (sign?.zones[0] ?? 'FOREHEAD')
  const history = useRef<Reading[]>([])

  const edit = useCallback(
    (next: (before: Reading) => Reading) =>
      work.change((d) => {
        const after = next(d.reading)
        if (after === d.reading) return d
        history.current.push(d.reading)
        return { ...d, reading: after }
      }),
    [work],
  )
  const undo = useCallback(() => {
    const before = history.current.pop()
    if (before) work.change((d) => ({ ...d, reading: before }))
  }, [work])
  const grade = useCallback(
    (value: number | null) => sign && edit((r) => graded(r, sign, zone, value)),
    [edit, sign, zone],
  )

  useEffect(() => {
    if (!sign) return
    const key = (e: KeyboardEvent) => {
      const typing = e.target instanceof HTMLInputElement || e.target instanceof HTMLTextAreaElement
      if (typing || e.altKey || e.ctrlKey || e.metaKey) return
      if (/^[0-4]$/.test(e.key)) {
        grade(Number(e.key))
        setZone(neighbour(sign.zones, zone, 1))
      } else if (e.key === 'ArrowRight' || e.key === 'ArrowDown') setZone(neighbour(sign.zones, zone, 1))
      else if (e.key === 'ArrowLeft' || e.key === 'ArrowUp') setZone(neighbour(sign.zones, zone, -1))
      else if (e.key === ']') setSign(neighbour(signs, sign, 1).sign)
      else if (e.key === '[') setSign(neighbour(signs, sign, -1).sign)
      else if (e.key.toLowerCase() === 'm') edit((r) => mirrored(r, sign, zone))
      else if (e.key.toLowerCase() === 'z') undo()
      else if (e.key === 'Delete') grade(null)
      else return
      e.preventDefault()
    }
    window.addEventListener('keydown', key)
    return () => window.removeEventListener('keydown', key)
  }, [edit, grade, sign, signs, undo, zone])

  if (!sign) return null
  const now = gradeOf(reading, sign.sign, zone)
  const label = (z: Zone) => words.zones.find((w) => w.zone === z)?.label ?? z
  return (
    <>
      <div className="signs" role="toolbar" aria-label="Signs">
        {signs.map((s) => {
          const looked = reading.grades.filter((g) => g.sign === s.sign)
          const worst = Math.max(0, ...looked.map((g) => g.grade))
          return (
            <button
              key={s.sign}
              type="button"
              aria-pressed={s.sign === sign.sign}
              onClick={() => setSign(s.sign)}
            >
              {s.label}
              <small>
                {looked.length === 0 ? 'not yet' : `${NAMES[worst]} ${looked.length}/${s.zones.length}`}
              </small>
            </button>
          )
        })}
      </div>
      <div className="read">
        <section className="face-side" aria-label="Face">
          <div className="face-box">
            <Face
              zones={sign.zones}
              label={label}
              grade={(z) => gradeOf(reading, sign.sign, z)}
              current={zone}
              pick={setZone}
            />
          </div>
          <p className="descriptor" aria-live="polite">
            <b>
              {capital(label(zone))}, {sign.label.toLowerCase()}{' '}
              {now === null ? 'not looked at' : `${now} ${NAMES[now]}`}:
            </b>{' '}
            {now === null
              ? `usually ${sign.how.toLowerCase()}; tap a grade or type 0 to 4`
              : sign.grades[now]}
          </p>
          <div className="pads" role="group" aria-label="Grade">
            {NAMES.map((name, i) => (
              <button
                key={name}
                type="button"
                aria-pressed={now === i}
                title={sign.grades[i]}
                onClick={() => {
                  grade(i)
                  setZone(neighbour(sign.zones, zone, 1))
                }}
              >
                <b>{i}</b> {name}
              </button>
            ))}
          </div>
          <div className="row" style={{ marginTop: 10 }}>
            <Button
              onClick={() =>
                edit((r) =>
                  sign.zones.reduce(
                    (x, z) => (gradeOf(x, sign.sign, z) === null ? graded(x, sign, z, 0) : x),
                    r,
                  ),
                )
              }
            >
              Rest none
            </Button>
            <Button onClick={() => edit((r) => mirrored(r, sign, zone))}>Both sides alike</Button>
            <Button onClick={() => grade(null)}>Not looked at</Button>
            <Button onClick={undo}>Undo</Button>
            <Button sx={{ ml: 'auto' }} onClick={() => setSign(neighbour(signs, sign, 1).sign)}>
              Next: {neighbour(signs, sign, 1).label}
            </Button>
          </div>
        </section>
        <section className="verdict-side" aria-label="Verdict">
          <VerdictPanel
            verdict={verdict}
            label={label}
            looked={reading.grades.length}
            show={(s) => setSign(s)}
          />
          <div className="build-bar">
            <Button
              variant="contained"
              fullWidth
              sx={{ minHeight: 52 }}
              onClick={() => {
                void work.settle()
                void navigate(`/visits/${visit.id}/regimen`)
              }}
            >
              Build the regimen from this
            </Button>
          </div>
        </section>
      </div>
    </>
  )
}
