import { useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react'
import { merge } from '#core/merge/merge'
import type { DocumentSync, SaveState } from './documentSync.ts'
import { continued, type History, record, redo, startHistory, undo } from './history.ts'
import { keepHistory, loadHistory } from './storedHistory.ts'

/** A document while it is edited: on screen at once, saved by itself, every step undoable, over a reload too. */
export interface DocumentEditor<T> {
  document: T
  history: History<T>
  /** Changes the document; quick changes under one key undo together, those of one act always. */
  edit(label: string, change: (document: T) => T, key?: string, oneAct?: boolean): void
  undo: (() => void) | null
  redo: (() => void) | null
  undoLabel: string | null
  redoLabel: string | null
  /** Saves it; how that stands is asked with `useSaving`, because it changes more often than the document does. */
  sync: DocumentSync<T>
  /** Ends a conflict with what shall stand; a step like any other, so that it can be undone. */
  settle(document: T): void
}

/** @param name what the steps are kept under. */
export function useDocument<T>(name: string, sync: DocumentSync<T>): DocumentEditor<T> {
  const [history, setHistory] = useState<History<T>>(() => startHistory(sync.document))
  const first = useRef(sync.document)

  useEffect(() => {
    let current = true
    void loadHistory(name, first.current).then((earlier) => {
      if (current && earlier) setHistory((now) => continued(earlier, now))
    })
    return () => {
      current = false
    }
  }, [name])

  useEffect(() => {
    sync.set(history.present)
    if (history.past.length > 0 || history.future.length > 0) keepHistory(name, history)
  }, [name, sync, history])

  // what somebody else has saved or a conflict came to, under an edit that is not yet known to the sync
  useEffect(
    () =>
      sync.onAdopt((before, after) =>
        setHistory((now) => {
          const next = now.present === before ? after : merge(before, now.present, after).document
          return record(now, next, 'changed elsewhere', `elsewhere ${Date.now()}`, Date.now())
        }),
      ),
    [sync],
  )

  // a tablet that is put down may not come back to this page
  useEffect(() => {
    const leave = () => {
      if (document.visibilityState === 'hidden') void sync.flush()
    }
    document.addEventListener('visibilitychange', leave)
    return () => {
      document.removeEventListener('visibilitychange', leave)
      void sync.flush()
    }
  }, [sync])

  const edit = useCallback<DocumentEditor<T>['edit']>((label, change, key = label, oneAct = false) => {
    setHistory((now) => record(now, change(now.present), label, key, Date.now(), oneAct))
  }, [])
  return useMemo(
    () => ({
      document: history.present,
      history,
      edit,
      undo: history.past.length > 0 ? () => setHistory(undo) : null,
      redo: history.future.length > 0 ? () => setHistory(redo) : null,
      undoLabel: history.past.at(-1)?.label ?? null,
      redoLabel: history.future[0]?.label ?? null,
      sync,
      settle: (settled: T) => sync.resolve(settled),
    }),
    [history, edit, sync],
  )
}

/** How saving of a document stands. */
export function useSaving<T>(sync: DocumentSync<T>): SaveState<T> {
  return useSyncExternalStore(sync.subscribe, () => sync.state)
}
