/**
 * Of parts in the order in which they are wanted, those that fit in what room there is; one that does not fit gives way to a
 * smaller one after it.
 */
export function spareThatFits<N extends string>(room: number, parts: { name: N; height: number }[]) {
  const on: N[] = []
  const over: N[] = []
  let left = room
  for (const { name, height } of parts) {
    if (height <= left) {
      on.push(name)
      left -= height
    } else over.push(name)
  }
  return { on, over }
}
