import { describe, expect, it } from 'vitest'
import { type Wish, wishSchema } from '../model/order.ts'
import { scaledWish } from './wish.ts'

const wish: Wish = { data: 'data:image/png;base64,AAAA', x: 30, y: -10, widthMm: 200, strength: 0.6 }

describe('a picture of what is wanted', () => {
  it('is as large as two points in it really are apart, the first of them where it was', () => {
    // 50 mm in the view are 75 really: half as large again
    const made = scaledWish(
      wish,
      [
        { x: 10, y: 10 },
        { x: 50, y: 40 },
      ],
      75,
    ) as Wish
    expect(made).toMatchObject({ widthMm: 300, x: 40, y: -20, strength: 0.6 })
    // what was under the first point still is: its share of the picture's width from the middle
    expect((10 - made.x) / made.widthMm).toBeCloseTo((10 - wish.x) / wish.widthMm, 9)
  })
  it('is the same again when it is scaled back', () => {
    const points = [
      { x: 0, y: 0 },
      { x: 0, y: 80 },
    ] as const
    const large = scaledWish(wish, points, 160) as Wish
    expect(scaledWish(large, points, 40)).toEqual(wish)
  })
  it('says why it cannot be so large, or scaled by one point, and is not bent to fit', () => {
    expect(
      scaledWish(
        wish,
        [
          { x: 0, y: 0 },
          { x: 1.5, y: 0 },
        ],
        3000,
      ),
    ).toMatch(/too large or too small/)
    expect(
      scaledWish(
        wish,
        [
          { x: 5, y: 5 },
          { x: 5, y: 5.2 },
        ],
        50,
      ),
    ).toMatch(/press two that are apart/)
  })
  it('is a picture and nothing else', () => {
    const refused = (data: string) => wishSchema.safeParse({ ...wish, data }).error?.issues[0]?.message
    expect(refused('data:image/svg+xml;base64,AAAA')).toBe('A picture as JPEG, PNG or WebP.')
    expect(refused('https://elsewhere/picture.png')).toBe('A picture as JPEG, PNG or WebP.')
    expect(refused(`data:image/png;base64,${'A'.repeat(300_001)}`)).toMatch(/too large/)
  })
})
