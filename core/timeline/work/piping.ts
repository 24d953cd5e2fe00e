import { flowerForOrder } from '../../flowers/forOrder.ts'
import { firmIn, firmMinutes, timesOf } from '../../icings/times.ts'
import type { Layer } from '../../model/flower.ts'
import type { Use } from '../../model/plan.ts'
import { AGAIN_MINUTES, pipingMinutes } from '../../plan/hands.ts'
import { flowersPiped } from '../../plan/piped.ts'
import { onNail, STAGE, stageOf } from '../../plan/work/stages.ts'
import { type Activity, type After, activity, after, type WaitKind } from '../activity.ts'
import { flowerTrays } from '../trays.ts'
import { idOf, sum, thingOf, type Worked } from './context.ts'
import { fillId } from './making.ts'

/** All that is piped of one thing without another bowl coming between, and what is done to it afterwards. */
export interface Piped {
  activity: Activity
  pieceId: string
  stage: number
  uses: Use[]
  /** What must be done before anything of a later stage: itself, and tools once it has crusted or dried. */
  done: After[]
}

/** Everything that is piped, a flower on a piece at a time, in the order in which the plan takes it up. */
export function piping(of: Worked): { piped: Piped[]; others: Activity[] } {
  const { plan, use, workshop } = of
  const groups = new Map<string, { uses: Set<Use>; bags: Map<number, number>; pass: string | null }>()
  for (const step of plan.sequence) {
    if (step.kind !== 'pipe') continue
    const uses = step.useIds.map(use)
    const id = idOf.pipe(step.pieceIds[0]!, thingOf(uses[0]!), step.colourId)
    const group = groups.get(id) ?? { uses: new Set(), bags: new Map(), pass: step.colourId }
    groups.set(id, group)
    for (const u of uses) group.uses.add(u)
    for (const bag of step.bagNumbers) group.bags.set(bag, (group.bags.get(bag) ?? 0) + step.repeats)
  }
  const changes = changeShares(
    of,
    [...groups.values()].map((g) => g.bags),
  )
  const piped: Piped[] = []
  const others: Activity[] = []
  /** The last activity of each flower: its layers follow one another, whatever bowl they wait for. */
  const lastOf = new Map<string, string>()
  ;[...groups].forEach(([id, group], g) => {
    const uses = [...group.uses]
    const first = uses[0]!
    const { pieceId } = first
    const piece = of.order.pieces.find((p) => p.id === pieceId)!
    const flower = `${pieceId} ${thingOf(first)}`
    const before = lastOf.get(flower)
    lastOf.set(flower, id)
    const late = lateWork(of, uses)
    const bags = [...group.bags.keys()].sort((a, b) => a - b)
    const isFirst = before === undefined
    const own = activity({
      id,
      kind: 'pipe',
      what: first.form === 'vine' && first.placedId === null ? 'Stems' : first.flowerName,
      where: onNail(first) ? `on nails, for ${piece.name}` : piece.name,
      minutes:
        sum(uses, pipingMinutes) +
        changes[g]! +
        (onNail(first) ? nailExtra(uses, isFirst ? workshop.settings.squareSeconds : 0) : 0) -
        sum(late, (l) => l.minutes),
      pipes: true,
      stiff: sum(uses, (u) => (u.stiffness === 'stiff' ? u.seconds : 0)) > sum(uses, (u) => u.seconds) / 2,
      pieceId,
      flowerId: first.flowerId,
      count: flowersPiped(first),
      colourIds: [...new Set(uses.flatMap((u) => u.parts.map((p) => p.colourId)))],
      bags,
      tipIds: [...new Set(uses.flatMap((u) => u.tipId ?? []))],
      nail: onNail(first),
      after: [
        ...after(...plan.bags.filter((b) => bags.includes(b.number)).map((b) => fillId(of, b))),
        ...(before ? after(before) : []),
      ],
    })
    const works = late.map(({ lag, wait, minutes, words }, k) => {
      const workId = `${idOf.work(pieceId, thingOf(first))} ${k}`
      others.push(
        activity({
          ...{ id: workId, kind: 'work', what: first.flowerName, where: words, minutes, pieceId },
          ...{ flowerId: first.flowerId, count: flowersPiped(first), after: [{ id, lag, wait }] },
        }),
      )
      return workId
    })
    piped.push({
      activity: own,
      pieceId,
      stage: stageOf(first),
      uses,
      done: [...after(id), ...after(...works)],
    })
  })
  return { piped, others: [...others, ...lifts(of, piped, lastOf)] }
}

/** Minutes of tips changed and washed, shared out among what is piped from each bag by how often it is taken up. */
function changeShares({ plan, workshop }: Worked, groups: readonly Map<number, number>[]): number[] {
  const { changeMinutes, washMinutes } = workshop.settings
  const minutes = groups.map(() => 0)
  for (const bag of plan.bags) {
    const all = sum(groups, (g) => g.get(bag.number) ?? 0)
    const spent = bag.changes * changeMinutes + bag.washes * washMinutes
    groups.forEach((g, i) => {
      minutes[i]! += all === 0 ? 0 : (spent * (g.get(bag.number) ?? 0)) / all
    })
  }
  return minutes
}

/** Minutes for squares on nails, and for taking them up again where a layer waited for a batch. */
function nailExtra(uses: readonly Use[], squareSeconds: number): number {
  return (
    (flowersPiped(uses[0]!) * squareSeconds) / 60 +
    sum(uses, (u) => (u.waited ? flowersPiped(u) * AGAIN_MINUTES : 0))
  )
}

interface Late {
  minutes: number
  lag: number
  wait: WaitKind
  words: string
}

/** What is done with tools once a flower has crusted, and once it has dried. */
function lateWork({ at, order }: Worked, uses: readonly Use[]): Late[] {
  const seconds = { crusted: 0, dry: 0 }
  for (const use of uses) {
    if (!use.tools.some((t) => !t.fresh)) continue
    for (const step of layerOf(order, at, use)?.tools ?? [])
      if (step.when !== 'wet')
        seconds[step.when] += (step.secondsEach * use.strokes * flowersPiped(use)) / use.flowers
  }
  const icing = at.icing(uses[0]!.icingKindId)
  const all: Late[] = [
    {
      ...{ minutes: seconds.crusted / 60, lag: icing.crustMinutes, wait: 'crust' },
      words: 'worked on with tools once it has crusted',
    },
    {
      ...{ minutes: seconds.dry / 60, lag: timesOf(icing).largeMinutes, wait: 'dry' },
      words: 'worked on with tools when it is dry',
    },
  ]
  return all.filter((l) => l.minutes > 0)
}

function layerOf(order: Worked['order'], at: Worked['at'], use: Use): Layer | undefined {
  const placed = order.pieces.find((p) => p.id === use.pieceId)?.flowers.find((f) => f.id === use.placedId)
  if (!placed) return undefined
  return flowerForOrder(at.flower(placed.flowerId), placed).flower.layers.find((l) => l.id === use.layerId)
}

/** Flowers lifted from their nails onto their piece, as soon as they are firm; the largest first. */
function lifts(of: Worked, piped: readonly Piped[], lastOf: ReadonlyMap<string, string>): Activity[] {
  const { plan, use, workshop, at } = of
  const { liftSeconds, day } = workshop.settings
  const made: Activity[] = []
  const lastOn = new Map<string, string>()
  for (const step of plan.sequence) {
    if (step.kind !== 'lift') continue
    const first = use(step.useIds[0]!)
    const { pieceId } = first
    const thing = thingOf(first)
    const widthMm = widthOf(of, first)
    const icing = at.icing(first.icingKindId)
    const store = firmIn(icing)
    const id = idOf.lift(pieceId, thing)
    const flower = at.flower(first.flowerId!)
    const wait = ({ freezer: 'freeze', fridge: 'firm', rack: 'dry' } as const)[store]
    const mine = piped.filter((p) => p.pieceId === pieceId && p.uses.some((u) => thingOf(u) === thing))
    const last = mine.find((p) => p.activity.id === lastOf.get(`${pieceId} ${thing}`))!
    last.activity.keeps = { store, trays: flowerTrays(day, flowersPiped(first), widthMm), until: id }
    const before = lastOn.get(pieceId)
    lastOn.set(pieceId, id)
    made.push(
      activity({
        id,
        kind: 'lift',
        what: first.flowerName,
        where: `onto ${of.order.pieces.find((p) => p.id === pieceId)!.name}`,
        minutes: (first.flowers * liftSeconds) / 60,
        pieceId,
        flowerId: first.flowerId,
        count: first.flowers,
        after: [
          { id: last.activity.id, lag: flower.firmMinutes ?? firmMinutes(icing, widthMm), wait },
          ...mine.flatMap((p) => p.done.slice(1)),
          ...(before ? after(before) : []),
        ],
      }),
    )
  }
  return made
}

function widthOf({ at, order }: Worked, use: Use): number {
  const placed = order.pieces.find((p) => p.id === use.pieceId)!.flowers.find((f) => f.id === use.placedId)!
  if (placed.sizeMm !== null) return placed.sizeMm
  return at.fit(flowerForOrder(at.flower(placed.flowerId), placed).flower, placed).measure.aimed.diameterMm
}

/** Which stage of the work on its piece an activity of piping belongs to: those on nails to none. */
export const standsOnPiece = (p: Piped): boolean => p.stage !== STAGE.lifted
