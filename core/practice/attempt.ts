/** Where the tip is and how hard the bag is squeezed, at one moment of a try. */
export interface Sample {
  /** Seconds since the try began. */
  t: number
  /** On the sheet, mm; y goes down, as on a screen. Raw, as the hand gave it. */
  x: number
  y: number
  /** 0 to 1. */
  squeeze: number
  /** Height of the tip over the sheet as a multiple of the opening; the usual one where nothing senses it. */
  height: number
  /** How far the nail has been turned, radians, clockwise as one looks at it; 0 where there is none. */
  nail: number
  /** The tip is down. After a stroke come a few samples of a lifted tip, for what the bag still gives. */
  down: boolean
}

/** One try at a drill: everything the hand did. */
export type Trace = readonly Sample[]

/** Height at which a tip is held where nothing senses it, as a multiple of the opening. */
export const USUAL_HEIGHT = 0.8

/** A point on the sheet, mm. */
export interface Point {
  x: number
  y: number
}

/** A point of the sheet as it is on a nail that has been turned so far, about the nail's middle. */
export function onNail(at: Point, nail: number, middle: Point): Point {
  if (nail === 0) return { x: at.x, y: at.y }
  // y goes down: a clockwise turn of the nail is a positive angle, and what is on it goes back by that
  const [cos, sin] = [Math.cos(nail), Math.sin(nail)]
  const [x, y] = [at.x - middle.x, at.y - middle.y]
  return { x: middle.x + cos * x + sin * y, y: middle.y - sin * x + cos * y }
}

/** The strokes of a trace: from each touch until the next, so that what was squeezed after lifting stays with its stroke. */
export function strokesOf(trace: Trace): Sample[][] {
  const strokes: Sample[][] = []
  let wasDown = false
  for (const sample of trace) {
    if (sample.down && !wasDown) strokes.push([])
    strokes.at(-1)?.push(sample)
    wasDown = sample.down
  }
  return strokes
}
