import type { BenchStep, StepKind, StepWait } from '../model/bench.ts'
import type { Order, Piece } from '../model/order.ts'
import type { Plan, Use } from '../model/plan.ts'
import type { Workshop } from '../model/workshop.ts'
import { flowersPiped } from '../plan/piped.ts'
import type { Activity } from '../timeline/activity.ts'
import { momentOf } from '../timeline/clock.ts'
import { BenchDays } from '../timeline/day.ts'
import { orderWork } from '../timeline/problem.ts'
import { idOf, spreadId, thingOf } from '../timeline/work/context.ts'
import { startsOf } from './starts.ts'

/** What a step is made from besides its activity. */
type Part = Partial<BenchStep> & Pick<BenchStep, 'id' | 'kind'>

interface Made {
  order: Order
  plan: Plan
  use: (id: string) => Use
  piece: (id: string) => Piece
}

/**
 * An order's work as one thing at a time, in the order of its timetable: bowls one by one, bags one by one, practice before what is
 * practised, flowers on nails a batch at a time, what is piped in place a layer at a time. Where no timetable can be made, each
 * step comes as soon as what it waits for is done.
 */
export function benchSteps(order: Order, plan: Plan, workshop: Workshop): BenchStep[] {
  const { activities } = orderWork(order, plan, workshop)
  const uses = new Map(plan.uses.map((u) => [u.id, u]))
  const of: Made = {
    order,
    plan,
    use: (id) => uses.get(id)!,
    piece: (id) => order.pieces.find((p) => p.id === id)!,
  }
  const made = new Map<string, BenchStep[]>()
  const starts = startsOf(new BenchDays([{ order, plan }], workshop).answer(null).table)
  for (const a of sorted(activities, starts)) {
    const parts = partsOf(a, of)
    const start = starts.get(a.id)
    const wait = waitAfter(activities, a)
    made.set(
      a.id,
      parts.map(
        (part, i): BenchStep => ({
          ...{ what: a.what, where: a.where, wanted: 1, spare: 0, minutes: a.minutes / parts.length },
          ...{ pieceId: a.pieceId, useIds: [], colourIds: a.colourIds, bags: [], batchIds: [], grams: null },
          wait: i === parts.length - 1 ? wait : null,
          at: start === undefined ? null : momentOf(start),
          // bags are filled by whoever is free; everything else is gone through in its order
          after:
            i > 0 && part.kind !== 'fill'
              ? [{ id: parts[i - 1]!.id, waits: false }]
              : a.after.map(({ id, lag }) => ({ id, waits: lag > 0 })),
          ...part,
        }),
      ),
    )
  }
  return [...made.values()].flat().map((step) => ({ ...step, after: stepsBefore(step, made) }))
}

/**
 * The steps that one waits for, each once: of bags those that it pipes from, of anything else its last step; waited for where anything of
 * it is.
 */
function stepsBefore(step: BenchStep, made: ReadonlyMap<string, BenchStep[]>): BenchStep['after'] {
  const found = new Map<string, boolean>()
  for (const { id, waits } of step.after) {
    const all = made.get(id) ?? []
    const bags = all.filter((s) => s.kind === 'fill' && s.bags.some((b) => step.bags.includes(b)))
    const last = all[0]?.kind === 'fill' ? all : all.slice(-1)
    const ids = bags.length > 0 ? bags : last
    for (const before of ids.length > 0 ? ids.map((s) => s.id) : [id])
      found.set(before, waits || (found.get(before) ?? false))
  }
  return [...found].map(([id, waits]) => ({ id, waits }))
}

/** By when they begin, and never before what they wait for. */
function sorted(activities: readonly Activity[], starts: ReadonlyMap<string, number>): Activity[] {
  const open = [...activities].sort((a, b) => (starts.get(a.id) ?? 0) - (starts.get(b.id) ?? 0))
  const done = new Set<string>()
  const known = new Set(activities.map((a) => a.id))
  const result: Activity[] = []
  while (open.length > 0) {
    const at = open.findIndex((a) => a.after.every((b) => done.has(b.id) || !known.has(b.id)))
    const [next] = open.splice(Math.max(0, at), 1)
    done.add(next!.id)
    result.push(next!)
  }
  return result
}

function partsOf(a: Activity, of: Made): Part[] {
  switch (a.kind) {
    case 'base':
      return [{ id: a.id, kind: 'base', grams: a.count }]
    case 'mix':
      return bowls(a, of)
    case 'fill':
      return a.bags.map((bag) => ({
        id: `${a.id} bag ${bag}`,
        kind: 'fill',
        where: `bag ${bag}`,
        bags: [bag],
      }))
    case 'spread':
      return [{ id: a.id, kind: 'spread', wanted: a.count ?? 1, useIds: coatsIn(a, of) }]
    case 'pipe':
      return piped(a, of)
    case 'lift':
      return [{ id: a.id, kind: 'place', wanted: a.count ?? 1, useIds: usesOf(a, of, idOf.lift) }]
    case 'work':
      return [{ id: a.id, kind: 'tools', wanted: a.count ?? 1 }]
    case 'setOn':
      return [{ id: a.id, kind: 'putOn', wanted: a.count ?? 1 }]
    case 'practise':
      return [{ id: a.id, kind: 'drill' }]
    case 'stack':
    case 'box':
    case 'wash':
      return [{ id: a.id, kind: a.kind }]
  }
}

/** A colour is tinted in one bowl; what is wanted softer is taken from it and thinned, a stiffness at a time. */
function bowls(a: Activity, { plan }: Made): Part[] {
  const portions = plan.batches.filter((b) => idOf.mix(b.icingKindId, b.colourId) === a.id)
  const tinted: Part = {
    ...{ id: `${a.id} tint`, kind: 'mix', where: 'one bowl', batchIds: portions.map((b) => b.id) },
    grams: portions.reduce((sum, b) => sum + b.grams - b.liquidGrams, 0),
  }
  const thinned = portions.filter((b) => b.liquidGrams > 0)
  return [
    tinted,
    ...thinned.map(
      (b): Part => ({
        ...{ id: `${a.id} ${b.stiffness}`, kind: 'thin', where: b.stiffness, batchIds: [b.id] },
        bags: b.bagNumbers,
        grams: b.grams - b.liquidGrams,
      }),
    ),
  ]
}

/** What an activity of piping goes through: practice first, then as the plan takes it up, and into the cold from nails. */
function piped(a: Activity, of: Made): Part[] {
  const steps = of.plan.sequence.filter((s) => {
    const first = s.useIds[0]
    return s.kind === 'pipe' && first !== undefined && pipeId(of.use(first), s.colourId) === a.id
  })
  const parts: Part[] = []
  const first = of.use(steps[0]!.useIds[0]!)
  const about = { where: of.piece(first.pieceId).name }
  if (first.practice > 0)
    parts.push({
      ...{ id: `${a.id} practice`, kind: 'practise', what: first.flowerName, wanted: first.practice },
      ...{ useIds: [...new Set(steps.flatMap((s) => s.useIds))], bags: a.bags, where: 'not counted as made' },
    })
  steps.forEach((s, i) => {
    const own = s.useIds.map(of.use)
    const use = own[0]!
    parts.push({
      ...about,
      ...howMany(use, of.piece(use.pieceId)),
      id: `${a.id} ${i + 1}`,
      kind: kindOf(use),
      what: titleOf(own),
      useIds: s.useIds,
      bags: [...new Set(s.bagNumbers)],
    })
  })
  if (a.keeps)
    parts.push({
      ...{ id: `${a.id} away`, kind: 'cold', what: a.what, useIds: steps.at(-1)!.useIds },
      where: `${a.keeps.store}, ${Math.ceil(a.keeps.trays)} ${Math.ceil(a.keeps.trays) === 1 ? 'tray' : 'trays'}`,
    })
  return parts
}

/** A flower by its name, one layer of it by that too. */
function titleOf([first, ...more]: readonly Use[]): string {
  const { form, flowerName, layerName } = first!
  if (form === 'words') return layerName
  return more.length > 0 || layerName === flowerName ? flowerName : `${flowerName}, ${layerName}`
}

const pipeId = (use: Use, pass: string | null) => idOf.pipe(use.pieceId, thingOf(use), pass)

function kindOf(use: Use): StepKind {
  if (use.setting === 'nail') return 'nails'
  if (use.form === 'border') return 'border'
  return use.form === 'words' ? 'letter' : 'inPlace'
}

/**
 * What is tapped: a flower on a nail; a piece where there are many of them; a flower where there is one piece and the hand goes from
 * flower to flower; a piece of a border and of words, of which nobody counts the dots.
 */
function howMany(use: Use, piece: Piece): Pick<BenchStep, 'wanted' | 'spare'> {
  if (use.setting === 'nail') return { wanted: flowersPiped(use) - use.practice, spare: use.spares }
  const single = piece.count === 1 && use.form !== 'border' && use.form !== 'words'
  return { wanted: Math.max(1, single ? use.flowers : piece.count), spare: 0 }
}

const coatsIn = (a: Activity, { plan }: Made): string[] =>
  plan.uses.filter((u) => u.form === 'coat' && spreadId(u) === a.id).map((u) => u.id)

const usesOf = (a: Activity, { plan, use }: Made, id: typeof idOf.lift): string[] =>
  plan.sequence
    .filter((s) => s.kind === 'lift' && id(use(s.useIds[0]!).pieceId, thingOf(use(s.useIds[0]!))) === a.id)
    .flatMap((s) => s.useIds)

/** What happens by itself once an activity is done, by the longest that anything waits for it. */
function waitAfter(activities: readonly Activity[], { id, mixer, whips }: Activity): StepWait | null {
  let longest: StepWait | null = mixer && whips > 0 ? { kind: 'whip', minutes: whips } : null
  for (const a of activities)
    for (const b of a.after)
      if (b.id === id && b.wait && b.lag > (longest?.minutes ?? 0)) longest = { kind: b.wait, minutes: b.lag }
  return longest
}
