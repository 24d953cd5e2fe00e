import { useMemo, useState } from 'react'
import type { StoredWorkshop } from '#contract/workshop'
import type { Flower } from '#core/model/flower'
import { useDocument } from '../../data/useDocument.ts'
import { documentSync } from '../../data/workshopEdits.ts'

/** A flower while it is changed: at once on screen, saved a moment later, every step undoable. */
export interface FlowerDraft {
  flower: Flower
  /** False for a flower of the catalogue, which is copied first. */
  editable: boolean
  edit(label: string, change: (flower: Flower) => Flower): void
  undo: (() => void) | null
  redo: (() => void) | null
}

export function useFlowerDraft(flower: Flower, stored: StoredWorkshop): FlowerDraft {
  const [sync] = useState(() => documentSync('flower', flower.id, stored))
  const { document, edit, undo, redo } = useDocument(`flower/${flower.id}`, sync)
  const editable = flower.source === 'own'
  const { calibration, spread } = flower
  // what weighing has taught is the server's to say
  const shown = useMemo(() => ({ ...document, calibration, spread }), [document, calibration, spread])
  return {
    flower: shown,
    editable,
    edit: (label, change) => {
      if (editable) edit(label, change)
    },
    undo,
    redo,
  }
}
