import type { Use } from '../model/plan.ts'

/** What a bag is filled with: icing kind, stiffness and colours, and for a stripe how it lies. */
export function loadKey(use: Use): string {
  const colours = use.parts.map((p) => p.colourId).join('+')
  const stripe = use.fixedTip ? `|${use.layout}|${use.border}|${use.tipId}` : `|${use.layout}`
  return `${use.icingKindId}|${use.stiffness}|${colours}${stripe}`
}

/** A load through a tip: what a pin or a chosen arrangement names. */
export const pairKey = (use: Use): string => `${loadKey(use)}|${use.tipId}`
