import { Button, FileButton, Group, Modal } from '@mantine/core'
import { useState } from 'react'
import { type BackupKind, type BackupPreview, backupKinds } from '#contract/backup'
import type { Problem } from '#contract/problem'
import { counted } from '#core/units'
import { ApiError } from '../../data/api.ts'
import { previewBackup, reloadBackupAge, restoreBackup, useBackupAge } from '../../data/backup.ts'
import { Card } from '../../parts/Card.tsx'
import { useCalendar } from '../../parts/calendar.ts'
import { DataTable } from '../../parts/DataTable.tsx'
import { ImportFaults } from '../../parts/ImportFaults.tsx'
import { tell } from '../../parts/notify.tsx'
import { localMoment } from '../../parts/time.ts'
import css from './BackupCard.module.css'

/** Everything of the bakery as one file, and back again. */
export function BackupCard({ bakery }: { bakery: string }) {
  const age = useBackupAge()
  const [refused, setRefused] = useState<{ file: string; problem: Problem } | null>(null)
  const [preview, setPreview] = useState<{ file: File; preview: BackupPreview } | null>(null)
  const [reading, setReading] = useState(false)

  async function look(file: File | null) {
    if (!file) return
    setReading(true)
    try {
      setPreview({ file, preview: await previewBackup(file) })
    } catch (error) {
      if (error instanceof ApiError) setRefused({ file: file.name, problem: error.problem })
      else tell((error as Error).message)
    } finally {
      setReading(false)
    }
  }

  return (
    <Card title="Backup" aside={age && ageWords(age.days)}>
      <p className={css.words}>
        One file with everything: orders, also deleted ones, flowers, the drawer, dyes, weighings, looks at
        bowls and settings. Keep it away from this machine.
      </p>
      <Group>
        <Button
          component="a"
          variant="filled"
          href="/api/backup"
          download
          onClick={() => setTimeout(() => void reloadBackupAge(), 4000)}
        >
          Save a backup
        </Button>
        <FileButton
          onChange={look}
          accept=".gz,.json,application/gzip,application/json"
          inputProps={{ 'aria-label': 'Backup file' }}
        >
          {(props) => (
            <Button {...props} loading={reading}>
              Restore from a file…
            </Button>
          )}
        </FileButton>
      </Group>
      <ImportFaults refused={refused} close={() => setRefused(null)} />
      {preview && <Preview {...preview} bakery={bakery} close={() => setPreview(null)} />}
    </Card>
  )
}

function ageWords(days: number | null): string {
  if (days === null) return 'never saved'
  return days === 0 ? 'saved today' : `saved ${counted(days, 'day')} ago`
}

const words: Record<BackupKind, string> = {
  orders: 'Orders',
  flowers: 'Flowers of your own',
  icings: 'Icing kinds of your own',
  tips: 'Tips',
  bags: 'Sizes of bag',
  dyes: 'Dyes',
  weighings: 'Weighings',
  looks: 'Looks at bowls',
  runs: 'Orders being worked',
  noted: 'Notes from the bench',
  logged: 'Entries of the logbook',
  tries: 'Tries at drills',
  photographs: 'Photographs',
}

/** What would change, before anything does: the way to keep what is here comes before the way to replace it. */
function Preview(props: { file: File; preview: BackupPreview; bakery: string; close: () => void }) {
  const { file, preview, bakery, close } = props
  const [restoring, setRestoring] = useState(false)
  const [error, setError] = useState<string | null>(null)
  const { shortMoment } = useCalendar()
  const rows = backupKinds
    .map((kind) => ({ kind, ...preview.tallies[kind] }))
    .filter((row) => row.here > 0 || row.inFile > 0)
  const same = !preview.settingsChange && rows.every((row) => row.added + row.changed + row.lost === 0)

  async function restore() {
    setRestoring(true)
    try {
      await restoreBackup(file, preview.state)
      tell('The backup is restored.')
      close()
    } catch (failed) {
      const moved = failed instanceof ApiError && failed.problem.status === 412
      setError(
        moved
          ? 'Something was saved here after this preview. Close it and look at the file again.'
          : (failed as Error).message,
      )
      setRestoring(false)
    }
  }

  return (
    <Modal opened onClose={close} size={760} title={`Restore “${preview.bakery}”`}>
      <p>
        Saved {shortMoment(localMoment(new Date(preview.savedAt)))}.{' '}
        {same
          ? 'It is the same as what is here: restoring it changes nothing.'
          : `Restoring puts it in the place of everything in “${bakery}”, all or nothing.`}
      </p>
      <DataTable
        caption="What restoring changes"
        rows={rows}
        rowKey={(row) => row.kind}
        columns={[
          { key: 'kind', name: '', value: (row) => words[row.kind] },
          { key: 'here', name: 'Here', value: (row) => row.here, numeric: true },
          { key: 'file', name: 'In the file', value: (row) => row.inFile, numeric: true },
          { key: 'added', name: 'Come back', value: (row) => row.added, numeric: true },
          { key: 'changed', name: 'Change', value: (row) => row.changed, numeric: true },
          { key: 'lost', name: 'Would be lost', value: (row) => row.lost, numeric: true },
        ]}
      />
      <Names title="Would be lost" names={preview.lost} />
      <Names title="Would go back to the file’s state" names={preview.changed} />
      {preview.settingsChange && <p>The settings would be the file’s.</p>}
      {error && (
        <p role="alert" className={css.error}>
          {error}
        </p>
      )}
      <Group justify="space-between" mt="lg">
        <Button component="a" href="/api/backup" download variant={same ? 'outline' : 'filled'}>
          First save what is here
        </Button>
        <Group>
          <Button onClick={close}>Leave everything as it is</Button>
          <Button onClick={() => void restore()} loading={restoring} disabled={same || error !== null}>
            Restore
          </Button>
        </Group>
      </Group>
    </Modal>
  )
}

function Names({ title, names }: { title: string; names: readonly string[] }) {
  if (names.length === 0) return null
  return (
    <section className={css.names}>
      <h3>{title}</h3>
      <p>{names.join(', ')}</p>
    </section>
  )
}
