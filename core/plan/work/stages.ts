import type { Use } from '../../model/plan.ts'

/**
 * What comes first on a piece: what is spread on it, then borders and vines that flowers will lie over, flowers piped in
 * place, flowers lifted on from their nails, leaves to bridge the gaps, and words last.
 */
export const STAGE = { filling: 0, crumbCoat: 1, coat: 2, under: 3, inPlace: 4, lifted: 5, leaf: 6, words: 7 }
export const STAGES = 8

const ofForm: Record<Exclude<Use['form'], 'coat'>, number> = {
  border: STAGE.under,
  vine: STAGE.under,
  flower: STAGE.inPlace,
  leaf: STAGE.leaf,
  words: STAGE.words,
}
const ofSpread: Record<string, number> = { filling: STAGE.filling, 'crumb-coat': STAGE.crumbCoat }

/** Where in the work on its piece a use comes; for a flower on a nail, when it is lifted on. */
export function stageOf(use: Use): number {
  if (use.form === 'coat') return ofSpread[use.id.slice(use.pieceId.length + 1).split('.')[0]!] ?? STAGE.coat
  return use.setting === 'nail' ? STAGE.lifted : ofForm[use.form]
}

/** Whether a use is done beside its piece, so that it need not wait for anything on it. */
export const onNail = (use: Use): boolean => use.setting === 'nail'
