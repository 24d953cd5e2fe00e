import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { LineBox } from '../../../line/LineBox.tsx'
import { lineAdded } from '../../../line/makeOrder.ts'
import { attempt } from '../../../parts/notify.tsx'

/** Pieces added as somebody writes them down; the first of them is opened. */
export function PiecesInWords({ open }: { open: (id: string) => void }) {
  const { order, workshop, edit } = useOrderEditor()
  return (
    <LineBox
      label="Add in words"
      example="6 cookies with daisies; cake 18 cm, ring of rosettes"
      act="Add it"
      done={async (read) => {
        const change = await attempt(() => lineAdded(order, read, workshop))
        if (!change) return false
        edit('add in words', change)
        const added = change(order).pieces[order.pieces.length]
        if (added) open(added.id)
        return true
      }}
    />
  )
}
