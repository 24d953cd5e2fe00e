import { Button, Menu } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { memo, useMemo, useState } from 'react'
import { Outlet, useLocation, useParams } from 'react-router'
import useSWR from 'swr'
import type { StoredOrder } from '#contract/orders'
import type { Piece } from '#core/model/order'
import { savingToDecide } from '#core/plan/fewer/saving'
import { type SurfaceKind, surfaceDefinition } from '#core/surfaces/index'
import { counted } from '#core/units'
import { useAmongOthers } from '../../data/amongOthers.ts'
import { api } from '../../data/api.ts'
import { OrderEditorProvider, useOrderEditor } from '../../data/orderEditor.tsx'
import { useSaving } from '../../data/useDocument.ts'
import { useWorkshop } from '../../data/workshop.ts'
import { AskedMenu } from '../../parts/AskedMenu.tsx'
import { PageHead } from '../../parts/Card.tsx'
import { ConflictDialog } from '../../parts/ConflictDialog.tsx'
import { useCalendar } from '../../parts/calendar.ts'
import { newId } from '../../parts/newId.ts'
import { SaveWord } from '../../parts/SaveWord.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { UndoButtons } from '../../parts/UndoButtons.tsx'
import { namesIn } from '../../parts/workshopNames.ts'
import { useFewer } from '../../workers/bags.ts'
import { useDays } from '../../workers/days.ts'
import { Accepted } from './Accepted.tsx'
import type { OrderDays } from './orderDays.ts'
import { Strip, stopNames } from './Strip.tsx'

/** One order: loaded once, then edited here and saved by itself. */
export function OrderFrame() {
  const { orderId } = useParams()
  // a fresh read each time the order is opened, and none behind the editor's back afterwards
  const [visit] = useState(newId)
  const { data, error, mutate } = useSWR<StoredOrder, Error>(
    ['order', orderId, visit],
    () => api<StoredOrder>(`/orders/${orderId}`),
    { revalidateOnFocus: false, revalidateOnReconnect: false, revalidateIfStale: false },
  )
  const { workshop, error: workshopError } = useWorkshop()
  const failed = error ?? workshopError
  if (failed && (!data || !workshop))
    return <Failed what="This order" error={failed} retry={() => void mutate()} />
  if (!data || !workshop) return <Loading what="the order" />
  return (
    <OrderEditorProvider key={`${data.order.id} ${data.version}`} stored={data} workshop={workshop}>
      <Order />
    </OrderEditorProvider>
  )
}

const tables = [
  ['batches', 'Bowls'],
  ['bags', 'Bags'],
  ['colours', 'Colours'],
  ['base', 'Base and ingredients'],
  ['supplies', 'Supplies'],
  ['demand', 'Every layer'],
  ['timeline', 'Timetable'],
] as const

/** Nobody has asked for a way to fewer bags: it is looked for when the order has rested for so long, ms. */
const UNASKED_MS = 15_000

function Order() {
  const { order, planned, workshop, sync, undo, redo, undoLabel, redoLabel } = useOrderEditor()
  const { shortMoment } = useCalendar()
  const location = useLocation()
  // said for as long as this visit lasts, whichever of its stops is looked at
  const [cameIn] = useState((location.state as { cameIn?: boolean } | null)?.cameIn === true)
  const alone = useDays(
    useMemo(() => planned && [planned], [planned]),
    workshop,
    location.pathname.includes('/timeline'),
  )
  const among = useAmongOthers(order.id, sync, alone.table !== undefined)
  const days: OrderDays = { ...alone, among }
  const { offer } = useFewer(order, workshop, UNASKED_MS)
  useHotkeys([
    ['mod+Z', () => undo?.()],
    ['mod+shift+Z', () => redo?.()],
    ['mod+Y', () => redo?.()],
  ])
  return (
    <>
      <PageHead
        title={order.title}
        part={(stopNames as Record<string, string>)[location.pathname.split('/')[3] ?? '']}
        line={`${pieceWords(order.pieces)} — ${travelWords[order.travel]} ${shortMoment(order.collectAt)}`}
        actions={
          <>
            <Saving />
            <UndoButtons undo={undo} redo={redo} undoLabel={undoLabel} redoLabel={redoLabel} />
            <SaveAs orderId={order.id} />
          </>
        }
      />
      {cameIn && <Accepted />}
      <Strip days={days} saving={savingToDecide(offer, order) > 0} />
      <Outlet context={days} />
    </>
  )
}

/** What of the order can be kept as a file. */
const SaveAs = memo(function SaveAs({ orderId }: { orderId: string }) {
  return (
    <AskedMenu position="bottom-end" button={<Button>Save as…</Button>}>
      <Menu.Item component="a" href={`/api/orders/${orderId}/file`}>
        Order file (JSON)
      </Menu.Item>
      <Menu.Item component="a" href={`/api/orders/${orderId}/timeline.ics`}>
        Calendar (iCalendar)
      </Menu.Item>
      <Menu.Label>Tables (CSV)</Menu.Label>
      {tables.map(([table, name]) => (
        <Menu.Item key={table} component="a" href={`/api/orders/${orderId}/plan/${table}.csv`}>
          {name}
        </Menu.Item>
      ))}
    </AskedMenu>
  )
})

/** How saving stands, and the question that it may come to. */
function Saving() {
  const { order, workshop, sync, settle } = useOrderEditor()
  const save = useSaving(sync)
  return (
    <>
      <SaveWord save={save} />
      {save.kind === 'conflict' && (
        <ConflictDialog
          what="this order"
          conflict={save.conflict}
          nameOf={namesIn(workshop, order)}
          settle={settle}
        />
      )}
    </>
  )
}

const travelWords = { collected: 'collected', delivered: 'delivered', onSite: 'made on site for' }

function pieceWords(pieces: readonly Pick<Piece, 'shape' | 'count'>[]) {
  const kinds = new Map<SurfaceKind, number>()
  for (const { shape, count } of pieces) kinds.set(shape.kind, (kinds.get(shape.kind) ?? 0) + count)
  if (kinds.size === 0) return 'no pieces yet'
  return [...kinds]
    .map(([kind, count]) => {
      const { label, plural } = surfaceDefinition(kind)
      return counted(count, label, plural)
    })
    .join(' · ')
}
