import { loadDefinition } from '#core/loads/index'
import type { Layer } from '#core/model/flower'

/** The colour that is mostly seen in the bag of every layer. */
export const firstColours = (layers: readonly Layer[], colours: Readonly<Record<string, string>>): string[] =>
  layers.map(({ load }) => {
    const { roles } = loadDefinition(load.kind).look(load)
    return colours[roles.at(-1) ?? ''] ?? colours[roles[0] ?? ''] ?? '#b9b9b9'
  })
