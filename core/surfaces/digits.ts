import type { Dot } from './outline.ts'

/** A run of points on a circle, in degrees against the clock from the right. */
function bow(x: number, y: number, rx: number, ry: number, fromDeg: number, toDeg: number): Dot[] {
  const steps = Math.max(4, Math.ceil(Math.abs(toDeg - fromDeg) / 15))
  return Array.from({ length: steps + 1 }, (_, i) => {
    const t = ((fromDeg + ((toDeg - fromDeg) * i) / steps) * Math.PI) / 180
    return { x: x + rx * Math.cos(t), y: y + ry * Math.sin(t) }
  })
}

/** The middle lines of the ten digits, each in a box of 1 wide and 2 high about (0, 0): what a bar of cake follows. */
export const digitLines: readonly (readonly Dot[])[][] = [
  [bow(0, 0, 0.5, 1, 0, 360)],
  [
    [
      { x: -0.3, y: 0.66 },
      { x: 0.1, y: 1 },
      { x: 0.1, y: -1 },
    ],
  ],
  [[...bow(0, 0.5, 0.5, 0.5, 165, -25), { x: -0.5, y: -1 }, { x: 0.5, y: -1 }]],
  [bow(0, 0.5, 0.48, 0.5, 150, -90), bow(0, -0.5, 0.5, 0.5, 90, -150)],
  [
    [
      { x: 0.28, y: -1 },
      { x: 0.28, y: 1 },
      { x: -0.5, y: -0.4 },
      { x: 0.55, y: -0.4 },
    ],
  ],
  [
    [
      { x: 0.42, y: 1 },
      { x: -0.38, y: 1 },
      { x: -0.42, y: 0.12 },
      ...bow(-0.02, -0.42, 0.52, 0.58, 100, -150),
    ],
  ],
  [[...bow(0.1, 0, 0.6, 1, 70, 180), ...bow(0, -0.45, 0.5, 0.55, 180, 540)]],
  [
    [
      { x: -0.5, y: 1 },
      { x: 0.5, y: 1 },
      { x: -0.1, y: -1 },
    ],
  ],
  [bow(0, 0.52, 0.44, 0.48, 0, 360), bow(0, -0.48, 0.5, 0.52, 0, 360)],
  [[...bow(-0.1, 0, 0.6, 1, -110, 0), ...bow(0, 0.45, 0.5, 0.55, 0, 360)]],
]
