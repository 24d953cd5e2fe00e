import { Menu } from '@mantine/core'
import { useEffect, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import type { OrderSummary } from '#contract/orders'
import { deleteOrder, duplicateOrder } from '../../data/orders.ts'
import { attempt } from '../../parts/notify.tsx'
import { removeWithUndo } from '../../parts/removeWithUndo.tsx'
import { MoreButton } from './MoreButton.tsx'

/** What else can be done with an order. Fetched when its button is first pressed, and opened at once. */
export function OrderMenu({ order }: { order: OrderSummary }) {
  const [opened, setOpened] = useState(false)
  const button = useRef<HTMLButtonElement>(null)
  const navigate = useNavigate()
  useEffect(() => {
    // it stands where the pressed one stood, and gets the focus back when it closes
    button.current?.focus()
    setOpened(true)
  }, [])
  const copy = () =>
    attempt(async () => {
      const made = await duplicateOrder(order.id)
      navigate(`/orders/${made.order.id}/brief`, { state: { cameIn: true } })
    })
  return (
    <Menu position="bottom-end" opened={opened} onChange={setOpened}>
      <Menu.Target>
        <MoreButton ref={button} title={order.title} />
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Item onClick={copy}>Duplicate</Menu.Item>
        <Menu.Item component="a" href={`/api/orders/${order.id}/file`}>
          Save as a file
        </Menu.Item>
        <Menu.Item
          onClick={() => void removeWithUndo('orders', order.id, order.title, () => deleteOrder(order.id))}
        >
          Delete
        </Menu.Item>
      </Menu.Dropdown>
    </Menu>
  )
}
