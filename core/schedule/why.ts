import type { Problem, Schedule } from './problem.ts'

/** What keeps a task from being any later. */
export type Why =
  | { kind: 'settled' }
  | { kind: 'next'; task: number; lag: number }
  | { kind: 'hand'; task: number }
  | { kind: 'held'; task: number; resource: number }
  | { kind: 'rest'; task: number }
  | { kind: 'closing' }
  | { kind: 'due' }

/** Why each task is not later: read from the timetable alone. */
export function reasons(problem: Problem, { start, hand }: Schedule): Why[] {
  const { tasks, open, rest } = problem
  const end = (i: number) => start[i]! + tasks[i]!.minutes
  return tasks.map((task, i): Why => {
    if (task.fixed !== null) return { kind: 'settled' }
    for (const { task: j, lag } of task.next)
      if (start[j]! - lag === end(i)) return { kind: 'next', task: j, lag }
    for (let j = 0; j < tasks.length; j++)
      if (hand[j] === hand[i] && start[j] === end(i)) return { kind: 'hand', task: j }
    for (const { resource, extra } of task.holds)
      for (let j = 0; j < tasks.length; j++)
        if (start[j] === end(i) + extra && tasks[j]!.holds.some((h) => h.resource === resource))
          return { kind: 'held', task: j, resource }
    if (task.tiring)
      for (let j = 0; j < tasks.length; j++)
        if (tasks[j]!.tiring && hand[j] === hand[i] && start[j] === end(i) + rest.minutes)
          return { kind: 'rest', task: j }
    if (end(i) < task.due && open.some((w) => w.to === end(i))) return { kind: 'closing' }
    return { kind: 'due' }
  })
}

/** Tasks without slack, from the one of a group that begins first to the last: each keeps the one before it from being later. */
export function criticalChain(
  problem: Problem,
  schedule: Schedule,
  why: readonly Why[],
  group: readonly number[],
): number[] {
  const { start } = schedule
  if (group.length === 0) return []
  let at = group.reduce((best, i) => (start[i]! < start[best]! ? i : best))
  const chain: number[] = []
  const seen = new Set<number>()
  while (!seen.has(at)) {
    seen.add(at)
    chain.push(at)
    const reason = why[at]!
    if ('task' in reason) at = reason.task
    else if (reason.kind === 'closing') {
      // over the closed hours: the first that is done after them
      const end = start[at]! + problem.tasks[at]!.minutes
      let next = -1
      for (let j = 0; j < start.length; j++)
        if (start[j]! >= end && (next < 0 || start[j]! < start[next]!)) next = j
      if (next < 0) break
      at = next
    } else break
  }
  return chain
}
