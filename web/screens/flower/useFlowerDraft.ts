import { useCallback, useEffect, useRef, useState } from 'react'
import type { Flower } from '#core/model/flower'
import { type History, record, redo, startHistory, undo } from '../../data/history.ts'
import { saveFlower } from '../../data/workshop.ts'
import { attempt } from '../../parts/notify.tsx'

const SAVE_PAUSE_MS = 500

/** A flower while it is changed: at once on screen, saved a moment later, every step undoable. */
export interface FlowerDraft {
  flower: Flower
  /** False for a flower of the catalogue, which is copied first. */
  editable: boolean
  edit(label: string, change: (flower: Flower) => Flower): void
  undo: (() => void) | null
  redo: (() => void) | null
}

export function useFlowerDraft(stored: Flower): FlowerDraft {
  const [history, setHistory] = useState<History<Flower>>(() => startHistory(stored))
  const flower = history.present
  const saved = useRef(stored)
  const waiting = useRef<Flower | null>(null)
  const timer = useRef<number>(undefined)
  const editable = stored.source === 'own'

  const save = useCallback(() => {
    const next = waiting.current
    waiting.current = null
    if (next) void attempt(() => saveFlower(next))
  }, [])
  useEffect(() => {
    if (flower === saved.current) return
    saved.current = flower
    waiting.current = flower
    window.clearTimeout(timer.current)
    timer.current = window.setTimeout(save, SAVE_PAUSE_MS)
  }, [flower, save])
  // leaving inside the pause must not lose the last change
  useEffect(
    () => () => {
      window.clearTimeout(timer.current)
      save()
    },
    [save],
  )

  return {
    flower,
    editable,
    edit: (label, change) => {
      if (editable) setHistory((h) => record(h, change(h.present), label, label, Date.now()))
    },
    undo: history.past.length > 0 ? () => setHistory(undo) : null,
    redo: history.future.length > 0 ? () => setHistory(redo) : null,
  }
}
