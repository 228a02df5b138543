import { spareThatFits } from './fit'

const part = (name: string, height: number) => ({ name, height })

test('all stays on the front where there is room', () => {
  expect(spareThatFits(30, [part('ifs', 10), part('year', 20)])).toEqual({ on: ['ifs', 'year'], over: [] })
})

test('what does not fit goes over, and a smaller part after it may stay', () => {
  expect(spareThatFits(30, [part('ifs', 10), part('year', 25), part('feel', 15)])).toEqual({
    on: ['ifs', 'feel'],
    over: ['year'],
  })
})

test('a front that is full already keeps none', () => {
  expect(spareThatFits(-4, [part('ifs', 10)])).toEqual({ on: [], over: ['ifs'] })
})
