import type { StepKind } from '../model/bench.ts'

/** Something that goes wrong: what it looks like, why, what to do now and next time, and when it does not matter. */
export interface Mishap {
  id: string
  look: string
  cause: string
  now: string
  next: string
  /** When nobody needs to do anything about it; null where it always matters. */
  fine: string | null
  /** Steps of the bench at which it shows. */
  at: readonly StepKind[]
}

const PIPING = ['practise', 'nails', 'inPlace', 'border', 'letter'] as const

/** What goes wrong in piping flowers, by its look; three things are behind nearly all of it: pressure, angle, stiffness. */
export const mishaps: readonly Mishap[] = [
  {
    id: 'points-on-dots',
    look: 'Dots end in points or tails',
    cause: 'The tip was pulled away while the hand still squeezed.',
    now: 'Press each point down with a damp brush, or swirl it off with the tip.',
    next: 'Squeeze, stop, then lift away sideways.',
    fine: 'Seed heads and anthers may have points.',
    at: PIPING,
  },
  {
    id: 'petals-stretch',
    look: 'Petals stretch and tear as they are pulled',
    cause: 'The grip was not let go before the pull.',
    now: 'Scrape it off and pipe that petal anew.',
    next: 'Squeeze, stop squeezing, then pull.',
    fine: null,
    at: ['practise', 'nails', 'inPlace'],
  },
  {
    id: 'torn-edges',
    look: 'Edges are torn like a saw',
    cause: 'The icing is too stiff, dry or cold; there is air in it; or the slot is pinched shut.',
    now: 'Work the bag warm in the hands; open the slot with a blade’s back.',
    next: 'Soften it with a very little liquid; pipe more slowly.',
    fine: 'Carnations and thistles want it so.',
    at: ['practise', 'nails', 'inPlace', 'border'],
  },
  {
    id: 'edges-sag',
    look: 'Edges sag and lose their shape',
    cause: 'The icing is too soft or too warm.',
    now: 'Put the bag and the piece into the cold for ten minutes.',
    next: 'Mix it stiffer, add no liquid, fill less into a bag.',
    fine: 'An overblown rose may hang a little.',
    at: PIPING,
  },
  {
    id: 'line-breaks',
    look: 'The line breaks',
    cause: 'The hand goes faster than the icing comes.',
    now: 'Join the ends with a damp brush.',
    next: 'Go more slowly and evenly, or squeeze a little more.',
    fine: 'Where a leaf or flower will lie over it.',
    at: ['practise', 'inPlace', 'border', 'letter'],
  },
  {
    id: 'heaps',
    look: 'Icing heaps up and wrinkles',
    cause: 'The hand goes more slowly than the icing comes.',
    now: 'Brush the hump back with a damp brush.',
    next: 'Go faster, or squeeze less.',
    fine: 'On a ruffle it is the ruffle.',
    at: PIPING,
  },
  {
    id: 'cake-shows',
    look: 'Cake shows between the petals',
    cause: 'There is no coat under the flower.',
    now: 'Cover the gap with a leaf or a small flower.',
    next: 'Spread a thin coat in the same colour first.',
    fine: null,
    at: ['inPlace', 'place', 'spread'],
  },
  {
    id: 'lopsided',
    look: 'The flower is lopsided',
    cause: 'The nail or the piece was turned unevenly.',
    now: 'Add small petals on the low side.',
    next: 'Lay a guide under the square; look straight down from time to time.',
    fine: 'No two flowers in a garden are alike: a little is nature.',
    at: ['practise', 'nails', 'inPlace'],
  },
  {
    id: 'centre-hidden',
    look: 'Parts collide, or the centre is hidden',
    cause: 'The mound is too high, or the first rows are too large.',
    now: 'Add no more petals.',
    next: 'Hold the height against the tip before going on; begin smaller.',
    fine: 'A closed bud hides its centre.',
    at: ['practise', 'nails', 'inPlace'],
  },
  {
    id: 'breaks-on-moving',
    look: 'The flower breaks when it is moved',
    cause: 'It has no foot, or it is too warm.',
    now: 'Freeze what is whole; set the rest on a disc of icing.',
    next: 'Pipe a disc first, and leave it in the cold for longer.',
    fine: null,
    at: ['cold', 'place', 'nails'],
  },
  {
    id: 'air-bubbles',
    look: 'Air bubbles burst in the line',
    cause: 'Air was not pressed out.',
    now: 'Fill the hole with a brush, or lay a leaf over it.',
    next: 'Stir against the side of the bowl; press the bag from the top before it is shut.',
    fine: 'In a mound that petals will cover.',
    at: ['mix', 'thin', 'fill', ...PIPING],
  },
  {
    id: 'swirl-seam',
    look: 'A seam shows where a swirl ends',
    cause: 'The stop lies where it is seen.',
    now: 'Lay a leaf over it.',
    next: 'Turn the piece so that it ends at the back.',
    fine: 'At the back, or under what is put on.',
    at: ['inPlace', 'border'],
  },
  {
    id: 'leaf-falls',
    look: 'A leaf falls over',
    cause: 'It is too soft, or it bridges too wide a gap.',
    now: 'Support it with a short one beneath.',
    next: 'Mix the green stiffer.',
    fine: 'A hanging leaf over an edge may hang.',
    at: ['practise', 'inPlace'],
  },
  {
    id: 'out-of-the-top',
    look: 'Icing creeps out of the top of the bag',
    cause: 'The bag is not twisted shut, or the hand holds too low.',
    now: 'Scrape it back and twist the bag shut.',
    next: 'Close the top in the crook of the thumb and keep it there.',
    fine: null,
    at: ['fill', ...PIPING],
  },
  {
    id: 'sprinkles-in-border',
    look: 'Sprinkles sit in the border',
    cause: 'They were put on too early.',
    now: 'Pick them out with tweezers.',
    next: 'Borders first, loose things last.',
    fine: 'Where the border is strewn too.',
    at: ['border', 'putOn'],
  },
  {
    id: 'out-of-round',
    look: 'The flower turns out of round on a cupcake',
    cause: 'A piece is harder to turn than a nail.',
    now: 'Even it out with the last row.',
    next: 'Use a turntable, or mark the coat; practise it on a nail first.',
    fine: 'Under several leaves nobody sees it.',
    at: ['practise', 'inPlace'],
  },
  {
    id: 'wrong-colour',
    look: 'The wrong colour was piped',
    cause: 'Two bags look alike.',
    now: 'Lift it off when it is cold.',
    next: 'Label every bag, and look at the label.',
    fine: null,
    at: ['fill', ...PIPING],
  },
]

/** Mishaps that have every word that is looked for, those of a step first; all where nothing is looked for. */
export function mishapsFor(search: string, at: StepKind | null): Mishap[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean)
  const found = mishaps.filter((m) => {
    const text = `${m.look} ${m.cause} ${m.now} ${m.next} ${m.fine ?? ''}`.toLowerCase()
    return words.every((w) => text.includes(w))
  })
  const isHere = (m: Mishap) => at !== null && m.at.includes(at)
  return [...found.filter(isHere), ...found.filter((m) => !isHere(m))]
}
