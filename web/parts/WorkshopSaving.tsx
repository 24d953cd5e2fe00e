import { useSyncExternalStore } from 'react'
import { useWorkshop } from '../data/workshop.ts'
import { editsGeneration, editsState, subscribeEdits } from '../data/workshopEdits.ts'
import { later } from './later.tsx'
import { SaveWord } from './SaveWord.tsx'

const WorkshopConflict = later(
  async () => (await import('./WorkshopConflict.tsx')).WorkshopConflict,
  () => true,
)

/** Says in the bar how saving of the workshop stands while it is not simply saved, and asks when two have changed one thing. */
export function WorkshopSaving() {
  const { workshop } = useWorkshop()
  useSyncExternalStore(subscribeEdits, editsGeneration)
  const { state, entry } = editsState()
  return (
    <>
      {state.kind !== 'saved' && <SaveWord save={state} />}
      {entry && workshop && <WorkshopConflict entry={entry} workshop={workshop} />}
    </>
  )
}
