import { stepWords } from '../flowers/tooling.ts'
import { guideStamp, nailGuide } from '../guides/nailGuide.ts'
import { mm } from '../guides/page.ts'
import { strokeDefinition } from '../strokes/index.ts'
import { shortOpening } from '../tips/index.ts'
import { formatLength } from '../units.ts'
import { openingDrawing } from './openingDrawing.ts'
import { type Block, nothing, type Print, words } from './print.ts'
import { type PrintOf, weightIn } from './printOf.ts'
import { type WornFlower, wornFlowers } from './worn.ts'

/** A card for every flower of the order in the size and colours that it has there, each on a page of its own. */
export function recipes(of: PrintOf): Print {
  const { frozen } = of
  const seen = new Map<string, WornFlower>()
  for (const worn of wornFlowers(frozen)) {
    const { flower, placed } = worn
    const key = JSON.stringify([flower.id, placed.sizeMm, placed.colours, placed.tips, flower.layers])
    if (!seen.has(key)) seen.set(key, worn)
  }
  const blocks = [...seen.values()].flatMap((worn, i) => card(worn, i > 0, of))
  const title = `Recipe cards: ${frozen.order.title}`
  if (blocks.length === 0) return nothing(title, 'No flower is piped in this order.')
  return { kind: 'blocks', title, notes: [], blocks }
}

function card({ flower, fitted, placed, piece }: WornFlower, newPage: boolean, { frozen }: PrintOf): Block[] {
  const { settings } = frozen.workshop
  const { layers, measure } = fitted
  const mirrored = settings.hand === 'left'
  const uses = frozen.plan.uses.filter((u) => u.pieceId === piece.id && u.placedId === placed.id)
  const made = uses.reduce((most, u) => Math.max(most, u.flowers + u.spares + u.practice), 1)
  const each =
    uses.reduce((sum, u) => sum + u.parts.reduce((s, p) => s + p.piped, 0), 0) /
    Math.max(1, uses[0]?.flowers ?? 1)
  const where =
    flower.setting === 'nail'
      ? `on a ${flower.nailMm ?? nailGuide(flower, layers, measure.diameterMm).nailMm} mm nail`
      : 'in place'
  const guide =
    flower.setting === 'nail' ? guideStamp(flower.name, nailGuide(flower, layers, measure.diameterMm)) : null
  return [
    { kind: 'heading', text: flower.name, newPage },
    {
      kind: 'words',
      text: `${formatLength(measure.diameterMm, settings.lengths)} across, ${formatLength(measure.heightMm, settings.lengths)} high, ${where}. About ${weightIn(frozen, each)} of icing each; ${made} with spares and practice, for ${piece.name}.`,
    },
    ...(flower.note?.trim() ? [{ kind: 'words' as const, text: flower.note, quiet: true }] : []),
    {
      kind: 'table',
      head: ['', 'layer', 'opening', '', 'colour', 'how'],
      widths: ['least', 'least', 'least', 'least', 'least', 'rest'],
      rows: layers.map(({ layer, tip, floret }, i) => {
        const { words: how } = strokeDefinition(layer.stroke.kind)
        const ids = uses.find((u) => u.layerId === layer.id)?.parts.map((p) => p.colourId) ?? []
        const names = ids.map((id) => frozen.plan.colours.find((c) => c.id === id)?.name ?? id)
        const clock =
          how.clock === null ? '' : ` Bag at ${mirrored ? 12 - (how.clock % 12) : how.clock} o’clock.`
        const tools = layer.tools.map((t) => ` ${stepWords(t)}.`).join('')
        const times = `${layer.count}${floret ? ` on each ${floret.name.toLowerCase()}` : ''}`
        return [
          words(String(i + 1), { right: true }),
          words(
            `${layer.name}, ${times}${layer.ringMm > 0 ? `, ${mm(Math.round(layer.ringMm * 2) / 2)} mm from the middle` : ''}`,
            { strong: true },
          ),
          { kind: 'drawing', drawing: openingDrawing(tip.opening) },
          words(`${shortOpening(tip.opening)}, ${layer.stiffness}`),
          words(names.join(' + ')),
          words(`${how.hold}${clock} ${how.pressure} ${how.stop}${tools}`),
        ]
      }),
    },
    ...(guide
      ? [
          {
            kind: 'drawing' as const,
            drawing: {
              ...guide,
              svg: `<g transform="translate(${mm(guide.widthMm / 2)} ${mm(guide.heightMm / 2)})">${guide.svg}</g>`,
            },
          },
        ]
      : []),
  ]
}
