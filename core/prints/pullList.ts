import type { Supply } from '../model/plan.ts'
import { tipFamilies } from '../tips/index.ts'
import { counted } from '../units.ts'
import { openingDrawing } from './openingDrawing.ts'
import { type Block, type Cell, type Print, TICK, words } from './print.ts'
import { type PrintOf, weightIn } from './printOf.ts'

const GROUPS: [Supply['kind'], string][] = [
  ['tip', 'Tips'],
  ['coupler', 'Couplers'],
  ['bag', 'Bags'],
  ['nail', 'Nails'],
  ['square', 'Squares'],
  ['setOn', 'Things to put on'],
  ['board', 'Boards'],
  ['support', 'Supports'],
  ['box', 'Boxes'],
  ['ingredient', 'Ingredients'],
]

/** What to take out of the drawer, in the order in which it lies there, and what has to be bought. */
export function pullList({ frozen }: PrintOf): Print {
  const { plan, workshop, order } = frozen
  const tips = new Map(workshop.tips.map((t) => [t.id, t]))
  const families = Object.keys(tipFamilies)
  const placeOf = (s: Supply) => {
    const tip = s.kind === 'tip' ? tips.get(s.id) : undefined
    return tip ? families.indexOf(tip.opening.family) * 1000 + workshop.tips.indexOf(tip) : 0
  }
  const needed = (s: Supply) => (s.unit === 'g' ? weightIn(frozen, s.needed) : String(Math.ceil(s.needed)))
  const blocks: Block[] = []
  for (const [kind, name] of GROUPS) {
    const of = plan.supplies
      .filter((s) => s.kind === kind && s.needed > 0)
      .sort((a, b) => placeOf(a) - placeOf(b))
    if (of.length === 0) continue
    blocks.push({ kind: 'heading', text: name })
    blocks.push({
      kind: 'table',
      head: ['', 'how many', '', 'what', 'on hand'],
      widths: ['least', 'least', 'least', 'rest', 'least'],
      rows: of.map((s): Cell[] => {
        const tip = s.kind === 'tip' ? tips.get(s.id) : undefined
        return [
          TICK,
          words(needed(s), { right: true, strong: true }),
          tip ? { kind: 'drawing', drawing: openingDrawing(tip.opening) } : words(''),
          words(`${s.name}${tip?.stamp ? `, stamped ${tip.stamp}` : ''}`),
          words(
            ownedWords(s, (grams) => weightIn(frozen, grams)),
            { quiet: s.short <= 0, strong: s.short > 0 },
          ),
        ]
      }),
    })
  }
  const short = plan.supplies.filter((s) => s.short > 0)
  blocks.push({ kind: 'heading', text: 'To buy or borrow' })
  if (short.length === 0) blocks.push({ kind: 'words', text: 'Nothing is missing, as far as it is counted.' })
  else
    blocks.push({
      kind: 'table',
      head: ['', 'how much', 'what'],
      widths: ['least', 'least', 'rest'],
      rows: short.map((s) => [
        TICK,
        words(
          s.packs !== null
            ? counted(s.packs, 'pack')
            : s.unit === 'g'
              ? weightIn(frozen, s.short)
              : String(Math.ceil(s.short)),
          { right: true, strong: true },
        ),
        words(s.name),
      ]),
    })
  return { kind: 'blocks', title: `Shopping and pull list: ${order.title}`, notes: [], blocks }
}

function ownedWords({ owned, short, unit }: Supply, weight: (grams: number) => string): string {
  if (owned === null) return 'not counted'
  const have = unit === 'g' ? weight(owned) : String(owned)
  if (short <= 0) return have
  return `${have}: ${unit === 'g' ? weight(short) : Math.ceil(short)} short`
}
