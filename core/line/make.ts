import { ciede2000 } from '../colour/ciede2000.ts'
import { hexToLab } from '../colour/lab.ts'
import { fitFlower } from '../flowers/resolve.ts'
import { loadDefinition } from '../loads/index.ts'
import type { Flower } from '../model/flower.ts'
import { layoutSchema } from '../model/layout.ts'
import { newColour } from '../model/newColour.ts'
import { type Order, type Piece, type PlacedFlower, placedFlowerSchema } from '../model/order.ts'
import type { Workshop } from '../model/workshop.ts'
import { newPiece } from '../orders/new.ts'
import { placeFlower } from '../orders/place.ts'
import { placed as layOut } from '../placing/place.ts'
import { PlacedKinds } from '../placing/placedKinds.ts'
import { schools } from '../placing/schools/index.ts'
import { chartOf, surfaceDefinition } from '../surfaces/index.ts'
import { openingArea } from '../tips/index.ts'
import type { LineRead, MeantColour, MeantFlower, MeantPiece } from './meant.ts'
import { shapeOf } from './shape.ts'

/** "Big" and "small" beside a flower's own size. */
const SIZES = { big: 1.25, small: 0.75 }
/** A part takes a colour that was named for the order when it is no farther from the part's own than this, CIEDE2000. */
const NAMED_NEAR = 30
/** What a line calls a colour is that of the order when the two look alike. */
const SAME = 6

/** An order with everything on it that a line asks for; what was on it stays. `newId` supplies ids. */
export function withLine(order: Order, read: LineRead, workshop: Workshop, newId: () => string): Order {
  let next: Order = {
    ...order,
    collectAt: read.day ?? order.collectAt,
    avoid: [...new Set([...order.avoid, ...read.avoid])],
  }
  for (const colour of read.colours) next = withColour(next, colour, newId).order
  const named = next.colours.filter((c) => read.colours.some((r) => r.name === c.name))
  for (const meant of read.pieces) next = withPiece(next, meant, workshop, named, newId)
  return next
}

function withColour(
  order: Order,
  { name, hex }: MeantColour,
  newId: () => string,
): { order: Order; id: string } {
  const known = order.colours.find(
    (c) => c.name.toLowerCase() === name || ciede2000(hexToLab(c.hex), hexToLab(hex)) < SAME,
  )
  if (known) return { order, id: known.id }
  const colour = newColour(newId(), name, hex)
  return { order: { ...order, colours: [...order.colours, colour] }, id: colour.id }
}

function withPiece(
  order: Order,
  meant: MeantPiece,
  workshop: Workshop,
  named: Order['colours'],
  newId: () => string,
): Order {
  const flowers = meant.flowers.map((f) => workshop.flowers.find((w) => w.id === f.flowerId)!)
  const piece: Piece = {
    ...newPiece(newId(), meant.kind),
    count: meant.count,
    shape: shapeOf(meant),
    name: nameOf(meant, flowers),
  }
  let next: Order = { ...order, pieces: [...order.pieces, piece] }
  meant.flowers.forEach((of, i) => {
    next = withFlower(next, piece, of, flowers[i]!, workshop, named, newId)
  })
  return meant.schoolId ? arranged(next, piece.id, meant.schoolId, workshop, newId) : next
}

/** "Classic rose cupcakes", "Two-tier cake". */
function nameOf({ kind, mm, times }: MeantPiece, flowers: readonly Flower[]): string {
  const { label, plural } = surfaceDefinition(kind)
  const tiers = kind === 'cake' && !times ? mm.length : 1
  const first = flowers.find((f) => f.form === 'flower') ?? flowers[0]
  if (kind === 'cake')
    return tiers > 1 ? `${['', '', 'Two', 'Three', 'Four', 'Five'][tiers] ?? tiers}-tier cake` : 'Cake'
  return first ? `${first.name} ${plural}`.slice(0, 80) : label[0]!.toUpperCase() + plural.slice(1)
}

function withFlower(
  order: Order,
  piece: Piece,
  meant: MeantFlower,
  flower: Flower,
  workshop: Workshop,
  named: Order['colours'],
  newId: () => string,
): Order {
  const before = new Set(order.colours.map((c) => c.id))
  let { order: next, placedId } = placeFlower(order, piece.id, flower, newId)
  let own: string | null = null
  if (meant.colour) ({ order: next, id: own } = withColour(next, meant.colour, newId))
  const main = mainRole(flower, workshop)
  const edges = surfaceDefinition(piece.shape.kind).edges(piece.shape)
  const along = edges.filter((e) => e.id === meant.edge)
  const change = (placed: PlacedFlower): PlacedFlower => {
    const colours = { ...placed.colours }
    for (const role of flower.roles) {
      // what was said of the order's colours goes before what a recipe brings along
      const near = nearest(role.hex, named)
      if (role.id === main && own) colours[role.id] = own
      else if (near && !before.has(colours[role.id]!)) colours[role.id] = near
    }
    return {
      ...placed,
      colours,
      sizeMm: sizeOf(meant, flower, workshop),
      placement:
        placed.placement.kind === 'each'
          ? { kind: 'each', perPiece: meant.count }
          : { kind: 'border', edge: meant.edge, tier: (along[0] ?? edges[0])?.tier ?? 0 },
    }
  }
  next = {
    ...next,
    pieces: next.pieces.map((p) => {
      if (p.id !== piece.id) return p
      const all = p.flowers.map((f) => (f.id === placedId ? change(f) : f))
      const border = all.find((f) => f.id === placedId && f.placement.kind === 'border')
      // a border runs round every tier
      const more = border
        ? along.slice(1).map(
            (e): PlacedFlower => ({
              ...border,
              id: newId(),
              placement: { kind: 'border', edge: meant.edge, tier: e.tier },
            }),
          )
        : []
      return { ...p, flowers: [...all, ...more] }
    }),
  }
  return withoutUnworn(next, before)
}

/** Colours that a recipe brought along and nothing wears after all. */
function withoutUnworn(order: Order, before: ReadonlySet<string>): Order {
  const worn = new Set(order.pieces.flatMap((p) => p.flowers.flatMap((f) => Object.values(f.colours))))
  return { ...order, colours: order.colours.filter((c) => before.has(c.id) || worn.has(c.id)) }
}

function nearest(hex: string, colours: Order['colours']): string | null {
  const ranked = colours
    .map((c) => ({ id: c.id, off: ciede2000(hexToLab(hex), hexToLab(c.hex)) }))
    .sort((a, b) => a.off - b.off)
  return ranked[0] && ranked[0].off < NAMED_NEAR ? ranked[0].id : null
}

/** The part of a flower that somebody means by its colour: what most of it is piped in. */
function mainRole({ layers, roles }: Flower, { tips }: Workshop): string {
  const much = new Map<string, number>()
  for (const layer of layers) {
    const tip = tips.find((t) => t.id === layer.tipId)
    const amount = layer.count * (tip ? openingArea(tip.opening) : 1)
    for (const { role } of loadDefinition(layer.load.kind).roles(layer.load as never))
      much.set(role, (much.get(role) ?? 0) + amount)
  }
  return [...much].sort((a, b) => b[1] - a[1])[0]?.[0] ?? roles[0]!.id
}

const sizeLimits = placedFlowerSchema.shape.sizeMm.unwrap()

function sizeOf({ size }: MeantFlower, flower: Flower, workshop: Workshop): number | null {
  if (size === null) return null
  const own = () => fitFlower(flower, { sizeMm: null, tips: {} }, workshop.tips).measure.diameterMm
  const mm = typeof size === 'number' ? size : Math.round(own() * SIZES[size])
  return sizeLimits.safeParse(mm).success ? mm : null
}

/** The flowers of a piece where its way of placing has them; as they were where it does not suit the piece. */
function arranged(
  order: Order,
  pieceId: string,
  schoolId: string,
  workshop: Workshop,
  newId: () => string,
): Order {
  const piece = order.pieces.find((p) => p.id === pieceId)!
  const chart = chartOf(piece.shape)
  if (!schools.find((s) => s.id === schoolId)?.suits(chart)) return order
  const kinds = new PlacedKinds(workshop).of(order, piece).filter((k) => k.form !== 'border')
  const numbers = new Map(
    piece.flowers.flatMap((f): [string, number][] =>
      f.placement.kind === 'each' ? [[f.id, f.placement.perPiece]] : [],
    ),
  )
  if (numbers.size === 0) return order
  const layout = layoutSchema.parse({ id: newId(), schoolId })
  const laid = layOut({ chart, kinds: kinds.map((k) => k.kind), numbers, layout, newId }, true)
  return { ...order, pieces: order.pieces.map((p) => (p.id === pieceId ? { ...p, layouts: [laid] } : p)) }
}
