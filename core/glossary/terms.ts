/** The trade's words as a newcomer meets them on these screens. One list: the page of words, and what a press explains. */

export interface Term {
  id: TermId
  /** As it stands on screens. */
  name: string
  /** What it is, in a sentence or two, without other words of the trade where that can be. */
  says: string
  /** What it is for, or what goes wrong without it. */
  why: string
}

const terms = {
  tip: {
    name: 'Tip',
    says: 'The metal nozzle that icing leaves through. It is known here by its opening in millimetres, not by a number.',
    why: 'Two tips with the same opening pipe the same, whatever is stamped on them.',
  },
  wideEnd: {
    name: 'Wide end',
    says: 'A petal tip’s slot is wide at one end and narrow at the other. The wide end lies against the work.',
    why: 'The narrow end is free and makes the petal’s thin edge; the wrong way round it tears.',
  },
  coupler: {
    name: 'Coupler',
    says: 'A collar in two parts that holds a tip at the point of a bag, so that the tip can be changed with the bag full.',
    why: 'One bag of a colour then serves several tips; without it every tip wants a bag of its own.',
  },
  change: {
    name: 'Tip change',
    says: 'Taking one tip off a coupler and putting another on, with the bag full.',
    why: 'Each takes about half a minute and leaves a little icing behind.',
  },
  wash: {
    name: 'Wash',
    says: 'A tip that two bags want is rinsed and dried between them.',
    why: 'A second tip of that size saves the wait.',
  },
  stiffness: {
    name: 'Stiffness',
    says: 'How well icing keeps its shape, seen at the peak a spatula draws up: stiff stands, medium bends, soft leans over, writing sinks in ten seconds, flood runs flat.',
    why: 'Standing petals need stiff icing; leaves and strings need it softer, or they break off.',
  },
  drop: {
    name: 'Drop',
    says: 'One drop of dye as it falls from its bottle. What a drop weighs is a figure of each bottle in the drawer.',
    why: 'More than ten are better weighed: drops are not alike.',
  },
  speck: {
    name: 'Speck',
    says: 'As much dye as the point of a toothpick picks up: a small part of a drop.',
    why: 'In a small bowl a drop is too much; specks come nearer.',
  },
  halves: {
    name: 'Halves',
    says: 'A bag with one colour along one side and another along the other, so that a petal comes out with two faces.',
    why: 'The seam must lie along the slot; the drawing says how to hold the bag.',
  },
  striped: {
    name: 'Striped',
    says: 'A thin ribbon of one colour laid along the bag’s wall, the rest filled with another.',
    why: 'It gives petals a coloured edge, or a coloured foot, in one stroke.',
  },
  nail: {
    name: 'On a nail',
    says: 'Piped on a small square of parchment on a flower nail that is turned between the fingers, then set on the piece.',
    why: 'It can be looked at from all sides, made ahead and kept; what is piped in place cannot.',
  },
  lifted: {
    name: 'Lifted',
    says: 'Taken off its square when it is frozen, chilled or dry, and put in its place.',
    why: 'Too soon and it loses its shape.',
  },
  inPlace: {
    name: 'In place',
    says: 'Piped straight onto the piece, where it stays.',
    why: 'It cannot be moved afterwards, so it goes on before what is lifted.',
  },
  foot: {
    name: 'Foot',
    says: 'Where something meets what it stands on: the bottom edge of a cake, the base of a flower, the inner end of a petal.',
    why: 'A foot that is too narrow lets a flower tip over; one too wide wastes icing nobody sees.',
  },
  coat: {
    name: 'Coat',
    says: 'Icing spread over a piece for its look, under the flowers.',
    why: 'Without it the cake shows between the petals.',
  },
  crumbCoat: {
    name: 'Crumb coat',
    says: 'A first, thin coat that catches the crumbs and is chilled firm before the one that is seen.',
    why: 'Without it crumbs come up into the coat.',
  },
  spread: {
    name: 'Spread on',
    says: 'Put on with a spatula and not piped: coats and fillings.',
    why: 'It is weighed into its bowl, and no bag is filled for it.',
  },
  carriedOver: {
    name: 'Carried over',
    says: 'What is left of one colour goes into the next bowl and is coloured on, instead of each colour having a bowl of its own.',
    why: 'Less is left at the end; the order of the colours is then fixed.',
  },
  portion: {
    name: 'Portion',
    says: 'One colour at one stiffness. A colour wanted stiff and soft is one bowl and two portions.',
    why: 'Every portion leaves something behind in its bowl and bags.',
  },
  base: {
    name: 'Base',
    says: 'The plain icing that all bowls are taken from, before colour and liquid.',
    why: 'It is made at once, in one make or several, as much as the mixer holds.',
  },
  reserve: {
    name: 'Against running short',
    says: 'What is mixed beyond what lands on the pieces, so that a colour lasts although hands, flowers and days differ.',
    why: 'A colour that runs out with one piece to go can never be matched again.',
  },
  staysInBags: {
    name: 'Stays in bags',
    says: 'What cannot be pressed out of a bag and its tip, and what is only there so that the bag can be worked.',
    why: 'Fewer bags leave less; it is weighed in from the beginning.',
  },
  spoiled: {
    name: 'Spares and spoiled',
    says: 'Flowers that tear, tip over or are scraped off, as a share of those piped.',
    why: 'The logbook learns it for every flower and hand.',
  },
  noSlack: {
    name: 'No slack',
    says: 'Tasks that all others wait for: a minute later here is a minute later at the end.',
    why: 'They set when the day must begin.',
  },
  focal: {
    name: 'Focal flower',
    says: 'The flower of an arrangement that is seen first: the largest or the strongest in colour.',
    why: 'The others are placed around it, smaller towards the ends.',
  },
  standIn: {
    name: 'Stand-in',
    says: 'A tip that the drawer has, piping nearly what one does that it has not.',
    why: 'Nothing need be bought for one order.',
  },
} as const

export type TermId = keyof typeof terms
export const termIds = Object.keys(terms) as TermId[]
export const termOf = (id: TermId): Term => ({ id, ...terms[id] })
