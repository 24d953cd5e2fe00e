import { inPlace, plain, role } from './build.ts'

/** A round of icing that runs to a smooth face inside a piped line: a plaque, an eye, a moon. */
export const floodedDisc = inPlace({
  id: 'flooded-disc',
  name: 'Flooded disc',
  level: 'first',
  roles: [role('face', 'Face', '#efe6cd'), role('rim', 'Rim', '#b98a3a')],
  layers: [
    plain('Face', 'face', 'round-3', 1, 0, 0, {
      stiffness: 'flood',
      stroke: { kind: 'flood', radiusMm: 14, deepMm: 1.6 },
    }),
    plain('Rim', 'rim', 'round-1-5', 1, 14, 0.6, {
      stiffness: 'soft',
      stroke: { kind: 'zigzag', ampMm: 0.5, waves: 44 },
    }),
  ],
})
