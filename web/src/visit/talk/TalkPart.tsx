import type { ReactNode } from 'react'
import Button from '@mui/material/Button'
import type { Intake } from '../../api/client'
import { say } from '../../words/say'
import '../../words/visit'
import type { Talking } from './useTalk'

/** The first that is asked in a part: its button goes when it is pressed, and a hand on the keys would be lost. */
const firstAfter = (pressed: HTMLElement) =>
  [
    ...(pressed.closest('section')?.querySelectorAll<HTMLElement>('input, button, [role="combobox"]') ?? []),
  ].find((one) => one !== pressed)

/** One part of the talk, which tells how much of it nobody was asked and takes a word for all of that; for one alone a tap on it does. */
export function TalkPart({
  talk,
  label,
  heading = label,
  fields,
  children,
}: {
  talk: Talking
  label: string
  heading?: string
  /** what is asked in it */
  fields: (keyof Intake)[]
  children: ReactNode
}) {
  const assumed = talk.assumedOf(fields)
  return (
    <section aria-label={label}>
      <div className="part-head">
        <h2>{heading}</h2>
        {assumed.length > 1 && (
          <Button
            size="small"
            aria-label={say('visit.confirmAssumedOf', { count: assumed.length, part: label })}
            onClick={(e) => {
              firstAfter(e.currentTarget)?.focus()
              talk.confirm(assumed)
            }}
          >
            {say('visit.confirmAssumed', { count: assumed.length })}
          </Button>
        )}
      </div>
      {children}
    </section>
  )
}
