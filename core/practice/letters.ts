/**
 * Letters for the drill, each in one stroke from a tip: a hand of our own, 44 mm high with its loops.
 * Points are mm from the letter's own left and the line's top; y goes down.
 */
export const LETTERS: readonly { x: number; points: readonly (readonly [number, number])[] }[] = [
  {
    // l
    x: 14,
    points: [
      [0, 34],
      [8, 24],
      [12, 10],
      [9, 3],
      [5, 9],
      [5, 26],
      [9, 35],
      [15, 32],
    ],
  },
  {
    // o
    x: 38,
    points: [
      [12, 18],
      [5, 19],
      [1, 27],
      [5, 35],
      [13, 33],
      [15, 25],
      [12, 18],
      [18, 20],
    ],
  },
  {
    // v
    x: 64,
    points: [
      [0, 20],
      [4, 19],
      [6, 27],
      [8, 35],
      [13, 30],
      [15, 20],
      [20, 21],
    ],
  },
  {
    // e
    x: 92,
    points: [
      [0, 30],
      [8, 27],
      [12, 22],
      [8, 18],
      [3, 22],
      [2, 29],
      [6, 35],
      [13, 34],
      [19, 29],
    ],
  },
]
