import {
  createContext,
  type ReactNode,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react'
import type { StoredOrder } from '#contract/orders'
import { type Order, orderSchema, type Piece } from '#core/model/order'
import type { Plan, Remedy } from '#core/model/plan'
import type { Workshop } from '#core/model/workshop'
import { applyRemedy } from '#core/plan/remedies'
import { usePlan } from '../workers/planner.ts'
import { DocumentSync } from './documentSync.ts'
import { findDraft } from './drafts.ts'
import type { History } from './history.ts'
import { orderDraftName, orderTransport } from './orderTransport.ts'
import { type DocumentEditor, useDocument } from './useDocument.ts'

/** The order on screen: itself, its plan, and the ways to change it. */
export interface OrderEditor extends Omit<DocumentEditor<Order>, 'document' | 'history'> {
  order: Order
  workshop: Workshop
  plan: Plan | undefined
  /** The order that `plan` is of: the one on screen may be further. */
  planOf: Order | undefined
  /** The order that the last plan was made of, with that plan; null where it could not be planned. */
  planned: { order: Order; plan: Plan | null } | undefined
  /** The plan before the last step of edits, for showing what changed. */
  before: Plan | undefined
  /** The order that `before` is of. */
  beforeOf: Order | undefined
  /** What stands in the way of a plan. */
  faults: { path: (string | number)[]; message: string }[]
  take(remedy: Remedy, label: string): void
}

const Context = createContext<OrderEditor | null>(null)

/** What of an order changes seldom: for what need not be drawn anew with every plan. */
export interface OrderBase extends Pick<OrderEditor, 'workshop' | 'edit'> {
  colours: Order['colours']
}
const BaseContext = createContext<OrderBase | null>(null)

const readOrder = (document: unknown): Order | null => {
  const parsed = orderSchema.safeParse(document)
  return parsed.success ? parsed.data : null
}

function openOrder({ order, version }: StoredOrder): DocumentSync<Order> {
  const name = orderDraftName(order.id)
  const stored = { document: order, version }
  return new DocumentSync({
    name,
    transport: orderTransport(order.id),
    stored,
    draft: findDraft(name, readOrder),
  })
}

/** Holds one stored order while it is edited. */
export function OrderEditorProvider(props: { stored: StoredOrder; workshop: Workshop; children: ReactNode }) {
  const { stored, workshop, children } = props
  const [sync] = useState(() => openOrder(stored))
  const editor = useDocument(orderDraftName(stored.order.id), sync)
  const { document: order, history, edit } = editor
  useFreshWhenSeen(sync, stored.order.id)
  const planned = usePlan(order, workshop)
  const good = useRef<Made>(undefined)
  if (planned?.plan && good.current?.plan !== planned.plan)
    good.current = { plan: planned.plan, order: planned.of }
  const made = planned?.plan ? good.current : undefined
  const before = useMadeBefore(history, made)

  const take = useCallback<OrderEditor['take']>(
    (remedy, label) => {
      const plan = good.current?.plan
      if (plan) edit(label, (o) => applyRemedy(o, remedy, plan), `remedy ${label} ${Date.now()}`)
    },
    [edit],
  )

  const plannedOf = useMemo(() => planned && { order: planned.of, plan: planned.plan }, [planned])
  const value = useMemo<OrderEditor>(
    () => ({
      ...editor,
      order,
      workshop,
      plan: good.current?.plan,
      planOf: good.current?.order,
      planned: plannedOf,
      before: before?.plan,
      beforeOf: before?.order,
      faults: planned?.faults ?? [],
      take,
    }),
    [editor, order, workshop, planned, plannedOf, before, take],
  )
  const base = useMemo<OrderBase>(
    () => ({ workshop, edit, colours: order.colours }),
    [workshop, edit, order.colours],
  )
  return (
    <BaseContext value={base}>
      <Context value={value}>{children}</Context>
    </BaseContext>
  )
}

/** Whoever comes back to a page that lay open sees what was saved elsewhere meanwhile. */
function useFreshWhenSeen(sync: DocumentSync<Order>, id: string): void {
  useEffect(() => {
    const look = () => {
      if (document.visibilityState !== 'visible' || !sync.isSettled) return
      orderTransport(id)
        .read()
        .then((stored) => sync.adopt(stored))
        // out of reach just now: the next look or the next save will tell
        .catch(() => undefined)
    }
    document.addEventListener('visibilitychange', look)
    return () => document.removeEventListener('visibilitychange', look)
  }, [sync, id])
}

/** A plan and the order that it is of. */
interface Made {
  plan: Plan
  order: Order
}

/** The plan as it was when the present step of edits began. */
function useMadeBefore(history: History<Order>, made: Made | undefined): Made | undefined {
  const step = history.past.length
  const memory = useRef<{ step: number; before: Made | undefined; latest: Made | undefined }>({
    step,
    before: undefined,
    latest: undefined,
  })
  if (memory.current.step !== step) memory.current = { step, before: memory.current.latest, latest: made }
  else if (made) memory.current.latest = made
  return memory.current.before
}

/** How many of a piece an order has; as many as there are now where it had none. What a plan says of all of them is of so many. */
export const countIn = (order: Order | undefined, piece: Piece): number =>
  order?.pieces.find((p) => p.id === piece.id)?.count ?? piece.count

export function useOrderEditor(): OrderEditor {
  const editor = useContext(Context)
  if (!editor) throw new Error('useOrderEditor is used outside an order.')
  return editor
}

/** The workshop, the order's colours and the way to change it, without its plan. */
export function useOrderBase(): OrderBase {
  const base = useContext(BaseContext)
  if (!base) throw new Error('useOrderBase is used outside an order.')
  return base
}
