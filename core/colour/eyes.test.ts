import { describe, expect, it } from 'vitest'
import { seeded } from '../random.ts'
import { companions, muted, turned } from './harmony.ts'
import { hexChannels, hexToLab, labToHex } from './lab.ts'
import { minimise, withSlopes } from './leastSquares.ts'
import { differenceWords, likelyWords } from './likely.ts'
import { corrected, dominantColours } from './photo.ts'
import { readHex } from './typed.ts'
import { visions } from './vision.ts'
import { worn } from './worn.ts'

const channels = (hex: string) => hexChannels(hex).map((c) => Math.round(255 * c))
/** Hue angle and chroma, read from Lab: another space than the wheel that the code turns. */
const polar = (hex: string) => {
  const [, a, b] = hexToLab(hex)
  return { hue: (Math.atan2(b, a) * 180) / Math.PI, chroma: Math.hypot(a, b) }
}
const hueApart = (a: string, b: string) => Math.abs(((polar(a).hue - polar(b).hue + 540) % 360) - 180)

describe('words for a difference', () => {
  it('change where an eye would, and never back', () => {
    const words = [0, 0.99, 1, 1.49, 1.5, 2.99, 3, 5.99, 6, 40].map(differenceWords)
    expect(words).toEqual([
      ...['the same to the eye', 'the same to the eye'],
      ...['hardly to be told apart', 'hardly to be told apart'],
      ...['a shade off', 'a shade off'],
      ...['plainly another shade', 'plainly another shade'],
      ...['another colour', 'another colour'],
    ])
  })

  it('of a mix say what is written, what is usual and what is unlucky, and no part less than the one before', () => {
    const say = (difference: number, usual: number, unlucky: number) =>
      likelyWords({ difference, likely: { smear: [], usual, unlucky } })
    expect(say(0.5, 0.6, 0.9)).toBe('The same to the eye, nearly always.')
    expect(say(0.5, 0.6, 2)).toBe('The same to the eye mostly, one time in ten a shade off.')
    expect(say(0.5, 2, 2.5)).toBe('The same to the eye if every drop is right; usually a shade off.')
    expect(say(0.5, 2, 4)).toBe(
      'The same to the eye if every drop is right; usually a shade off, one time in ten plainly another shade.',
    )
    // luck that brings it nearer is not promised
    expect(say(4, 1, 2)).toBe('Plainly another shade, nearly always.')
  })
})

describe('colours that go with another', () => {
  it('stand where they say on the wheel, as light and nearly as vivid where the screen has them', () => {
    for (const hex of ['#a05a6a', '#6a8a5a', '#5a6aa0', '#a08a50']) {
      const found = companions(hex)
      expect(found.map((c) => c.words)).toEqual(['neighbour', 'neighbour', 'opposite', 'triad', 'triad'])
      const [left, right, opposite, triad, other] = found.map((c) => c.hex)
      for (const near of [left!, right!]) expect(hueApart(hex, near)).toBeLessThan(50)
      expect(hueApart(hex, opposite!)).toBeGreaterThan(140)
      for (const third of [triad!, other!]) {
        expect(hueApart(hex, third)).toBeGreaterThan(80)
        expect(hueApart(hex, third)).toBeLessThan(160)
      }
      for (const { hex: companion } of found)
        expect(Math.abs(hexToLab(companion)[0] - hexToLab(hex)[0])).toBeLessThan(9)
    }
  })

  it('come back when turned back, and a turn of nothing is nothing', () => {
    for (const hex of ['#a05a6a', '#7c8a55']) {
      expect(turned(hex, 0)).toBe(hex)
      // on the way it is rounded to what a screen has
      channels(turned(turned(hex, 70), -70)).forEach((c, i) => {
        expect(Math.abs(c - channels(hex)[i]!)).toBeLessThanOrEqual(2)
      })
      expect(turned(hex, 360)).toBe(hex)
    }
  })

  it('muted keep their hue and lose vividness; fully muted they are grey', () => {
    const half = muted('#a05a6a', 0.5)
    expect(polar(half).chroma / polar('#a05a6a').chroma).toBeCloseTo(0.5, 1)
    expect(hueApart(half, '#a05a6a')).toBeLessThan(6)
    const [r, g, b] = channels(muted('#a05a6a', 0))
    expect(Math.max(r!, g!, b!) - Math.min(r!, g!, b!)).toBeLessThanOrEqual(1)
  })
})

describe('other eyes', () => {
  it('see greys as they are, and everything as the usual ones where they are usual', () => {
    for (const hex of ['#000000', '#808080', '#ffffff']) {
      for (const { see } of Object.values(visions))
        channels(see(hex)).forEach((c, i) => {
          expect(Math.abs(c - channels(hex)[i]!)).toBeLessThanOrEqual(1)
        })
    }
    expect(visions.usual.see('#a05a6a')).toBe('#a05a6a')
  })

  it('confuse what they are blind to: red and green for two of them, blue and green for the third', () => {
    const apart = (see: (hex: string) => string, a: string, b: string) => {
      const [x, y] = [hexToLab(see(a)), hexToLab(see(b))]
      return Math.hypot(x[1] - y[1], x[2] - y[2])
    }
    const usual = apart(visions.usual.see, '#a06050', '#6a8a50')
    for (const vision of ['protan', 'deutan'] as const)
      expect(apart(visions[vision].see, '#a06050', '#6a8a50')).toBeLessThan(usual / 2)
    const blue = apart(visions.usual.see, '#5080a0', '#50906a')
    expect(apart(visions.tritan.see, '#5080a0', '#50906a')).toBeLessThan(blue / 2)
  })
})

describe('a colour on overlapping petals', () => {
  it('is deeper and no darker at its brightest, and white stays white', () => {
    expect(worn('#ffffff')).toBe('#ffffff')
    expect(worn('#000000')).toBe('#000000')
    for (const hex of ['#e8b0b8', '#c0a0d0', '#a05a6a']) {
      const [before, after] = [channels(hex), channels(worn(hex))]
      const brightest = before.indexOf(Math.max(...before))
      expect(Math.abs(after[brightest]! - before[brightest]!)).toBeLessThanOrEqual(1)
      before.forEach((c, i) => {
        if (c < before[brightest]!) expect(after[i]!).toBeLessThan(c)
      })
      expect(polar(worn(hex)).chroma).toBeGreaterThan(polar(hex).chroma)
    }
  })
})

describe('a colour as it is typed', () => {
  it.each([
    ['#a0b', '#aa00bb'],
    ['A0B1c2', '#a0b1c2'],
    ['  #FFFFFF ', '#ffffff'],
    ['#12', null],
    ['#1234', null],
    ['12345g', null],
    ['', null],
  ])('%j is %j', (text, hex) => expect(readHex(text)).toBe(hex))
})

describe('colours out of a picture', () => {
  /** A picture of so many pixels of each colour, shuffled, each a little off. */
  function picture(parts: readonly [hex: string, count: number][], noise: number): Uint8ClampedArray {
    const random = seeded(5)
    const pixels = parts.flatMap(([hex, count]) => Array.from({ length: count }, () => channels(hex)))
    pixels.sort(() => random() - 0.5)
    return new Uint8ClampedArray(pixels.flatMap((p) => [...p.map((c) => c + noise * (random() - 0.5)), 255]))
  }
  const near = (a: string, b: string) => {
    const [x, y] = [hexToLab(a), hexToLab(b)]
    return Math.hypot(x[0] - y[0], x[1] - y[1], x[2] - y[2])
  }

  it('are those that were painted, the most first, with their shares', () => {
    const found = dominantColours(
      picture(
        [
          ['#c04050', 600],
          ['#40a060', 300],
          ['#f0e0c0', 100],
        ],
        10,
      ),
      3,
    )
    const wanted = ['#c04050', '#40a060', '#f0e0c0']
    expect(found).toHaveLength(3)
    found.forEach(({ hex, share }, i) => {
      expect(near(hex, wanted[i]!)).toBeLessThan(4)
      expect(share).toBeCloseTo([0.6, 0.3, 0.1][i]!, 1)
    })
    expect(found.reduce((sum, f) => sum + f.share, 0)).toBeCloseTo(1, 9)
  })

  it('are one where all of it is alike, none where all of it is clear, and the same each time', () => {
    const grey = picture([['#808080', 400]], 4)
    expect(dominantColours(grey, 5)).toHaveLength(1)
    const clear = new Uint8ClampedArray(400)
    expect(dominantColours(clear, 4)).toEqual([])
    expect(dominantColours(grey, 3)).toEqual(dominantColours(grey, 3))
  })

  it('are put right by a white beside them: what made paper yellow is taken from the patch too', () => {
    expect(corrected('#808080', '#ffffff', '#ffffff')).toBe('#808080')
    // a lamp that gives half of the blue: paper #ffffbc, and a grey patch as yellow as it
    const lamp = (hex: string) => {
      const [r, g, b] = hexChannels(hex)
      const linear = (c: number) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4)
      const back = (c: number) => (c <= 0.0031308 ? 12.92 * c : 1.055 * c ** (1 / 2.4) - 0.055)
      const seen = [r!, g!, back(0.5 * linear(b!))]
      return `#${seen
        .map((c) =>
          Math.round(255 * c)
            .toString(16)
            .padStart(2, '0'),
        )
        .join('')}`
    }
    for (const hex of ['#808080', '#a05a6a', '#7c8a55'])
      expect(near(corrected(lamp(hex), lamp('#ffffff'), '#ffffff'), hex)).toBeLessThan(1.5)
    // a white that was known to be cream keeps its cream
    expect(near(corrected('#ffffff', '#ffffff', '#f4ead8'), '#f4ead8')).toBeLessThan(0.5)
  })
})

describe('least squares', () => {
  it('find a straight line through points, as the closed formula does', () => {
    const random = seeded(3)
    const points = Array.from({ length: 30 }, (_, i) => ({ x: i / 3, y: 2.5 - 0.7 * (i / 3) + random() }))
    const mean = (of: (p: { x: number; y: number }) => number) =>
      points.reduce((sum, p) => sum + of(p), 0) / points.length
    const [mx, my] = [mean((p) => p.x), mean((p) => p.y)]
    const slope = mean((p) => (p.x - mx) * (p.y - my)) / mean((p) => (p.x - mx) ** 2)
    const x = new Float64Array([0, 0])
    const line = withSlopes(2, points.length, (at, r) => {
      points.forEach((p, i) => {
        r[i] = at[0]! + at[1]! * p.x - p.y
      })
    })
    const left = minimise(line, x, 60)
    expect(x[1]).toBeCloseTo(slope, 2)
    expect(x[0]).toBeCloseTo(my - slope * mx, 2)
    const best = points.reduce((sum, p) => sum + (my + slope * (p.x - mx) - p.y) ** 2, 0)
    expect(left / best - 1).toBeLessThan(0.01)
  })

  it('come down a curved valley to its floor, and stay within their bounds', () => {
    const valley = withSlopes(2, 2, (at, r) => {
      r[0] = 10 * (at[1]! - at[0]! ** 2)
      r[1] = 1 - at[0]!
    })
    const x = new Float64Array([-1.2, 1])
    minimise(valley, x, 300, 1e-12)
    expect([x[0], x[1]]).toEqual([expect.closeTo(1, 1), expect.closeTo(1, 1)])
    const kept = {
      ...valley,
      clamp(at: Float64Array) {
        at[0] = Math.min(0.5, at[0]!)
      },
    }
    const y = new Float64Array([-1.2, 1])
    minimise(kept, y, 300, 1e-12)
    expect(y[0]!).toBeLessThanOrEqual(0.5)
    expect(y[0]!).toBeGreaterThan(0.4)
  })

  it('tell a colour there and back', () => {
    for (const hex of ['#000000', '#ffffff', '#a05a6a', '#123456']) expect(labToHex(hexToLab(hex))).toBe(hex)
  })
})
