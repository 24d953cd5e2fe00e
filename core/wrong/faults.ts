/** Everything that is put into a flower on purpose to show what it looks like. */
export const faultIds = [
  'tooSoft',
  'tooStiff',
  'tooFast',
  'tooSlow',
  'uneven',
  'lateRelease',
  'wrongEndDown',
  'leanedTooLittle',
  'noOverlap',
  'moundTooHigh',
  'unevenTurn',
] as const
export type FaultId = (typeof faultIds)[number]

/** One cause: why, what to do now, and next time. */
export interface Cause {
  why: string
  now: string
  next: string
}

/** How a fault looks, and what is behind it: one cause, or two that one more question tells apart. */
export interface FaultWords {
  look: string
  /** Said under the picture, before anything is chosen. */
  short: string
  causes: readonly [Cause] | readonly [Cause, Cause]
  /** Asked where there are two causes; "yes" is the first. */
  ask: string | null
  /** When it does not matter; null where it always does. */
  fine: string | null
}

export const faults: Record<FaultId, FaultWords> = {
  tooSoft: {
    look: 'Droops, lies flat',
    short: 'icing too soft or warm',
    ask: 'Is the bag warm where you hold it?',
    causes: [
      {
        why: 'Your hand has warmed it.',
        now: 'Lay bag and flower into the cold for ten minutes.',
        next: 'Fill less into a bag, change hands, keep two bags in turn.',
      },
      {
        why: 'The icing was mixed too soft.',
        now: 'Work powdered sugar or firm base into what is left.',
        next: 'Mix it a step stiffer, without liquid.',
      },
    ],
    fine: 'An overblown rose may hang a little.',
  },
  tooStiff: {
    look: 'Edge like a saw',
    short: 'icing too stiff or cold',
    ask: 'Did it come out smooth when you began?',
    causes: [
      {
        why: 'It has crusted or cooled in the tip.',
        now: 'Squeeze a little away, wipe the tip, work the bag warm.',
        next: 'Stand the tip in a damp cloth while the bag waits.',
      },
      {
        why: 'The icing is too stiff for this slot, or its narrow end is pinched shut.',
        now: 'Open the slot with the back of a blade.',
        next: 'Soften it with a very little liquid; pipe more slowly.',
      },
    ],
    fine: 'Carnations want a broken edge.',
  },
  tooFast: {
    look: 'Thin and short',
    short: 'hand faster than the icing',
    ask: null,
    causes: [
      {
        why: 'The hand ran ahead of the icing.',
        now: 'Scrape thin petals off while they are fresh.',
        next: 'Wait until you see the icing come, then go no faster than it does.',
      },
    ],
    fine: null,
  },
  tooSlow: {
    look: 'Thick, in folds',
    short: 'hand slower than the icing',
    ask: 'Did the hand stand still at the folds?',
    causes: [
      {
        why: 'The hand, or the nail, stopped on the way.',
        now: 'Brush the hump back with a damp brush.',
        next: 'Keep one pace from start to end.',
      },
      {
        why: 'The bag was squeezed too hard for this pace.',
        now: 'Brush the hump back with a damp brush.',
        next: 'Squeeze less; the petal should come as wide as the slot.',
      },
    ],
    fine: 'A ruffle is made of just such folds.',
  },
  uneven: {
    look: 'Wide here, narrow there',
    short: 'squeezed unevenly',
    ask: 'Did it spit or pop?',
    causes: [
      {
        why: 'There is air in the bag.',
        now: 'Squeeze until the air is out, away from the work.',
        next: 'Press the icing down while filling; twist the bag tight.',
      },
      {
        why: 'The hand pulsed.',
        now: 'Leave it; the next row covers much of it.',
        next: 'Squeeze from the palm, not the fingers; twist the bag up again when it goes slack.',
      },
    ],
    fine: 'Wild flowers are never quite even.',
  },
  lateRelease: {
    look: 'Tails and points',
    short: 'let go too late',
    ask: null,
    causes: [
      {
        why: 'The hand still squeezed while it pulled away.',
        now: 'Press each tail down with a damp brush.',
        next: 'Squeeze, let go, then lift. Say it to yourself.',
      },
    ],
    fine: 'Anthers and seed heads may have points.',
  },
  wrongEndDown: {
    look: 'Thick rim, thin foot',
    short: 'wrong end of the slot down',
    ask: null,
    causes: [
      {
        why: 'The narrow end of the slot was down.',
        now: 'Scrape it off: a thin foot does not hold.',
        next: 'Turn the tip before you begin; mark its wide end with a dot.',
      },
    ],
    fine: null,
  },
  leanedTooLittle: {
    look: 'Shut like a bud',
    short: 'leaned too little',
    ask: null,
    causes: [
      {
        why: 'The bag was held as upright as in the row before.',
        now: 'Bend the rims out with a damp finger or a palette knife.',
        next: 'Lean the bag further out with every row.',
      },
    ],
    fine: 'Buds and half-open flowers are piped so.',
  },
  noOverlap: {
    look: 'Gaps between the petals',
    short: 'turned too little',
    ask: null,
    causes: [
      {
        why: 'Petals ended before the next one’s place.',
        now: 'Pipe one more petal into the widest gap.',
        next: 'Begin each petal behind the end of the one before; turn the nail further.',
      },
    ],
    fine: 'Single flowers may show their gaps.',
  },
  moundTooHigh: {
    look: 'Its middle stands out',
    short: 'mound too high',
    ask: null,
    causes: [
      {
        why: 'The mound is higher than the slot is long.',
        now: 'Press it down with a damp finger before the first row.',
        next: 'Stop the mound below the length of the petals’ slot.',
      },
    ],
    fine: 'Cone flowers have such a middle.',
  },
  unevenTurn: {
    look: 'Petals bunch on one side',
    short: 'nail turned unevenly',
    ask: null,
    causes: [
      {
        why: 'The nail was turned by eye, more here and less there.',
        now: 'Pipe a petal more into the gap; the next row hides the rest.',
        next: 'Turn by marks: a guide on the nail, or the strokes of the turntable.',
      },
    ],
    fine: 'From a step away nobody sees it in a full flower.',
  },
}
