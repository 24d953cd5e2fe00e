import type { DeletedKind } from '#contract/deleted'
import { restoreDeleted } from '../data/deleted.ts'
import { attempt, tell } from './notify.tsx'

/** Deletes something, says so, and offers the way back; later it is found under "Deleted". @returns whether it is gone. */
export async function removeWithUndo(
  kind: DeletedKind,
  id: string,
  name: string,
  remove: () => Promise<unknown>,
): Promise<boolean> {
  const done = await attempt(async () => {
    await remove()
    return true
  })
  if (!done) return false
  tell(
    `“${name}” is deleted. It can be brought back under Deleted.`,
    () => void attempt(() => restoreDeleted(kind, id)),
  )
  return true
}
