import type { Stiffness } from '../common.ts'
import type { IcingKind } from '../model/icing.ts'

/** How a flower of this icing becomes firm enough to be lifted, and a coat to be decorated. */
export type Setting = 'cold' | 'drying' | 'neither'

/** Icing that freezes is chilled, because that is quicker; what only dries is left to dry. */
export function settingOf({ can }: Pick<IcingKind, 'can'>): Setting {
  return can.freeze ? 'cold' : can.dryHard ? 'drying' : 'neither'
}

/** Bench words for how thick an icing is that dries hard: it is judged by the peak that the spoon leaves, and by how it runs. */
const PEAKS: Record<Stiffness, string> = {
  stiff: 'stiff peak',
  medium: 'soft peak',
  soft: 'falling peak',
  writing: 'line',
  flood: 'flood',
}

/** A stiffness in the words that are used for this icing. */
export function stiffnessWord(icing: Pick<IcingKind, 'can'>, stiffness: Stiffness): string {
  return settingOf(icing) === 'drying' ? PEAKS[stiffness] : stiffness
}
