/** Past, present and future of a document that is edited whole. */
export interface History<T> {
  past: readonly { state: T; label: string }[]
  present: T
  future: readonly { state: T; label: string }[]
  /** What the last edit touched, and when: edits of one thing in quick succession are one step. */
  last: { key: string; at: number } | null
}

const STEPS = 200
const ONE_STEP_MS = 1200

export function startHistory<T>(present: T): History<T> {
  return { past: [], present, future: [], last: null }
}

/**
 * Records an edit. `key` names what is edited; quick edits under one key undo together.
 * @param oneAct the key is of one act alone, whose parts come in as they are worked out: they undo together however long that takes.
 */
export function record<T>(
  history: History<T>,
  next: T,
  label: string,
  key: string,
  now: number,
  oneAct = false,
): History<T> {
  if (Object.is(next, history.present)) return history
  const continues = history.last?.key === key && (oneAct || now - history.last.at < ONE_STEP_MS)
  return {
    past: continues ? history.past : [...history.past, { state: history.present, label }].slice(-STEPS),
    present: next,
    future: [],
    last: { key, at: now },
  }
}

export function undo<T>(history: History<T>): History<T> {
  const step = history.past.at(-1)
  if (!step) return history
  return {
    past: history.past.slice(0, -1),
    present: step.state,
    future: [{ state: history.present, label: step.label }, ...history.future],
    last: null,
  }
}

export function redo<T>(history: History<T>): History<T> {
  const [step, ...rest] = history.future
  if (!step) return history
  return {
    past: [...history.past, { state: history.present, label: step.label }],
    present: step.state,
    future: rest,
    last: null,
  }
}

/** Steps kept from an earlier visit, put before those that this one has made meanwhile. */
export function continued<T>(earlier: History<T>, now: History<T>): History<T> {
  const fresh = now.past.length === 0 && now.future.length === 0
  return fresh ? earlier : { ...now, past: [...earlier.past, ...now.past].slice(-STEPS) }
}
