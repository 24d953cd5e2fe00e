import type { z } from 'zod'
import { loadRoles } from '../../loads/index.ts'
import { type Floret, type Flower, floretSchema, type Layer, type Role } from '../../model/flower.ts'
import { beginStep, type ToolStep } from '../../model/toolStep.ts'
import { ON_A_RING, placesSchema } from '../../places/index.ts'
import { type Stroke, strokeDefinition, strokeSchema } from '../../strokes/index.ts'
import { workSchema } from '../../tools/index.ts'

/** A stroke as a recipe writes it: anything with a default may be left out. */
type StrokeInput = { kind: Stroke['kind'] } & Record<string, unknown>

type LayerInput = Partial<Omit<Layer, 'stroke' | 'at'>> & {
  stroke: StrokeInput
  at?: z.input<typeof placesSchema>
}

/** A layer of one colour. */
export function plain(
  name: string,
  role: string,
  tipId: string,
  count: number,
  ringMm: number,
  heightMm: number,
  more: LayerInput,
): Layer {
  return layer(name, { kind: 'plain', role }, tipId, count, ringMm, heightMm, more)
}

/** A layer with a ribbon of one colour along the wide end, up to `border` of the slot. */
export function striped(
  name: string,
  [wideEnd, rest, border]: [wideEnd: string, rest: string, border: number],
  tipId: string,
  count: number,
  ringMm: number,
  heightMm: number,
  more: LayerInput,
): Layer {
  return layer(name, { kind: 'striped', wideEnd, rest, border }, tipId, count, ringMm, heightMm, more)
}

const idOf = (name: string) => name.toLowerCase().replace(/[^a-z0-9]+/g, '-')

function layer(
  name: string,
  load: Layer['load'],
  tipId: string,
  count: number,
  ringMm: number,
  heightMm: number,
  { stroke, at = ON_A_RING, tools = [], ...more }: LayerInput,
): Layer {
  return {
    id: idOf(name),
    name,
    load,
    tipId,
    count,
    ringMm,
    heightMm,
    stiffness: 'stiff',
    startDeg: 0,
    spreadDeg: 360,
    at: placesSchema.parse(at),
    floretId: null,
    mayWait: false,
    loose: false,
    ...more,
    stroke: strokeSchema.parse(stroke),
    tools,
  }
}

/** A tool step as a recipe writes it: with the usual tool and moment unless it says otherwise. */
export function toolStep(work: z.input<typeof workSchema>, more: Partial<ToolStep> = {}): ToolStep {
  const step = beginStep(workSchema.parse(work), work.kind.toLowerCase(), more)
  return { ...step, id: idOf(step.name) }
}

/** A whole small flower of which there are several: the layers that name it are repeated at its places. */
export const floret = (
  name: string,
  count: number,
  at: z.input<typeof placesSchema>,
  more: Partial<Floret> = {},
): Floret => floretSchema.parse({ id: idOf(name), name, count, ringMm: 0, heightMm: 0, at, ...more })

/** A colour role of a recipe. */
export const role = (id: string, name: string, hex: string): Role => ({ id, name, hex })

type FlowerInput = Pick<Flower, 'id' | 'name' | 'roles' | 'layers' | 'level'> & Partial<Flower>

/** A flower piped on a nail and lifted. */
export function onNail(nailMm: number, flower: FlowerInput): Flower {
  const layers = flower.layers.map((l, i) => ({ ...l, mayWait: mayWaitFor(flower.layers[i - 1], l) }))
  return complete({ form: 'flower', setting: 'nail', nailMm, spoilRate: 0.06, ...flower, layers })
}

/**
 * What still grips when the layer before it has stood for less than its icing takes to crust: the first petals on a mound
 * or disc, stamens or a centre on petals, a row in another colour. Rows of one colour lean on each other and are piped
 * through in one go: nothing is gained by parting them.
 */
function mayWaitFor(before: Layer | undefined, layer: Layer): boolean {
  if (!before) return false
  const { foots = false, walls = false, small = false } = strokeDefinition(before.stroke.kind)
  const foot = foots && !walls && !small
  if (isFine(layer)) return !isFine(before)
  return foot || loadRoles(layer.load).join() !== loadRoles(before.load).join()
}

const isFine = ({ stroke }: Layer): boolean => {
  const { texture } = strokeDefinition(stroke.kind)
  return texture === 'dotted' || texture === 'spiked'
}

/** A flower, leaf or line piped on the piece itself. */
export function inPlace(flower: FlowerInput): Flower {
  return complete({ form: 'flower', setting: 'inPlace', nailMm: null, spoilRate: 0.03, ...flower })
}

/** One unit of a border and the distance to the next. */
export function border(pitchMm: number, flower: FlowerInput): Flower {
  return complete({ form: 'border', setting: 'inPlace', nailMm: null, pitchMm, spoilRate: 0.02, ...flower })
}

function complete(flower: FlowerInput & Pick<Flower, 'form' | 'setting' | 'nailMm' | 'spoilRate'>): Flower {
  return {
    note: '',
    florets: [],
    pitchMm: null,
    spread: 0.15,
    firmMinutes: null,
    calibration: 1,
    pace: 1,
    source: 'catalogue',
    basedOn: null,
    ...flower,
  }
}
