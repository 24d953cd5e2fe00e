import { type SetOn, setOnSchema } from '../model/setOn.ts'

/** Things that many bakeries have in a drawer. What a label says is for whoever holds it to read. */
export const starterSetOns: readonly SetOn[] = [
  {
    ...{ id: 'sugar-blossom', name: 'Sugar blossom', kind: 'sugarFlower', widthMm: 22, heightMm: 9 },
    ...{ grams: 1.6, cost: 0.35, hex: '#f1dfe0', edible: 'yes', daysAhead: 3 },
  },
  {
    ...{ id: 'fondant-bud', name: 'Fondant bud', kind: 'bud', widthMm: 11, heightMm: 14 },
    ...{ grams: 1.2, cost: 0.2, hex: '#dba9ac', edible: 'yes', daysAhead: 2 },
  },
  {
    ...{ id: 'pearl-4', name: 'Sugar pearl, 4 mm', kind: 'pearl', widthMm: 4, heightMm: 4 },
    ...{ grams: 0.06, cost: 0.01, hex: '#f4efe4', edible: 'unread', smallHard: true, when: 'wet' },
  },
  {
    ...{ id: 'metal-bead-6', name: 'Metal-coated bead, 6 mm', kind: 'bead', widthMm: 6, heightMm: 6 },
    ...{ grams: 0.2, cost: 0.04, hex: '#c2c3c6', edible: 'unread', smallHard: true, when: 'wet' },
  },
  {
    ...{ id: 'strands', name: 'Sugar strands', kind: 'sprinkle', widthMm: 1.5, heightMm: 1.5 },
    ...{ grams: 0, cost: 0.02, hex: '#cfa8b4', edible: 'unread', when: 'wet' },
  },
  {
    ...{ id: 'lustre', name: 'Lustre dust', kind: 'dust', widthMm: 1, heightMm: 0 },
    ...{ grams: 0, cost: 0.9, hex: '#d9b972', edible: 'unread' },
  },
  {
    ...{ id: 'sign', name: 'Sign on a pick', kind: 'pick', widthMm: 60, heightMm: 90 },
    ...{ grams: 8, cost: 2.5, hex: '#b99a70', edible: 'no' },
  },
].map((thing) => setOnSchema.parse(thing))
