import { Menu } from '@mantine/core'
import { useNavigate } from 'react-router'
import type { OrderSummary } from '#contract/orders'
import { deleteOrder, duplicateOrder } from '../../data/orders.ts'
import { AskedMenu } from '../../parts/AskedMenu.tsx'
import { attempt } from '../../parts/notify.tsx'
import { removeWithUndo } from '../../parts/removeWithUndo.tsx'
import { MoreButton } from './MoreButton.tsx'

/** What else can be done with an order. Fetched when its button is first pressed, and opened at once. */
export function OrderMenu({ order }: { order: OrderSummary }) {
  const navigate = useNavigate()
  const copy = () =>
    attempt(async () => {
      const made = await duplicateOrder(order.id)
      navigate(`/orders/${made.order.id}/brief`, { state: { cameIn: true } })
    })
  return (
    <AskedMenu pressed position="bottom-end" button={<MoreButton title={order.title} />}>
      <Menu.Item onClick={copy}>Duplicate</Menu.Item>
      <Menu.Item component="a" href={`/api/orders/${order.id}/file`}>
        Save as a file
      </Menu.Item>
      <Menu.Item
        onClick={() => void removeWithUndo('orders', order.id, order.title, () => deleteOrder(order.id))}
      >
        Delete
      </Menu.Item>
    </AskedMenu>
  )
}
