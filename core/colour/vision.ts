import {
  converter,
  filterDeficiencyDeuter,
  filterDeficiencyProt,
  filterDeficiencyTrit,
  formatHex,
  modeLrgb,
  modeRgb,
  useMode as register,
} from 'culori/fn'

register(modeRgb)
register(modeLrgb)
const rgb = converter('rgb')

/** Ways of seeing that a palette can be looked at with. */
export const visions = {
  usual: { words: 'usual eyes', see: (hex: string) => hex },
  protan: { words: 'red-blind', see: filtered(filterDeficiencyProt(1)) },
  deutan: { words: 'green-blind', see: filtered(filterDeficiencyDeuter(1)) },
  tritan: { words: 'blue-blind', see: filtered(filterDeficiencyTrit(1)) },
} as const
export type Vision = keyof typeof visions

function filtered(filter: ReturnType<typeof filterDeficiencyProt>): (hex: string) => string {
  return (hex) => formatHex(filter(rgb(hex)!)) ?? hex
}
