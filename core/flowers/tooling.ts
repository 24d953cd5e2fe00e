import type { Flower, Layer } from '../model/flower.ts'
import { beginStep, MOST_STEPS, type ToolStep } from '../model/toolStep.ts'
import { firstWork } from '../tools/fields.ts'
import type { ToolKind } from '../tools/index.ts'
import { instruments, whens } from '../tools/tool.ts'
import { changeLayer } from './edit.ts'

const withSteps = (
  flower: Flower,
  layerId: string,
  change: (tools: Layer['tools']) => Layer['tools'],
): Flower => {
  const layer = flower.layers.find((l) => l.id === layerId)
  return layer ? changeLayer(flower, layerId, { tools: change(layer.tools) }) : flower
}

/** The flower with a tool step more, after the others of its layer; a layer takes six. */
export const addStep = (flower: Flower, layerId: string, kind: ToolKind, id: string): Flower =>
  withSteps(flower, layerId, (tools) =>
    tools.length >= MOST_STEPS ? tools : [...tools, beginStep(firstWork(kind), id)],
  )

/** The flower with a tool step changed. */
export const changeStep = (flower: Flower, layerId: string, id: string, part: Partial<ToolStep>): Flower =>
  withSteps(flower, layerId, (tools) => tools.map((s) => (s.id === id ? { ...s, ...part } : s)))

/** The flower without a tool step. */
export const removeStep = (flower: Flower, layerId: string, id: string): Flower =>
  withSteps(flower, layerId, (tools) => tools.filter((s) => s.id !== id))

/** The flower with a tool step done so much later among those of its layer, or earlier. */
export const moveStep = (flower: Flower, layerId: string, id: string, by: number): Flower =>
  withSteps(flower, layerId, (tools) => {
    const from = tools.findIndex((s) => s.id === id)
    const to = Math.min(tools.length - 1, Math.max(0, from + by))
    return from < 0 ? tools : tools.toSpliced(from, 1).toSpliced(to, 0, tools[from]!)
  })

/** The same step once more, after the first. */
export const repeatStep = (flower: Flower, layerId: string, id: string, newId: string): Flower =>
  withSteps(flower, layerId, (tools) => {
    const at = tools.findIndex((s) => s.id === id)
    return at < 0 || tools.length >= MOST_STEPS
      ? tools
      : tools.toSpliced(at + 1, 0, { ...tools[at]!, id: newId })
  })

/** A step in bench words: "Notch the edge, with a toothpick, while it is fresh". */
export const stepWords = ({ name, instrument, when, paint }: ToolStep): string =>
  `${name}, with a ${instruments[instrument]}${paint ? ` in ${paint.name.toLowerCase()} food colour` : ''}, ${whens[when]}`

/** Seconds of the hand that tools take on one flower of so many strokes. */
export const toolSeconds = ({ tools }: Pick<Layer, 'tools'>, strokes: number): number =>
  tools.reduce((sum, step) => sum + step.secondsEach * strokes, 0)
