import { useNavigate } from 'react-router'
import { deleteOrder } from '../../data/orders.ts'
import { useWorkshop } from '../../data/workshop.ts'
import { LineBox } from '../../line/LineBox.tsx'
import { attempt, tell } from '../../parts/notify.tsx'

/** A new order as it is written on the pad or comes in a message. */
export function OrderInWords() {
  const { workshop } = useWorkshop()
  const navigate = useNavigate()
  return (
    <LineBox
      label="A new order in words"
      example="30 cupcakes: 12 roses, 18 ranunculus with leaves; Saturday 11:00; no nuts; blush, moss"
      act="Make it"
      done={async (read) => {
        // nothing is understood before it is there
        if (!workshop) return false
        const order = await attempt(async () => {
          const { makeOrder } = await import('../../line/makeOrder.ts')
          return makeOrder(read, workshop)
        })
        if (!order) return false
        tell(`“${order.title}” is made.`, () => {
          void attempt(() => deleteOrder(order.id)).then(() => navigate('/orders'))
        })
        navigate(`/orders/${order.id}/pieces`)
        return true
      }}
    />
  )
}
