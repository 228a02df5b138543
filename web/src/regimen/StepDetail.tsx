import { useMutation } from '@tanstack/react-query'
import Button from '@mui/material/Button'
import { api, ask, type Part, type Schemas, type Step } from '../api/client'
import { useMoney } from '../api/hooks'
import { nightsWords, secondsWords } from '../shared/format'
import { PatchMark } from '../patch/PatchMark'
import { Why } from '../shared/Why'
import type { VisitContext } from '../visit/VisitShell'
import type { Move } from '../strip/Movable'
import { swap, takeOut } from './byHandEdits'
import { StepByHand } from './StepByHand'

/** Why a step stands here, how it is done, and what else could stand in its place. */
export function StepDetail({
  context,
  part,
  step,
  last,
  alternatives,
  patch,
  refusals,
  move,
  close,
}: {
  context: VisitContext
  part: Part
  step: Step
  /** number of the routine's last step */
  last: number
  alternatives: Schemas['Alternative'][]
  /** whether it may begin, for a strong step that is new */
  patch?: Schemas['PatchCall']
  refusals: Schemas['Refusal'][]
  move: Move
  close: () => void
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
      close()
    },
  })
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
            step.owned && 'on the client’s shelf',
            step.prescription && 'prescribed',
          ]
            .filter(Boolean)
            .join(', ')}
        </p>
        <ul className="dots">
          <li>
            <b>Here because:</b> <Why because={step.place} />
          </li>
          {step.number < last && (
            <li>
              <b>Before {step.number + 1}:</b> <Why because={step.next} />
            </li>
          )}
          {step.hand.movedBecause !== '' && (
            <li>
              <b>Moved by hand:</b> {step.hand.movedBecause}
            </li>
          )}
          {step.purpose.map((p) => (
            <li key={p.sentence}>
              <b>For:</b> <Why because={p} />
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
        <h3>How</h3>
        <ul className="dots">
          <li>
            <b>{step.amount.words}</b>, {step.amount.where}. <Why because={step.amount.because} quiet />
          </li>
          <li>
            {step.technique}; on {step.damp ? 'damp' : 'dry'} skin, {secondsWords(step.handsOn)} hands on
          </li>
          {step.contact > 0 && <li>Leave on {secondsWords(step.contact)}, then rinse.</li>}
          {step.settle > 0 && (
            <li>
              <b>Wait {secondsWords(step.settle)}.</b> <Why because={step.settleBecause} quiet />
            </li>
          )}
        </ul>
      </div>
      <div>
        <h3>Could stand in its place</h3>
        {alternatives.length === 0 && (
          <p className="second">
            {step.prescription ? 'The prescriber’s; nothing else.' : 'Nothing else that fits all limits.'}
          </p>
        )}
        <ul>
          {alternatives.map((a) => (
            <li key={a.product} className="alternative">
              <span>
                <b>{a.name}</b>
                <span className="second">
                  {' '}
                  {a.behind} points behind. {a.because.sentence}
                  {a.priceDifference !== 0 &&
                    ` ${money.words(Math.abs(a.priceDifference))} ${a.priceDifference < 0 ? 'less' : 'more'}.`}
                </span>
              </span>
              <Button
                onClick={() => put.mutate(a.product)}
                disabled={put.isPending}
                aria-label={`Swap in ${a.name}`}
              >
                Swap
              </Button>
            </li>
          ))}
        </ul>
        {put.isError && (
          <p role="alert" className="refusal">
            {put.error.message}
          </p>
        )}
        <div className="row" style={{ marginTop: 8 }}>
          {!step.prescription && (
            <Button
              onClick={() => {
                work.change((d) => takeOut(d, part, step.product))
                close()
              }}
            >
              Take out
            </Button>
          )}
          <Button onClick={close}>Close</Button>
        </div>
      </div>
      <StepByHand context={context} part={part} step={step} last={last} refusals={refusals} move={move} />
    </div>
  )
}
