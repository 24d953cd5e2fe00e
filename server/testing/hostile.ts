import { starterWorkshop } from '#core/catalogue/starter'
import { type Flower, flowerSchema } from '#core/model/flower'
import { type Order, orderSchema } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { newOrder } from '#core/orders/new'
import { shared } from '../workshop/shared.ts'

export interface Hostile {
  name: string
  order: Order
  workshop: Workshop
}

/** Colours, so that no two loads are alike. */
const COLOURS = Array.from({ length: 60 }, (_, i) => ({
  id: `c${i}`,
  name: `Colour ${i}`,
  hex: `#${(0x202020 + i * 211_093).toString(16).slice(-6).padStart(6, '0')}`,
}))
const colourAt = (n: number) => COLOURS[n % COLOURS.length]!.id

/** A recipe with as many layers and roles as one may have. */
function layered(id: string, setting: Flower['setting'], strokes: number): Flower {
  const rose = starterWorkshop.flowers.find((f) => f.id === 'rose')!
  return flowerSchema.parse({
    ...rose,
    id,
    name: id,
    setting,
    source: 'own',
    roles: Array.from({ length: 12 }, (_, r) => ({ id: `r${r}`, name: `Role ${r}`, hex: '#ffffff' })),
    layers: Array.from({ length: 40 }, (_, l) => ({
      ...rose.layers[1 + (l % (rose.layers.length - 1))]!,
      id: `l${l}`,
      count: strokes,
      load: { kind: 'plain', role: `r${l % 12}` },
    })),
  })
}

/**
 * Twenty legal orders made to hurt: many layers, many sizes, many loads, many strokes, long chains and choices. What a
 * plan costs must be bounded for each.
 */
export function hostileOrders(): Hostile[] {
  const workshop: Workshop = {
    ...starterWorkshop,
    flowers: [
      ...starterWorkshop.flowers,
      layered('nails', 'nail', 3),
      layered('placed', 'inPlace', 3),
      layered('strokes', 'nail', 400),
    ],
  }
  const library = starterWorkshop.flowers.filter((f) => f.form !== 'border')
  const placed = (i: number, flowerId: string, shade: number, sizeMm: number | null = null) => {
    const flower = workshop.flowers.find((f) => f.id === flowerId)!
    return {
      id: `f${i}`,
      flowerId,
      placement: { kind: 'each', perPiece: 1 + (i % 9) },
      sizeMm,
      colours: Object.fromEntries(flower.roles.map((r, k) => [r.id, colourAt(shade + 7 * k)])),
    }
  }
  const make = (
    name: string,
    pieces: number,
    flowers: number,
    of: (p: number, f: number) => object,
    more = {},
  ) => {
    const order = orderSchema.parse({
      ...newOrder('hostile', name, '2026-12-01T10:00', 'butter-sugar'),
      colours: COLOURS,
      pieces: Array.from({ length: pieces }, (_, p) => ({
        id: `p${p}`,
        name: `Piece ${p}`,
        count: 1 + 100 * (p % 50),
        shape: { kind: 'cupcake', diameterMm: 65, domeMm: 8 },
        flowers: Array.from({ length: flowers }, (_, f) => of(p, f)),
      })),
      ...more,
    })
    return { name, order, workshop }
  }
  const sized = (p: number, f: number) => 12 + ((p * 37 + f * 11) % 200)
  const from = (p: number, f: number) => library[(p * 5 + f) % library.length]!.id
  const chain = {
    mixing: { school: 'carryOver', chain: COLOURS.map((c) => ({ colourId: c.id, carriedShare: 0.4 })) },
  }
  const choice = {
    arrangement: {
      bags: Array.from({ length: 400 }, (_, i) => ({ pairs: [`x${i}`], coupler: true })),
      sequence: Array.from({ length: 5000 }, (_, i) => `p${i % 200}.f${i % 40}`),
    },
  }
  return [
    ...[5, 20, 100, 200].map((n) =>
      make(`${n} pieces of 40 flowers`, n, 40, (p, f) => placed(f, from(p, f), p + f)),
    ),
    ...[10, 30, 60].map((n) =>
      make(`${n} pieces, every flower of another size`, n, 30, (p, f) =>
        placed(f, from(p, f), p, sized(p, f)),
      ),
    ),
    ...[1, 2, 5, 20].map((n) =>
      make(`${n} pieces of layered flowers in place`, n, 40, (p, f) =>
        placed(f, 'placed', p * 3 + f, 20 + f),
      ),
    ),
    ...[1, 2, 3].map((n) =>
      make(`${n} pieces of layered flowers on nails`, n, 40, (p, f) => placed(f, 'nails', p + 2 * f, 20 + f)),
    ),
    ...[1, 2].map((n) =>
      make(`${n} pieces of endless strokes`, n, 40, (p, f) => placed(f, 'strokes', p + f, 15 + 3 * f)),
    ),
    make('one bowl through sixty colours', 2, 40, (p, f) => placed(f, 'nails', p + f), chain),
    make('one bowl, many sizes', 20, 20, (p, f) => placed(f, from(p, f), p, sized(p, f)), chain),
    make(
      'a chosen arrangement of things that are not there',
      10,
      40,
      (p, f) => placed(f, from(p, f), f),
      choice,
    ),
    make('a chosen arrangement of layered flowers', 2, 40, (p, f) => placed(f, 'placed', p * 3 + f), choice),
  ]
}

/** An order as the pool takes it. */
export function taskOf({ order, workshop }: Omit<Hostile, 'name'>) {
  const fingerprint = `${workshop.flowers.length}`
  return { document: JSON.stringify(order), checked: true, workshop: shared({ workshop }, fingerprint) }
}
