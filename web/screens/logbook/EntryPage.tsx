import { Button } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import useSWR from 'swr'
import type { StoredLogEntry } from '#contract/log'
import { type LogEntry, logEntrySchema } from '#core/model/logEntry'
import { api } from '../../data/api.ts'
import { DocumentSync } from '../../data/documentSync.ts'
import { findDraft } from '../../data/drafts.ts'
import { bringBack, logTransport, removeEntry } from '../../data/log.ts'
import { useDocument, useSaving } from '../../data/useDocument.ts'
import { PageHead } from '../../parts/Card.tsx'
import { useCalendar } from '../../parts/calendar.ts'
import { newId } from '../../parts/newId.ts'
import { attempt, tell } from '../../parts/notify.tsx'
import { SaveWord } from '../../parts/SaveWord.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { UndoButtons } from '../../parts/UndoButtons.tsx'
import { Entry } from './Entry.tsx'

/** One order as it was made: planned against done, every figure of it to be corrected. */
export function EntryPage() {
  const { entryId, part = '' } = useParams()
  // a fresh read each time it is opened, and none behind the editor's back afterwards
  const [visit] = useState(newId)
  const { data, error } = useSWR<StoredLogEntry, Error>(
    ['log', entryId, visit],
    () => api<StoredLogEntry>(`/log/${entryId}`),
    { revalidateOnFocus: false, revalidateOnReconnect: false, revalidateIfStale: false },
  )
  if (error && !data) return <Failed what="This entry" error={error} />
  if (!data) return <Loading what="the entry" />
  return <Editing key={data.entry.id} stored={data} part={part} />
}

const readEntry = (document: unknown): LogEntry | null => {
  const parsed = logEntrySchema.safeParse(document)
  return parsed.success ? parsed.data : null
}

function Editing({ stored, part }: { stored: StoredLogEntry; part: string }) {
  const name = `log/${stored.entry.id}`
  const [sync] = useState(
    () =>
      new DocumentSync<LogEntry>({
        name,
        transport: logTransport(stored.entry.id),
        stored: { document: stored.entry, version: stored.version },
        draft: findDraft(name, readEntry),
      }),
  )
  const { document: entry, edit, undo, redo, undoLabel, redoLabel } = useDocument(name, sync)
  const save = useSaving(sync)
  const { shortMoment } = useCalendar()
  const navigate = useNavigate()
  useHotkeys([
    ['mod+Z', () => undo?.()],
    ['mod+shift+Z', () => redo?.()],
    ['mod+Y', () => redo?.()],
  ])

  async function remove() {
    const gone = await attempt(async () => {
      await sync.flush()
      await removeEntry(entry.id)
      return true
    })
    if (!gone) return
    navigate('/logbook')
    tell(`The entry of “${entry.title}” is deleted.`, () => void attempt(() => bringBack(entry)))
  }

  return (
    <>
      <PageHead
        title={entry.title}
        part="Logbook"
        line={`made ${shortMoment(entry.at)}${entry.people.length > 0 ? ` by ${entry.people.join(', ')}` : ''}`}
        actions={
          <>
            <SaveWord save={save} />
            <UndoButtons undo={undo} redo={redo} undoLabel={undoLabel} redoLabel={redoLabel} />
            <Button onClick={remove}>Delete</Button>
          </>
        }
      />
      <Entry
        entry={entry}
        // whoever corrects a figure has looked at all of them
        edit={(label, change, key) => edit(label, (e) => ({ ...change(e), counted: true }), key)}
        part={part}
      />
    </>
  )
}
