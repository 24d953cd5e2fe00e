import type { Use } from '../../model/plan.ts'
import type { OwnedTip } from '../../model/tip.ts'
import type { Workshop } from '../../model/workshop.ts'
import { shortOpening } from '../../tips/index.ts'
import { counted } from '../../units.ts'
import type { FittedPlacement } from '../demand.ts'
import type { Change } from './change.ts'

/** The layers that a set of changes really changes, as uses are before it. */
export function touchedUses(changes: readonly Change[], uses: ReadonlyMap<string, Use>): Use[] {
  return changes.flatMap(({ useId, tipId, stiffness }) => {
    const use = uses.get(useId)!
    const other = (tipId && tipId !== use.tipId) || (stiffness && stiffness !== use.stiffness)
    return other ? [use] : []
  })
}

/** What is piped through what, or mixed how. */
export function changeWords(changes: readonly Change[], touched: readonly Use[], workshop: Workshop): string {
  const names = listed(touched.map(layerWords))
  const { tipId, stiffness } = changes[0]!
  const through = tipId ? ` through the ${nameOf(tipId, workshop.tips)}` : ''
  const mixed = stiffness ? `${tipId ? ',' : ''} mixed ${stiffness}` : ''
  return `${names.slice(0, 1).toUpperCase()}${names.slice(1)}${through}${mixed}`
}

/** Changes smaller than these shares are not told: nobody measures them. */
const ICING_TOLD = 0.05
const WIDTH_TOLD = 0.02

/** What it does to the flowers: the one whose icing, and the one whose width changes most. */
export function effectWords(before: readonly FittedPlacement[], after: readonly FittedPlacement[]): string {
  const most = (of: (p: FittedPlacement) => number, told: number) =>
    before
      .map((p, i) => ({ name: p.flower.name.toLowerCase(), by: of(after[i]!) / of(p) - 1 }))
      .filter(({ by }) => Math.abs(by) >= told)
      .sort((a, b) => Math.abs(b.by) - Math.abs(a.by))[0]
  const icing = most((p) => p.fitted.measure.volumeMm3, ICING_TOLD)
  const width = most((p) => p.fitted.measure.aimed.diameterMm, WIDTH_TOLD)
  // a figure is not parted from its sign at the end of a line
  const percent = (by: number) => `${Math.round(100 * Math.abs(by))}\u00a0%`
  const parts = [
    icing && { name: icing.name, by: `${percent(icing.by)} ${icing.by > 0 ? 'more' : 'less'} icing` },
    width && { name: width.name, by: `${percent(width.by)} ${width.by > 0 ? 'wider' : 'narrower'}` },
  ].filter((p) => p !== undefined)
  if (parts.length === 2 && parts[0]!.name === parts[1]!.name)
    return `${parts[0]!.name}: ${parts[0]!.by}, ${parts[1]!.by}`
  return parts.map(({ name, by }) => `${name}: ${by}`).join('; ')
}

function nameOf(tipId: string, tips: readonly OwnedTip[]): string {
  const tip = tips.find((t) => t.id === tipId)!
  return shortOpening(tip.opening) + (tip.stamp ? ` (${tip.stamp})` : '')
}

/** A flower of one layer is not named twice. */
function layerWords({ flowerName, layerName }: Use): string {
  const [flower, layer] = [flowerName.toLowerCase(), layerName.toLowerCase()]
  return flower === layer ? flower : `${flower} ${layer}`
}

const SHOWN = 4

function listed(names: readonly string[]): string {
  const each = [...new Set(names)]
  const shown =
    each.length > SHOWN ? [...each.slice(0, SHOWN), counted(each.length - SHOWN, 'more layer')] : each
  return shown.join(', ')
}
