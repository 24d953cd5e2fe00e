import type { LoggedBatch } from '../model/logEntry.ts'

type Drops = LoggedBatch['drops']

/** "red 12, brown 3.5" */
export const dropsText = (drops: Drops): string =>
  drops.map((d) => `${d.dye} ${Math.round(d.drops * 10) / 10}`).join(', ')

const ONE = /^(.{1,80}?)\s+(\d+(?:[.,]\d+)?)$/
const MOST_DYES = 8
const MOST_DROPS = 20_000

/** Dyes and drops as somebody typed them; null where that is no list of dyes with a number each. */
export function dropsOf(text: string): Drops | null {
  const parts = text
    .split(/[,;](?!\d)/)
    .map((part) => part.trim())
    .filter(Boolean)
  if (parts.length > MOST_DYES) return null
  const found = parts.map((part) => {
    const [, dye, drops] = ONE.exec(part) ?? []
    const number = Number(drops?.replace(',', '.'))
    return dye && number <= MOST_DROPS ? { dye, drops: number } : null
  })
  return found.every((d) => d !== null) ? found : null
}
