import { type Arrangement, type BagProblem, groupOfPairs, mayShare } from './problem.ts'
import { overStock } from './simulate.ts'

/**
 * What is wrong with an arrangement, worked out by another way than the simulation: every pair once, every job once and
 * after what it waits for, no bag of two loads or fits, stripes and pins kept, no more couplers and bags than there
 * are, and at no moment more of a tip in use than there are copies.
 */
export function arrangementFaults(problem: BagProblem, arrangement: Arrangement): string[] {
  const { groups, sequence } = arrangement
  const faults: string[] = []
  const seen = groups.flatMap((g) => g.pairs)
  if (seen.length !== problem.pairs.length || new Set(seen).size !== seen.length)
    faults.push('A load is on no bag, or on two.')
  groups.forEach((group, g) => {
    if (!mayShare(problem, group.pairs)) faults.push(`Bag ${g + 1} holds what may not share a bag.`)
    const tips = new Set(group.pairs.map((p) => problem.pairs[p]!.tip))
    if (tips.size > 1 && !group.coupler) faults.push(`Bag ${g + 1} changes tips without a coupler.`)
    const striped = group.pairs.some((p) => problem.loads[problem.pairs[p]!.load]!.fixed)
    if (striped && group.coupler) faults.push(`Bag ${g + 1} is striped and its tip must stay fixed.`)
    if (group.coupler && problem.tips[[...tips][0]!]!.fit === 'none')
      faults.push(`Bag ${g + 1} is cut and takes no coupler.`)
  })
  if (overStock(problem, groups) > 0) faults.push('More bags or couplers than there are.')
  const place = new Map(sequence.map((job, i) => [job, i]))
  if (place.size !== problem.jobs.length || sequence.length !== problem.jobs.length)
    faults.push('A job is left out, or done twice.')
  problem.jobs.forEach((job, j) => {
    for (const before of job.after)
      if (place.get(before)! > place.get(j)!) faults.push(`Job ${j + 1} is done before job ${before + 1}.`)
  })
  return [...faults, ...tipFaults(problem, arrangement)]
}

/**
 * A bag without a coupler holds its tip from its first use to its last; a bag with one only while a job uses it. More
 * of those at once than copies cannot be.
 */
function tipFaults(problem: BagProblem, { groups, sequence }: Arrangement): string[] {
  const of = groupOfPairs(problem, groups)
  const faults: string[] = []
  problem.tips.forEach((tip, t) => {
    if (tip.fit === 'none') return
    const wanting = groups.flatMap((group, g) =>
      group.pairs.some((p) => problem.pairs[p]!.tip === t)
        ? [{ group, places: sequence.flatMap((job, i) => (uses(job, g, t) ? [i] : [])) }]
        : [],
    )
    if (tip.once && wanting.length > tip.copies)
      faults.push(`Tip ${t + 1} is wanted once, and ${wanting.length} bags want it.`)
    sequence.forEach((_, now) => {
      const busy = wanting.filter(({ group, places }) =>
        group.coupler ? places.includes(now) : places[0]! <= now && now <= places.at(-1)!,
      ).length
      if (busy > tip.copies && wanting.filter((w) => !w.group.coupler).length > 0)
        faults.push(`At step ${now + 1}, ${busy} bags hold tip ${t + 1} and there are ${tip.copies}.`)
    })
  })
  return [...new Set(faults)]

  function uses(job: number, g: number, t: number): boolean {
    return problem.jobs[job]!.pairs.some((p) => of[p] === g && problem.pairs[p]!.tip === t)
  }
}
