import { ActionIcon, Button, FileButton, Menu } from '@mantine/core'
import { IconDots } from '@tabler/icons-react'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import type { OrderSummary } from '#contract/orders'
import type { Problem } from '#contract/problem'
import { ApiError } from '../../data/api.ts'
import {
  deleteOrder,
  duplicateOrder,
  importOrder,
  reloadOrders,
  restoreOrder,
  useOrders,
} from '../../data/orders.ts'
import { PageHead } from '../../parts/Card.tsx'
import { clock, dayHeading } from '../../parts/dates.ts'
import { ImportFaults } from '../../parts/ImportFaults.tsx'
import { attempt, tell } from '../../parts/notify.tsx'
import { Dab } from '../../parts/Swatch.tsx'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { NewOrder } from './NewOrder.tsx'
import css from './Orders.module.css'

/** Orders by due day. */
export function Orders() {
  const { orders, error, isLoading } = useOrders()
  const [making, setMaking] = useState(false)
  const [refused, setRefused] = useState<{ file: string; problem: Problem } | null>(null)
  const navigate = useNavigate()

  async function takeIn(file: File | null) {
    if (!file) return
    try {
      const { order } = await importOrder(await file.text())
      tell(`“${order.title}” is in.`)
      navigate(`/orders/${order.id}/brief`)
    } catch (error) {
      if (error instanceof ApiError) setRefused({ file: file.name, problem: error.problem })
      else tell((error as Error).message)
    }
  }

  return (
    <>
      <PageHead
        title="Orders"
        line={orders ? `${orders.length} to make, the next one first` : undefined}
        actions={
          <>
            {orders && orders.length > 1 && (
              <Button component={Link} to={`/day?orders=${orders.map((o) => o.id).join(',')}`}>
                Plan a bench day
              </Button>
            )}
            <FileButton
              onChange={takeIn}
              accept="application/json,.json"
              inputProps={{ 'aria-label': 'Order file' }}
            >
              {(props) => <Button {...props}>Import a file</Button>}
            </FileButton>
            <Button variant="filled" onClick={() => setMaking(true)}>
              New order
            </Button>
          </>
        }
      />
      {isLoading && <Loading what="the orders" />}
      {error && !orders && <Failed what="The orders" error={error} retry={reloadOrders} />}
      {orders?.length === 0 && (
        <Empty title="No orders yet" action={<Button onClick={() => setMaking(true)}>Begin one</Button>}>
          An order says what is piped on which pieces and for when. Kanten works out the rest from it.
        </Empty>
      )}
      {byDay(orders ?? []).map(([day, due]) => (
        <section key={day} className={css.day}>
          <h2 className={css.dayName}>{dayHeading(day)}</h2>
          <ul className={css.list}>
            {due.map((order) => (
              <OrderRow key={order.id} order={order} />
            ))}
          </ul>
        </section>
      ))}
      <NewOrder opened={making} close={() => setMaking(false)} />
      <ImportFaults refused={refused} close={() => setRefused(null)} />
    </>
  )
}

function byDay(orders: readonly OrderSummary[]): [string, OrderSummary[]][] {
  const days = new Map<string, OrderSummary[]>()
  for (const order of orders) {
    const day = order.collectAt.slice(0, 10)
    days.set(day, [...(days.get(day) ?? []), order])
  }
  return [...days]
}

function OrderRow({ order }: { order: OrderSummary }) {
  const navigate = useNavigate()
  const copy = () =>
    attempt(async () => {
      const made = await duplicateOrder(order.id)
      navigate(`/orders/${made.order.id}/brief`)
    })
  const remove = () =>
    attempt(async () => {
      await deleteOrder(order.id)
      tell(`“${order.title}” is deleted.`, () => void attempt(() => restoreOrder(order.id)))
    })
  return (
    <li className={css.row}>
      <span className={`${css.time} figure`}>{clock(order.collectAt)}</span>
      <Link to={`/orders/${order.id}/pieces`} className={css.title}>
        {order.title}
      </Link>
      <span className={css.customer}>{order.customer || 'no name given'}</span>
      <span className={css.dabs} role="img" aria-label={`${order.colours.length} colours`}>
        {order.colours.slice(0, 10).map((hex, i) => (
          // two colours may be the same hex; their place tells them apart
          // biome-ignore lint/suspicious/noArrayIndexKey: see above
          <Dab key={i} hex={hex} size={20} />
        ))}
      </span>
      <span className={css.pieces}>
        <span className="figure">{order.pieces.toLocaleString('en-GB')}</span>{' '}
        {order.pieces === 1 ? 'piece' : 'pieces'}
      </span>
      <Menu position="bottom-end">
        <Menu.Target>
          <ActionIcon aria-label={`More for ${order.title}`}>
            <IconDots size={20} stroke={1.6} />
          </ActionIcon>
        </Menu.Target>
        <Menu.Dropdown>
          <Menu.Item onClick={copy}>Duplicate</Menu.Item>
          <Menu.Item component="a" href={`/api/orders/${order.id}/file`}>
            Save as a file
          </Menu.Item>
          <Menu.Item onClick={remove}>Delete</Menu.Item>
        </Menu.Dropdown>
      </Menu>
    </li>
  )
}
