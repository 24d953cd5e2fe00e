import type { EntityManager } from '@mikro-orm/postgresql'
import { dequal as equal } from 'dequal/lite'
import { type BackupKind, type BackupPreview, backupKinds, type Tally } from '#contract/backup'
import { type BackupFile, backupIds } from '#core/files/backupFile'
import { collectBackup } from './collect.ts'
import { bakeryState } from './state.ts'

/** Names that a preview spells out; the tallies count the rest. */
const MOST_NAMED = 30

/** What restoring a file would change, compared entry by entry with what is here. */
export async function previewBackup(em: EntityManager, file: BackupFile): Promise<BackupPreview> {
  const state = await bakeryState(em)
  const here = await collectBackup(em, new Date())
  const lost: string[] = []
  const changed: string[] = []
  const tallies = Object.fromEntries(
    backupKinds.map((kind) => [kind, tally(kind, here, file, lost, changed)]),
  ) as Record<BackupKind, Tally>
  return {
    savedAt: file.savedAt,
    bakery: file.settings?.bakery ?? 'a bakery without a name',
    tallies,
    settingsChange: !equal(here.settings, file.settings),
    lost: lost.slice(0, MOST_NAMED),
    changed: changed.slice(0, MOST_NAMED),
    state,
  }
}

function tally(
  kind: BackupKind,
  here: BackupFile,
  file: BackupFile,
  lost: string[],
  changed: string[],
): Tally {
  const entries = (of: BackupFile) =>
    new Map<string, unknown>(backupIds(of)[kind].map((id, i) => [id, of[kind][i]]))
  const ours = entries(here)
  const theirs = entries(file)
  const result: Tally = { here: ours.size, inFile: theirs.size, added: 0, changed: 0, lost: 0 }
  for (const [id, entry] of ours)
    if (!theirs.has(id)) {
      result.lost += 1
      lost.push(nameOf(kind, entry))
    } else if (!equal(entry, theirs.get(id))) {
      result.changed += 1
      changed.push(nameOf(kind, theirs.get(id)))
    }
  for (const id of theirs.keys()) if (!ours.has(id)) result.added += 1
  return result
}

const singular: Record<BackupKind, string> = {
  orders: 'order',
  flowers: 'flower',
  icings: 'icing kind',
  tips: 'tip',
  bags: 'bag size',
  dyes: 'dye',
  weighings: 'weighing',
  looks: 'look at a bowl',
  runs: 'order being worked',
  noted: 'note from the bench',
  logged: 'entry of the logbook',
  photographs: 'photograph',
  tries: 'try at a drill',
}

/** An entry in words. */
function nameOf(kind: BackupKind, entry: unknown): string {
  const { order, flower, icing, dye, frozen, event, name, title, label, stamp, id, at, addedAt } =
    entry as Record<string, never> & {
      order?: { title: string }
      flower?: { name: string }
      icing?: { name: string }
      dye?: { name: string }
      frozen?: { order: { title: string } }
      event?: { kind: string; at: string }
      name?: string
      title?: string
      label?: string
      addedAt?: string
      stamp?: string
      id?: string
      at?: string
    }
  const called =
    order?.title ??
    frozen?.order.title ??
    flower?.name ??
    icing?.name ??
    dye?.name ??
    name ??
    title ??
    label ??
    (stamp || (at ?? event?.at ?? addedAt)?.slice(0, 10) || id)
  return `${singular[kind]} “${called}”`
}
