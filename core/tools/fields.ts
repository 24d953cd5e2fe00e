import { type FigureField, figureFields } from '../strokes/fields.ts'
import { type ToolKind, toolDefinition, type Work } from './index.ts'

/** Bench words for the figures of tool steps. */
const words: Record<string, string> = {
  byShare: 'patted down by',
  count: 'how many',
  deepMm: 'depth',
  downMm: 'pushed down',
  edgeMm: 'edge left full',
  from: 'from the heart',
  grainMm: 'grain',
  lengthMm: 'length',
  pairs: 'pairs of side veins',
  radiusMm: 'radius',
  reachMm: 'drawn in by',
  streaks: 'streaks',
  to: 'to the rim',
  widthMm: 'width',
}

/** The figures of a tool step with their ranges, read from its own schema. */
export const toolFields = (kind: ToolKind): FigureField[] => figureFields(toolDefinition(kind).schema, words)

/** What a hand would try first on a petal of common size. */
const FIRST: { [K in ToolKind]: Extract<Work, { kind: K }> } = {
  drawIn: { kind: 'drawIn', reachMm: 3, edgeMm: 2.5, streaks: 14 },
  flatten: { kind: 'flatten', byShare: 0.3 },
  vein: { kind: 'vein', deepMm: 0.5, widthMm: 1.4, pairs: 0 },
  press: { kind: 'press', downMm: 1 },
  flare: { kind: 'flare', count: 18, lengthMm: 5, widthMm: 1.2 },
  notch: { kind: 'notch', deepMm: 1.5, widthMm: 3, count: 1 },
  furrow: { kind: 'furrow', count: 5, deepMm: 0.3, widthMm: 0.8 },
  roughen: { kind: 'roughen', deepMm: 0.4, grainMm: 1.2 },
  dent: { kind: 'dent', deepMm: 1.5, radiusMm: 3 },
  paintDots: { kind: 'paintDots', count: 6, widthMm: 0.7, from: 0.2, to: 0.7 },
  paintLines: { kind: 'paintLines', count: 5, widthMm: 0.4, from: 0.1, to: 0.6 },
  wash: { kind: 'wash', to: 0.4, widthMm: 0.9 },
}
export const firstWork = (kind: ToolKind): Work => FIRST[kind]
