import { dequal as equal } from 'dequal/lite'
import type { Flower } from '../model/flower.ts'
import type { IcingKind } from '../model/icing.ts'
import { distinctName } from '../model/names.ts'
import type { Order } from '../model/order.ts'
import { retipped, retippedLayouts } from '../model/retip.ts'
import type { OwnedTip, Tip } from '../model/tip.ts'
import type { Workshop } from '../model/workshop.ts'
import type { FlowerFile } from './flowerFile.ts'
import type { OrderFile } from './orderFile.ts'

/** What a file brings that the bakery has not got, under ids that mean the same thing in both. */
export interface TakenIn {
  flowers: Flower[]
  icings: IcingKind[]
  tips: Tip[]
  /** In words, what came in under another id and why. */
  notes: string[]
}

/** Ids that are in use though the workshop does not show them: what was deleted and can be brought back. */
export type Reserved = Record<'flowers' | 'icings' | 'tips', ReadonlySet<string>>

/**
 * An order file fitted to a workshop. Where both have an id for the same thing, the workshop's stands; where they have
 * it for different things, the file's comes in under a new id, the order is pointed at that, and a note says so.
 * @param newId makes ids that nothing uses.
 */
export function takeInOrder(
  file: OrderFile,
  workshop: Workshop,
  reserved: Reserved,
  newId: () => string,
): TakenIn & { order: Order } {
  const tips = settle(file.tips, workshop.tips, reserved.tips, newId, tipContent)
  const icings = settle(file.icings, workshop.icings, reserved.icings, newId, icingContent)
  const withTips = file.flowers.map((flower) => onTips(flower, tips.ids))
  const flowers = settle(withTips, workshop.flowers, reserved.flowers, newId, flowerContent)
  const names = [
    ...named('recipe', flowers.renamed, workshop.flowers),
    ...named('icing kind', icings.renamed, workshop.icings),
  ]
  return {
    order: pointed(file.order, flowers.ids, icings.ids, tips.ids),
    flowers: flowers.fresh.map((f) => ({ ...f, source: 'own' })),
    icings: icings.fresh.map((i) => ({ ...i, source: 'own' })),
    tips: tips.fresh,
    notes: [...names, ...tipNotes(tips.renamed)],
  }
}

/** A flower file fitted to a workshop: its flower always comes in, by a name that tells it apart. */
export function takeInFlower(
  file: FlowerFile,
  workshop: Workshop,
  reserved: Reserved,
  newId: () => string,
): TakenIn & { flower: Flower } {
  const tips = settle(file.tips, workshop.tips, reserved.tips, newId, tipContent)
  const taken = workshop.flowers.some((f) => f.id === file.flower.id) || reserved.flowers.has(file.flower.id)
  const flower: Flower = {
    ...onTips(file.flower, tips.ids),
    id: taken ? newId() : file.flower.id,
    name: distinctName(
      file.flower.name,
      workshop.flowers.map((f) => f.name),
    ),
    source: 'own',
  }
  return { flower, flowers: [flower], icings: [], tips: tips.fresh, notes: tipNotes(tips.renamed) }
}

interface Settled<T> {
  /** What comes in, under its final id. */
  fresh: T[]
  /** Of these, what had to take another id. */
  renamed: T[]
  /** The file's id to the id here, for every item whose id changed. */
  ids: ReadonlyMap<string, string>
}

function settle<T extends { id: string }, H extends { id: string }>(
  items: readonly T[],
  have: readonly H[],
  reserved: ReadonlySet<string>,
  newId: () => string,
  content: (item: T | H) => unknown,
): Settled<T> {
  const known = new Map(have.map((item) => [item.id, item]))
  const ids = new Map<string, string>()
  const fresh: T[] = []
  const renamed: T[] = []
  for (const item of items) {
    const here = known.get(item.id)
    if (here && equal(content(here), content(item))) continue
    if (!here && !reserved.has(item.id)) {
      fresh.push(item)
      continue
    }
    const moved = { ...item, id: newId() }
    ids.set(item.id, moved.id)
    fresh.push(moved)
    renamed.push(moved)
  }
  return { fresh, renamed, ids }
}

/** What of a flower a plan depends on: two with the same are the same recipe, whatever they are called. */
function flowerContent(flower: Flower) {
  const { form, setting, nailMm, layers, pitchMm } = flower
  const roles = flower.roles.map(({ id, hex }) => ({ id, hex: hex.toLowerCase() }))
  return { form, setting, nailMm, pitchMm, roles, layers: layers.map(({ name: _name, ...layer }) => layer) }
}

function icingContent({ name: _n, note: _t, source: _s, basedOn: _b, id: _i, ...content }: IcingKind) {
  return content
}

const tipContent = ({ opening, base }: Tip | OwnedTip) => ({ opening, base })

const through = (ids: ReadonlyMap<string, string>) => (id: string) => ids.get(id) ?? id

function onTips(flower: Flower, ids: ReadonlyMap<string, string>): Flower {
  if (ids.size === 0) return flower
  const to = through(ids)
  return { ...flower, layers: flower.layers.map((layer) => ({ ...layer, tipId: to(layer.tipId) })) }
}

function pointed(
  order: Order,
  flowers: ReadonlyMap<string, string>,
  icings: ReadonlyMap<string, string>,
  tips: ReadonlyMap<string, string>,
): Order {
  const toFlower = through(flowers)
  const toIcing = through(icings)
  const toTip = through(tips)
  return {
    ...order,
    icingKindId: toIcing(order.icingKindId),
    pieces: order.pieces.map((piece) => ({
      ...piece,
      icingKindId: piece.icingKindId === null ? null : toIcing(piece.icingKindId),
      layouts: retippedLayouts(piece, toTip),
      flowers: piece.flowers.map((placed) => ({
        ...retipped(placed, toTip),
        flowerId: toFlower(placed.flowerId),
      })),
    })),
  }
}

/** Gives each renamed item a name that tells it apart, and says what happened. */
function named<T extends { name: string }>(
  what: string,
  renamed: T[],
  have: readonly { name: string }[],
): string[] {
  const taken = have.map((item) => item.name)
  return renamed.map((item) => {
    const { name } = item
    item.name = distinctName(`${name} (from the file)`, taken)
    taken.push(item.name)
    return `“${name}” in the file is another ${what} than the one you have under its id. It came in as “${item.name}”; yours stays as it is.`
  })
}

const tipNotes = (renamed: readonly Tip[]): string[] =>
  renamed.map(
    () =>
      'A tip in the file has another opening than yours of the same id. It came in as a tip of its own; yours stays as it is.',
  )
