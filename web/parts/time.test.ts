import { afterEach, describe, expect, it } from 'vitest'
import { dayAfter, daysBetween, localMoment, skippedTo } from './time.ts'

const zone = process.env.TZ
const inZone = (name: string) => {
  process.env.TZ = name
}
afterEach(() => {
  if (zone === undefined) delete process.env.TZ
  else process.env.TZ = zone
})

/** Zones whose clocks change at different hours, one at midnight, one by half an hour, and one that never does. */
const zones: [string, string][] = [
  ['Europe/Berlin', '2026-03-29'],
  ['America/New_York', '2026-03-08'],
  ['Australia/Lord_Howe', '2026-10-04'],
  ['Africa/Cairo', '2026-04-24'],
  ['America/Santiago', '2026-09-06'],
  ['Asia/Kolkata', '2026-03-29'],
]

describe('today and tomorrow', () => {
  it.each(zones)('are right in %s on the day of a change and around it', (name, change) => {
    inZone(name)
    expect(daysBetween(dayAfter(change, -1), change)).toBe(1)
    expect(daysBetween(change, dayAfter(change, 1))).toBe(1)
    // late at night, when hours would make it the same day or two days
    expect(daysBetween(`${change}T23:59`, `${dayAfter(change, 1)}T00:00`)).toBe(1)
    expect(dayAfter('2026-12-28', 7)).toBe('2027-01-04')
  })
  it('go by the clock on the wall, not by that of Greenwich', () => {
    inZone('Pacific/Auckland')
    expect(localMoment(new Date('2026-11-26T20:30:00Z'))).toBe('2026-11-27T09:30')
    inZone('America/Los_Angeles')
    expect(localMoment(new Date('2026-11-26T02:30:00Z'))).toBe('2026-11-25T18:30')
  })
})

describe('times that a clock change skips', () => {
  it('are told, with the time that the clocks show instead', () => {
    inZone('Europe/Berlin')
    expect(skippedTo('2026-03-29T02:30')).toBe('2026-03-29T03:30')
    expect(skippedTo('2026-03-29T01:59')).toBeNull()
    expect(skippedTo('2026-03-29T03:00')).toBeNull()
    // twice there in autumn, and so not skipped
    expect(skippedTo('2026-10-25T02:30')).toBeNull()
    inZone('Africa/Cairo')
    expect(skippedTo('2026-04-24T00:15')).toBe('2026-04-24T01:15')
    inZone('Asia/Kolkata')
    expect(skippedTo('2026-03-29T02:30')).toBeNull()
  })
})
