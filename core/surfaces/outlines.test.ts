import { describe, expect, it } from 'vitest'
import { chartOf, type Surface, seenAreaMm2, surfaceDefinition } from './index.ts'
import { acrossMm, type Cutout, cutoutMm2, roundMm, signedMm2 } from './outline.ts'
import { inShares, pathLoops, shapesOf } from './pathLoops.ts'

describe('shapes without a closed form', () => {
  it('a heart holds 180 π of its own units, of which it is 32 wide', () => {
    const heart: Surface = { kind: 'heart', widthMm: 200, heightMm: 0 }
    expect(seenAreaMm2(heart) / (180 * Math.PI * (200 / 32) ** 2)).toBeCloseTo(1, 2)
  })

  it('a nought is an ellipse with a bar along it: about its middle line times the bar', () => {
    const nought: Surface = { kind: 'number', digits: '0', tallMm: 200, barMm: 40, heightMm: 0 }
    // middle line of an ellipse of 40 by 80: by the second formula of Ramanujan
    const [a, b] = [40, 80]
    const h = ((a - b) / (a + b)) ** 2
    const round = Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)))
    expect(seenAreaMm2(nought) / (round * 40)).toBeCloseTo(1, 1.7)
    expect(surfaceDefinition('number').edges(nought)[0]!.loopsMm).toHaveLength(2)
  })

  it.each([...'0123456789'])(
    '%s is in one piece, as tall as it says, and as wide everywhere as its bar',
    (digits) => {
      const shape: Surface = { kind: 'number', digits, tallMm: 250, barMm: 50, heightMm: 40 }
      const { top, above } = chartOf(shape)
      expect(above.filter((loop) => signedMm2(loop) > 0)).toHaveLength(1)
      expect(2 * top.y).toBeCloseTo(250, -0.7)
      expect(surfaceDefinition('number').topAcrossMm(shape)).toBeGreaterThan(49)
      expect(above.filter((loop) => signedMm2(loop) < 0)).toHaveLength(
        { '0': 1, '4': 1, '6': 1, '8': 2, '9': 1 }[digits] ?? 0,
      )
    },
  )

  it('a border runs round every line of a number once, and closes on each', () => {
    const eight: Surface = { kind: 'number', digits: '8', tallMm: 250, barMm: 50, heightMm: 40 }
    const { courses } = chartOf(eight)
    expect(courses.filter((c) => c.id === 'top')).toHaveLength(3)
    expect(courses.filter((c) => c.id === 'foot')).toHaveLength(1)
    for (const course of courses) {
      const [begin, end] = [course.at(0), course.at(course.lengthMm)]
      expect(Math.hypot(begin.x - end.x, begin.y - end.y)).toBeLessThan(1e-6)
    }
  })
})

describe('outlines from drawings', () => {
  const area = (shapes: readonly Cutout[]) => shapes.reduce((sum, cut) => sum + cutoutMm2(cut), 0)

  it('come from lines and curves, relative and absolute, turned and scaled as they are written', () => {
    const square = 'M10 10h20v20h-20z'
    expect(area(shapesOf(pathLoops(square)))).toBeCloseTo(400, 6)
    expect(area(shapesOf(pathLoops(square, ['scale(2)', 'rotate(30) translate(5 7)'])))).toBeCloseTo(1600, 3)
    const disc = 'M0 50a50 50 0 1 0 100 0a50 50 0 1 0-100 0z'
    expect(area(shapesOf(pathLoops(disc))) / (Math.PI * 2500)).toBeCloseTo(1, 2)
    // two quarter bends of the second degree: each cuts off a third of its corner's triangle twice over
    expect(area(shapesOf(pathLoops('M0 0H30V30Q0 30 0 0z'))) / (900 - 150)).toBeCloseTo(1, 2)
  })

  it('have holes where a line lies within another, and islands within the holes', () => {
    const box = (at: number, size: number) => `M${at} ${at}h${size}v${size}h${-size}z`
    const shapes = shapesOf(pathLoops(`${box(40, 20)}${box(0, 100)}${box(20, 60)}`))
    expect(shapes.map((cut) => cut.length)).toEqual([2, 1])
    expect(area(shapes)).toBeCloseTo(10_000 - 3600 + 400, 6)
  })

  it('point the way they look: y of the drawing runs down, of a cake to the back', () => {
    const tall = shapesOf(pathLoops('M0 0L10 30L20 0z'))[0]![0]
    // its tip is lowest on the page, so nearest to whoever looks
    expect(Math.min(...tall!.map((p) => p.y))).toBe(-30)
    expect(tall!.filter((p) => p.y === -30)).toHaveLength(1)
  })

  it('are kept in shares of their width, and keep few points', () => {
    const waves = Array.from({ length: 3000 }, (_, i) => {
      const t = (2 * Math.PI * i) / 3000
      const r = 200 + 20 * Math.cos(9 * t)
      return `${i === 0 ? 'M' : 'L'}${400 + r * Math.cos(t)} ${r * Math.sin(t)}`
    }).join('')
    const loop = inShares(shapesOf(pathLoops(`${waves}z`)))[0]![0]
    const xs = loop!.map((p) => p.x)
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([-0.5, 0.5])
    expect(loop!.length).toBeLessThanOrEqual(300)
    expect(roundMm(loop!)).toBeGreaterThan(Math.PI)
  })

  it('know the widest circle that they hold, beside holes too', () => {
    const [plate] = shapesOf(pathLoops('M0 0h100v60h-100z'))
    expect(acrossMm([plate!])).toBeCloseTo(60, 0)
    // a bar through its middle leaves 20 on either side
    const [holed] = shapesOf(pathLoops('M0 0h100v60h-100zM5 20h90v20h-90z'))
    expect(acrossMm([holed!])).toBeLessThan(25)
    expect(acrossMm([holed!])).toBeGreaterThan(19)
  })
})
