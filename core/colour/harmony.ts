import { converter, formatHex, modeOklch, modeRgb, useMode as register, toGamut } from 'culori/fn'

register(modeRgb)
register(modeOklch)
const oklch = converter('oklch')
const inSrgb = toGamut('rgb', 'oklch')

/** A colour that goes with another, and what it is to it. */
export interface Companion {
  words: string
  hex: string
}

/** Hue turned by degrees on a perceptual wheel (OKLCH), lightness and vividness as they were where sRGB has them. */
export function turned(hex: string, degrees: number): string {
  const { l, c, h = 0 } = oklch(hex)!
  return formatHex(inSrgb({ mode: 'oklch', l, c, h: (h + degrees + 360) % 360 }))
}

/** The same hue with its vividness multiplied; under 1 mutes it. */
export function muted(hex: string, share: number): string {
  const { l, c, h } = oklch(hex)!
  return formatHex(inSrgb({ mode: 'oklch', l, c: c * share, h }))
}

/** Neighbours, opposite and triad of a colour. */
export function companions(hex: string): Companion[] {
  return [
    { words: 'neighbour', hex: turned(hex, -30) },
    { words: 'neighbour', hex: turned(hex, 30) },
    { words: 'opposite', hex: turned(hex, 180) },
    { words: 'triad', hex: turned(hex, 120) },
    { words: 'triad', hex: turned(hex, -120) },
  ]
}
