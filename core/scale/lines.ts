import { GRAMS_PER_OUNCE } from '../units.ts'

/** What a scale says at a moment. */
export interface Reading {
  grams: number
  /** The scale itself says that it has come to rest. */
  stable: boolean
}

/** What a line of a scale was: a reading, more than it can carry, or something else that it says. */
export type Line = { kind: 'reading'; reading: Reading } | { kind: 'overload' } | { kind: 'other' }

const UNITS: Record<string, number> = { g: 1, kg: 1000, oz: GRAMS_PER_OUNCE, lb: 16 * GRAMS_PER_OUNCE }

/**
 * Reads a line as kitchen and laboratory scales commonly send it: status (ST or S at rest, US, SD or D moving, OL over its load), perhaps gross or net,
 * sign, weight, unit; parted by commas or spaces: "ST,GS,+  123.4,g", "S     123.4 g".
 */
export function readLine(text: string): Line {
  const said =
    /^\s*(ST|US|OL|S|SD|D)[\s,]+(?:(?:GS|NT|G|N|S|D)[\s,]+)?([+-])?\s*(\d+(?:\.\d+)?)[\s,]*(g|kg|oz|lb)\s*$/i.exec(
      text,
    )
  if (/^\s*OL\b/i.test(text)) return { kind: 'overload' }
  if (!said) return { kind: 'other' }
  const [, status, sign, number, unit] = said
  const grams = Number(number) * UNITS[unit!.toLowerCase()]! * (sign === '-' ? -1 : 1)
  return { kind: 'reading', reading: { grams, stable: /^ST?$/i.test(status!) } }
}

/** Puts lines together from pieces as they come off a wire; what is no line for too long is thrown away. */
export class LineReader {
  #rest = ''

  /** @returns the lines that are whole with this piece. */
  take(piece: string): string[] {
    const parts = (this.#rest + piece).split(/\r\n|\n|\r/)
    this.#rest = parts.pop()!.slice(-MOST_LINE)
    return parts.filter((line) => line.trim() !== '')
  }
}

/** Longer than any line of a scale. */
const MOST_LINE = 200
