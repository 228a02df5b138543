import Button from '@mui/material/Button'
import type { Step } from '../api/client'
import { useProduct, useProductChange } from '../api/hooks'
import { DirectionField } from '../shared/DirectionField'
import { Who } from '../shared/Who'
import { useWho } from '../shared/who'
import { say } from '../words/say'
import '../words/regimen'

/** What changes this step and nobody has said: to be read on the pack while it is in the hand. */
export function AskPack({ step }: { step: Step }) {
  const found = useProduct(step.product)
  const change = useProductChange(step.product)
  const [who] = useWho()
  const open = found.data?.product.directions.filter((d) => d.toAsk) ?? []
  if (!found.data || open.length === 0) return null
  const { version } = found.data
  const unsigned = who.trim() === ''
  const closed = unsigned || change.correct.isPending
  const take = (of: string, to: string) => change.correct.mutate({ about: 'DIRECTION', of, to, who, version })
  return (
    <section aria-label={say('regimen.readItOnThePack')} className="ask-pack">
      <h3>{say('regimen.readItOnThePack')}</h3>
      <p className="second">{say('regimen.nobodyHasSaidCustomStands')}</p>
      {unsigned && <Who label={say('regimen.signedBy')} />}
      <ul>
        {open.map((d) => (
          <li key={d.direction}>
            <span>{d.question}</span>
            <DirectionField direction={d} disabled={closed} take={(to) => take(d.direction, to)} />
            <Button
              disabled={closed}
              aria-label={say('regimen.packIsSilentOf', { question: d.question })}
              onClick={() => take(d.direction, '')}
            >
              {say('regimen.packIsSilent')}
            </Button>
          </li>
        ))}
      </ul>
      {change.correct.isError && (
        <p role="alert" className="refusal">
          {change.correct.error.message}
        </p>
      )}
    </section>
  )
}
