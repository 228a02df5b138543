import { useCallback, useEffect, useRef, useState, type KeyboardEvent } from 'react'
import { useNavigate } from 'react-router'
import Button from '@mui/material/Button'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import useMediaQuery from '@mui/material/useMediaQuery'
import type { Grade, Reading, Sign, Zone } from '../api/client'
import { useBefore } from '../api/hooks'
import { capital, dateWords } from '../shared/format'
import { useShortcut } from '../shared/shortcuts'
import { Face } from './Face'
import { ProbePanel } from './ProbePanel'
import { asBefore, graded, gradeOf, mirrored, neighbour, zonesOf } from './reading'
import { VerdictLine, VerdictPanel } from './VerdictPanel'
import { useVisitContext } from './VisitShell'
import { say } from '../words/say'
import '../words/app'
import '../words/visit'

const NAMES = [
  say('visit.grade0'),
  say('visit.grade1'),
  say('visit.grade2'),
  say('visit.grade3'),
  say('visit.grade4'),
]
const HOWS: { value: Grade['how']; label: string }[] = [
  { value: 'SEEN', label: say('visit.seen') },
  { value: 'FELT', label: say('visit.felt') },
  { value: 'REPORTED', label: say('visit.told') },
]

const PHONE = '(max-width: 560px)'
const ARROWS: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }

/** From a zone to its grades: the one it has, or the first. */
const enterPads = (pads: HTMLElement | null) =>
  (
    pads?.querySelector<HTMLElement>('[aria-pressed="true"]') ?? pads?.querySelector<HTMLElement>('button')
  )?.focus()

/** The face, one sign at a time or with the probe, and the live verdict beside it. */
export default function Read() {
  const { visit, words, work, verdict } = useVisitContext()
  const navigate = useNavigate()
  const before = useBefore(visit.id).data
  const reading = work.draft.document.reading
  const signs = words.signs
  const [shown, setShown] = useState<Sign | 'PROBE'>('SHINE')
  const sign = signs.find((s) => s.sign === shown) ?? signs[0]
  const [zoneId, setZone] = useState<Zone>('FOREHEAD')
  const [asked, setAsked] = useState<Zone[]>([])
  const [brush, setBrush] = useState<number | null>(null)
  const beard = work.draft.document.intake.answers.some((a) => a.question === 'beard' && a.yes)
  const zones = sign ? zonesOf(sign, words.zones, beard ? [...asked, 'BEARD'] : asked, reading) : []
  const zone = zones.includes(zoneId) ? zoneId : (zones[0] ?? 'FOREHEAD')
  const probing = shown === 'PROBE'
  const phone = useMediaQuery(PHONE)
  const [allShown, setAll] = useState(false)
  const face = useRef<HTMLDivElement>(null)
  const pads = useRef<HTMLDivElement>(null)
  const signRow = useRef<HTMLDivElement>(null)

  const edit = useCallback(
    (next: (before: Reading) => Reading) =>
      work.change((d) => {
        const after = next(d.reading)
        return after === d.reading ? d : { ...d, reading: after }
      }),
    [work],
  )
  const undo = () => work.undo?.()
  const grade = useCallback(
    (value: number | null) => {
      if (!sign) return
      if (value !== null) setBrush(value)
      edit((r) => graded(r, sign, zone, value))
    },
    [edit, sign, zone],
  )
  const all = [...signs.map((s) => s.sign), 'PROBE' as const]
  const [from, setFrom] = useState<'zone' | 'sign' | null>(null)
  const look = (next: Sign | 'PROBE', by: 'zone' | 'sign' | null = null) => {
    // a zone that the next sign does not have takes the focus away with it
    setFrom(by ?? (document.activeElement?.closest('[data-zone]') ? 'zone' : null))
    setShown(next)
    setAll(false)
  }
  useEffect(() => {
    const at = from === 'zone' ? face.current?.querySelector<SVGElement>('[data-zone][tabindex="0"]') : null
    const here =
      at ?? (from === null ? null : signRow.current?.querySelector<HTMLElement>(`[data-sign="${shown}"]`))
    here?.focus()
  }, [from, shown])
  const turn = (by: number) => look(neighbour<Sign | 'PROBE'>(all, shown, by))
  /** In the row of signs the arrows go from sign to sign, and Home and End to its ends. */
  const alongSigns = (e: KeyboardEvent<HTMLElement>) => {
    const to =
      e.key === 'Home'
        ? all[0]
        : e.key === 'End'
          ? all.at(-1)
          : ARROWS[e.key] && neighbour<Sign | 'PROBE'>(all, shown, ARROWS[e.key] ?? 0)
    if (!to) return
    e.preventDefault()
    e.stopPropagation()
    look(to, 'sign')
  }
  const known = reading.grades.find((g) => g.sign === sign?.sign && g.zone === zone)
  const knownBy = (how: Grade['how']) => sign && known && edit((r) => graded(r, sign, zone, known.grade, how))
  const restNone = () =>
    sign &&
    edit((r) => zones.reduce((x, z) => (gradeOf(x, sign.sign, z) === null ? graded(x, sign, z, 0) : x), r))

  const onFace = sign !== undefined && !probing
  /** To another zone: the focus is the cursor, so it goes along unless something else is being used. */
  const toZone = (next: Zone) => {
    setZone(next)
    const focused = document.activeElement
    if (focused === null || !focused.closest('button, a, input, textarea, select'))
      face.current?.querySelector<SVGElement>(`[data-zone="${next}"]`)?.focus()
  }
  const step = (by: number) => toZone(neighbour(zones, zone, by))
  useShortcut('signBefore', () => turn(-1))
  useShortcut('signAfter', () => turn(1))
  useShortcut('ungrade', undo)
  useShortcut(
    'grade',
    (e) => {
      grade(Number(e.key))
      step(1)
    },
    onFace,
  )
  useShortcut('zoneAfter', () => step(1), onFace)
  useShortcut('zoneBefore', () => step(-1), onFace)
  useShortcut('notLooked', () => grade(null), onFace)
  useShortcut('alike', () => sign && edit((r) => mirrored(r, sign, zone)), onFace)
  useShortcut('restNone', () => void restNone(), onFace)
  useShortcut(
    'asLastTime',
    () => sign && before && edit((r) => asBefore(r, before.reading, sign)),
    onFace && before != null,
  )
  useShortcut(
    'howKnown',
    () =>
      known &&
      knownBy(
        neighbour(
          HOWS.map((h) => h.value),
          known.how,
          1,
        ),
      ),
    onFace && known !== undefined,
  )

  if (!sign) return null
  const now = gradeOf(reading, sign.sign, zone)
  const label = (z: Zone) => words.zones.find((w) => w.zone === z)?.label ?? z
  const then = before?.reading.grades.filter((g) => g.sign === sign.sign) ?? []
  const thenHere = then.find((g) => g.zone === zone)
  const hints = verdict?.hints.filter((h) => h.sign === sign.sign) ?? []
  const onRequest = words.zones.filter((z) => z.onRequest && sign.zones.includes(z.zone))
  return (
    <>
      <h1 className="visually-hidden">{say('app.read')}</h1>
      <div
        className={allShown ? 'signs all' : 'signs'}
        role="toolbar"
        aria-label={say('visit.signs')}
        ref={signRow}
        onKeyDown={alongSigns}
      >
        {signs.map((s) => {
          const looked = reading.grades.filter((g) => g.sign === s.sign)
          const worst = Math.max(0, ...looked.map((g) => g.grade))
          return (
            <button
              key={s.sign}
              type="button"
              data-sign={s.sign}
              tabIndex={s.sign === shown ? 0 : -1}
              aria-pressed={s.sign === shown}
              onClick={() => look(s.sign)}
            >
              {s.label}
              <small>{looked.length === 0 ? say('visit.notYet') : `${NAMES[worst]}, ${looked.length}`}</small>
            </button>
          )
        })}
        <button
          type="button"
          data-sign="PROBE"
          tabIndex={probing ? 0 : -1}
          aria-pressed={probing}
          onClick={() => look('PROBE')}
        >
          {say('visit.probe2')}
          <small>
            {reading.probe.length === 0
              ? say('visit.notYet')
              : `${reading.probe.length} ${reading.probe.length === 1 ? say('visit.spot') : say('visit.spots')}`}
          </small>
        </button>
        {phone && (
          <button
            type="button"
            className="signs-more"
            aria-expanded={allShown}
            onClick={() => setAll(!allShown)}
          >
            {allShown ? say('visit.fewerSigns') : say('visit.allSigns', { count: all.length })}
          </button>
        )}
      </div>
      <div className="read">
        {probing ? (
          <section className="face-side" aria-label={say('visit.probe2')}>
            <ProbePanel edit={edit} undo={undo} label={label} />
          </section>
        ) : (
          <section className="face-side" aria-label={say('visit.face')}>
            <div className="face-box" ref={face}>
              <Face
                narrow={phone}
                enter={() => enterPads(pads.current)}
                zones={zones}
                label={label}
                grade={(z) => gradeOf(reading, sign.sign, z)}
                current={zone}
                pick={setZone}
                paint={
                  brush === null
                    ? undefined
                    : (z) => {
                        setZone(z)
                        edit((r) => graded(r, sign, z, brush))
                      }
                }
              />
              <div className="more-places">
                {onRequest
                  .filter((z) => !zones.includes(z.zone))
                  .map((z) => (
                    <Button
                      key={z.zone}
                      onClick={() => {
                        setAsked([...asked, z.zone])
                        setZone(z.zone)
                      }}
                    >
                      + {z.label}
                    </Button>
                  ))}
              </div>
            </div>
            <div className="descriptor">
              <p>
                <b>
                  {capital(label(zone))}, {sign.label.toLowerCase()}{' '}
                  {now === null ? say('visit.notLookedAt') : `${now} ${NAMES[now]}`}.
                </b>{' '}
                {phone && now !== null && <span>{sign.grades[now]}. </span>}
                {now === null && say('visit.tapAGradeOrType0To')}
                {brush !== null && say('visit.drawingOverZonesPaints', { brush, value: NAMES[brush] })}
                {thenHere && before && (
                  <span className="second">
                    {say('visit.itWasOn', { grade: thenHere.grade, date: dateWords(before.date) })}
                  </span>
                )}
              </p>
              {hints.map((h) => (
                <p key={h.text} className="hint">
                  {h.text}
                </p>
              ))}
            </div>
            <div className="grade-bar">
              {phone && verdict && <VerdictLine verdict={verdict} />}
              <div className="pads" role="group" aria-label={say('visit.grade')} ref={pads}>
                {NAMES.map((name, i) => (
                  <button
                    key={name}
                    type="button"
                    aria-pressed={now === i}
                    onClick={() => {
                      grade(i)
                      setZone(neighbour(zones, zone, 1))
                    }}
                  >
                    <b>{i}</b> {name}
                    <small>{sign.grades[i]}</small>
                  </button>
                ))}
              </div>
            </div>
            <div className="row read-tools">
              <ToggleButtonGroup
                exclusive
                value={known?.how ?? sign.how}
                disabled={!known}
                aria-label={say('visit.howItIsKnown')}
                onChange={(_, how: Grade['how'] | null) => how !== null && knownBy(how)}
              >
                {HOWS.map((h) => (
                  <ToggleButton key={h.value} value={h.value}>
                    {h.label}
                  </ToggleButton>
                ))}
              </ToggleButtonGroup>
              <Button onClick={() => edit((r) => mirrored(r, sign, zone))}>{say('visit.bothAlike')}</Button>
              <Button onClick={restNone}>{say('visit.restNone')}</Button>
              {before && then.length > 0 && (
                <Button onClick={() => edit((r) => asBefore(r, before.reading, sign))}>
                  {say('visit.asLastTime')}
                </Button>
              )}
              <Button onClick={() => grade(null)}>{say('visit.notLookedAt2')}</Button>
              <Button onClick={undo}>{say('visit.undo')}</Button>
              <Button sx={{ ml: 'auto' }} onClick={() => turn(1)}>
                {say('visit.next', { label: neighbour(signs, sign, 1).label })}
              </Button>
            </div>
          </section>
        )}
        <section className="verdict-side" aria-label={say('visit.verdict')}>
          <div role="status" className="visually-hidden">
            {verdict && <VerdictLine verdict={verdict} />}
          </div>
          <VerdictPanel
            verdict={verdict}
            label={label}
            looked={reading.grades.length + reading.probe.length}
            show={look}
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
              {say('visit.buildTheRegimenFromThis')}
            </Button>
          </div>
        </section>
      </div>
    </>
  )
}
