import { inPlace, plain, role } from './build.ts'

/** A round head of small drop stars on a ball. */
export const thrift = inPlace({
  id: 'thrift',
  name: 'Sea thrift',
  level: 'first',
  roles: [role('floret', 'Florets', '#c48ba0'), role('leaf', 'Leaves', '#7c8a55')],
  layers: [
    plain('Leaves', 'leaf', 'round-1-5', 9, 5, 0.2, {
      stiffness: 'medium',
      stroke: { kind: 'spike', tallMm: 9, leanDeg: 68 },
    }),
    plain('Ball', 'floret', 'round-10', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 7.5, tallMm: 8, shape: 'dome' },
    }),
    plain('Florets below', 'floret', 'star-6-5', 15, 7, 1.4, {
      stiffness: 'medium',
      stroke: { kind: 'dropStar', tallMm: 3, swell: 1 },
    }),
    plain('Florets', 'floret', 'star-6-5', 12, 5.8, 4.4, {
      stiffness: 'medium',
      startDeg: 14,
      stroke: { kind: 'dropStar', tallMm: 3, swell: 1 },
    }),
    plain('Florets above', 'floret', 'star-6-5', 7, 3.4, 6.8, {
      stiffness: 'medium',
      stroke: { kind: 'dropStar', tallMm: 3, swell: 1 },
    }),
    plain('Top floret', 'floret', 'star-6-5', 1, 0, 7.8, {
      stiffness: 'medium',
      stroke: { kind: 'dropStar', tallMm: 3, swell: 1 },
    }),
  ],
})
