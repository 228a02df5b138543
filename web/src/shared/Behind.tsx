import { useState } from 'react'
import Popover from '@mui/material/Popover'
import type { Because, Schemas } from '../api/client'
import { useOwnRules, useRule, useVocabulary } from '../api/hooks'
import { dateWords } from './format'
import { say } from '../words/say'
import '../words/behind'
import './behind.css'

const CHANGES: Record<Schemas['KnowledgeRule']['changes'], string> = {
  NOBODY: say('behind.nobody'),
  METHOD: say('behind.method'),
  SCHOOLS: say('behind.schools'),
  BANDS: say('behind.bands'),
  YARDSTICK: say('behind.yardstick'),
}

/** Opens what stands behind a reason: how well it is supported, by what, and the rule with its figures. */
export function Behind({ because }: { because: Because }) {
  const [at, setAt] = useState<HTMLElement | null>(null)
  const words = useVocabulary().data
  const evidence = words?.evidence[because.evidence] ?? ''
  const own = useOwnRules().data?.find((o) => because.rule != null && o.because.rule === because.rule)
  // a judgement of the house is the usual thing here: it is said inside
  const label = because.evidence === 'PROPOSED' ? say('behind.rule') : evidence
  return (
    <>
      {own && <b className="own-rule">{say('behind.own')} </b>}
      <button
        type="button"
        className="behind"
        aria-haspopup="dialog"
        aria-label={say('behind.open', { label, sentence: because.sentence })}
        onClick={(e) => setAt(e.currentTarget)}
      >
        {label}
      </button>
      <Popover
        open={at !== null}
        anchorEl={at}
        onClose={() => setAt(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        slotProps={{ paper: { role: 'dialog', 'aria-label': say('behind.what') } }}
      >
        <div className="behind-open">
          <p>
            <b>{because.sentence}</b>
          </p>
          <p>
            {say('behind.evidence', { evidence })} {words?.sources[because.source] ?? because.source}
          </p>
          {own && (
            <p>
              <b>{say('behind.ownHere')}</b> {own.because.sentence}{' '}
              {own.by != null && own.at != null && say('behind.ownBy', { by: own.by, at: dateWords(own.at) })}
            </p>
          )}
          {because.rule ? <Rule at={because.rule} /> : <p>{say('behind.noRow')}</p>}
          <button type="button" className="behind" onClick={() => setAt(null)}>
            {say('behind.close')}
          </button>
        </div>
      </Popover>
    </>
  )
}

function Rule({ at }: { at: string }) {
  const rule = useRule(at)
  if (rule.isError) return <p role="alert">{rule.error.message}</p>
  if (!rule.data) return <p role="status">{say('behind.fetching')}</p>
  const { title, notes, parts, changes } = rule.data
  return (
    <>
      <h3>{title}</h3>
      {notes.length > 0 && <p className="second">{notes.join(' ')}</p>}
      <dl>
        {parts.map((p) => (
          <div key={p.name}>
            <dt>{p.name}</dt>
            <dd>{p.value}</dd>
          </div>
        ))}
      </dl>
      <p>{CHANGES[changes]}</p>
    </>
  )
}
