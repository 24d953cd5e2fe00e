import { convertIcsCalendar } from 'ts-ics'
import { expect, it } from 'vitest'
import { planFigures } from '../plan/index.ts'
import { demoOrder, demoWorkshop } from '../plan/testing.ts'
import { calendarFile } from './calendar.ts'
import { minuteOf, momentOf } from './clock.ts'
import { BenchDays } from './day.ts'
import { taskWords } from './words.ts'

const workshop = demoWorkshop()
const order = { ...demoOrder('reading-room'), title: 'Tea; two, and “more”\nthan that' }
const { table } = new BenchDays([{ order, plan: planFigures(order, workshop) }], workshop).answer(null)
const written = (at: string) => calendarFile(table!, order.title, new Date(at))
const text = written('2026-11-20T08:00:00Z')

it('reads back, by a parser that did not write it, as the tasks that it was made of', () => {
  const { events = [] } = convertIcsCalendar(undefined, text)
  expect(events).toHaveLength(table!.tasks.length + 1)
  for (const task of table!.tasks) {
    const event = events.find((e) => e.summary === taskWords(task))!
    expect(event.start.date.toISOString().slice(0, 16)).toBe(momentOf(task.from))
    const end = event.end ?? event.start
    expect(end.date.toISOString().slice(0, 16)).toBe(momentOf(task.to))
    expect(event.description).toContain('Hands 1')
  }
  // a file of one minute later counts as the later one
  const [early, late] = [text, written('2026-11-20T08:01:00Z')].map(
    (t) => convertIcsCalendar(undefined, t).events![0]!.sequence!,
  )
  expect(late).toBeGreaterThan(early!)
  const fetched = events.find((e) => e.summary?.endsWith(': collection'))!
  expect(minuteOf(fetched.start.date.toISOString().slice(0, 16))).toBe(minuteOf(order.collectAt))
  // every task has a name of its own
  expect(new Set(events.map((e) => e.uid)).size).toBe(events.length)
})

it('is written as RFC 5545 has it: local times in no zone, lines of 75 octets, CRLF, text escaped', () => {
  const lines = text.split('\r\n')
  expect(text).not.toMatch(/[^\r]\n/)
  for (const line of lines) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75)
  expect(lines.filter((l) => l.startsWith('DTSTART'))).toSatisfy((starts: string[]) =>
    starts.every((s) => /^DTSTART:\d{8}T\d{6}$/.test(s)),
  )
  expect(text.replaceAll('\r\n ', '')).toContain('Tea\\; two\\, and “more”\\nthan that')
})
