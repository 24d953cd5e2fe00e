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
import { type Order, orderSchema } from '#core/model/order'
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
  /** The order that the last plan was made of, with that plan; null where it could not be planned. */
  planned: { order: Order; plan: Plan | null } | undefined
  /** The plan before the last step of edits, for showing what changed. */
  before: Plan | undefined
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
  const before = usePlanBefore(history, planned?.plan ?? undefined)
  const planRef = useRef<Plan>(undefined)
  if (planned?.plan) planRef.current = planned.plan

  const take = useCallback<OrderEditor['take']>(
    (remedy, label) => {
      const plan = planRef.current
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
      plan: planned?.plan ?? planRef.current,
      planned: plannedOf,
      before,
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

/** The plan as it was when the present step of edits began. */
function usePlanBefore(history: History<Order>, plan: Plan | undefined): Plan | undefined {
  const step = history.past.length
  const memory = useRef<{ step: number; before: Plan | undefined; latest: Plan | undefined }>({
    step,
    before: undefined,
    latest: undefined,
  })
  if (memory.current.step !== step) memory.current = { step, before: memory.current.latest, latest: plan }
  else if (plan) memory.current.latest = plan
  return memory.current.before
}

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
