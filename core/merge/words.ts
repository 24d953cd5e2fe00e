import { isFields, isThings, type Path } from './shape.ts'

/** Fields that screens call otherwise than the code does. */
const fieldWords: Record<string, string> = {
  title: 'What it is for',
  customer: 'Who it is for',
  collectAt: 'Ready by',
  travel: 'How it travels',
  count: 'How many',
  boxMm: 'The box leaves above each piece',
  avoid: 'Must not be in it',
  icingKindId: 'Icing kind',
  safety: 'How sure each colour must last',
  practicePerFlower: 'Practice flowers of each kind',
  piper: 'Who pipes it',
  drills: 'Drills before the order',
  mixing: 'Way of mixing',
  bagPins: 'What is settled about bags',
  wavedOff: 'Advice waved off',
  arrangement: 'Chosen bags',
  hex: 'Colour',
  dyeIds: 'Dyes',
  dropGrams: 'Weight of a drop',
  coat: 'Coat',
  colourId: 'Colour',
  flowerId: 'Flower',
  perPiece: 'On each piece',
  sizeMm: 'Size',
  tipId: 'Tip',
  tips: 'Tips',
  ringMm: 'Ring',
  heightMm: 'Height',
  startDeg: 'Starts at',
  spreadDeg: 'Spread over',
  at: 'Set',
  floretId: 'Part of',
  looseDeg: 'Turned at random up to',
  nodsDeg: 'Nods up to',
  nailMm: 'Nail',
  pitchMm: 'Distance between units',
  spoilRate: 'Share that spoils',
  baseHex: 'Colour of the plain icing',
  liquidPer100: 'Liquid in 100 g',
  owned: 'Owned',
}

const units: [RegExp, string][] = [
  [/Mm$/, 'mm'],
  [/Grams$/, 'g'],
  [/Deg$/, '°'],
  [/Minutes$/, 'min'],
  [/Hours$/, 'h'],
  [/Days$/, 'days'],
  [/Percent$/, '%'],
]

/** What a field is called: its own word, or the words it is written with. */
export function fieldName(key: string): string {
  const known = Object.hasOwn(fieldWords, key) ? fieldWords[key] : undefined
  if (known) return known
  const bare = units.reduce((name, [ending]) => name.replace(ending, ''), key)
  const words = bare.replace(/([A-Z])/g, ' $1').toLowerCase()
  return words.charAt(0).toUpperCase() + words.slice(1)
}

/** What ids stand for outside the document, such as flowers and tips of the workshop. */
export type NameOf = (id: string) => string | undefined

/**
 * A place in words, outermost first: `Pieces`, `Cupcakes`, `Number`.
 * @param documents states of the document in which the things on the way are looked up for their names.
 */
export function placeWords(path: Path, documents: readonly unknown[], nameOf: NameOf): string[] {
  let at = [...documents]
  return path.map((key) => {
    const things = at.filter(isThings)
    const inList = things.length > 0
    at = at.map((value) =>
      isThings(value) ? value.find((item) => item.id === key) : isFields(value) ? value[key] : undefined,
    )
    return inList ? thingName(at, key, nameOf) : (nameOf(key) ?? fieldName(key))
  })
}

/** The name of a thing by its latest state, or that of what it stands for. */
function thingName(states: readonly unknown[], id: string, nameOf: NameOf): string {
  for (const state of states) {
    if (!isFields(state)) continue
    if (typeof state.name === 'string') return state.name
    if (typeof state.flowerId === 'string') return nameOf(state.flowerId) ?? state.flowerId
  }
  return nameOf(id) ?? id
}

const MOST_PARTS = 6

/** A value in words. `key` is the field it stands in, for its unit. */
export function valueWords(value: unknown, key: string, nameOf: NameOf): string {
  if (value === undefined) return 'not there'
  if (value === null) return 'none'
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'number') {
    const unit = units.find(([ending]) => ending.test(key))?.[1]
    const figure = String(Math.round(value * 1000) / 1000)
    return unit ? `${figure}${unit === '°' || unit === '%' ? '' : ' '}${unit}` : figure
  }
  if (typeof value === 'string') return value === '' ? 'empty' : (nameOf(value) ?? value)
  if (Array.isArray(value)) {
    if (value.length === 0) return 'none'
    const parts = value.slice(0, MOST_PARTS).map((item) => valueWords(item, key, nameOf))
    return value.length > MOST_PARTS
      ? `${parts.join(', ')} and ${value.length - MOST_PARTS} more`
      : parts.join(', ')
  }
  const fields = value as Record<string, unknown>
  if (typeof fields.name === 'string') return fields.name
  if (typeof fields.flowerId === 'string') return nameOf(fields.flowerId) ?? fields.flowerId
  const parts = Object.entries(fields)
    .filter(([, part]) => typeof part !== 'object')
    .slice(0, MOST_PARTS)
    .map(([name, part]) =>
      name === 'kind' ? String(part) : `${fieldName(name).toLowerCase()} ${valueWords(part, name, nameOf)}`,
    )
  return parts.join(', ') || 'changed inside'
}
