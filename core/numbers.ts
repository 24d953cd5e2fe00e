/** What somebody typed into a field for a number. */
export type TypedNumber =
  | { kind: 'number'; value: number }
  | { kind: 'empty' }
  /** Not a number, or one that can be read in two ways; in words what to do. */
  | { kind: 'unclear'; why: string }

const NOT_A_NUMBER = 'Type a number, such as 12 or 2.5.'

/**
 * Reads a number as people write it: with a decimal point or comma, with spaces or apostrophes between thousands, with or
 * without the unit behind it. Where point and comma both stand, the last is the decimal one. `1,200` could be either, so
 * it is asked about and not guessed.
 */
export function readNumber(text: string, unit = ''): TypedNumber {
  const fraction = readFraction(text, unit)
  if (fraction !== null) return { kind: 'number', value: fraction }
  const bare = text
    .trim()
    .replace(new RegExp(`\\s*${unit.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}$`, 'i'), '')
    .replace(/[\s'’\u00a0\u2009\u202f]/g, '')
    .replace(/^[−–]/, '-')
  if (bare === '') return { kind: 'empty' }
  if (/^-?[1-9]\d{0,2},\d{3}$/.test(bare)) {
    const small = bare.replace(',', '.')
    return {
      kind: 'unclear',
      why: `Is this ${Number(small)} or ${bare.replace(',', '')}? Type it without the comma.`,
    }
  }
  const plain = withPoint(bare)
  if (plain === null || !/^-?(\d+\.?\d*|\.\d+)$/.test(plain)) return { kind: 'unclear', why: NOT_A_NUMBER }
  return { kind: 'number', value: Number(plain) }
}

/** "1/2" or "2 1/2", as a ruler in inches is read; null for anything else. */
function readFraction(text: string, unit: string): number | null {
  const match = /^(?:(\d+)[\s-]+)?(\d+)\s*[/⁄]\s*(\d+)\s*(\S*)$/.exec(text.trim())
  if (!match) return null
  const [, count = '0', over, under, rest] = match
  if (Number(under) === 0 || (rest !== '' && rest?.toLowerCase() !== unit.toLowerCase())) return null
  return Number(count) + Number(over) / Number(under)
}

/** With one decimal point and nothing between thousands; null where the marks make no number. */
function withPoint(text: string): string | null {
  const marks = [...text.matchAll(/[.,]/g)].map((m) => m[0])
  if (marks.length === 0) return text
  const last = marks.at(-1)!
  const thousands = last === ',' ? '.' : ','
  // several of one kind are between thousands: 1.200.000
  if (marks.length > 1 && new Set(marks).size === 1)
    return /^-?\d{1,3}([.,]\d{3})+$/.test(text) ? text.replaceAll(last, '') : null
  if (marks.filter((m) => m === last).length > 1) return null
  return text.replaceAll(thousands, '').replace(last, '.')
}

/** A number as a field shows it, rounded to so many decimals. */
export function writeNumber(value: number, decimals: number): string {
  return String(Math.round(value * 10 ** decimals) / 10 ** decimals)
}
