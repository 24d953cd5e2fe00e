import * as chrono from 'chrono-node'
import type { Allergen } from '../common.ts'
import { MM_PER_INCH } from '../units.ts'
import { allergenNames } from './words.ts'

/** A stretch of a line, by its characters; `to` is the first after it. */
export interface Span {
  from: number
  to: number
}

/** What is said by figures and signs, before single words are looked at. */
export type FoundSpan = Span &
  (
    | { kind: 'avoid'; allergens: Allergen[] }
    | { kind: 'measures'; mm: number[]; times: boolean }
    | { kind: 'hex'; hex: string }
    | { kind: 'day'; at: string; guess: boolean }
    | { kind: 'unclear' }
  )

const allergen = allergenNames.map(([name]) => `${name}s?`).join('|')
const AVOID = [
  new RegExp(
    `\\b(?:no|without|free (?:of|from)|allergic to|allergy to)\\s+((?:${allergen})\\b(?:\\s*(?:,|and|or|&)\\s*(?:${allergen})\\b)*)`,
    'giu',
  ),
  new RegExp(`\\b(${allergen})[\\s-]+free\\b`, 'giu'),
]

const NUMBER = '\\d+(?:[.,]\\d+)?(?:\\s+\\d\\/\\d)?|\\d\\/\\d'
const JOIN = '\\s*(?:,|;|and|&|\\+|\\/|x|×|on)\\s*'
// "in" is also a word: an inch only at the end of what is said, or before how it is measured
const UNIT = '(mm\\b|cm\\b|inch(?:es)?\\b|["”]|in\\b(?=\\s*(?:[,;:.)]|$|across|cake|round|wide|high|tier)))'
const MEASURES = new RegExp(`(?<![\\p{L}\\d#.])((?:${NUMBER})(?:${JOIN}(?:${NUMBER}))*)\\s*${UNIT}`, 'giu')

const HEX = /#[0-9a-f]{6}\b/giu

/** "12 1/2" and "12,5" as numbers. */
function figure(text: string): number {
  const [, whole, over, under] = /^(\d+(?:[.,]\d+)?)?\s*(?:(\d)\/(\d))?$/.exec(text.trim()) ?? []
  return Number((whole ?? '0').replace(',', '.')) + (over ? Number(over) / Number(under) : 0)
}

function measures(match: RegExpExecArray): FoundSpan {
  const [all, list, unit] = match
  const scale = /^mm$/i.test(unit!) ? 1 : /^cm$/i.test(unit!) ? 10 : MM_PER_INCH
  const mm = list!.split(new RegExp(JOIN, 'iu')).map((n) => Math.round(figure(n) * scale))
  return {
    ...{ kind: 'measures', mm, times: /[x×]/iu.test(list!) },
    ...{ from: match.index, to: match.index + all.length },
  }
}

/** Runs a pattern over a text; what was found before is left alone. */
function each(
  text: string,
  pattern: RegExp,
  found: FoundSpan[],
  make: (match: RegExpExecArray) => FoundSpan,
) {
  for (const match of text.matchAll(pattern)) {
    const [from, to] = [match.index, match.index + match[0].length]
    if (!found.some((f) => f.from < to && from < f.to)) found.push(make(match as RegExpExecArray))
  }
}

/** Allergens, measures, colours by their hex, and days, in a line read at a moment like 2026-11-25T10:00. */
export function spansOf(text: string, now: string): FoundSpan[] {
  const found: FoundSpan[] = []
  for (const pattern of AVOID)
    each(text, pattern, found, (m) => ({
      kind: 'avoid',
      allergens: allergenNames
        .filter(([name]) => new RegExp(`\\b${name}s?\\b`, 'iu').test(m[1]!))
        .map(([, id]) => id),
      ...{ from: m.index, to: m.index + m[0].length },
    }))
  each(text, MEASURES, found, measures)
  each(text, HEX, found, (m) => ({
    kind: 'hex',
    hex: m[0].toLowerCase(),
    ...{ from: m.index, to: m.index + m[0].length },
  }))
  return [...found, ...daysIn(blanked(text, found), now)].sort((a, b) => a.from - b.from)
}

/** The text with what is known taken out, as long as before. */
const blanked = (text: string, spans: readonly Span[]): string =>
  spans.reduce((t, { from, to }) => t.slice(0, from) + '|'.repeat(to - from) + t.slice(to), text)

/** Collected at noon, where nobody says when. */
const USUAL_HOUR = 12
const pad = (n: number) => String(n).padStart(2, '0')

/**
 * The day of a line: one day said by its name or number, with or without its hour, in the days to come. Days between which
 * somebody is still choosing are unclear.
 */
function daysIn(text: string, now: string): FoundSpan[] {
  // as clocks are written with a point; "the 4th" is a day of the month that comes next
  const clocks = text.replace(/\b(\d{1,2})\.(\d{2})\b(?!\.?\d)/gu, '$1:$2')
  const reference = new Date(`${now}:00`)
  const ordinal = /\bthe (\d{1,2})(?:st|nd|rd|th)\b/iu.exec(clocks)
  const results = chrono.en.GB.parse(clocks, reference, { forwardDate: true }).map((r) => {
    const { start, index } = r
    // a number before a word is a number of that word
    const said = /^(.*\D)\s*,?\s*\d{1,2}$/u.exec(r.text)
    const takes = said && /^\s*[\p{L}#]/u.test(clocks.slice(index + r.text.length)) && !/:\d\d$/.test(r.text)
    const whole = takes ? said[1]!.trimEnd() : r.text
    return {
      from: index + (whole.length - whole.trimStart().length),
      to: index + whole.length,
      dated: start.isCertain('day') || start.isCertain('weekday') || start.isCertain('month'),
      timed: start.isCertain('hour') && !takes,
      date: start.date(),
    }
  })
  const days = results.filter((r) => r.dated)
  const clock = results.find((r) => !r.dated && r.timed)
  if (ordinal && days.length === 0) {
    const date = new Date(reference)
    date.setDate(Number(ordinal[1]))
    if (date < reference) date.setMonth(date.getMonth() + 1)
    const to = ordinal.index + ordinal[0].length
    days.push({ from: ordinal.index, to, dated: true, timed: false, date })
  }
  if (days.length === 0) return []
  const [first, second] = days
  if (second && /^\s*(?:or|\/)\s*$/iu.test(clocks.slice(first!.to, second.from)))
    return [{ kind: 'unclear', from: first!.from, to: second.to }]
  const day = first!
  const joined = clock && !day.timed ? clock : null
  const [hour, minute] = day.timed
    ? [day.date.getHours(), day.date.getMinutes()]
    : joined
      ? [joined.date.getHours(), joined.date.getMinutes()]
      : [USUAL_HOUR, 0]
  const at = `${day.date.getFullYear()}-${pad(day.date.getMonth() + 1)}-${pad(day.date.getDate())}T${pad(hour)}:${pad(minute)}`
  const near =
    joined && joined.from >= day.to && /^[\s,]*(?:at\s+)?$/iu.test(clocks.slice(day.to, joined.from))
  const told: FoundSpan[] = [
    { kind: 'day', at, guess: !day.timed && !joined, from: day.from, to: near ? joined.to : day.to },
  ]
  if (joined && !near) told.push({ kind: 'day', at, guess: false, from: joined.from, to: joined.to })
  return [...told, ...days.slice(1).map((d): FoundSpan => ({ kind: 'unclear', from: d.from, to: d.to }))]
}
