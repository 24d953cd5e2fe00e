import type { LabD65 } from './lab.ts'

/** Why a colour cannot be had from these dyes in this icing. */
export type OutOfReach = 'too-vivid' | 'too-dark' | 'base-too-yellow' | 'too-pale' | 'no-dye'

const chroma = ([, a, b]: LabD65): number => Math.hypot(a, b)

/** Lightness by which a wish is paler than plain icing, and yellow (b*) by which plain icing is too yellow for it. */
const PALER = 0.5
const BLUER = 4
/** Of light colours (from this L* on) on an icing as yellow as this, a rest of yellow (b*) shows that no dye takes out. */
const LIGHT = 70
const CREAM = 6
const TOO_YELLOW = 1

/**
 * What stands between the nearest colour that can be mixed and the one wanted.
 * @param plain the icing without dye.
 */
export function outOfReach(target: LabD65, nearest: LabD65, plain: LabD65): OutOfReach {
  // paler or bluer than the plain icing: dye only ever darkens, and yellow cannot be taken out
  if (target[0] > plain[0] + PALER) return plain[2] - target[2] > BLUER ? 'base-too-yellow' : 'too-pale'
  if (target[0] > LIGHT && plain[2] > CREAM && nearest[2] - target[2] > TOO_YELLOW) return 'base-too-yellow'
  if (nearest[0] - target[0] > Math.abs(chroma(target) - chroma(nearest))) return 'too-dark'
  return 'too-vivid'
}

export const reachWords: Record<OutOfReach, string> = {
  'too-vivid': 'It is more vivid than these dyes make in this icing.',
  'too-dark': 'It is darker than icing can be tinted: start from a darker icing, or wish it lighter.',
  'base-too-yellow': 'The icing itself is too yellow for it: a whiter icing comes nearer.',
  'too-pale': 'It is paler than the icing itself; dye only makes it darker.',
  'no-dye': 'There are no dyes to mix it from.',
}
