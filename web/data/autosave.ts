import { useCallback, useEffect, useRef, useState } from 'react'
import type { StoredOrder } from '#contract/orders'
import { type Order, orderSchema } from '#core/model/order'
import { ApiError, api } from './api.ts'

export type SaveState =
  | { kind: 'saved' }
  | { kind: 'saving' }
  | { kind: 'waiting'; why: string }
  | { kind: 'conflict' }
  | { kind: 'refused'; why: string }

const PAUSE_MS = 450
const RETRY_MS = 4000

const draftKey = (id: string) => `kanten.draft.${id}`

/** An order edited here and not yet on the server, from an earlier visit; null when there is none. */
export function readDraft(id: string): { order: Order; version: number } | null {
  try {
    const draft = JSON.parse(localStorage.getItem(draftKey(id)) ?? 'null') as {
      order: unknown
      version: number
    } | null
    const order = orderSchema.safeParse(draft?.order)
    return draft && order.success ? { order: order.data, version: draft.version } : null
  } catch {
    return null
  }
}

/**
 * Saves an order by itself a moment after each edit, one request at a time. Until the server has it, the edit is
 * kept in this browser too, so that a reload or a lost network loses nothing.
 */
export function useAutosave(order: Order, stored: StoredOrder) {
  const [state, setState] = useState<SaveState>({ kind: 'saved' })
  const version = useRef(stored.version)
  const onServer = useRef<Order>(stored.order)
  const wanted = useRef(order)
  const busy = useRef(false)
  const timer = useRef<number>(undefined)

  const send = useCallback(async () => {
    if (busy.current || wanted.current === onServer.current) return
    busy.current = true
    const sending = wanted.current
    setState({ kind: 'saving' })
    try {
      const answer = await api<StoredOrder>(`/orders/${sending.id}`, {
        method: 'PUT',
        body: sending,
        version: version.current,
      })
      version.current = answer.version
      onServer.current = sending
      busy.current = false
      if (wanted.current === sending) {
        localStorage.removeItem(draftKey(sending.id))
        setState({ kind: 'saved' })
      } else void send()
    } catch (error) {
      busy.current = false
      if (error instanceof ApiError && error.problem.status === 412) setState({ kind: 'conflict' })
      else if (error instanceof ApiError && error.problem.status < 500)
        setState({ kind: 'refused', why: error.problem.errors?.[0]?.detail ?? error.message })
      else {
        setState({ kind: 'waiting', why: (error as Error).message })
        timer.current = window.setTimeout(() => void send(), RETRY_MS)
      }
    }
  }, [])

  useEffect(() => {
    wanted.current = order
    if (order === onServer.current) return
    localStorage.setItem(draftKey(order.id), JSON.stringify({ order, version: version.current }))
    window.clearTimeout(timer.current)
    timer.current = window.setTimeout(() => void send(), PAUSE_MS)
  }, [order, send])

  // leaving the screen inside the pause must not lose the last edit
  useEffect(
    () => () => {
      window.clearTimeout(timer.current)
      void send()
    },
    [send],
  )

  /** Saves over what somebody else saved, having been asked. */
  const saveOver = useCallback(async () => {
    const theirs = await api<StoredOrder>(`/orders/${wanted.current.id}`)
    version.current = theirs.version
    await send()
  }, [send])

  const forgetDraft = useCallback(() => localStorage.removeItem(draftKey(wanted.current.id)), [])

  return { state, saveOver, forgetDraft }
}
