import { expect, it } from 'vitest'
import { practiceSettingsSchema } from '../model/practice.ts'
import { drillNamed, drillNames } from '../practice/drills.ts'
import { idealOf } from '../practice/ideal.ts'
import { layPages } from './page.ts'
import { practiceStamp } from './practice.ts'

const settings = practiceSettingsSchema.parse({})
const stampOf = (name: (typeof drillNames)[number]) =>
  practiceStamp(idealOf(drillNamed(name, settings), settings, false))

it('lays every drill on a page at true size, with the way and the edges of what should lie there', () => {
  for (const name of drillNames) expect(layPages([stampOf(name)], name)).toHaveLength(1)
  const { svg, widthMm } = stampOf('line')
  expect(widthMm).toBe(130)
  // from the ring at 15 mm to the end at 115: 100 mm on paper
  expect(svg).toContain('<circle cx="15" cy="20" r="0.800"')
  expect(svg).toMatch(/M15 20L.*L115 20"/)
  // the icing's edges: a rope of 3.5 mm
  const radii = [...svg.matchAll(/r="([\d.]+)"\/>/g)].map((m) => Number(m[1])).sort((a, b) => a - b)
  expect(radii[radii.length >> 1]).toBeCloseTo(1.74, 1)
  // twelve shells have their numbers
  expect([...stampOf('shells').svg.matchAll(/>(\d+)<\/text>/g)].map((m) => Number(m[1]))).toEqual(
    Array.from({ length: 12 }, (_, i) => i + 1),
  )
})
