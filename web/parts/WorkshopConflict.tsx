import type { Workshop } from '#core/model/workshop'
import type { OpenConflict } from '../data/workshopEdits.ts'
import { ConflictDialog } from './ConflictDialog.tsx'
import { namesIn } from './workshopNames.ts'

/** Asks what shall stand of something in the workshop that two have changed. */
export function WorkshopConflict({ entry, workshop }: { entry: OpenConflict; workshop: Workshop }) {
  return (
    <ConflictDialog
      key={entry.name}
      what={entry.what}
      conflict={entry.conflict}
      nameOf={namesIn(workshop)}
      settle={entry.settle}
    />
  )
}
