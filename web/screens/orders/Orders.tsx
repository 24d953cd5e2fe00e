import { Button, FileButton, SegmentedControl, TextInput } from '@mantine/core'
import { lazy, useState } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import type { OrderSummary } from '#contract/orders'
import type { Problem } from '#contract/problem'
import type { Settings } from '#core/model/workshop'
import type { OrderStart } from '#core/timeline/starts'
import { counted } from '#core/units'
import { ApiError } from '../../data/api.ts'
import { draftNames } from '../../data/drafts.ts'
import { importOrder, type OrdersShown, reloadOrders, useOrders } from '../../data/orders.ts'
import { orderDraftName } from '../../data/orderTransport.ts'
import { useStarts } from '../../data/starts.ts'
import { useWorkshop } from '../../data/workshop.ts'
import { BackupReminder } from '../../parts/BackupReminder.tsx'
import { PageHead } from '../../parts/Card.tsx'
import { today, useCalendar } from '../../parts/calendar.ts'
import { FlagMark } from '../../parts/FlagMark.tsx'
import { LaterMenu } from '../../parts/LaterMenu.tsx'
import { later } from '../../parts/later.tsx'
import { tell } from '../../parts/notify.tsx'
import { Dab } from '../../parts/Swatch.tsx'
import { showNotes } from '../../parts/showNotes.tsx'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { MoreButton } from './MoreButton.tsx'
import { OrderInWords } from './OrderInWords.tsx'
import css from './Orders.module.css'

// its fields and the model behind them are fetched when somebody begins an order
const OrderMenu = lazy(async () => ({ default: (await import('./OrderMenu.tsx')).OrderMenu }))
const NewOrder = later(
  async () => (await import('./NewOrder.tsx')).NewOrder,
  ({ opened }) => opened,
)
const ImportFaults = later(
  async () => (await import('../../parts/ImportFaults.tsx')).ImportFaults,
  ({ refused }) => refused !== null,
)

/** Orders by due day: those to come, and on the other side of today those that are done. */
export function Orders() {
  const [params, setParams] = useSearchParams()
  const shown: OrdersShown = params.get('when') === 'past' ? 'past' : 'coming'
  const [search, setSearch] = useState('')
  const { orders, total, more, error, isLoading } = useOrders(shown, today(), search)
  const [making, setMaking] = useState(false)
  const [refused, setRefused] = useState<{ file: string; problem: Problem } | null>(null)
  const { dayHeading } = useCalendar()
  const { workshop } = useWorkshop()
  // what is found by a word is as it was before
  const starts = useStarts(
    orders && shown === 'coming' && !search ? orders.map((o) => `${o.id} ${o.version}`).join() : null,
  )
  const navigate = useNavigate()

  async function takeIn(file: File | null) {
    if (!file) return
    try {
      const { order, notes } = await importOrder(await file.text())
      tell(`“${order.title}” is in.`)
      navigate(`/orders/${order.id}/brief`, { state: { cameIn: true } })
      showNotes(notes)
    } catch (error) {
      if (error instanceof ApiError) setRefused({ file: file.name, problem: error.problem })
      else tell((error as Error).message)
    }
  }

  const drafts = draftNames()
  return (
    <>
      <PageHead
        title="Orders"
        line={
          orders &&
          `${counted(total, 'order')} ${shown === 'coming' ? 'to make, the next one first' : 'past, the last one first'}`
        }
        actions={
          <>
            {orders && orders.length > 1 && shown === 'coming' && (
              <Button component={Link} to={`/day?orders=${firstDays(orders)}`}>
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
      <BackupReminder />
      {workshop && leads(workshop.settings.firstDays, orders) && (
        <FirstDays at={workshop.settings.firstDays} />
      )}
      <OrderInWords />
      <div className={css.tools}>
        <SegmentedControl
          aria-label="Which orders"
          value={shown}
          onChange={(when) => setParams(when === 'past' ? { when } : {}, { replace: true })}
          data={[
            { value: 'coming', label: 'To come' },
            { value: 'past', label: 'Past' },
          ]}
        />
        <TextInput
          aria-label="Search by title or name"
          placeholder="Search by title or name"
          value={search}
          onChange={(e) => setSearch(e.currentTarget.value)}
          w={260}
        />
        <Link to="/deleted" className={css.deleted}>
          Deleted
        </Link>
      </div>
      {isLoading && <Loading what="the orders" />}
      {error && !orders && <Failed what="The orders" error={error} retry={reloadOrders} />}
      {orders?.length === 0 && !isLoading && (
        <NoOrders shown={shown} search={search} begin={() => setMaking(true)} />
      )}
      {byDay(orders ?? []).map(([day, due]) => (
        <section key={day} className={css.day}>
          <h2 className={css.dayName}>{dayHeading(day)}</h2>
          <ul className={css.list}>
            {due.map((order) => (
              <OrderRow
                key={order.id}
                order={order}
                unsaved={drafts.has(orderDraftName(order.id))}
                start={starts.of.get(order.id)}
              />
            ))}
          </ul>
        </section>
      ))}
      {more && orders && (
        <div className={css.more}>
          <Button onClick={more}>
            Show more ({orders.length} of {total.toLocaleString('en-GB')})
          </Button>
        </div>
      )}
      <NewOrder opened={making} close={() => setMaking(false)} />
      <ImportFaults refused={refused} close={() => setRefused(null)} />
    </>
  )
}

/** Whoever has orders and has not begun on this does not need it. */
const leads = (at: Settings['firstDays'], orders: readonly OrderSummary[] | undefined): boolean =>
  at !== 'done' && (at !== 'name' || orders?.length === 0)

/** A new bakery is led to its first plan, from where it has come to. */
function FirstDays({ at }: { at: Settings['firstDays'] }) {
  return (
    <section className={css.firstDays} aria-label="First days">
      <p>
        <strong>{at === 'name' ? 'Welcome.' : 'You have begun.'}</strong> Your bakery’s name, the tips you
        own, and a first order: three minutes to a first plan.
      </p>
      <Button variant="filled" component={Link} to={`/start/${at}`}>
        {at === 'name' ? 'Begin' : 'Go on'}
      </Button>
    </section>
  )
}

function NoOrders(props: { shown: OrdersShown; search: string; begin: () => void }) {
  if (props.search.trim())
    return <Empty title="No order fits">Try a shorter word, or look on the other side of today.</Empty>
  if (props.shown === 'past')
    return <Empty title="Nothing is past yet">Orders come here when their day is over.</Empty>
  return (
    <Empty title="No orders yet" action={<Button onClick={props.begin}>Begin one</Button>}>
      An order says what is piped on which pieces and for when. Kanten works out the rest from it.
    </Empty>
  )
}

/** A bench day begins with what is due first: more than a few orders are never worked together. */
const MOST_ON_A_DAY = 6
const firstDays = (orders: readonly OrderSummary[]) =>
  orders
    .slice(0, MOST_ON_A_DAY)
    .map((o) => o.id)
    .join(',')

function byDay(orders: readonly OrderSummary[]): [string, OrderSummary[]][] {
  const days = new Map<string, OrderSummary[]>()
  for (const order of orders) {
    const day = order.collectAt.slice(0, 10)
    const due = days.get(day)
    if (due) due.push(order)
    else days.set(day, [order])
  }
  return [...days]
}

function OrderRow(props: { order: OrderSummary; unsaved: boolean; start: OrderStart | undefined }) {
  const { order, unsaved, start } = props
  const { clock, weekMoment } = useCalendar()
  return (
    <li className={css.row}>
      <span className={`${css.time} figure`}>{clock(order.collectAt)}</span>
      <Link to={`/orders/${order.id}/pieces`} className={css.title}>
        {order.title}
        {unsaved && <small className={css.unsaved}>changes not saved yet: open it</small>}
        {start && (
          <small className={start.fits ? css.start : css.late}>
            {!start.fits && <FlagMark />} start by {weekMoment(start.from)}
            {!start.fits && ': too late now'}
          </small>
        )}
      </Link>
      <span className={css.customer}>{order.customer || 'no name given'}</span>
      <span className={css.dabs} role="img" aria-label={counted(order.colours.length, 'colour')}>
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
      <LaterMenu button={<MoreButton title={order.title} />}>
        <OrderMenu order={order} />
      </LaterMenu>
    </li>
  )
}
