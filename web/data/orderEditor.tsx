import { createContext, type ReactNode, useCallback, useContext, useMemo, useRef, useState } from 'react'
import type { StoredOrder } from '#contract/orders'
import type { Order } from '#core/model/order'
import type { Plan, Remedy } from '#core/model/plan'
import type { Workshop } from '#core/model/workshop'
import { applyRemedy } from '#core/plan/remedies'
import { usePlan } from '../workers/planner.ts'
import { readDraft, type SaveState, useAutosave } from './autosave.ts'
import { type History, record, redo, startHistory, undo } from './history.ts'

/** The order on screen: itself, its plan, and the ways to change it. */
export interface OrderEditor {
  order: Order
  workshop: Workshop
  plan: Plan | undefined
  /** The plan before the last step of edits, for showing what changed. */
  before: Plan | undefined
  /** What stands in the way of a plan. */
  faults: { path: (string | number)[]; message: string }[]
  /** Changes the order; quick changes under one key undo together. */
  edit(label: string, change: (order: Order) => Order, key?: string): void
  take(remedy: Remedy, label: string): void
  undo: (() => void) | null
  redo: (() => void) | null
  undoLabel: string | null
  redoLabel: string | null
  save: SaveState
  saveOver(): Promise<void>
  forgetDraft(): void
}

const Context = createContext<OrderEditor | null>(null)

/** Holds one stored order while it is edited. */
export function OrderEditorProvider(props: { stored: StoredOrder; workshop: Workshop; children: ReactNode }) {
  const { stored, workshop, children } = props
  const [history, setHistory] = useState<History<Order>>(() => startHistory(firstState(stored)))
  const order = history.present
  const planned = usePlan(order, workshop)
  const { state: save, saveOver, forgetDraft } = useAutosave(order, stored)
  const before = usePlanBefore(history, planned?.plan ?? undefined)
  const planRef = useRef<Plan>(undefined)
  if (planned?.plan) planRef.current = planned.plan

  const edit = useCallback<OrderEditor['edit']>((label, change, key = label) => {
    setHistory((h) => record(h, change(h.present), label, key, Date.now()))
  }, [])
  const take = useCallback<OrderEditor['take']>(
    (remedy, label) => {
      const plan = planRef.current
      if (plan) edit(label, (o) => applyRemedy(o, remedy, plan), `remedy ${label} ${Date.now()}`)
    },
    [edit],
  )

  const value = useMemo<OrderEditor>(
    () => ({
      order,
      workshop,
      plan: planned?.plan ?? planRef.current,
      before,
      faults: planned?.faults ?? [],
      edit,
      take,
      undo: history.past.length > 0 ? () => setHistory(undo) : null,
      redo: history.future.length > 0 ? () => setHistory(redo) : null,
      undoLabel: history.past.at(-1)?.label ?? null,
      redoLabel: history.future[0]?.label ?? null,
      save,
      saveOver,
      forgetDraft,
    }),
    [order, workshop, planned, before, edit, take, history, save, saveOver, forgetDraft],
  )
  return <Context value={value}>{children}</Context>
}

/** A draft made on the version the server still has goes on where it was left. */
function firstState(stored: StoredOrder): Order {
  const draft = readDraft(stored.order.id)
  return draft && draft.version === stored.version ? draft.order : stored.order
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
