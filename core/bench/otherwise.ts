/** How something came out otherwise than it should, by one touch. */
export const OTHERWISE = [
  'too soft',
  'too stiff',
  'too dark',
  'too light',
  'too large',
  'too small',
  'did not hold',
  'looks better',
] as const
