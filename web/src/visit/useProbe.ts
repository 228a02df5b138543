import { useCallback, useEffect, useRef, useState } from 'react'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { api, ask, type Quantity, type Zone } from '../api/client'
import { keys } from '../api/hooks'
import { say } from '../words/say'
import '../words/visit'

/** What the probe is doing. */
export type Doing =
  | { state: 'idle' }
  | { state: 'reading'; settling: number | null; taken: number }
  | { state: 'lost'; sentence: string; taken: number }

type Heard = { value: number | null; simulated: boolean; sentence: string }

const LOOK_AGAIN_MS = 3000

/** The probe: whether it is there, and readings of a spot as they come. */
export function useProbe(took: (quantity: Quantity, zone: Zone, value: number, simulated: boolean) => void) {
  const queries = useQueryClient()
  const [doing, setDoing] = useState<Doing>({ state: 'idle' })
  const stream = useRef<EventSource | null>(null)
  const lost = doing.state === 'lost'
  const probe = useQuery({
    queryKey: keys.probe,
    queryFn: () => ask(api.GET('/api/probe')),
    refetchInterval: (q) => (lost || q.state.data?.connected === false ? LOOK_AGAIN_MS : false),
  })

  const stop = useCallback(() => {
    stream.current?.close()
    stream.current = null
  }, [])
  useEffect(() => stop, [stop])

  const measure = useCallback(
    (quantity: Quantity, zone: Zone, count: number) => {
      stop()
      let taken = 0
      setDoing({ state: 'reading', settling: null, taken })
      const source = new EventSource(`/api/probe/readings?quantity=${quantity}&zone=${zone}&count=${count}`)
      stream.current = source
      const hear = (name: string, on: (heard: Heard) => void) =>
        source.addEventListener(name, (e) => on(JSON.parse((e as MessageEvent<string>).data) as Heard))
      hear('sample', (h) => setDoing({ state: 'reading', settling: h.value, taken }))
      hear('value', (h) => {
        taken += 1
        if (h.value !== null) took(quantity, zone, h.value, h.simulated)
        setDoing({ state: 'reading', settling: null, taken })
      })
      hear('done', () => {
        stop()
        setDoing({ state: 'idle' })
      })
      const gone = (sentence: string) => {
        stop()
        setDoing({ state: 'lost', sentence, taken })
        void queries.invalidateQueries({ queryKey: keys.probe })
      }
      hear('lost', (h) => gone(h.sentence))
      source.onerror = () => gone(say('visit.outfellIsNotAnswering'))
    },
    [queries, stop, took],
  )

  const halt = useCallback(() => {
    stop()
    setDoing({ state: 'idle' })
  }, [stop])

  return { probe: probe.data, doing, measure, halt, lookAgain: () => void probe.refetch() }
}
