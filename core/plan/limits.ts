import type { Fault } from '../model/faults.ts'
import type { Flower, Layer } from '../model/flower.ts'
import type { Order, Piece, PlacedFlower } from '../model/order.ts'
import { strokesOf } from '../model/placeFaults.ts'
import type { Workshop } from '../model/workshop.ts'

/**
 * Layers of all flowers of all pieces that one plan takes on: fifty times the largest demo order, and about a second of
 * work. What a plan costs follows from these, not from how many cupcakes there are: a hundred equal ones are one piece.
 */
export const MOST_LAYERS = 4000

/** Layers and strokes up to which a plan takes a fraction of a second on any machine; the demo order has a fifth. */
const MODEST_LAYERS = 400
const MODEST_STROKES = 6000

/** Steps that flowers in batches of nail squares may make: each is gone through again and again while bags are joined. */
export const MOST_BATCH_STEPS = 2000
const MODEST_BATCH_STEPS = 150

/** Layers of one flower of an order, those that it adds included. */
const layersOf = (placed: PlacedFlower, flower: Flower | undefined): Layer[] => [
  ...(flower?.layers ?? []),
  ...placed.added.map((a) => a.layer),
]

/** Steps in which a flower is piped: one, or those of all its batches. */
function batchSteps(piece: Piece, placed: PlacedFlower, flower: Flower | undefined): number {
  if (placed.batch === null || flower?.setting !== 'nail' || placed.placement.kind !== 'each') return 0
  const parts = 1 + layersOf(placed, flower).filter((l) => l.mayWait).length
  return Math.ceil((piece.count * placed.placement.perPiece) / placed.batch) * parts
}

/** Whether an order is of a size that bakeries plan every day: only others are worth watching while they are planned. */
export function isModest(order: Order, workshop: Workshop): boolean {
  const flowers = new Map(workshop.flowers.map((f) => [f.id, f]))
  let [layers, strokes, steps] = [0, 0, 0]
  for (const piece of order.pieces)
    for (const placed of piece.flowers) {
      const flower = flowers.get(placed.flowerId)
      steps += batchSteps(piece, placed, flower)
      for (const layer of layersOf(placed, flower)) {
        layers += 1
        strokes += (flower && strokesOf(flower, layer.id)) || layer.count
      }
    }
  return layers <= MODEST_LAYERS && strokes <= MODEST_STROKES && steps <= MODEST_BATCH_STEPS
}

/**
 * Why an order is more than one plan can take; empty when it is not. Points at the piece with the most layers, or at the
 * flower with the most batches.
 */
export function sizeFaults(order: Order, workshop: Workshop): Fault[] {
  const flowers = new Map(workshop.flowers.map((f) => [f.id, f]))
  const placed = order.pieces.flatMap((piece, p) =>
    piece.flowers.map((f, i) => {
      const flower = flowers.get(f.flowerId)
      return {
        path: ['pieces', p, 'flowers'],
        at: i,
        layers: layersOf(f, flower).length,
        steps: batchSteps(piece, f, flower),
      }
    }),
  )
  const sum = (of: 'layers' | 'steps') => placed.reduce((all, f) => all + f[of], 0)
  const perPiece = order.pieces.map((_, p) =>
    placed.reduce((all, f) => all + (f.path[1] === p ? f.layers : 0), 0),
  )
  const faults: Fault[] = []
  if (sum('layers') > MOST_LAYERS)
    faults.push({
      path: ['pieces', perPiece.indexOf(Math.max(...perPiece)), 'flowers'],
      message: `The flowers of this order have ${told(sum('layers'))} layers to pipe; one plan takes ${told(MOST_LAYERS)}. Give equal pieces one entry with their number, or split the order.`,
    })
  if (sum('steps') > MOST_BATCH_STEPS) {
    const most = placed.reduce((a, b) => (b.steps > a.steps ? b : a))
    faults.push({
      path: [...most.path, most.at, 'batch'],
      message: `Batches of squares make ${told(sum('steps'))} steps of this order; one plan takes ${told(MOST_BATCH_STEPS)}. Take more squares at a time, or pipe one flower after another.`,
    })
  }
  return faults
}

const told = (count: number) => count.toLocaleString('en-GB')
