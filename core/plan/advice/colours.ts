import { ciede2000 } from '../../colour/ciede2000.ts'
import { hexToLab } from '../../colour/lab.ts'
import { counted } from '../../units.ts'
import { bowlCount } from '../counts.ts'
import { isUnchosen } from '../lookup.ts'
import { type AdviceCheck, say } from './check.ts'

/** Roles that nobody has given a colour of the order. */
export const unchosen: AdviceCheck = ({ at, batches }) =>
  [...new Set(batches.map((b) => b.colourId))]
    .filter(isUnchosen)
    .map((id) =>
      say(
        'colour-not-chosen',
        'decide',
        { kind: 'colour', id },
        `${at.colour(id).name.replace(' (not chosen)', '')} has no colour of this order yet and is planned in its own. Choose one on the Pieces page.`,
      ),
    )

/** Differences under this are hardly seen on two flowers; CIEDE2000. */
const HARDLY_SEEN = 2.5

/** Two colours of the order that the eye hardly tells apart: one bowl would do. */
export const closeColours: AdviceCheck = ({ at, batches }) => {
  const used = at.order.colours.filter((c) => batches.some((b) => b.colourId === c.id))
  const gramsOf = (id: string) => batches.reduce((sum, b) => sum + (b.colourId === id ? b.grams : 0), 0)
  return used.flatMap((a, i) =>
    used.slice(i + 1).flatMap((b) => {
      if (ciede2000(hexToLab(a.hex), hexToLab(b.hex)) >= HARDLY_SEEN) return []
      const [keep, drop] = gramsOf(a.id) >= gramsOf(b.id) ? [a, b] : [b, a]
      // what stays behind in the bowls and bags of the smaller one; its bowls and bags are no longer there
      const spared = batches.filter((x) => x.colourId === drop.id)
      const saved = spared.reduce(
        (sum, x) => sum + x.bagResidueGrams + x.bowlResidueGrams + x.roundingGrams,
        0,
      )
      return [
        say(
          'close-colours',
          'decide',
          { kind: 'colour', id: drop.id },
          `${keep.name} and ${drop.name} can hardly be told apart. Piping both from one bowl saves ${counted(bowlCount(spared), 'bowl')} and about ${at.weight(saved)}.`,
          {
            label: `Use ${keep.name} for both`,
            change: { kind: 'mergeColours', fromColourId: drop.id, intoColourId: keep.id },
          },
        ),
      ]
    }),
  )
}

/** Lightness under which a colour needs so much dye that it must rest and softens the icing; L* of D65 Lab. */
const DEEP = 34

/** Deep colours: more dye than the icing likes. */
export const deepColours: AdviceCheck = ({ at, batches }) =>
  at.order.colours
    .filter((c) => batches.some((b) => b.colourId === c.id) && hexToLab(c.hex)[0] < DEEP)
    .map((c) =>
      say(
        'deep-colour',
        'note',
        { kind: 'colour', id: c.id },
        `${c.name} is deep: it takes much dye, which tastes, stains and softens the icing. Mix it the day before and let it deepen.`,
      ),
    )

/** Under this a bowl feeds so little that painting or sharing a colour is worth a thought, grams piped. */
const TINY_GRAMS = 20

/** A bowl, a bag and their washing for a few dots. */
export const tinyBatches: AdviceCheck = ({ at, batches, uses }) =>
  batches
    .filter((b) => b.pipedGrams > 0 && b.pipedGrams < TINY_GRAMS)
    .map((b) => {
      const fed = [
        ...new Set(uses.filter((u) => b.useIds.includes(u.id)).map((u) => u.layerName.toLowerCase())),
      ]
      const waste = b.grams - b.pipedGrams
      return say(
        'tiny-batch',
        'note',
        { kind: 'colour', id: b.colourId },
        `${at.colour(b.colourId).name}, ${b.stiffness}: only ${at.weight(b.pipedGrams)} is piped (${fed.slice(0, 3).join(', ')}) and ${at.weight(waste)} mixed besides. Paint the detail on, or share a colour, and a bowl and a bag are saved.`,
      )
    })
