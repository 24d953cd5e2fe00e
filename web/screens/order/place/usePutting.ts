import { useState } from 'react'
import { wordsSchema } from '#core/model/layout'
import { borderAlong, growSpray } from '#core/orders/lines'
import { putOn } from '#core/placing/byHand'
import type { Spot } from '#core/surfaces/chart'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { newId } from '../../../parts/newId.ts'
import { tell } from '../../../parts/notify.tsx'
import { isLeafy } from './Lines.tsx'
import type { PanelPart } from './PlacePanel.tsx'
import type { Putting } from './PutOn.tsx'
import type { Placing } from './usePlacing.ts'
import type { Measured } from './Wished.tsx'
import { darkness, stemOf, writingTip } from './writesWith.ts'

/** A part that is kept free, to begin with: room for a line of words. */
const FREE = { kind: 'free', widthMm: 60, heightMm: 22, turnDeg: 0, label: '' } as const

/** A photograph printed on sugar or wafer, to begin with. */
const PHOTO = { kind: 'photo', widthMm: 80, heightMm: 60, turnDeg: 0, label: 'photograph' } as const

/** Words to begin with: something to be written over. */
const WORDS = { text: 'Happy Birthday', capitalMm: 12 }

/** What is about to be put on a piece, and what comes of it where it is put. */
export function usePutting(placing: Placing, show: (part: PanelPart) => void) {
  const { piece, hand } = placing
  const { chart } = hand
  const { order, workshop, edit } = useOrderEditor()
  const [putting, setPutting] = useState<Putting>(null)
  const [measured, setMeasured] = useState<Measured>([])
  const stored = (spots: readonly Spot[]) => spots.map((s) => chart.store(s))

  function spray(spots: readonly Spot[]) {
    const leaf = placing.kinds.find(isLeafy)
    const buds = placing.kinds.filter((k) => !isLeafy(k))
    const [bud] = [...buds].sort((a, b) => a.kind.r - b.kind.r)
    const stem = stemOf(order, workshop)
    if (!stem) {
      tell('A spray needs a round tip in the drawer and a colour in the order for its stem.')
      return
    }
    edit(
      'a spray',
      (o) =>
        growSpray(
          o,
          piece.id,
          placing.layout.id,
          {
            ...{ id: newId(), kind: 'spray', path: stored(spots), ...stem },
            ...{ stiffness: 'soft', leafId: leaf?.placedId ?? null, budId: bud?.placedId ?? null },
          },
          hand.kinds,
          newId,
        ),
      `spray ${newId()}`,
    )
  }
  function words(first: Spot) {
    const tipId = writingTip(workshop)
    const [colour] = [...order.colours].sort((a, b) => darkness(a.hex) - darkness(b.hex))
    if (!tipId || !colour) {
      tell(
        tipId ? 'The order needs a colour to write in first.' : 'The drawer has no round tip to write with.',
      )
      return
    }
    const made = wordsSchema.parse({
      ...WORDS,
      ...{ id: newId(), tipId, colourId: colour.id, place: chart.store(first) },
    })
    placing.change('words', (now) => ({ ...now.layout, words: [...now.layout.words, made] }))
  }
  function put(what: NonNullable<Putting>, spots: readonly Spot[], first: Spot) {
    switch (what.kind) {
      case 'spray':
        return spray(spots)
      case 'border':
        return edit(
          'a border along a line',
          (o) => borderAlong(o, piece.id, placing.layout.id, what.placedId, stored(spots), newId),
          `border ${newId()}`,
        )
      case 'line':
        return placing.lay('follow a line', { schoolId: 'path', path: stored(spots) })
      case 'flower': {
        const made = putOn(hand, what.placedId, first, newId)
        placing.change('put a flower on', () => made.layout)
        return placing.choose([made.id])
      }
      case 'words':
        return words(first)
      case 'seam':
      case 'stop': {
        const hidden = { id: newId(), kind: what.kind, place: chart.store(first) }
        return placing.change('something to hide', (now) => ({
          ...now.layout,
          toHide: [...now.layout.toHide, hidden],
        }))
      }
      default: {
        const kept = {
          ...(what.kind === 'photo' ? PHOTO : FREE),
          ...{ id: newId(), place: chart.store(first) },
        }
        return placing.change('keep free', (now) => ({
          ...now.layout,
          keepOuts: [...now.layout.keepOuts, kept],
        }))
      }
    }
  }
  const onPlaced = (spots: Spot[], plane?: { x: number; y: number }) => {
    if (putting?.kind === 'measure') {
      // a point that is no point of the plane says nothing
      if (!plane) return
      setMeasured([...measured, plane])
      if (measured.length === 1) setPutting(null)
      return
    }
    setPutting(null)
    const [first] = spots
    if (!putting || !first) return
    show(['flower', 'line'].includes(putting.kind) ? 'flowers' : 'words')
    put(putting, spots, first)
  }
  const measure = () => {
    setMeasured([])
    setPutting({ kind: 'measure' })
  }
  return { putting, setPutting, onPlaced, measured, measure, setMeasured }
}
