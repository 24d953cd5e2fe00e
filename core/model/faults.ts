import { strokeDefinition } from '../strokes/index.ts'
import { surfaceDefinition } from '../surfaces/index.ts'
import { isRound, shortOpening } from '../tips/index.ts'
import type { Flower, Layer } from './flower.ts'
import type { Order } from './order.ts'
import { withWhatIsSetOn } from './placeFaults.ts'
import type { OwnedTip } from './tip.ts'
import type { Workshop } from './workshop.ts'

/** Something wrong in a document: where, and what to do about it. */
export interface Fault {
  path: (string | number)[]
  message: string
}

/** Why a layer cannot be piped with a tip, in words; null when it can. */
function tipTrouble(layer: Layer, tipId: string, tips: ReadonlyMap<string, OwnedTip>): string | null {
  const tip = tips.get(tipId)
  if (!tip) return `There is no tip "${tipId}" in the drawer or the catalogue. Choose another.`
  const { label, families } = strokeDefinition(layer.stroke.kind)
  if (families.includes(tip.opening.family)) return null
  return `A ${label} cannot be piped with ${shortOpening(tip.opening)}. Choose a tip with another opening.`
}

/** What a schema cannot see in a flower: tips that are not there, or cannot do a layer's stroke. */
export function flowerFaults(flower: Flower, tips: readonly OwnedTip[]): Fault[] {
  const known = new Map(tips.map((t) => [t.id, t]))
  return flower.layers.flatMap((layer, i) => {
    const message = tipTrouble(layer, layer.tipId, known)
    return message ? [{ path: ['layers', i, 'tipId'], message }] : []
  })
}

/**
 * What a schema cannot see: references inside an order and from it to the workshop, and ids used twice.
 * An empty list means that the order can be planned.
 */
export function orderFaults(order: Order, workshop: Workshop): Fault[] {
  const faults: Fault[] = []
  const flowers = new Map(workshop.flowers.map((f) => [f.id, f]))
  const icings = new Set(workshop.icings.map((i) => i.id))
  const tips = new Map(workshop.tips.map((t) => [t.id, t]))
  const colours = new Set(order.colours.map((c) => c.id))
  const things = new Set(order.setOns.map((t) => t.id))
  const ofFlower = new Map<string, Fault[]>()
  const say = (path: Fault['path'], message: string) => faults.push({ path, message })

  const wantColour = (path: Fault['path'], id: string) => {
    if (!colours.has(id))
      say(path, `The order has no colour "${id}". Add it to the colours or choose another.`)
  }
  const wantIcing = (path: Fault['path'], id: string) => {
    if (!icings.has(id))
      say(path, `There is no icing kind "${id}". Choose one of: ${[...icings].join(', ')}.`)
  }

  wantIcing(['icingKindId'], order.icingKindId)
  repeated(order.colours).forEach((i) => {
    say(['colours', i, 'id'], `Two colours have the id "${order.colours[i]!.id}". Give one another id.`)
  })
  repeated(order.setOns).forEach((i) => {
    say(['setOns', i, 'id'], `Two things have the id "${order.setOns[i]!.id}". Give one another id.`)
  })
  repeated(order.pieces).forEach((i) => {
    say(['pieces', i, 'id'], `Two pieces have the id "${order.pieces[i]!.id}". Give one another id.`)
  })
  order.pieces.forEach((piece, p) => {
    if (piece.icingKindId !== null) wantIcing(['pieces', p, 'icingKindId'], piece.icingKindId)
    const bodies = surfaceDefinition(piece.shape.kind).bodies(piece.shape).length
    const tiersOnce = new Set<number>()
    for (const { on, spreads } of [
      { on: [], spreads: piece },
      ...piece.ownTiers.map((own, i) => ({ on: ['ownTiers', i], spreads: own })),
    ])
      for (const key of ['crumbCoat', 'coat', 'filling'] as const) {
        const spread = spreads[key]
        if (spread) wantColour(['pieces', p, ...on, key, 'colourId'], spread.colourId)
      }
    piece.ownTiers.forEach(({ tier }, i) => {
      if (tier >= bodies || tiersOnce.has(tier))
        say(
          ['pieces', p, 'ownTiers', i, 'tier'],
          tier >= bodies
            ? `${piece.name} has no tier ${tier + 1}. Take its coats out.`
            : `Tier ${tier + 1} of ${piece.name} is coated twice over. Keep one of the two.`,
        )
      tiersOnce.add(tier)
    })
    repeated(piece.layouts).forEach((i) => {
      say(
        ['pieces', p, 'layouts', i, 'id'],
        'Two arrangements of this piece have the same id. Give one another id.',
      )
    })
    repeated(piece.flowers).forEach((i) => {
      say(
        ['pieces', p, 'flowers', i, 'id'],
        'Two flowers of this piece have the same id. Give one another id.',
      )
    })
    piece.setOns.forEach((placed, i) => {
      if (!things.has(placed.setOnId))
        say(
          ['pieces', p, 'setOns', i, 'setOnId'],
          `The order has no thing "${placed.setOnId}" to put on. Add it, or take it off ${piece.name}.`,
        )
    })
    repeated([...piece.flowers, ...piece.setOns]).forEach((i) => {
      if (i >= piece.flowers.length)
        say(
          ['pieces', p, 'setOns', i - piece.flowers.length, 'id'],
          'Two things on this piece have the same id. Give one another id.',
        )
    })
    const standing = new Set([
      ...piece.flowers.filter((f) => f.placement.kind === 'each').map((f) => f.id),
      ...piece.setOns.map((s) => s.id),
    ])
    piece.layouts.forEach(({ sites, words, lines }, l) => {
      words.forEach((word, i) => {
        const there = ['pieces', p, 'layouts', l, 'words', i]
        wantColour([...there, 'colourId'], word.colourId)
        const tip = tips.get(word.tipId)
        if (!tip) say([...there, 'tipId'], `There is no tip "${word.tipId}" to write with. Choose another.`)
        else if (!isRound(tip.opening))
          say([...there, 'tipId'], 'Words are piped through a round opening. Choose a round tip.')
      })
      repeated(words).forEach((i) => {
        say(
          ['pieces', p, 'layouts', l, 'words', i, 'id'],
          'Two words of this piece have the same id. Give one another id.',
        )
      })
      lines.forEach((line, i) => {
        const there = ['pieces', p, 'layouts', l, 'lines', i]
        if (line.kind === 'border') {
          if (!piece.flowers.some((f) => f.id === line.placedId && f.placement.kind === 'line'))
            say(
              [...there, 'placedId'],
              `${piece.name} has no border "${line.placedId}" to run there. Take the line out.`,
            )
          return
        }
        wantColour([...there, 'colourId'], line.colourId)
        const tip = tips.get(line.tipId)
        if (!tip) say([...there, 'tipId'], `There is no tip "${line.tipId}" for the stem. Choose another.`)
        else if (!isRound(tip.opening))
          say([...there, 'tipId'], 'A stem is piped through a round opening. Choose a round tip.')
      })
      repeated(lines).forEach((i) => {
        say(
          ['pieces', p, 'layouts', l, 'lines', i, 'id'],
          'Two lines of this piece have the same id. Give one another id.',
        )
      })
      repeated(sites).forEach((i) => {
        say(
          ['pieces', p, 'layouts', l, 'sites', i, 'id'],
          'Two places of this piece have the same id. Give one another id.',
        )
      })
      sites.forEach((site, i) => {
        if (!standing.has(site.placedId))
          say(
            ['pieces', p, 'layouts', l, 'sites', i, 'placedId'],
            `${piece.name} has no flower "${site.placedId}" to stand there. Take the place out, or choose another flower.`,
          )
      })
    })
    piece.flowers.forEach((placed, f) => {
      const at = ['pieces', p, 'flowers', f]
      const flower = flowers.get(placed.flowerId)
      if (!flower) {
        say([...at, 'flowerId'], `There is no flower "${placed.flowerId}" in the library. Choose another.`)
        return
      }
      if (placed.placement.kind !== 'each' && flower.form !== 'border')
        say([...at, 'placement'], `${flower.name} is not a border. Say how many go on each piece instead.`)
      if (placed.placement.kind === 'border' && placed.placement.tier >= bodies)
        say(
          [...at, 'placement', 'tier'],
          `${piece.name} has no tier ${placed.placement.tier + 1} for ${flower.name} to run round. Choose another edge.`,
        )
      for (const [role, colour] of Object.entries(placed.colours))
        wantColour([...at, 'colours', role], colour)
      for (const [role, tone] of Object.entries(placed.twoTone))
        wantColour([...at, 'twoTone', role, 'colourId'], tone.colourId)
      for (const [layer, colour] of Object.entries(placed.layerColours))
        wantColour([...at, 'layerColours', layer], colour)
      const ids = new Set(flower.layers.map((l) => l.id))
      placed.added.forEach(({ layer, colourId }, i) => {
        const there = [...at, 'added', i]
        wantColour([...there, 'colourId'], colourId)
        const trouble = tipTrouble(layer, placed.tips[layer.id] ?? layer.tipId, tips)
        if (trouble) say([...there, 'layer', 'tipId'], trouble)
        if (ids.has(layer.id))
          say(
            [...there, 'layer', 'id'],
            `${flower.name} has a layer "${layer.id}" already. Give it another id.`,
          )
        ids.add(layer.id)
      })
      if (placed.added.length === 0 && withWhatIsSetOn(flower, placed.leftOut).size >= flower.layers.length)
        say([...at, 'leftOut'], `Nothing is left of ${flower.name}. Keep a layer, or take the flower off.`)
      // a flower is looked at once, on however many pieces it stands
      const own = ofFlower.get(flower.id) ?? flowerFaults(flower, workshop.tips)
      ofFlower.set(flower.id, own)
      for (const fault of own)
        say([...at, 'flowerId'], `${flower.name} cannot be piped as it is. ${fault.message}`)
      // a layer that the flower no longer has does no harm
      for (const layer of flower.layers) {
        const chosen = placed.tips[layer.id]
        const trouble = chosen === undefined ? null : tipTrouble(layer, chosen, tips)
        if (trouble) say([...at, 'tips', layer.id], trouble)
      }
    })
  })
  return faults
}

function repeated(items: readonly { id: string }[]): number[] {
  const seen = new Set<string>()
  return items.flatMap(({ id }, i) => {
    if (seen.has(id)) return [i]
    seen.add(id)
    return []
  })
}
