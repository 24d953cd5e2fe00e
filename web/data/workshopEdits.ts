import { mutate } from 'swr'
import type { StoredWorkshop } from '#contract/workshop'
import { api } from './api.ts'
import { type Conflict, DocumentSync, type SaveState } from './documentSync.ts'
import type { DraftReaders } from './draftReaders.ts'
import { draftNames, findDraft } from './drafts.ts'
import { type DocumentKind, type WorkshopDocuments, workshopDocuments } from './workshopDocuments.ts'

export const WORKSHOP_KEY = '/workshop'

interface Open<K extends DocumentKind = DocumentKind> {
  kind: K
  id: string
  sync: DocumentSync<WorkshopDocuments[K]>
}

/** One sync a document, kept as long as the page is: each knows the version that its own last save gave. */
const open = new Map<string, Open>()
const listeners = new Set<() => void>()
/** Counts every change, so that a screen knows when to look again. */
let generation = 0
/** The workshop as the server last gave it. */
let known: StoredWorkshop | undefined

const nameOf = (kind: DocumentKind, id: string) => `${kind}/${id}`

function tell(): void {
  generation += 1
  for (const listener of listeners) listener()
}

export const subscribeEdits = (listener: () => void): (() => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}
export const editsGeneration = (): number => generation

/** What reads drafts; not there in a browser that has kept none of the workshop. */
let readers: DraftReaders | null = null

/**
 * The workshop as the server has it, and with it what reads the drafts that an earlier visit left: they weigh much and
 * are seldom needed. A draft that another page leaves later is still that page's to send.
 */
export async function fetchWorkshop(): Promise<StoredWorkshop> {
  const stored = api<StoredWorkshop>(WORKSHOP_KEY)
  const left = [...draftNames()].some((name) => isKind(name.split('/')[0] ?? ''))
  if (left && !readers) readers = (await import('./draftReaders.ts')).draftReaders
  return stored
}

/** Takes in the workshop as the server has it: documents that nobody is changing here follow it. */
export function takeIn(stored: StoredWorkshop): void {
  if (stored === known) return
  if (!known) goOn(stored)
  known = stored
  for (const entry of open.values()) follow(entry, stored)
}

/** What an earlier visit could not send any more is sent now, whether anybody opens it again or not. */
function goOn(stored: StoredWorkshop): void {
  for (const name of draftNames()) {
    const [kind = '', id = ''] = name.split('/')
    if (!isKind(kind) || !workshopDocuments[kind].find(stored, id)) continue
    documentSync(kind, id, stored)
  }
}

const isKind = (kind: string): kind is DocumentKind => Object.hasOwn(workshopDocuments, kind)

function follow<K extends DocumentKind>({ kind, id, sync }: Open<K>, stored: StoredWorkshop): void {
  const definition = workshopDocuments[kind]
  const document = definition.find(stored, id)
  if (document) sync.adopt({ document: definition.told(document), version: definition.version(stored, id) })
}

/** The workshop with everything that has been changed here and may not be on the server yet. */
export function withEdits(stored: StoredWorkshop): StoredWorkshop {
  let edited = stored
  for (const entry of open.values()) edited = withEdit(entry, edited)
  return edited
}

function withEdit<K extends DocumentKind>(
  { kind, id, sync }: Open<K>,
  stored: StoredWorkshop,
): StoredWorkshop {
  const definition = workshopDocuments[kind]
  // a newer version than this sync has seen, or the same and nothing waiting: the server's word stands
  const version = definition.version(stored, id)
  if (!definition.find(stored, id) || version > sync.version) return stored
  if (sync.isSettled && version === sync.version) return stored
  return definition.put(stored, definition.withLearnt(sync.document, stored), Math.max(version, sync.version))
}

/** The sync of one document, made at the first asking; its draft from an earlier visit goes on. */
export function documentSync<K extends DocumentKind>(
  kind: K,
  id: string,
  stored: StoredWorkshop,
): DocumentSync<WorkshopDocuments[K]> {
  const name = nameOf(kind, id)
  const there = open.get(name)
  if (there) return there.sync as unknown as DocumentSync<WorkshopDocuments[K]>
  const definition = workshopDocuments[kind]
  const document = definition.find(stored, id)
  if (!document) throw new Error(`There is no ${kind} “${id}” any more. It may have been deleted meanwhile.`)
  const sync = new DocumentSync<WorkshopDocuments[K]>({
    name,
    stored: { document: definition.told(document), version: definition.version(stored, id) },
    draft: readers && findDraft(name, readers[kind]),
    transport: {
      save: (changed, version) =>
        api(definition.path(id), { method: 'PUT', body: definition.body(changed), version }),
      read: async () => {
        const now = await api<StoredWorkshop>(WORKSHOP_KEY)
        const found = definition.find(now, id)
        if (!found) throw new Error('It has been deleted meanwhile. It can be brought back under “Deleted”.')
        return { document: definition.told(found), version: definition.version(now, id) }
      },
    },
    // what the server works out from it may have changed too
    onSaved: () => void mutate(WORKSHOP_KEY),
  })
  const entry = { kind, id, sync } as unknown as Open
  open.set(name, entry)
  sync.subscribe(tell)
  return sync
}

/** Changes one document of the workshop: at once on screen, saved a moment later, whatever is on its way meanwhile. */
export function editDocument<K extends DocumentKind>(
  kind: K,
  id: string,
  change: (document: WorkshopDocuments[K]) => WorkshopDocuments[K],
): void {
  if (!known) return
  const sync = documentSync(kind, id, known)
  sync.set(change(sync.document))
}

/** Forgets a document that has been deleted: nothing of it is sent any more. */
export function closeDocument(kind: DocumentKind, id: string): void {
  open.delete(nameOf(kind, id))
  tell()
}

/** How saving stands over all documents: what wants a person first. */
export function editsState(): { state: SaveState; entry: OpenConflict | null } {
  const order: SaveState['kind'][] = ['conflict', 'refused', 'waiting', 'saving', 'saved']
  const entries = [...open.values()].sort(
    (a, b) => order.indexOf(a.sync.state.kind) - order.indexOf(b.sync.state.kind),
  )
  const first = entries[0]
  if (!first) return { state: { kind: 'saved' }, entry: null }
  const { state } = first.sync
  return { state, entry: state.kind === 'conflict' ? conflictOf(first, state.conflict) : null }
}

export interface OpenConflict {
  what: string
  name: string
  conflict: Conflict<unknown>
  settle(document: unknown): void
}

function conflictOf({ kind, id, sync }: Open, conflict: Conflict<unknown>): OpenConflict {
  return {
    what: workshopDocuments[kind].what,
    name: nameOf(kind, id),
    conflict,
    settle: (document) => (sync as unknown as DocumentSync<unknown>).resolve(document),
  }
}

// a page that is left or put away sends what is waiting at once
if (typeof document !== 'undefined')
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'hidden') void flushEdits()
  })

/** Sends everything that is waiting, now. */
export async function flushEdits(): Promise<void> {
  await Promise.all([...open.values()].map(({ sync }) => sync.flush()))
}
