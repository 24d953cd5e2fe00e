import type { Use } from '../../model/plan.ts'
import { Progress } from './progress.ts'
import { stageOf } from './stages.ts'

/** What is done while one colour of the chain is in the bowl, in the order of work. */
export interface Pass {
  /** Place in the chain. */
  link: number
  uses: Use[]
}

/**
 * One pass a colour: everything whose colours have been mixed by then and whose ground is there. What has to wait is done
 * in the first pass in which it can be, from the bag that was kept for it. No layer comes before what it stands on.
 * @param linksOf places in the chain of a use's colours; −1 for one that has a bowl of its own beside the chain.
 * @param bagOf the bag a use is piped from, so that one bag is gone on with as long as it can be.
 */
export function passes(
  uses: readonly Use[],
  links: number,
  linksOf: (use: Use) => readonly number[],
  bagOf: (use: Use) => number,
): Pass[] {
  const progress = new Progress(uses)
  const from = new Map(uses.map((u) => [u, Math.max(0, ...linksOf(u))]))
  let left = [...uses]
  return Array.from({ length: links }, (_, link) => {
    const done: Use[] = []
    let bag = -1
    for (;;) {
      const next = best(
        left.filter((u) => from.get(u)! <= link && progress.mayBegin(u)),
        (u) => (bagOf(u) === bag ? -1 : stageOf(u)),
      )
      if (!next) break
      progress.finish(next)
      done.push(next)
      left = left.filter((u) => u !== next)
      bag = bagOf(next)
    }
    return { link, uses: done }
  })
}

function best(uses: readonly Use[], rank: (use: Use) => number): Use | null {
  let found: Use | null = null
  for (const use of uses) if (!found || rank(use) < rank(found)) found = use
  return found
}
