import { hexChannels } from '#core/colour/lab'

/** A colour lightened (amount > 0) or darkened (< 0) for drawing; amount -1..1 towards black or white. */
export function shade(hex: string, amount: number): string {
  const goal = amount > 0 ? 1 : 0
  const part = Math.abs(amount)
  const [r, g, b] = hexChannels(hex).map((c) => Math.round(255 * (c + (goal - c) * part)))
  return `rgb(${r} ${g} ${b})`
}

/** Black or white, whichever reads on the colour. */
export function inkOn(hex: string): '#000000' | '#ffffff' {
  const [r, g, b] = hexChannels(hex)
  return 0.299 * r + 0.587 * g + 0.114 * b > 0.53 ? '#000000' : '#ffffff'
}
