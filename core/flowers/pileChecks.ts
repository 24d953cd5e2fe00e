import type { Flower } from '../model/flower.ts'
import { type Contact, contacts, HOLDS_MM } from '../pile/contact.ts'
import { sharesInside } from '../pile/crowding.ts'
import type { PiledStroke } from '../pile/piled.ts'
import { skinned } from '../pile/skins.ts'
import { slitsMm2 } from '../pile/slits.ts'
import { type Stroke, strokeDefinition } from '../strokes/index.ts'
import type { FlowerCheck } from './checks.ts'
import type { ResolvedLayer } from './layers.ts'
import { piledFlower, pileLayers } from './piled.ts'

/** A flower as it is piled, with what is measured on it once for all checks. */
interface Piled {
  flower: Flower
  layers: readonly ResolvedLayer[]
  strokes: readonly PiledStroke[]
  contacts: readonly Contact[]
}

type PileCheck = (of: Piled) => FlowerCheck[]

/** What only the pile can tell, what wants a decision first. Takes as long as a pile does. */
export function pileChecks(flower: Flower, layers: readonly ResolvedLayer[]): FlowerCheck[] {
  const strokes = piledFlower(layers)
  const of = { flower, layers, strokes, contacts: contacts(strokes, pileLayers(layers)) }
  return checks.flatMap((check) => check(of))
}

/** What is said of the layers in turn, each with how its own strokes lie and the layers that come after it. */
const ofLayers = (
  of: Piled,
  say: (resolved: ResolvedLayer, own: Contact[], later: readonly ResolvedLayer[]) => FlowerCheck[],
) =>
  of.layers.flatMap((resolved, i) =>
    say(
      resolved,
      of.contacts.filter((_, k) => of.strokes[k]!.layer === i),
      of.layers.slice(i + 1),
    ),
  )

/** More of a standing row than this inside other icing is more than a hand presses aside. */
const TOO_FULL = 0.15
/** How much thinner a single petal is squeezed that has no room, and how thin a hand can. */
const THINNER = 0.8
const THINNEST_FLOW = 0.4

/** Standing rows that hold more icing than there is room for. */
const tooFull: PileCheck = ({ layers, strokes }) => {
  if (!layers.some(({ layer }) => stands(layer.stroke))) return []
  const inside = sharesInside(strokes, layers.length)
  return layers.flatMap(({ layer }, i): FlowerCheck[] => {
    const share = inside[i]!
    if (!stands(layer.stroke) || share <= TOO_FULL) return []
    const { stroke, count } = layer
    const fewer = Math.max(1, Math.floor(count * (1 - share)))
    const remedy =
      count > 1
        ? { label: `Pipe ${fewer}`, part: { count: fewer } }
        : 'flow' in stroke && stroke.flow * THINNER >= THINNEST_FLOW
          ? { label: 'Squeeze thinner', part: { stroke: { ...stroke, flow: stroke.flow * THINNER } } }
          : null
    return [
      {
        code: 'too-full',
        severity: 'decide',
        layerId: layer.id,
        message: `“${layer.name}” lies ${Math.round(100 * share)} % inside the icing around it: it will bulge. ${count > 1 ? `Pipe ${fewer} instead of ${count}, or squeeze thinner.` : 'Squeeze it thinner.'}`,
        remedy: remedy && { label: remedy.label, layer: { id: layer.id, part: remedy.part } },
      },
    ]
  })
}

const stands = (stroke: Stroke): boolean => strokeDefinition(stroke.kind).rests === 'stands'

/** More of a petal's foot than this over nothing is seen from the side. */
const FOOT_MAY = 0.3
/** So much lower a layer is tried at a time, mm. */
const LOWER_MM = 1

/** Strokes that hang in the air, and standing petals that show the dark under their foot: those that no later row hides. */
const unsupported: PileCheck = (of) =>
  ofLayers(of, ({ layer }, own, later): FlowerCheck[] => {
    const lowered = Math.max(0, layer.heightMm - LOWER_MM)
    const remedy =
      lowered < layer.heightMm
        ? { label: `Pipe it ${LOWER_MM} mm lower`, layer: { id: layer.id, part: { heightMm: lowered } } }
        : null
    const floating = own.filter((c) => c.gapMm > HOLDS_MM).length
    if (floating > 0)
      return [
        {
          code: 'floating',
          severity: 'decide',
          layerId: layer.id,
          message: `${floating === own.length ? `“${layer.name}” touches` : `${floating} of ${own.length} strokes of “${layer.name}” touch`} nothing: the icing would fall.`,
          remedy,
        },
      ]
    const inAir = own.reduce((sum, c) => sum + c.footInAir, 0) / own.length
    const covered = later.some((l) => stands(l.layer.stroke) && l.layer.ringMm >= layer.ringMm)
    if (!stands(layer.stroke) || covered || inAir <= FOOT_MAY) return []
    return [
      {
        code: 'foot-in-air',
        severity: 'decide',
        layerId: layer.id,
        message: `“${layer.name}” has ${Math.round(100 * inAir)} % of its foot over nothing: it shows from the side, and the petal tips over.`,
        remedy,
      },
    ]
  })

/** More than this of the table seen between petals is a hole in the flower, mm². */
const SLITS_MAY_MM2 = 2

/** The table seen through a flower that should be closed. */
const openSlits: PileCheck = ({ flower, strokes }) => {
  // between the blades of a tuft and along a vine the ground is meant to show
  if (flower.form !== 'flower') return []
  const open = slitsMm2(skinned(strokes))
  if (open <= SLITS_MAY_MM2) return []
  return [
    {
      code: 'open-slits',
      severity: 'decide',
      layerId: null,
      message: `From above the ground shows through ${open.toFixed(0)} mm² between its strokes: bring them closer together, or pipe a disc or a dot under them.`,
      remedy: null,
    },
  ]
}

const checks: readonly PileCheck[] = [tooFull, unsupported, openSlits]
