import type { Prepared } from './decode.ts'
import { inOrder, type Problem } from './problem.ts'

/**
 * What placing needs to know beforehand.
 * @throws CircleError
 */
export function prepare(problem: Problem): Prepared {
  const { tasks } = problem
  const order = inOrder(tasks)
  const before: number[][] = tasks.map(() => [])
  tasks.forEach(({ next }, i) => {
    for (const { task } of next) before[task]!.push(i)
  })
  const head = tasks.map((t) => t.minutes)
  const notBefore = tasks.map(() => Number.NEGATIVE_INFINITY)
  for (const i of order) {
    const own = tasks[i]!
    const from = own.fixed ?? notBefore[i]!
    for (const { task, lag } of own.next) {
      head[task] = Math.max(head[task]!, tasks[task]!.minutes + head[i]! + lag)
      notBefore[task] = Math.max(notBefore[task]!, from + own.minutes + lag)
    }
  }
  return { problem, before, head, notBefore }
}
