import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { ciede2000 } from './ciede2000.ts'
import { hexToLab } from './lab.ts'
import { tied, tones } from './tones.ts'

const [butter] = starterWorkshop.icings
const dye = (id: string) => starterWorkshop.dyes.find((d) => d.id === id)!

describe('tones of a colour', () => {
  it('are paler the more plain icing is stirred in, and end near the icing itself', () => {
    const task = { colourId: 'c', targetHex: '#8f86b2', icingKindId: butter!.id, grams: 100, dyeIds: null }
    const steps = ['#8f86b2', ...tones(task, starterWorkshop)]
    const plain = hexToLab(butter!.baseHex)
    const away = steps.map((hex) => ciede2000(hexToLab(hex), plain))
    expect(away).toEqual([...away].sort((a, b) => b - a))
    expect(away[3]!).toBeLessThan(away[0]! / 2)
  })
})

describe('colours tied together by one dye', () => {
  const pair = ['#efe6cd', '#5e5591']
  it('come nearer to each other’s hue, the deep one moving less', () => {
    const after = tied(pair, dye('red'), 0.4, butter!, starterWorkshop.icings)
    const moved = after.map((hex, i) => ciede2000(hexToLab(hex), hexToLab(pair[i]!)))
    expect(moved[0]!).toBeGreaterThan(2)
    const redder = after.map((hex, i) => hexToLab(hex)[1] - hexToLab(pair[i]!)[1])
    expect(redder[0]!).toBeGreaterThan(redder[1]!)
    expect(redder[1]!).toBeGreaterThan(0)
  })
  it('stay as they are where nothing is added', () => {
    const after = tied(pair, dye('red'), 0, butter!, starterWorkshop.icings)
    for (const [i, hex] of after.entries())
      expect(ciede2000(hexToLab(hex), hexToLab(pair[i]!))).toBeLessThan(0.5)
  })
})
