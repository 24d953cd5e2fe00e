import type { z } from 'zod'

/** What is given where a number, a text or the like is wanted. */
const wanted: Record<string, string> = {
  number: 'Give a number.',
  int: 'Whole numbers only.',
  string: 'Give a text.',
  boolean: 'Say true or false.',
  array: 'Give a list.',
  object: 'Give an object with its fields.',
  record: 'Give an object with its fields.',
}

/** What a limit counts, by what is limited. */
const counts: Record<string, [one: string, many: string]> = {
  string: ['character', 'characters'],
  array: ['entry', 'entries'],
  set: ['entry', 'entries'],
  number: ['', ''],
}

const amount = (value: number | bigint, origin: string): string => {
  const [one, many] = counts[origin] ?? ['', '']
  const figure = value.toLocaleString('en-GB', { maximumFractionDigits: 6 })
  return `${figure} ${Number(value) === 1 ? one : many}`.trim()
}

/**
 * What to do about a field that a schema refuses, where the schema itself says nothing of its own. Null for what is
 * rare enough for the library's words.
 */
export function issueWords(issue: z.core.$ZodRawIssue): string | null {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined ? 'This is needed.' : (wanted[issue.expected] ?? null)
    case 'too_small':
      return `${issue.inclusive === false ? 'More than' : 'At least'} ${amount(issue.minimum, issue.origin)}.`
    case 'too_big':
      return `${issue.inclusive === false ? 'Less than' : 'At most'} ${amount(issue.maximum, issue.origin)}.`
    case 'invalid_value':
      return `Use one of: ${issue.values.map(String).join(', ')}.`
    case 'invalid_union':
      return Array.isArray(issue.options) ? `Use one of: ${issue.options.map(String).join(', ')}.` : null
    case 'unrecognized_keys':
      return `Leave out ${issue.keys.join(', ')}: nothing here is called that.`
    default:
      return null
  }
}

/** A bare limit, as `issueWords` gives it for a number, with the unit of the field it stands in: "At most 40 mm." */
export function withUnit(words: string, unit: string): string {
  const limit = /^((?:At (?:least|most)|(?:More|Less) than) -?[\d.,]+)\.$/
  return unit === '' ? words : words.replace(limit, `$1 ${unit}.`)
}
