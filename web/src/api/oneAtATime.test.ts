import { oneAtATime } from './oneAtATime'

const asked = (name: string) => {
  const abort = new AbortController()
  return { name, signal: abort.signal, giveUp: () => abort.abort() }
}

test('each is sent when the one before is answered, well or ill, and none that was given up', async () => {
  const sent: string[] = []
  const answers = new Map<string, { well: (answer: string) => void; ill: (why: Error) => void }>()
  const send = oneAtATime(({ name }: ReturnType<typeof asked>) => {
    sent.push(name)
    return new Promise<string>((well, ill) => answers.set(name, { well, ill }))
  })
  const [ladders, findings, supply, sun] = ['ladders', 'findings', 'supply', 'sun'].map(asked)
  const heard = [ladders!, findings!, supply!, sun!].map((a) => send(a).catch((why: Error) => why.name))
  await vi.waitFor(() => expect(sent).toEqual(['ladders']))
  findings!.giveUp()
  answers.get('ladders')!.ill(new TypeError('gone'))
  await vi.waitFor(() => expect(sent).toEqual(['ladders', 'supply']))
  answers.get('supply')!.well('bottles')
  await vi.waitFor(() => expect(sent).toEqual(['ladders', 'supply', 'sun']))
  answers.get('sun')!.well('shade')
  expect(await Promise.all(heard)).toEqual(['TypeError', 'AbortError', 'bottles', 'shade'])
})
