import { useMutation } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import { api, ask, Refused, type Part, type Schemas, type Step } from '../api/client'
import { useMoney } from '../shared/money'
import { nightsWords, secondsWords } from '../shared/format'
import { later } from '../shared/later'
import { PatchMark } from '../patch/PatchMark'
import { Why } from '../shared/Why'
import type { VisitContext } from '../visit/VisitShell'
import type { Move } from '../strip/Movable'
import { AllTheSame } from './Beside'
import { swap, swapAgainst, takeOut } from './byHandEdits'
import { StepByHand } from './StepByHand'
import { OwnRuleDid } from './OwnRules'
import { say } from '../words/say'
import '../words/regimen'

const AskPack = later(
  () => import('./AskPack'),
  (m) => m.AskPack,
)

/** Why a step stands here, how it is done, and what else could stand in its place. */
export function StepDetail({
  context,
  part,
  step,
  steps,
  alternatives,
  patch,
  refusals,
  move,
  close,
}: {
  context: VisitContext
  part: Part
  step: Step
  /** of its routine */
  steps: Step[]
  alternatives: Schemas['Alternative'][]
  /** whether it may begin, for a strong step that is new */
  patch?: Schemas['PatchCall']
  refusals: Schemas['Refusal'][]
  move: Move
  /** gone: the step leaves the plan with it */
  close: (gone?: boolean) => void
}) {
  const { visit, work } = context
  const money = useMoney()
  const put = useMutation({
    mutationFn: async (product: string) => {
      await work.settle()
      await ask(
        api.POST('/api/visits/{id}/choices/check', {
          params: { path: { id: visit.id } },
          body: { part, product },
        }),
      )
      return product
    },
    onSuccess: (product) => {
      work.change((d) => swap(d, part, step.product, product))
      close(true)
    },
  })
  // a rule that is no ban gives way to a reason
  const against =
    put.error instanceof Refused && put.error.code === 'against-a-rule' ? put.variables : undefined
  const nights = nightsWords(step)
  return (
    <div className="fold" role="region" aria-label={`${step.number} ${step.name}`}>
      <div>
        <h3>
          {step.number} {step.name}
        </h3>
        <p className="second">
          {[
            step.maker,
            step.kindLabel,
            step.owned && say('regimen.onTheClientSShelf'),
            step.prescription && say('regimen.prescribed'),
          ]
            .filter(Boolean)
            .join(', ')}
        </p>
        <ul className="dots">
          <li>
            <b>{say('regimen.hereBecause')}</b> <Why because={step.place} />
          </li>
          {step.number < steps.length && (
            <li>
              <b>{say('regimen.before', { value: step.number + 1 })}</b> <Why because={step.next} />
            </li>
          )}
          {step.hand.movedBecause !== '' && (
            <li>
              <b>{say('regimen.movedByHand')}</b> {step.hand.movedBecause}
            </li>
          )}
          {step.hand.overrule !== '' && (
            <li>
              <b>{say('regimen.againstARule')}</b> {step.hand.overrule}
            </li>
          )}
          <OwnRuleDid context={context} part={part} product={step.product} />
          {step.heed.map((h) => (
            <li key={h.sentence} className="heed">
              <b>{say('regimen.readFirst')}</b> <Why because={h} />
            </li>
          ))}
          {step.purpose.map((p) => (
            <li key={p.sentence}>
              <b>{say('regimen.for')}</b> <Why because={p} />
            </li>
          ))}
          {nights && (
            <li>
              <b>{nights}:</b> <Why because={step.nightsBecause} />
            </li>
          )}
        </ul>
        {patch && <PatchMark client={visit.client} call={patch} />}
      </div>
      <div>
        <h3>{say('regimen.how')}</h3>
        <ul className="dots">
          <li>
            <b>{step.amount.words}</b>, {step.amount.where}. <Why because={step.amount.because} quiet />
          </li>
          <li>
            {step.technique}
            {say('regimen.on')}
            {step.damp ? say('regimen.damp') : say('regimen.dry')}
            {say('regimen.skin')}
            {secondsWords(step.handsOn)}
            {say('regimen.handsOn')}
          </li>
          {step.contact > 0 && (
            <li>
              {say(step.comesOff ? 'regimen.leaveOnThenRinse' : 'regimen.leaveOn', {
                contact: secondsWords(step.contact),
              })}
            </li>
          )}
          {step.settle > 0 && (
            <li>
              <b>{say('regimen.wait', { settle: secondsWords(step.settle) })}</b>{' '}
              <Why because={step.settleBecause} quiet />
            </li>
          )}
          {(step.then ?? []).map((a) => (
            <li key={a.told}>
              <b>{a.told}</b>: {a.how}, {secondsWords(a.seconds)}. <Why because={a.because} quiet />
            </li>
          ))}
          {step.tools.map((t) => (
            <li key={t.sentence}>
              <b>{say('regimen.with')}</b> <Why because={t} quiet />
            </li>
          ))}
          {step.pack.map((p) => (
            <li key={p.sentence}>
              <b>{say('regimen.byThePack')}</b> <Why because={p} />
            </li>
          ))}
        </ul>
        {step.feel.length > 0 && (
          <>
            <h3 style={{ marginTop: 12 }}>{say('regimen.feelTitle')}</h3>
            <ul className="dots">
              {step.feel.map((f) => (
                <li key={f.sign}>
                  <Why because={f.because} />
                </li>
              ))}
            </ul>
          </>
        )}
      </div>
      <div>
        <h3>{say('regimen.couldStandInItsPlace')}</h3>
        {alternatives.length === 0 && (
          <p className="second">
            {step.prescription
              ? say('regimen.thePrescriberSNothingElse')
              : say('regimen.nothingElseThatFitsAllLimits')}
          </p>
        )}
        <ul>
          {alternatives.map((a) => (
            <li key={a.product} className="alternative">
              <span>
                <b>{a.name}</b>
                <span className="second">
                  {' '}
                  {a.because.sentence}
                  {a.priceDifference !== 0 &&
                    ` ${money.words(Math.abs(a.priceDifference))} ${a.priceDifference < 0 ? say('regimen.less') : say('regimen.more')}.`}
                </span>
              </span>
              <Button
                onClick={() => put.mutate(a.product)}
                disabled={put.isPending}
                aria-label={say('regimen.swapIn', { name: a.name })}
              >
                {say('regimen.swap')}
              </Button>
            </li>
          ))}
        </ul>
        {put.isError && (
          <p role="alert" className="refusal">
            {put.error.message}
          </p>
        )}
        {against !== undefined && (
          <AllTheSame
            context={context}
            of={`${part}/${against}`}
            put={(why) => {
              work.change((d) => swapAgainst(d, part, step.product, against, why))
              close(true)
            }}
          />
        )}
        <div className="row" style={{ marginTop: 8 }}>
          {!step.prescription && (
            <Button
              onClick={() => {
                work.change((d) => takeOut(d, part, step.product))
                close(true)
              }}
            >
              {say('regimen.takeOut')}
            </Button>
          )}
          <Button onClick={() => close()}>{say('regimen.close')}</Button>
        </div>
        <AskPack step={step} />
      </div>
      <StepByHand context={context} part={part} step={step} steps={steps} refusals={refusals} move={move} />
    </div>
  )
}
