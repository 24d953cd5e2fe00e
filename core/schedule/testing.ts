import { seeded } from '../random.ts'
import type { Problem, Schedule, Task } from './problem.ts'

/**
 * What is wrong with a timetable, minute by minute and by counting alone: it shares nothing with what makes timetables but the
 * types of what it looks at.
 */
export function wrongIn(problem: Problem, schedule: Pick<Schedule, 'start' | 'hand'>): string[] {
  const { tasks, hands, open, resources, rest } = problem
  const wrong: string[] = []
  const isOpen = (minute: number) => open.some((w) => minute >= w.from && minute < w.to)
  const busy = new Map<string, number>()
  const tired = hands.map(() => new Set<number>())
  tasks.forEach((task, i) => {
    const from = schedule.start[i]!
    const by = schedule.hand[i]!
    if (!Number.isInteger(from)) wrong.push(`${i} begins at ${from}`)
    if (from + task.minutes > task.due) wrong.push(`${i} ends after it is due`)
    if (task.fixed !== null && task.fixed !== from) wrong.push(`${i} is moved from its settled start`)
    if (task.pipes && !hands[by]?.pipes) wrong.push(`${i} is piped by hands that do not pipe`)
    for (const { task: j, lag } of task.next)
      if (schedule.start[j]! < from + task.minutes + lag) wrong.push(`${j} comes too soon after ${i}`)
    const count = (key: string, most: number) => {
      const now = (busy.get(key) ?? 0) + 1
      busy.set(key, now)
      if (now > most) wrong.push(`${key} is taken twice`)
    }
    for (let m = from; m < from + task.minutes; m++) {
      if (task.fixed === null && !isOpen(m)) wrong.push(`${i} is worked on at ${m}, when it is closed`)
      count(`hand ${by} at ${m}`, 1)
      if (task.tiring) tired[by]!.add(m)
    }
    for (const { resource, extra } of task.holds)
      for (let m = from; m < from + task.minutes + extra; m++)
        count(`resource ${resource} at ${m}`, resources[resource]!)
  })
  tired.forEach((minutes, h) => {
    const all = [...minutes].sort((a, b) => a - b)
    let run = 0
    all.forEach((m, k) => {
      const gap = k === 0 ? Number.POSITIVE_INFINITY : m - all[k - 1]! - 1
      run = gap >= rest.minutes ? 1 : run + 1
      if (run > rest.after && !tasks.some((t) => t.tiring && t.minutes > rest.after))
        wrong.push(`hand ${h} has no rest before ${m}`)
    })
  })
  return [...new Set(wrong)]
}

/** Place-minutes over what the stores take, counted minute by minute. */
export function overfilled(problem: Problem, { start }: Pick<Schedule, 'start'>): number {
  let over = 0
  problem.stores.forEach((places, s) => {
    const at = new Map<number, number>()
    for (const { store, units, from, until } of problem.keeps) {
      if (store !== s) continue
      const begun = Math.min(...from.map((i) => start[i]! + problem.tasks[i]!.minutes))
      const end = 'at' in until ? until.at : start[until.task]!
      for (let m = begun; m < end; m++) at.set(m, (at.get(m) ?? 0) + units)
    }
    for (const units of at.values()) over += Math.max(0, units - places)
  })
  return over
}

const DAY = 1440

/** A problem made at random: groups of tasks in chains with waits, hands, one machine, a store. */
export function randomProblem(
  seed: number,
  size: { tasks: number; hands: number; groups?: number; nights?: boolean; step?: number },
): Problem {
  const random = seeded(seed)
  const whole = (least: number, most: number) => least + Math.floor(random() * (most - least + 1))
  const { step = 1, groups: count = 1, nights = false } = size
  const days = 40
  const due = days * DAY + 14 * 60
  const groups: number[][] = Array.from({ length: count }, () => [])
  const tasks: Task[] = Array.from({ length: size.tasks }, (_, i) => {
    const group = i % count
    groups[group]!.push(i)
    return {
      minutes: step * whole(1, step === 1 ? 35 : 7),
      pipes: random() < 0.5,
      tiring: random() < 0.3,
      holds: random() < 0.25 ? [{ resource: whole(0, 1), extra: random() < 0.3 ? step * 2 : 0 }] : [],
      next: [],
      due: due - group * 90 * Math.ceil(1 / step) * step,
      fixed: null,
    }
  })
  const made: Task[] = tasks.map((task, i) => ({
    ...task,
    next: groups[i % count]!.filter((j) => j > i && j < i + 6 * count && random() < 0.35).map((j) => ({
      task: j,
      lag: random() < 0.3 ? step * whole(2, step === 1 ? 60 : 12) : 0,
    })),
  }))
  return {
    tasks: made,
    keeps: made.flatMap((t, i) =>
      t.next.length > 0 && t.next[0]!.lag > 0 && random() < 0.7
        ? [{ store: 0, units: whole(1, 2), from: [i], until: { task: t.next[0]!.task } }]
        : [],
    ),
    resources: [1, 2],
    stores: [40],
    hands: Array.from({ length: size.hands }, (_, h) => ({ pipes: h === 0 || random() < 0.7 })),
    open: nights
      ? Array.from({ length: days + 1 }, (_, d) => ({ from: d * DAY + 8 * 60, to: d * DAY + 18 * 60 }))
      : [{ from: 0, to: due + DAY }],
    rest: { after: 45, minutes: 10 },
    groups,
  }
}
