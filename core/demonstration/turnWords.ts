/** Parts of a turn that a hand can tell apart, and their words. */
const PARTS: readonly (readonly [share: number, words: string])[] = [
  [1 / 12, 'a twelfth'],
  [1 / 8, 'an eighth'],
  [1 / 6, 'a sixth'],
  [1 / 5, 'a fifth'],
  [1 / 4, 'a quarter'],
  [1 / 3, 'a third'],
  [2 / 5, 'two fifths'],
  [1 / 2, 'half'],
  [2 / 3, 'two thirds'],
  [3 / 4, 'three quarters'],
]
const STILL_DEG = 12
const NEARLY_WHOLE = 0.86

/** "a third of a turn of the nail", from degrees. */
export function turnWords(deg: number, ground: string): string {
  const share = deg / 360
  if (deg < STILL_DEG) return `hardly turn the ${ground}`
  if (share >= NEARLY_WHOLE) {
    const turns = Math.round(share * 4) / 4
    if (turns <= 1) return `a whole turn of the ${ground}`
    return `${numeral(turns)} turns of the ${ground}`
  }
  const [, words] = PARTS.reduce((best, part) =>
    Math.abs(Math.log(part[0] / share)) < Math.abs(Math.log(best[0] / share)) ? part : best,
  )
  return words === 'half' ? `half a turn of the ${ground}` : `${words} of a turn of the ${ground}`
}

function numeral(turns: number): string {
  const part = ['', '¼', '½', '¾'][Math.round((turns % 1) * 4)]!
  return `${Math.floor(turns)}${part}`
}
