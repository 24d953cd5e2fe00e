import { describe, expect, it } from 'vitest'
import { practiceSettingsSchema } from '#core/model/practice'
import { strokesOf } from '#core/practice/attempt'
import { drillNamed } from '#core/practice/drills'
import { idealOf } from '#core/practice/ideal'
import { newPiping, type OtherHand, type Squeezes } from './piping.ts'

const settings = practiceSettingsSchema.parse({})
const ideal = (name: 'line' | 'petals') => idealOf(drillNamed(name, settings), settings, false)
const at = (ms: number, x: number, y = 20, pressure = 0.5) => ({ ms, x, y, pressure })

/** A hand that goes 30 mm in a second and then stays where it is for another, the screen drawing all the while. */
function drawn(
  by: Squeezes,
  other: OtherHand = 'nothing',
  each?: (p: ReturnType<typeof newPiping>, ms: number) => void,
) {
  const piping = newPiping(ideal('line'), other)
  piping.press(at(1000, 15), by)
  for (let ms = 1008; ms <= 3000; ms += 8) {
    each?.(piping, ms)
    if (ms <= 2000) piping.move(at(ms, 15 + (30 * (ms - 1000)) / 1000, 20, 0.4))
    piping.tick(ms)
  }
  return piping
}

describe('a try while it is piped', () => {
  it('counts from the first touch, and goes on while the hand stays', () => {
    const { samples, laid, strokes } = drawn('hold')
    expect(strokes).toBe(1)
    expect(samples[0]!.t).toBeLessThan(0.01)
    expect(samples.at(-1)!.t).toBeGreaterThan(1.9)
    // held down it is half a squeeze after a moment, and what comes while it stays is a heap at its end
    expect(samples.at(-1)!.squeeze).toBe(0.5)
    expect(laid.at(-1)!.kind).toBe('dome')
  })
  it('does not take a slow pointer for a hand that stops and leaps', () => {
    const piping = newPiping(ideal('line'), 'nothing')
    piping.press(at(0, 15), 'hold')
    // it says where it is every 60 ms; the screen is drawn every 16
    for (let ms = 16; ms <= 3000; ms += 16) {
      if (ms % 64 === 0) piping.move(at(ms, 15 + (27 * ms) / 1000))
      piping.tick(ms)
    }
    const ropes = piping.laid.filter((l) => l.kind === 'rope').slice(40)
    const wide = ropes.map((l) => l.widthMm)
    expect(Math.max(...wide) / Math.min(...wide)).toBeLessThan(1.25)
  })
  it('lets a mouse go on after its button, and lifts a finger at once', () => {
    const mouse = newPiping(ideal('line'), 'nothing')
    mouse.press(at(0, 15), 'hold')
    for (let ms = 8; ms <= 800; ms += 8) mouse.move(at(ms, 15 + ms / 40))
    mouse.release(at(808, 35), true)
    mouse.move(at(900, 37))
    expect([mouse.down, mouse.squeeze]).toEqual([true, 0])
    for (let ms = 910; ms <= 1300; ms += 10) mouse.tick(ms)
    expect(mouse.down).toBe(false)
    const finger = newPiping(ideal('line'), 'nothing')
    finger.press(at(0, 15), 'hold')
    finger.move(at(400, 25))
    finger.release(at(420, 26), false)
    expect([finger.down, finger.liftedAt]).toEqual([false, 420])
  })
  it('squeezes as the lever is moved, as the stylus presses, and lifts the tip by the lever', () => {
    const lever = drawn('lever', 'squeeze', (p, ms) => p.lever(ms < 2000 ? 0.7 : 0.2))
    expect([lever.samples[20]!.squeeze, lever.samples.at(-1)!.squeeze]).toEqual([0.7, 0.2])
    expect(drawn('pen').samples[40]!.squeeze).toBe(0.4)
    const height = drawn('hold', 'height', (p) => p.lever(2.2))
    expect([height.samples[30]!.height, height.samples[30]!.squeeze]).toEqual([2.2, 0.5])
  })
  it('takes the last stroke away as if it had not been', () => {
    const piping = newPiping(ideal('line'), 'nothing')
    const stroke = (from: number) => {
      piping.press(at(from, 15), 'hold')
      for (let ms = from + 8; ms <= from + 600; ms += 8) piping.move(at(ms, 15 + (ms - from) / 30))
      piping.release(at(from + 608, 36), false)
      for (let ms = from + 616; ms <= from + 1400; ms += 8) piping.tick(ms)
    }
    stroke(0)
    const before = [...piping.laid]
    stroke(2000)
    piping.undo()
    expect([piping.strokes, strokesOf(piping.samples).length]).toEqual([1, 1])
    expect(piping.laid).toEqual(before)
    piping.undo()
    piping.undo()
    expect([piping.strokes, piping.samples.length]).toEqual([0, 0])
  })
  it('turns the nail by itself while the tip is down, and to the next petal before it; or as the hand turns it', () => {
    const { drill } = ideal('petals')
    const self = newPiping(ideal('petals'), 'nothing')
    const [first, second] = drill.strokes
    self.press(at(0, 55, 40), 'hold')
    for (let ms = 8; ms <= 1500; ms += 8) self.move(at(ms, 55, 40))
    expect(self.nail).toBeCloseTo(first!.nails!.at(-1)!, 2)
    self.release(at(1500, 55, 40), false)
    self.tick(1600)
    expect(self.nail).toBeCloseTo(second!.nails![0]!, 2)
    const turned = newPiping(ideal('petals'), 'nail')
    turned.press(at(0, 55, 40), 'hold')
    turned.turn(-0.4)
    turned.move(at(100, 55, 40))
    expect(turned.samples.at(-1)!.nail).toBeCloseTo(first!.nails![0]! - 0.4, 2)
  })
})
