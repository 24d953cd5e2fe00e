import type { IcingKind } from '../model/icing.ts'

const sugar = { name: 'Icing sugar', allergens: [], packGrams: 1000, pricePerPack: 2.2, cupGrams: 120 }
const butter = {
  name: 'Butter, unsalted',
  allergens: ['milk' as const],
  packGrams: 250,
  pricePerPack: 2.6,
  cupGrams: 227,
}
const shortening = {
  name: 'Vegetable shortening',
  allergens: [],
  packGrams: 250,
  pricePerPack: 1.9,
  cupGrams: 190,
}
const milk = { name: 'Milk', allergens: ['milk' as const], packGrams: 1030, pricePerPack: 1.2, cupGrams: 245 }
const cream = {
  name: 'Whipping cream',
  allergens: ['milk' as const],
  packGrams: 200,
  pricePerPack: 1.3,
  cupGrams: 240,
}
const whites = {
  name: 'Egg white, pasteurised',
  allergens: ['egg' as const],
  packGrams: 1000,
  pricePerPack: 5.5,
  cupGrams: 243,
}
const driedWhites = {
  name: 'Egg white powder',
  allergens: ['egg' as const],
  packGrams: 125,
  pricePerPack: 6,
  cupGrams: null,
}
const cocoa = { name: 'Cocoa', allergens: [], packGrams: 250, pricePerPack: 3.4, cupGrams: 100 }
const caster = { name: 'Caster sugar', allergens: [], packGrams: 1000, pricePerPack: 1.7, cupGrams: 200 }
const water = { name: 'Water', allergens: [], packGrams: 1000, pricePerPack: 0, cupGrams: 237 }

/**
 * The built-in icing kinds. Proportions and figures are starting values from general craft knowledge; a bakery
 * copies one and enters its own recipe.
 */
export const catalogueIcings: readonly IcingKind[] = [
  {
    id: 'butter-sugar',
    name: 'Sugar-and-butter',
    note: 'Crusts; ivory base. Butter slackens above 24 °C.',
    density: 0.9,
    baseHex: '#f6f1d6',
    scatter: 1,
    deepens: 0.15,
    ingredients: [
      { ...butter, parts: 40 },
      { ...sugar, parts: 57 },
      { ...cream, parts: 3 },
    ],
    yieldPercent: 100,
    liquidPer100: { stiff: 0, medium: 2, soft: 4, writing: 6, flood: 14 },
    holds: { roomHours: 24, coldDays: 14 },
    crustMinutes: 15,
    times: null,
    can: { standUpright: true, freeze: true, dryHard: false, brushWet: true },
    rawEgg: false,
    source: 'catalogue',
    basedOn: null,
  },
  {
    id: 'part-shortening',
    name: 'Part-shortening',
    note: 'Whiter and firmer than all butter; stands more warmth.',
    density: 0.86,
    baseHex: '#f7f4e6',
    scatter: 1.1,
    deepens: 0.15,
    ingredients: [
      { ...shortening, parts: 20 },
      { ...butter, parts: 18 },
      { ...sugar, parts: 59 },
      { ...milk, parts: 3 },
    ],
    yieldPercent: 100,
    liquidPer100: { stiff: 0, medium: 2, soft: 4, writing: 6, flood: 14 },
    holds: { roomHours: 48, coldDays: 21 },
    crustMinutes: 10,
    times: null,
    can: { standUpright: true, freeze: true, dryHard: false, brushWet: true },
    rawEgg: false,
    source: 'catalogue',
    basedOn: null,
  },
  {
    id: 'meringue-butter',
    name: 'Meringue butter',
    note: 'Smooth and soft; does not crust; keep it cold.',
    density: 0.78,
    baseHex: '#f8f3e0',
    scatter: 1.05,
    deepens: 0.1,
    ingredients: [
      { ...whites, parts: 18 },
      { ...caster, parts: 34 },
      { ...butter, parts: 48 },
    ],
    yieldPercent: 96,
    liquidPer100: { stiff: 0, medium: 1, soft: 2, writing: 3, flood: 8 },
    holds: { roomHours: 4, coldDays: 5 },
    crustMinutes: 0,
    times: null,
    can: { standUpright: true, freeze: true, dryHard: false, brushWet: false },
    rawEgg: false,
    source: 'catalogue',
    basedOn: null,
  },
  {
    id: 'royal',
    name: 'Royal',
    note: 'Dries hard and white; flowers keep for weeks. Made with dried egg white.',
    density: 1.25,
    baseHex: '#f9f9f7',
    scatter: 1.25,
    deepens: 0.2,
    ingredients: [
      { ...sugar, parts: 83 },
      { ...driedWhites, parts: 3 },
      { ...water, parts: 14 },
    ],
    yieldPercent: 97,
    liquidPer100: { stiff: 0, medium: 2, soft: 4, writing: 5, flood: 11 },
    holds: { roomHours: 24, coldDays: 7 },
    crustMinutes: 20,
    times: null,
    can: { standUpright: true, freeze: false, dryHard: true, brushWet: true },
    rawEgg: false,
    source: 'catalogue',
    basedOn: null,
  },
  {
    id: 'cocoa-butter',
    name: 'Cocoa butter icing',
    note: 'Dark from the start: for black, deep brown and deep red with a fraction of the dye.',
    density: 0.92,
    baseHex: '#7a5642',
    scatter: 0.9,
    deepens: 0.1,
    ingredients: [
      { ...butter, parts: 38 },
      { ...sugar, parts: 48 },
      { ...cocoa, parts: 10 },
      { ...cream, parts: 4 },
    ],
    yieldPercent: 100,
    liquidPer100: { stiff: 0, medium: 2, soft: 4, writing: 6, flood: 14 },
    holds: { roomHours: 24, coldDays: 14 },
    crustMinutes: 15,
    times: null,
    can: { standUpright: true, freeze: true, dryHard: false, brushWet: true },
    rawEgg: false,
    source: 'catalogue',
    basedOn: null,
  },
]
