import { flowerForOrder } from '../../flowers/forOrder.ts'
import { settingOf } from '../../icings/setting.ts'
import type { Plan, Use } from '../../model/plan.ts'
import { surfaceDefinition } from '../../surfaces/index.ts'
import type { Lookup } from '../lookup.ts'
import { onNail, STAGE, stageOf } from './stages.ts'

export type WorkStep = Plan['sequence'][number]

/** Something piped without going back, as the bags are taken up for it. */
export interface PipedStep {
  uses: readonly Use[]
  bagNumbers: number[]
  repeats: number
  /** Colour in the bowl meanwhile, in a chain. */
  colourId: string | null
}

/**
 * The whole work in order: what is spread and chilled, what is piped, and what is lifted on. Flowers from nails go on
 * their piece when all that is piped in place is there, and before the leaves.
 * @param steps spreads and piping in order; spreads have no bags.
 */
export function workSteps(at: Lookup, steps: readonly PipedStep[]): WorkStep[] {
  // what can be filled is a cake
  const isCake = new Map(
    at.order.pieces.map(({ id, shape }) => [
      id,
      surfaceDefinition(shape.kind)
        .bodies(shape)
        .some((b) => b.fillingMm2 !== null),
    ]),
  )
  const setsBy = (use: Use) => (settingOf(at.icing(use.icingKindId)) === 'drying' ? 'dry' : 'chill')
  const made: WorkStep[] = []
  /** Which kind of coat was set last. */
  let chilled: number | null = null
  const toLift = new Map<string, Map<string, Use[]>>()
  const liftOnto = (pieceId: string, colourId: string | null) => {
    const waiting = [...(toLift.get(pieceId) ?? [])]
    toLift.delete(pieceId)
    // large ones first, while there is room for the hand
    const lifts =
      waiting.length < 2
        ? waiting.map(([, uses]) => ({ uses, wide: 0 }))
        : waiting
            .map(([placedId, uses]) => ({ uses, wide: widthOf(at, pieceId, placedId) }))
            .sort((p, q) => q.wide - p.wide)
    for (const { uses } of lifts)
      made.push({
        kind: 'lift',
        pieceIds: [pieceId],
        useIds: uses.map((u) => u.id),
        bagNumbers: [],
        repeats: 1,
        colourId,
        setOnIds: [],
      })
  }
  const lastOf = new Map(steps.flatMap((step, i) => step.uses.map((u) => [flowerKey(u), i] as const)))
  for (const [i, step] of steps.entries()) {
    const first = step.uses[0]!
    const { pieceId } = first
    const { bagNumbers, repeats, colourId } = step
    const useIds = step.uses.map((u) => u.id)
    if (first.form === 'coat') {
      made.push({
        kind: 'spread',
        pieceIds: [pieceId],
        useIds,
        bagNumbers: [],
        repeats: 1,
        colourId,
        setOnIds: [],
      })
      if (chills(first, isCake.get(pieceId)!)) {
        chill(made, setsBy(first), pieceId, colourId, stageOf(first) === chilled)
        chilled = stageOf(first)
      }
      continue
    }
    if (stageOf(first) >= STAGE.leaf && !onNail(first)) liftOnto(pieceId, colourId)
    made.push({ kind: 'pipe', pieceIds: [pieceId], useIds, bagNumbers, repeats, colourId, setOnIds: [] })
    for (const key of new Set(step.uses.map(flowerKey))) {
      if (lastOf.get(key) !== i) continue
      const late = workedLate(steps.flatMap((s) => s.uses.filter((u) => flowerKey(u) === key)))
      if (late.length > 0)
        made.push({
          kind: 'work',
          pieceIds: [pieceId],
          useIds: late,
          bagNumbers: [],
          repeats: 1,
          colourId,
          setOnIds: [],
        })
    }
    if (!onNail(first)) continue
    const ofPiece = toLift.get(pieceId) ?? new Map<string, Use[]>()
    toLift.set(pieceId, ofPiece)
    const flower = first.placedId!
    ofPiece.set(flower, [...new Set([...(ofPiece.get(flower) ?? []), ...step.uses])])
  }
  for (const pieceId of [...toLift.keys()]) liftOnto(pieceId, steps.at(-1)!.colourId)
  return made
}

/** How wide a flower of a piece is, mm: as it was asked for, or as its recipe comes. */
function widthOf(at: Lookup, pieceId: string, placedId: string): number {
  const placed = at.order.pieces.find((p) => p.id === pieceId)?.flowers.find((f) => f.id === placedId)
  if (!placed) return 0
  if (placed.sizeMm !== null) return placed.sizeMm
  return at.fit(flowerForOrder(at.flower(placed.flowerId), placed).flower, placed).measure.aimed.diameterMm
}

const flowerKey = ({ pieceId, placedId }: Use) => `${pieceId} ${placedId}`

/** Layers of a flower that are worked on with tools once they have crusted or dried. */
const workedLate = (uses: readonly Use[]): string[] => [
  ...new Set(uses.filter((u) => u.tools.some((t) => !t.fresh)).map((u) => u.id)),
]

/** A crumb coat is chilled before the coat goes on; a coat before a cake is decorated. */
function chills(use: Use, isCake: boolean): boolean {
  const stage = stageOf(use)
  return stage === STAGE.crumbCoat || (stage === STAGE.coat && isCake)
}

/** What is spread one after the other sets together: pieces, and tiers of a piece where it is the same coat of each. */
function chill(
  made: WorkStep[],
  kind: 'chill' | 'dry',
  pieceId: string,
  colourId: string | null,
  sameCoat: boolean,
): void {
  const last = made.at(-2)
  const again = last?.pieceIds.includes(pieceId) ?? false
  if (last?.kind === kind && (!again || sameCoat)) {
    made.splice(made.length - 2, 1)
    made.push(again ? last : { ...last, pieceIds: [...last.pieceIds, pieceId] })
  } else
    made.push({
      kind,
      pieceIds: [pieceId],
      useIds: [],
      bagNumbers: [],
      repeats: 1,
      colourId,
      setOnIds: [],
    })
}
