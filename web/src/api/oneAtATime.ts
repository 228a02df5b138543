/** Sends each when the one before is answered, well or ill; what nobody waits for any longer is not sent. */
export function oneAtATime<Asked extends { signal: AbortSignal }, Answer>(
  send: (asked: Asked) => Promise<Answer>,
) {
  let before: Promise<unknown> = Promise.resolve()
  return (asked: Asked): Promise<Answer> => {
    const mine = before.then(() => {
      asked.signal.throwIfAborted()
      return send(asked)
    })
    before = mine.catch(() => undefined)
    return mine
  }
}
