import { expect, it } from 'vitest'
import { effectsOn } from './effects.ts'
import { planFigures } from './index.ts'
import { demoOrder, demoWorkshop } from './testing.ts'

const hand = { name: 'ada', grams: 1.1, pace: 0.8 }
const workshop = { ...demoWorkshop(), hands: [hand, { name: 'bea', grams: 1, pace: 1 }] }
const order = demoOrder('observatory')
const of = (piper: string) => planFigures({ ...order, piper }, workshop)
const piped = (piper: string) =>
  of(piper).uses.reduce((sum, u) => sum + (u.flowerId ? u.parts.reduce((s, p) => s + p.piped, 0) : 0), 0)

it('plans an order for the hand that pipes it: its grams and its seconds, however the name is written', () => {
  expect(piped(' Ada') / piped('')).toBeCloseTo(1.1, 2)
  expect(of('ADA').hands.piping / of('').hands.piping).toBeCloseTo(0.8, 2)
  // nobody, somebody nobody knows, and somebody who is like all
  expect(of('Somebody else')).toEqual(of(''))
  expect(piped('bea')).toBeCloseTo(piped(''), 6)
})

it('says what a hand did to an order that it pipes, and nothing of one that it does not', () => {
  const figures = [
    { key: 'grams person ada', kind: 'grams' as const, start: 1, now: 1.1 },
    { key: 'seconds person ada', kind: 'seconds' as const, start: 1, now: 0.8 },
  ]
  expect(effectsOn(order, workshop, figures)).toEqual([])
  const [grams, seconds] = effectsOn({ ...order, piper: 'Ada' }, workshop, figures)
  expect(grams!.grams).toBeGreaterThan(20)
  expect(seconds!.minutes).toBeCloseTo(of('Ada').hands.piping - of('').hands.piping, 0)
})
