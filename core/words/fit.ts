import { type Lettering, leastCapitalMm, letter } from './letter.ts'

/** A way to make words fit: smaller, on more lines, thinner, or fewer of them. */
export interface FitOffer {
  label: string
  change: Partial<Lettering> & { beadMm?: number }
}

const HALVINGS = 24
/** Widths are offered to a half millimetre, rounded down. */
const STEP_MM = 0.5

const fits = (of: Lettering, beadMm: number, wide: number, high: number): boolean => {
  const { widthMm, heightMm } = letter(of, beadMm)
  return widthMm <= wide && heightMm <= high
}

/** The tallest capitals that fit, mm, to a half; 0 where none do. */
function tallest(of: Lettering, beadMm: number, wide: number, high: number): number {
  let [low, top] = [0, of.capitalMm]
  for (let i = 0; i < HALVINGS; i++) {
    const capitalMm = (low + top) / 2
    if (fits({ ...of, capitalMm }, beadMm, wide, high)) low = capitalMm
    else top = capitalMm
  }
  return Math.floor(low / STEP_MM) * STEP_MM
}

/**
 * What can be done about words that are wider or higher than their room, best first; none where they fit.
 * @param beads widths of icing that there are tips for, mm.
 */
export function fitOffers(
  of: Lettering,
  beadMm: number,
  room: { widthMm: number; heightMm: number },
  beads: readonly number[],
): FitOffer[] {
  const { widthMm: wide, heightMm: high } = room
  if (fits(of, beadMm, wide, high)) return []
  const offers: FitOffer[] = []
  const smaller = (now: Lettering, bead: number): number | null => {
    const mm = tallest(now, bead, wide, high)
    return mm >= leastCapitalMm(now.faceId, bead) ? mm : null
  }
  const own = smaller(of, beadMm)
  if (own !== null) offers.push({ label: `Smaller: capitals of ${own} mm`, change: { capitalMm: own } })
  for (const text of splits(of.text)) {
    const split = { ...of, text }
    const mm = fits(split, beadMm, wide, high) ? of.capitalMm : smaller(split, beadMm)
    if (mm === null || (own !== null && mm <= own)) continue
    offers.push({ label: `On ${text.split('\n').length} lines, ${mm} mm`, change: { text, capitalMm: mm } })
    break
  }
  for (const bead of [...beads].filter((b) => b < beadMm).sort((a, b) => b - a)) {
    const best = [of.text, ...splits(of.text)]
      .map((text) => {
        const now = { ...of, text }
        return { text, mm: fits(now, bead, wide, high) ? of.capitalMm : (smaller(now, bead) ?? 0) }
      })
      .sort((a, b) => b.mm - a.mm)[0]!
    if (best.mm === 0 || (own !== null && best.mm <= own)) continue
    const lines = best.text.split('\n').length
    offers.push({
      label: `Thinner: ${bead} mm icing, ${best.mm} mm${lines > 1 ? ` on ${lines} lines` : ''}`,
      change: { beadMm: bead, capitalMm: best.mm, text: best.text },
    })
    break
  }
  const short = shorter(of.text)
  if (short) offers.push({ label: `Shorter: “${short.replaceAll('\n', ' / ')}”`, change: { text: short } })
  return offers
}

/** Words on two and three lines, broken where the lines come out most even. */
function splits(text: string): string[] {
  const words = text.split(/\s+/).filter(Boolean)
  const even = (lines: string[][]) => Math.max(...lines.map((l) => l.join(' ').length))
  const best = (cuts: string[][][]) => cuts.sort((a, b) => even(a) - even(b))[0]
  const two = best(words.slice(1).map((_, i) => [words.slice(0, i + 1), words.slice(i + 1)]))
  const three = best(
    words
      .slice(2)
      .flatMap((_, j) =>
        words
          .slice(1, j + 2)
          .map((__, i) => [words.slice(0, i + 1), words.slice(i + 1, j + 2), words.slice(j + 2)]),
      ),
  )
  return [two, three].flatMap((lines) => (lines ? [lines.map((l) => l.join(' ')).join('\n')] : []))
}

/** Without the last word; null for a single one. */
function shorter(text: string): string | null {
  const trimmed = text.trimEnd()
  const cut = Math.max(trimmed.lastIndexOf(' '), trimmed.lastIndexOf('\n'))
  return cut > 0 ? trimmed.slice(0, cut).trimEnd() : null
}
