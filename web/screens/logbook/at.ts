/** Replaces one of a list. */
export const at = <T>(list: readonly T[], index: number, part: Partial<T>): T[] =>
  list.map((x, i) => (i === index ? { ...x, ...part } : x))
