import { daySettingsSchema } from '../model/day.ts'
import { ALLERGENS_HERE, USUAL_LABELS } from '../model/labels.ts'
import { practiceSettingsSchema } from '../model/practice.ts'
import type { OwnedTip } from '../model/tip.ts'
import type { BagStock, Settings, Workshop } from '../model/workshop.ts'
import { catalogueDyes } from './dyes.ts'
import { catalogueFlowers } from './flowers/index.ts'
import { catalogueIcings } from './icings.ts'
import { starterSetOns } from './setOns.ts'
import { catalogueTips } from './tips.ts'

/** What a bakery starts from before it has entered anything of its own. */
export const starterSettings: Settings = {
  bakery: 'My bakery',
  units: 'grams',
  lengths: 'millimetres',
  hand: 'right',
  theme: 'light',
  largeType: false,
  currency: '€',
  clock: 'browser',
  firstDay: 'browser',
  scaleStepGrams: 5,
  bowlResidueGrams: 6,
  couplerResidueGrams: 4,
  leastBagGrams: 40,
  leastConeGrams: 12,
  handfulGrams: 250,
  mixerGrams: 2400,
  mixerResidueGrams: 25,
  bagMinutes: 1.5,
  changeMinutes: 0.7,
  refillMinutes: 1.2,
  couplerMinutes: 0.5,
  washMinutes: 1,
  makeMinutes: 8,
  bowlMinutes: 5,
  tintedOnMinutes: 2,
  squareSeconds: 9,
  keptBagMinutes: 4,
  minutesPerGram: 0.08,
  hourlyRate: 28,
  underUpper: 'crumb',
  cakeDensity: 0.55,
  leastSupports: 4,
  supportEveryMm: 45,
  supportKg: 1,
  supportRingShare: 0.7,
  hangMostPa: 400,
  hangMostGrams: 6,
  boardMarginMm: 50,
  lidClearMm: 20,
  liftSeconds: 12,
  wipeEveryStrokes: 60,
  labels: USUAL_LABELS,
  boxWords: `Icing and decorations contain ${ALLERGENS_HERE}. Ask us what the cake itself contains.`,
  keepWords: 'Keep cool, level and out of the sun.',
  setOnSeconds: 6,
  setOns: [...starterSetOns],
  pantry: {},
  setBack: {},
  couplersStandard: 6,
  couplersLarge: 2,
  firstDays: 'name',
  practice: practiceSettingsSchema.parse({}),
  day: daySettingsSchema.parse({}),
}

export const starterBags: readonly BagStock[] = [
  { id: 'cone', name: 'Parchment cone', kind: 'parchment', lengthMm: 200, residueGrams: 3, owned: 100 },
  { id: 'bag-20', name: 'Bag 20 cm', kind: 'disposable', lengthMm: 200, residueGrams: 8, owned: 20 },
  { id: 'bag-30', name: 'Bag 30 cm', kind: 'disposable', lengthMm: 300, residueGrams: 14, owned: 50 },
  { id: 'bag-40', name: 'Bag 40 cm', kind: 'disposable', lengthMm: 400, residueGrams: 19, owned: 20 },
]

/** Owned once each to begin with: the drawer is where a bakery says otherwise. */
const starterTips: readonly OwnedTip[] = catalogueTips.map((tip) => ({
  ...tip,
  owned: 1,
  stamp: '',
  source: 'catalogue',
}))

/** Eight that mix most of what is asked for. */
export const starterDyes: readonly string[] = [
  'lemon',
  'golden',
  'red',
  'pink',
  'royal',
  'leaf',
  'brown',
  'black',
]

/** A complete workshop made of the catalogue alone. */
export const starterWorkshop: Workshop = {
  tips: [...starterTips],
  flowers: [...catalogueFlowers],
  icings: [...catalogueIcings],
  bags: [...starterBags],
  dyes: catalogueDyes.map((dye) => ({ ...dye, owned: starterDyes.includes(dye.id) })),
  settings: starterSettings,
  hands: [],
}
