import { type Outline, outlineArea } from '../tips/family.ts'

/** A sheet of icing as it was laid, before it is given a skin: its middle surface and how thick it is there. */
export interface LaidSheet {
  kind: 'sheet'
  /** Cells along the stroke and across the slot. */
  tSteps: number
  uSteps: number
  /** Row-major over t then u, three numbers a point, mm. */
  points: Float64Array
  /** Thickness at every point, mm. */
  thick: Float64Array
  /** Lies flat, so that its thickness is above and below it, however its surface is creased. */
  flat: boolean
  /** The way that is up for what lies flat there: a direction of length one. */
  up: readonly [x: number, y: number, z: number]
}

/** A rope of icing as it was laid: where its middle runs, and how wide its section is there. */
export interface LaidRope {
  kind: 'rope'
  rings: number
  /** The opening's outline; the section is this, turned and swollen. */
  outline: Outline
  /** Three numbers a ring, mm. */
  centres: Float64Array
  /** Width of each section as a multiple of the opening's, and its turn about the path, radians. */
  scale: Float64Array
  twist: Float64Array
  /** Height of a section over its width, where it has sunk under its own weight; 1 as it came. */
  flat: number
}

/** One body of icing: a stroke through a tip of many holes is several. */
export type Laid = LaidSheet | LaidRope

/** Radius of a round rope of the same section, mm, at a scale of 1. */
export const ropeRadius = ({ outline }: Pick<LaidRope, 'outline'>): number =>
  Math.sqrt(outlineArea(outline) / Math.PI)

/** Mean of an outline's corners. */
export function outlineMiddle(outline: Outline): [number, number] {
  let [x, y] = [0, 0]
  for (const corner of outline) {
    x += corner[0]
    y += corner[1]
  }
  return [x / outline.length, y / outline.length]
}
