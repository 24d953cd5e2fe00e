import { onNail, plain, role } from './build.ts'

const frill = { lengthMm: 8, ampMm: 1.6, power: 1.8 }

/** A cup of ruffled petals from a curved opening, and a second row wrapped over its edge. */
export const wrappedRuffle = onNail(50, {
  id: 'wrapped-ruffle',
  name: 'Ruffled bloom, wrapped',
  level: 'practised',
  roles: [
    role('inner', 'Cup', '#e6b9a0'),
    role('outer', 'Wrapped row', '#f0d6c4'),
    role('eye', 'Eye', '#c78f3c'),
  ],
  layers: [
    plain('Mound', 'inner', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 9.5, topMm: 3, tallMm: 3.6, shape: 'dome' },
    }),
    plain('Heart', 'inner', 'curve-11', 3, 2.4, 2.6, {
      stroke: {
        kind: 'ruffle',
        spanDeg: 130,
        archMm: 1,
        dropMm: 0.5,
        tiltEndDeg: 6,
        tiltMidDeg: 14,
        lipDeg: 14,
        flow: 1.1,
        ripple: frill,
      },
    }),
    plain('Cup', 'inner', 'curve-15', 5, 5.8, 2, {
      startDeg: 30,
      stroke: {
        kind: 'ruffle',
        spanDeg: 92,
        archMm: 1.4,
        dropMm: 0.6,
        tiltEndDeg: 30,
        tiltMidDeg: 42,
        lipDeg: 10,
        flow: 1.1,
        ripple: frill,
      },
    }),
    plain('Wrapped row', 'outer', 'curve-15', 6, 8.6, 0.8, {
      startDeg: 60,
      stroke: {
        kind: 'ruffle',
        spanDeg: 78,
        archMm: 1.6,
        dropMm: 0.8,
        tiltEndDeg: 46,
        tiltMidDeg: 58,
        lipDeg: 26,
        flow: 1.1,
        ripple: frill,
      },
    }),
    plain('Eye', 'eye', 'round-1-5', 7, 0, 9, {
      stiffness: 'soft',
      at: { kind: 'scatter', lengthMm: 4, wideMm: 4 },
      stroke: { kind: 'dot', radiusMm: 0.7, tallMm: 1.1 },
    }),
  ],
})
