import { standBehind } from '../check/behind.ts'
import { ProblemError } from '../http/problems.ts'
import { connect } from '../orm.ts'
import { previewBakery, restoreBakery, saveBakery } from './bakery.ts'
import { pack, unpack } from './packed.ts'

standBehind()

/** Work on a whole bakery, on a thread and a line to the database of its own. */
export type BackupTask =
  | { act: 'save'; url: string }
  | { act: 'preview'; url: string; bytes: Uint8Array }
  | { act: 'restore'; url: string; bytes: Uint8Array; state: string }

/** Errors cross threads as data. */
export type BackupAnswer = { done: unknown } | { problem: ConstructorParameters<typeof ProblemError> }

export default async function backup(task: BackupTask): Promise<BackupAnswer> {
  try {
    // reading and checking come first: a file that cannot be read needs no database
    const file = task.act === 'save' ? null : unpack(task.bytes)
    const orm = await connect(task.url, { patient: true })
    try {
      if (task.act === 'save') return { done: pack(await saveBakery(orm, new Date())) }
      if (task.act === 'preview') return { done: await previewBakery(orm, file!) }
      await restoreBakery(orm, file!, task.state)
      return { done: null }
    } finally {
      await orm.close()
    }
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error
    const { status, code, title, message, faults } = error
    return { problem: [status, code, title, message, faults] }
  }
}
