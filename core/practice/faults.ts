/** What can be the matter with a hand. One of them is named, or none. */
export const handFaults = [
  'fast',
  'slow',
  'much',
  'little',
  'late',
  'early',
  'uneven',
  'nail',
  'order',
  'high',
] as const
export type HandFault = (typeof handFaults)[number]
