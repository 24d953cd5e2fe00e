/** Avoirdupois ounce in grams, exact by definition. */
export const GRAMS_PER_OUNCE = 28.349523125

const whole = new Intl.NumberFormat('en-GB', { maximumFractionDigits: 0 })
const oneDecimal = new Intl.NumberFormat('en-GB', { maximumFractionDigits: 1 })
const twoDecimals = new Intl.NumberFormat('en-GB', { maximumFractionDigits: 2 })

/** A weight for reading: whole grams (tenths under 10 g, never a false zero), or ounces to a tenth (hundredths under 1 oz). */
export function formatWeight(grams: number, units: 'grams' | 'ounces'): string {
  if (units === 'ounces') {
    const ounces = grams / GRAMS_PER_OUNCE
    return `${(ounces < 1 ? twoDecimals : oneDecimal).format(ounces)} oz`
  }
  if (grams > 0 && grams < 0.05) return 'under 0.1 g'
  return `${(grams < 9.95 ? oneDecimal : whole).format(grams)} g`
}

/** Below these totals parts are shown in tenths of a gram, and in hundredths of an ounce. */
const FINE_GRAMS = 9.95
const FINE_OUNCES = 4.995

/**
 * Parts of a whole and the whole, all to one step, so that the parts sum to it as they are shown: each is rounded down
 * and what is left goes to those that lost most (largest remainders). A part of next to nothing may show as 0.
 */
export function formatParts(
  grams: readonly number[],
  units: 'grams' | 'ounces',
): { parts: string[]; total: string } {
  const unit = units === 'ounces' ? GRAMS_PER_OUNCE : 1
  const sum = grams.reduce((all, g) => all + g, 0) / unit
  const fine = units === 'ounces' ? sum < FINE_OUNCES : sum < FINE_GRAMS
  const decimals = units === 'ounces' ? (fine ? 2 : 1) : fine ? 1 : 0
  const perStep = 10 ** decimals / unit
  const whole = apportioned(grams.map((g) => g * perStep))
  const total = whole.reduce((all, s) => all + s, 0)
  const format = new Intl.NumberFormat('en-GB', { maximumFractionDigits: decimals })
  const shown = (n: number) => `${format.format(n / 10 ** decimals)} ${units === 'ounces' ? 'oz' : 'g'}`
  return { parts: whole.map(shown), total: shown(total) }
}

/** Whole numbers near some numbers, that sum to their rounded sum: rounded down, and what is left to those that lost most. */
function apportioned(numbers: readonly number[]): number[] {
  const whole = numbers.map((n) => Math.floor(n + 1e-9))
  const sum = (list: readonly number[]) => list.reduce((all, n) => all + n, 0)
  let left = Math.round(sum(numbers)) - sum(whole)
  const lost = (i: number) => numbers[i]! - whole[i]!
  for (const i of numbers.map((_, at) => at).sort((a, b) => lost(b) - lost(a))) if (left-- > 0) whole[i]! += 1
  return whole
}

/** Minutes as parts of a whole, to the step in which the whole is told, so that they sum as they are shown. */
export function formatMinuteParts(minutes: readonly number[]): string[] {
  const sum = minutes.reduce((all, m) => all + m, 0)
  const step = sum < 10 ? 1 : 5
  return apportioned(minutes.map((m) => m / step)).map((n) => hoursAndMinutes(n * step))
}

/** What lengths of pieces and flowers are told in; openings and recipes are always in millimetres. */
export type LengthUnit = 'millimetres' | 'inches'

/** International inch in millimetres, exact by definition. */
export const MM_PER_INCH = 25.4
/** A ruler in a kitchen has sixteenths, and nobody reads them from here on. */
const COARSE_INCHES = 6

/** A length for reading: whole millimetres (halves below ten), or inches to a sixteenth, an eighth from six on. */
export function formatLength(mm: number, unit: LengthUnit): string {
  if (unit === 'millimetres') return `${benchMm(mm)} mm`
  const inches = mm / MM_PER_INCH
  const parts = inches < COARSE_INCHES ? 16 : 8
  const all = Math.round(inches * parts)
  const [over, under] = lowestTerms(all % parts, parts)
  const count = Math.floor(all / parts)
  if (over === 0) return `${count} in`
  return `${count > 0 ? `${count} ` : ''}${over}/${under} in`
}

/** A length as a ruler and a hand have it: whole millimetres, halves below ten. */
export function benchMm(mm: number): number {
  return mm < 10 ? Math.round(2 * mm) / 2 : Math.round(mm)
}

function lowestTerms(over: number, under: number): [number, number] {
  return over > 0 && over % 2 === 0 ? lowestTerms(over / 2, under / 2) : [over, under]
}

/** A level teaspoon of water, milk or syrup, and a drop of it, g: near enough for thinning icing. */
const TEASPOON_GRAMS = 5
const WATER_DROP_GRAMS = 0.05
/** From here on liquid is weighed. */
const WEIGHED_GRAMS = 30

/**
 * Liquid as a hand measures it: in drops, in quarters of a teaspoon, and from six teaspoons on by the scale's step. Never
 * a figure that the scale does not show.
 */
export function formatLiquid(grams: number, units: 'grams' | 'ounces', stepGrams: number): string {
  if (grams >= WEIGHED_GRAMS) return formatWeight(Math.round(grams / stepGrams) * stepGrams, units)
  const quarters = Math.round((4 * grams) / TEASPOON_GRAMS)
  if (quarters === 0) return counted(Math.max(1, Math.round(grams / WATER_DROP_GRAMS)), 'drop')
  const fraction = ['', '¼', '½', '¾'][quarters % 4]!
  return `${Math.floor(quarters / 4) || ''}${fraction} tsp`
}

/** Grams to weigh on a scale of so many grams a step: never less than is needed. */
export function onScale(grams: number, stepGrams: number): number {
  return Math.ceil(grams / stepGrams - 1e-9) * stepGrams
}

const fractions = ['', '¼', '⅓', '½', '⅔', '¾'] as const
const parts = [0, 1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4]

/** Grams as level cups to the nearest quarter or third: "2¼ cups". */
export function formatCups(grams: number, cupGrams: number): string {
  const cups = grams / cupGrams
  if (cups < 0.125) return 'under ¼ cup'
  const whole = Math.floor(cups)
  const rest = [...parts, 1].reduce((best, p) =>
    Math.abs(p - (cups - whole)) < Math.abs(best - (cups - whole)) ? p : best,
  )
  const count = rest === 1 ? whole + 1 : whole
  const fraction = rest === 1 ? '' : fractions[parts.indexOf(rest)]
  const figure = `${count > 0 || !fraction ? count : ''}${fraction}`
  return `${figure} ${count > 1 || (count === 1 && fraction) ? 'cups' : 'cup'}`
}

/** Minutes for reading: "45 min", "5 h 10". */
export function formatMinutes(minutes: number): string {
  return hoursAndMinutes(minutes < 10 ? Math.ceil(minutes) : Math.round(minutes / 5) * 5)
}

function hoursAndMinutes(rounded: number): string {
  if (rounded < 60) return `${rounded} min`
  return `${Math.floor(rounded / 60)} h ${String(rounded % 60).padStart(2, '0')}`
}

/** "1 bag", "2 bags". */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${whole.format(count)} ${count === 1 ? one : many}`
}

/** All but one of them, as one says it: "the other order", "the other 3 orders". */
export const theOther = (count: number, one: string): string =>
  `the other ${count === 1 ? one : counted(count, one)}`
