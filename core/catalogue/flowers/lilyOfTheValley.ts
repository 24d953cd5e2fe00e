import { inPlace, plain, role } from './build.ts'

/** A bent stem with small bells to one side, smaller towards its end, and two long leaves. */
export const lilyOfTheValley = inPlace({
  id: 'lily-of-the-valley',
  name: 'Lily of the valley',
  form: 'vine',
  level: 'first',
  roles: [role('bell', 'Bells', '#f5f1e6'), role('green', 'Stem and leaves', '#6f8a4a')],
  layers: [
    plain('Leaves', 'green', 'leaf-7', 2, 1, 0.3, {
      stiffness: 'medium',
      startDeg: 4,
      spreadDeg: 62,
      stroke: { kind: 'leafPull', lengthMm: 26, liftDeg: 4, flow: 1.2 },
    }),
    plain('Stem', 'green', 'round-1-5', 1, 0, 0.6, {
      stiffness: 'medium',
      stroke: { kind: 'vine', lengthMm: 34, turnDeg: 40, taper: 0.3 },
    }),
    ...[
      [16.4, 1.8, 1.7],
      [20.4, 5.6, 1.6],
      [24.3, 9.3, 1.5],
      [28.2, 12.9, 1.3],
      [31.5, 15.8, 1.1],
    ].map(([ringMm, startDeg, radiusMm], i) =>
      plain(`Bell ${i + 1}`, 'bell', 'round-2', 1, ringMm!, 0.4, {
        stiffness: 'soft',
        startDeg: startDeg!,
        stroke: { kind: 'dot', radiusMm: radiusMm!, tallMm: radiusMm! * 1.5 },
      }),
    ),
  ],
})
