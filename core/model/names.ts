const LONGEST = 80

/**
 * A name that tells a copy apart from everything already there: `wanted`, or `wanted 2`, `wanted 3`…, cut to what a
 * name may be long. Case does not tell names apart.
 */
export function distinctName(wanted: string, taken: Iterable<string>): string {
  const known = new Set([...taken].map((name) => name.trim().toLowerCase()))
  const within = (suffix: string) => `${wanted.slice(0, LONGEST - suffix.length).trimEnd()}${suffix}`
  for (let n = 1; ; n++) {
    const name = within(n === 1 ? '' : ` ${n}`)
    if (!known.has(name.toLowerCase())) return name
  }
}

/** The name of a copy: `Rose (ours)`, and for the next one `Rose (ours) 2`. A copy of a copy does not pile up words. */
export function copyName(of: string, word: string, taken: Iterable<string>): string {
  const suffix = ` (${word})`
  const bare = of.replace(/ \d+$/, '')
  const base = bare.endsWith(suffix) ? bare.slice(0, -suffix.length) : of
  return distinctName(`${base.slice(0, LONGEST - suffix.length).trimEnd()}${suffix}`, taken)
}
