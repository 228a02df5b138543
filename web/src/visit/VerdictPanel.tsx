import { useState, type ReactNode } from 'react'
import Button from '@mui/material/Button'
import { useNavigate } from 'react-router'
import type { Schemas, Sign, Verdict, Zone } from '../api/client'
import { capital } from '../shared/format'
import { Why } from '../shared/Why'
import { Decide } from './Decide'
import { useVisitContext } from './VisitShell'
import { say } from '../words/say'
import '../words/visit'

const SHOWN = 5

type HandVerdict = Schemas['SetByHand']['verdict']

const BY_HAND: Record<HandVerdict, { value: string; label: string }[]> = {
  TYPE: [
    { value: 'DRY', label: say('visit.dry') },
    { value: 'NORMAL', label: say('visit.normal') },
    { value: 'OILY', label: say('visit.oily') },
    { value: 'OILY-NORMAL', label: say('visit.oilyTNormalCheeks') },
    { value: 'OILY-DRY', label: say('visit.oilyTDryCheeks') },
    { value: 'NORMAL-DRY', label: say('visit.normalTDryCheeks') },
  ],
  WATER: [
    { value: 'HYDRATED', label: say('visit.enough') },
    { value: 'SLIGHTLY_DEHYDRATED', label: say('visit.slightlyShort') },
    { value: 'DEHYDRATED', label: say('visit.short') },
    { value: 'VERY_DEHYDRATED', label: say('visit.veryShort') },
  ],
  SENSITIVITY: [{ value: 'SENSITIVE', label: say('visit.treatAsSensitive') }],
  BARRIER: [
    { value: 'STRAINED', label: say('visit.strained') },
    { value: 'BROKEN', label: say('visit.broken') },
  ],
  PHOTOTYPE: ['I', 'II', 'III', 'IV', 'V', 'VI'].map((label, i) => ({ value: String(i + 1), label })),
}

/** What the reading says, each line with its reason; it prints, it computes nothing. */
export function VerdictPanel({
  verdict,
  label,
  looked,
  show,
}: {
  verdict: Verdict | undefined
  label: (zone: Zone) => string
  /** how many grades and spots there are */
  looked: number
  /** opens a sign, or the probe, that is still missing */
  show: (sign: Sign | 'PROBE') => void
}) {
  if (!verdict) return <p className="second">{say('visit.weighingWhatWasRead')}</p>
  const { barrier, sensitivity, phototype, oilyOrThirsty } = verdict
  return (
    <div>
      <p className="second">
        {say('visit.skinTypeFrom')}
        {looked} {looked === 1 ? say('visit.finding') : say('visit.findings')}
        {verdict.typeKnown !== 'NOT_YET' && ', '}
        <Sure confidence={verdict.confidence} known={verdict.typeKnown !== 'NOT_YET'} />
      </p>
      <h2 className="verdict-type">{capital(verdict.type)}</h2>
      {verdict.zones.length > 0 && (
        <div className="zonetypes">
          {verdict.zones.map((z) => (
            <div key={z.zone} title={z.because.sentence}>
              <span className="second">{label(z.zone)}</span>
              <br />
              <b>{z.band.toLowerCase()}</b>
            </div>
          ))}
        </div>
      )}
      <div>
        <Why because={verdict.typeBecause} />{' '}
        <SetByHand verdict={verdict} which="TYPE" question={say('visit.typeByHand')} />
      </div>
      {verdict.flags.map((f) => (
        <p key={f} className="second">
          {f}
        </p>
      ))}
      {verdict.contradictions.map((c) => (
        <Contradiction key={c.id} contradiction={c} />
      ))}
      {oilyOrThirsty.answer !== 'NOT_ASKED' && (
        <Line title={say('visit.oilyOrOnlyThirsty')}>
          <p>
            <Why because={oilyOrThirsty.because} />
          </p>
        </Line>
      )}
      <Line
        title={say('visit.water', { water: verdict.water })}
        aside={<Sure confidence={verdict.waterConfidence} known={verdict.waterState !== 'NOT_YET'} />}
      >
        <div>
          <Why because={verdict.waterBecause} />{' '}
          <SetByHand verdict={verdict} which="WATER" question={say('visit.waterByHand')} />
        </div>
      </Line>
      <Line
        title={say('visit.barrier', {
          value: barrier.state === 'NOT_YET' ? say('visit.notKnownYet') : barrier.state.toLowerCase(),
          value2: barrier.index != null ? say('visit.of100', { index: barrier.index }) : '',
        })}
        aside={<Sure confidence={barrier.confidence} known={barrier.state !== 'NOT_YET'} />}
      >
        {barrier.index != null && <Gauge index={barrier.index} />}
        <div>
          <Why because={barrier.because} />{' '}
          <SetByHand
            verdict={verdict}
            which="BARRIER"
            question={say('visit.barrierByHandWeakerThanComputed')}
          />
        </div>
      </Line>
      <Line
        title={
          sensitivity.treatAsSensitive
            ? say('visit.treatAsSensitive2')
            : capital(
                sensitivity.band === 'NOT_YET'
                  ? say('visit.sensitivityNotKnownYet')
                  : sensitivity.band.toLowerCase().replace('_', ' '),
              )
        }
        aside={<Sure confidence={sensitivity.confidence} known={sensitivity.band !== 'NOT_YET'} />}
      >
        <div>
          <Why because={sensitivity.because} />{' '}
          {!sensitivity.treatAsSensitive && (
            <SetByHand verdict={verdict} which="SENSITIVITY" question={say('visit.sensitivityByHand')} />
          )}
        </div>
      </Line>
      <Concerns verdict={verdict} />
      <Line
        title={
          phototype.type > 0
            ? say('visit.phototype', { numeral: phototype.numeral })
            : say('visit.phototypeNotKnownYet')
        }
        aside={<Sure confidence={phototype.confidence} known={phototype.type > 0} />}
      >
        <div>
          <Why because={phototype.because} />{' '}
          <SetByHand verdict={verdict} which="PHOTOTYPE" question={say('visit.phototypeByHand')} />
        </div>
      </Line>
      {(verdict.swing || verdict.asymmetries.length > 0 || verdict.elsewhere.length > 0) && (
        <Line title={say('visit.also')}>
          <ul>
            {[...(verdict.swing ? [verdict.swing] : []), ...verdict.asymmetries, ...verdict.elsewhere].map(
              (b) => (
                <li key={b.sentence} style={{ padding: '2px 0' }}>
                  {b.sentence}
                </li>
              ),
            )}
          </ul>
        </Line>
      )}
      <Missing verdict={verdict} show={show} />
    </div>
  )
}

/** The verdict in a breath: type, water, barrier and the heaviest concern. */
export function VerdictLine({ verdict }: { verdict: Verdict }) {
  const { barrier } = verdict
  const first = verdict.concerns[0]
  return (
    <p className="verdict-line">
      <b>{capital(verdict.type)}</b>;{' '}
      {[
        say('visit.water', { water: verdict.water }),
        say('visit.barrier', {
          value: barrier.state === 'NOT_YET' ? say('visit.notKnownYet') : barrier.state.toLowerCase(),
          value2: '',
        }),
        ...(first ? [first.name] : []),
      ]
        .map((words) => words.charAt(0).toLowerCase() + words.slice(1))
        .join('; ')}
    </p>
  )
}

function Line({ title, aside, children }: { title: string; aside?: ReactNode; children: ReactNode }) {
  return (
    <div className="line">
      <h2>{title}</h2>
      {aside}
      {children}
    </div>
  )
}

function Sure({ confidence, known }: { confidence: Verdict['confidence']; known: boolean }) {
  if (!known) return null
  const words = { LOW: say('visit.notSure'), MEDIUM: say('visit.fairlySure'), HIGH: say('visit.sure') }[
    confidence
  ]
  return <span className="second">{words}</span>
}

function Concerns({ verdict }: { verdict: Verdict }) {
  const { work } = useVisitContext()
  const matters = work.draft.document.intake.matters
  return (
    <Line title={say('visit.concernsHeaviestFirst')}>
      {verdict.concerns.length === 0 && <p className="second">{say('visit.noneSoFar')}</p>}
      <ul>
        {verdict.concerns.slice(0, SHOWN).map((c) => {
          const lifted = matters.includes(c.ranked.concern)
          return (
            <li key={c.name} className="concern">
              <b>{capital(c.name)}</b>
              <span className="bar" aria-hidden="true">
                <i style={{ width: `${c.ranked.weight}%` }} />
              </span>
              <span>{Math.round(c.ranked.weight)}</span>
              <p>
                {c.ranked.because.sentence}{' '}
                {c.ranked.concern !== 'BARRIER' && (
                  <button
                    type="button"
                    className="quiet"
                    aria-pressed={lifted}
                    aria-label={`${lifted ? say('visit.mattersToTheClient') : say('visit.lift')}: ${c.name}`}
                    onClick={() =>
                      work.change((d) => ({
                        ...d,
                        intake: {
                          ...d.intake,
                          matters: lifted
                            ? matters.filter((m) => m !== c.ranked.concern)
                            : [...matters, c.ranked.concern],
                        },
                      }))
                    }
                  >
                    {lifted ? say('visit.mattersToTheClient') : say('visit.lift')}
                  </button>
                )}
              </p>
            </li>
          )
        })}
      </ul>
      {verdict.concerns.length > SHOWN && (
        <p className="second">
          {say('visit.lighter', {
            join: verdict.concerns
              .slice(SHOWN)
              .map((c) => c.name)
              .join(', '),
          })}
        </p>
      )}
    </Line>
  )
}

function Missing({ verdict, show }: { verdict: Verdict; show: (sign: Sign | 'PROBE') => void }) {
  const { visit } = useVisitContext()
  const navigate = useNavigate()
  const next = verdict.missing[0]
  if (!next) return null
  const open = (m: Schemas['Missing']) => {
    if (m.where === 'TALK') void navigate(`/visits/${visit.id}/talk`)
    else if (m.where === 'PROBE') show('PROBE')
    else if (m.sign) show(m.sign)
  }
  return (
    <Line title={say('visit.stillMissingCheapestFirst')}>
      <div className="missing" style={{ marginTop: 6 }}>
        {verdict.missing.slice(0, 6).map((m) => (
          <button key={m.what} type="button" onClick={() => open(m)} title={m.settles}>
            {m.what} <span className="second">{m.seconds} s</span>
          </button>
        ))}
      </div>
      <p className="second" style={{ marginTop: 6 }}>
        {next.what} {next.settles}.
      </p>
    </Line>
  )
}

/** Two findings that cannot both be right, with a choice to settle them. */
function Contradiction({ contradiction: c }: { contradiction: Schemas['Contradiction'] }) {
  const { work } = useVisitContext()
  const [deciding, setDeciding] = useState(false)
  const settle = (next: Schemas['Settling'] | null) =>
    work.change((d) => {
      const others = (d.reading.settlements ?? []).filter((s) => s.contradiction !== c.id)
      return { ...d, reading: { ...d.reading, settlements: next ? [...others, next] : others } }
    })
  const words = {
    EYE: say('visit.theEye'),
    PROBE: say('visit.theProbe'),
    WORD: say('visit.theClientSWord'),
    READING: say('visit.theReading'),
  }
  return (
    <div className="look contradiction">
      <p>
        <b>{c.settled ? say('visit.settled') : say('visit.theseTwoDisagree')}</b>{' '}
        {c.sides.map((s) => s.says).join('; ')}. {!c.settled && c.because.sentence}
      </p>
      {c.settled ? (
        <p className="row">
          <span style={{ flex: 1 }}>
            {say('visit.keeps', { who: c.settled.who, value: words[c.settled.keeps], why: c.settled.why })}
          </span>
          <Button onClick={() => settle(null)}>{say('visit.openAgain2')}</Button>
        </p>
      ) : deciding ? (
        <Decide
          pointer={`/settling/${c.id}`}
          question={say('visit.whichIsKept')}
          options={c.sides.map((s) => ({ value: s.side, label: say('visit.keep', { what: words[s.side] }) }))}
          decide={(keeps, who, why) =>
            settle({ contradiction: c.id, keeps: keeps as Schemas['Settling']['keeps'], who, why })
          }
          close={() => setDeciding(false)}
        />
      ) : (
        <Button onClick={() => setDeciding(true)}>{say('visit.settleIt')}</Button>
      )}
    </div>
  )
}

/** The therapist's own verdict beside the computed one. */
function SetByHand({ verdict, which, question }: { verdict: Verdict; which: HandVerdict; question: string }) {
  const { work } = useVisitContext()
  const [deciding, setDeciding] = useState(false)
  const now = verdict.byHand.find((b) => b.verdict === which)
  const put = (next: Schemas['SetValue'] | null) =>
    work.change((d) => {
      const others = (d.reading.byHand ?? []).filter((b) => b.verdict !== which)
      return { ...d, reading: { ...d.reading, byHand: next ? [...others, next] : others } }
    })
  if (now) {
    return (
      <p className="row by-hand">
        <span style={{ flex: 1 }}>
          {say('visit.byHandComputed', { stands: now.stands, computed: now.computed })}
        </span>
        <Button onClick={() => put(null)} aria-label={say('visit.takeTheComputedOne', { question })}>
          {say('visit.takeTheComputedOne2')}
        </Button>
      </p>
    )
  }
  return deciding ? (
    <Decide
      pointer={`/byHand/${which}`}
      question={question}
      options={BY_HAND[which]}
      decide={(value, who, why) => put({ verdict: which, value, who, why })}
      close={() => setDeciding(false)}
    />
  ) : (
    <button
      type="button"
      className="quiet"
      aria-label={say('visit.sayOtherwise', { question })}
      onClick={() => setDeciding(true)}
    >
      {say('visit.sayOtherwise2')}
    </button>
  )
}

/** The barrier index on its three states; the skin's own colour is used for nothing else. */
function Gauge({ index }: { index: number }) {
  return (
    <svg className="gauge" viewBox="0 0 300 34" preserveAspectRatio="none" aria-hidden="true">
      <rect x="0" y="10" width="150" height="14" fill="var(--skin0)" opacity="0.35" />
      <rect x="150" y="10" width="75" height="14" fill="var(--skin0)" opacity="0.7" />
      <rect x="225" y="10" width="75" height="14" fill="var(--skin0)" />
      <path d="M150 10v14M225 10v14" stroke="var(--skin)" strokeWidth="1.5" />
      <rect x="0.5" y="10" width="299" height="14" fill="none" stroke="var(--edge)" />
      <path d={`M${index * 3 - 6} 0h12l-6 9z`} fill="var(--ink)" />
    </svg>
  )
}
