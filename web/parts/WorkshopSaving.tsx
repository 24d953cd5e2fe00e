import { useSyncExternalStore } from 'react'
import { useWorkshop } from '../data/workshop.ts'
import { editsGeneration, editsState, subscribeEdits } from '../data/workshopEdits.ts'
import { ConflictDialog } from './ConflictDialog.tsx'
import { SaveWord } from './SaveWord.tsx'
import { namesIn } from './workshopNames.ts'

/** Says in the bar how saving of the workshop stands while it is not simply saved, and asks when two have changed one thing. */
export function WorkshopSaving() {
  const { workshop } = useWorkshop()
  useSyncExternalStore(subscribeEdits, editsGeneration)
  const { state, entry } = editsState()
  return (
    <>
      {state.kind !== 'saved' && <SaveWord save={state} />}
      {entry && workshop && (
        <ConflictDialog
          key={entry.name}
          what={entry.what}
          conflict={entry.conflict}
          nameOf={namesIn(workshop)}
          settle={entry.settle}
        />
      )}
    </>
  )
}
