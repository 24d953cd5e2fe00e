import { sharesInside } from '../pile/crowding.ts'
import { type Stroke, strokeDefinition } from '../strokes/index.ts'
import type { FlowerCheck } from './checks.ts'
import type { ResolvedLayer } from './layers.ts'
import { piledFlower } from './piled.ts'

/** More of a standing row than this inside other icing is more than a hand presses aside. */
const TOO_FULL = 0.15
/** How much thinner a single petal is squeezed that has no room, and how thin a hand can. */
const THINNER = 0.8
const THINNEST_FLOW = 0.4

/** What only the pile can tell: standing rows that hold more icing than there is room for. Takes as long as a pile does. */
export function pileChecks(layers: readonly ResolvedLayer[]): FlowerCheck[] {
  if (!layers.some(({ layer }) => stands(layer.stroke))) return []
  const inside = sharesInside(piledFlower(layers), layers.length)
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
