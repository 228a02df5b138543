import { Link } from 'react-router'
import type { PlanAnswer, Regimen } from '../api/client'
import { useFindings, useSupply } from '../api/hooks'
import { useMoney } from '../shared/money'
import { capital, monthName } from '../shared/format'
import type { VisitContext } from '../visit/VisitShell'
import { BalanceGauges } from './BalanceGauges'
import { ByHand } from './ByHand'
import { useChangesDrawer, type Compared } from './Changes'
import { Drawers, type Drawer } from './Drawers'
import { Ladders } from './Ladders'
import { useOwnDrawer } from './OwnRules'
import { SupplyTable } from './SupplyTable'
import { TonightVersions } from './TonightVersions'
import { useUsualDrawer } from './Usual'
import { WhatMeets } from './WhatMeets'
import { useSunDrawer } from './SunDrawer'
import { say } from '../words/say'
import '../words/regimen'

const FATES: Record<Regimen['shelf'][number]['fate'], string> = {
  USED: say('regimen.used'),
  SET_ASIDE: say('regimen.setAside'),
  WAITS: say('regimen.waits'),
  STOP: say('regimen.stop'),
}

/** What lies under the strips: drawers that tell their verdict; the one of what changes stands open. */
export function Below({
  context,
  regimen,
  compared,
}: {
  context: VisitContext
  regimen: Regimen
  compared: Compared | null
}) {
  const changes = useChangesDrawer(context, compared)
  const meets = useMeets(context, regimen)
  const bottles = useBottles(context, regimen)
  const own = useOwnDrawer(context)
  const usual = useUsualDrawer(context)
  const sun = useSunDrawer(context, regimen.month)
  return (
    <>
      <Drawers
        key={JSON.stringify(compared)}
        pulled={compared && 'changes'}
        drawers={[
          ...changes,
          ...usual,
          ...meets,
          concerns(regimen),
          ...balance(regimen),
          shelf(regimen),
          keptOut(regimen),
          days(regimen),
          air(regimen),
          sun,
          bottles,
          ...own,
        ]}
      />
      <ByHand context={context} regimen={regimen} />
      <Ladders context={context} />
    </>
  )
}

/** What must be looked at before the strips are. */
export function LookAtThis({
  context,
  regimen,
  answer,
}: {
  context: VisitContext
  regimen: Regimen
  answer: PlanAnswer
}) {
  const cautions = answer.verdict.safety.cautions.filter((c) => c.forTherapist !== '')
  const waiting = regimen.patches.filter((p) => p.state === 'MISSING' || p.state === 'RUNNING')
  if (regimen.notices.length === 0 && cautions.length === 0 && waiting.length === 0) return null
  return (
    <div className="look">
      <ul>
        {waiting.map((p) => (
          <li key={p.product}>
            <b>{p.state === 'MISSING' ? say('regimen.patchTestFirst') : say('regimen.patchTestRunning')}</b>{' '}
            {p.because.sentence}{' '}
            <Link to={`/patch/${context.visit.client}`}>{say('regimen.patchTests')}</Link>
          </li>
        ))}
        {regimen.notices.map((n) => (
          <li key={n.sentence}>
            <b>{say('regimen.lookAtThis')}</b> {n.sentence}
          </li>
        ))}
        {cautions.map((c) => (
          <li key={c.name}>
            <b>{capital(c.name)}:</b> {c.forTherapist}
          </li>
        ))}
      </ul>
    </div>
  )
}

/** Of another month than the visit's nothing is looked up. */
function useMeets({ visit, work }: VisitContext, regimen: Regimen): Drawer[] {
  const findings = useFindings(visit.id, visit.version)
  if (regimen.month !== work.draft.document.month) return []
  const minded = findings.data?.filter((f) => f.meeting !== 'FINE' && f.meeting !== 'MYTH').length
  const line =
    minded === undefined
      ? say('regimen.drawerWaits')
      : minded === 0
        ? say('regimen.meetsNothing')
        : minded === 1
          ? say('regimen.meetsOne')
          : say('regimen.meetsMany', { n: minded })
  return [
    {
      id: 'meets',
      name: say('regimen.drawerMeets'),
      line: findings.isError ? findings.error.message : line,
      off: (minded ?? 0) > 0,
      inside: <WhatMeets visit={visit} work={work} />,
    },
  ]
}

function useBottles(context: VisitContext, regimen: Regimen): Drawer {
  const money = useMoney()
  const supply = useSupply(context.visit.id, context.visit.version, regimen.month)
  const { over, bought } = supply.data ?? {}
  const line =
    bought === undefined || over === undefined
      ? say('regimen.drawerWaits')
      : over > 0
        ? say('regimen.bottlesOver', { over: money.words(over) })
        : say('regimen.bottlesLine', { bought: money.words(bought) })
  return {
    id: 'bottles',
    name: say('regimen.drawerBottles'),
    line: supply.isError ? supply.error.message : line,
    off: (over ?? 0) > 0,
    inside: <SupplyTable context={context} month={regimen.month} />,
  }
}

function concerns({ served }: Regimen): Drawer {
  const helped = served.filter((s) => s.by.length > 0).length
  return {
    id: 'concerns',
    name: say('regimen.drawerConcerns'),
    line:
      served.length === 0
        ? say('regimen.noConcerns')
        : say('regimen.servedOf', { served: helped, all: served.length }),
    inside: (
      <section aria-label={say('regimen.concerns')}>
        <h2>{say('regimen.whatIsDoneForEachConcern')}</h2>
        <ul>
          {served.map((s) => (
            <li key={s.concern}>
              <b>
                {capital(s.concern)}, {Math.round(s.weight)}:
              </b>{' '}
              {s.by.length > 0 ? s.by.slice(0, 3).join(', ') : s.because.sentence}
            </li>
          ))}
          {served.length === 0 && <li>{say('regimen.noConcernWasFoundThePlanKeeps')}</li>}
        </ul>
      </section>
    ),
  }
}

function balance(regimen: Regimen): Drawer[] {
  const off = regimen.balances.find((b) => b.gauge.change || b.whyNot)
  return regimen.balances.length === 0
    ? []
    : [
        {
          id: 'balance',
          name: say('regimen.drawerBalance'),
          line: off ? off.gauge.verdict.sentence : say('regimen.balanced'),
          off: off !== undefined,
          inside: <BalanceGauges regimen={regimen} />,
        },
      ]
}

function shelf({ shelf: things }: Regimen): Drawer {
  const used = things.filter((s) => s.fate === 'USED').length
  const stop = things.filter((s) => s.fate === 'STOP').length
  const counts = { used, all: things.length, stop }
  return {
    id: 'shelf',
    name: say('regimen.drawerShelf'),
    line:
      things.length === 0
        ? say('regimen.shelfEmpty')
        : say(stop > 0 ? 'regimen.shelfStop' : 'regimen.shelfLine', counts),
    off: stop > 0,
    inside: (
      <section aria-label={say('regimen.ownProducts')}>
        <h2>{say('regimen.whatBecomesOfTheClientSShelf')}</h2>
        <ul>
          {things.map((s) => (
            <li key={s.product}>
              <b>
                {FATES[s.fate]}: {s.name}.
              </b>{' '}
              {s.fate !== 'USED' && s.because.sentence}
            </li>
          ))}
          {things.length === 0 && <li>{say('regimen.nothingIsOnItYetAddBottles')}</li>}
        </ul>
      </section>
    ),
  }
}

function keptOut(regimen: Regimen): Drawer {
  const out = regimen.keptOut.filter((k) => k.products.length > 0)
  return {
    id: 'out',
    name: say('regimen.drawerOut'),
    line:
      out.length === 0
        ? say('regimen.outNone')
        : say('regimen.outLine', { n: new Set(out.flatMap((k) => k.products)).size }),
    inside: (
      <section aria-label={say('regimen.keptOut')}>
        <h2>{say('regimen.whatIsKeptOutAndWhy')}</h2>
        <ul>
          {out.map((k) => (
            <li key={k.name + k.because.sentence}>
              <b>{capital(k.name)}:</b> {k.because.sentence}{' '}
              <span className="second">
                {k.products.slice(0, 4).join(', ')}
                {k.products.length > 4 && say('regimen.andMore', { value: k.products.length - 4 })}
              </span>
            </li>
          ))}
          {out.length === 0 && <li>{say('regimen.outNone')}</li>}
        </ul>
      </section>
    ),
  }
}

function days(regimen: Regimen): Drawer {
  const [first] = regimen.tonight
  return {
    id: 'days',
    name: say('regimen.drawerDays'),
    line: first
      ? say('regimen.daysLine', { why: first.label, minutes: first.minutes })
      : say('regimen.daysNone'),
    inside: <TonightVersions regimen={regimen} />,
  }
}

function air(regimen: Regimen): Drawer {
  const { air: now, spf, moisturiser } = regimen.asked
  return {
    id: 'air',
    name: say('regimen.drawerAir'),
    line: say('regimen.airLine', { spf: spf.value, rooms: Math.round(now.roomHumidity) }),
    inside: (
      <section aria-label={say('regimen.air')}>
        <h2>{say('regimen.theAirOf', { month: monthName(regimen.month) })}</h2>
        <ul>
          <li>
            <b>{say('regimen.dryness', { dryness: Math.round(now.dryness) })}</b> {now.dryBecause.sentence}
          </li>
          <li>
            <b>{say('regimen.heat', { heat: Math.round(now.heat) })}</b> {now.heatBecause.sentence}
          </li>
          <li>
            <b>{say('regimen.rooms')}</b> {now.rooms.sentence}
          </li>
          <li>
            <b>{say('regimen.sun')}</b> {spf.because.sentence}
          </li>
          <li>
            <b>{say('regimen.cream')}</b> {moisturiser.because.sentence}
          </li>
        </ul>
      </section>
    ),
  }
}
