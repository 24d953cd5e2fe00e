import { Button, Group, Modal } from '@mantine/core'
import { useState } from 'react'
import type { DeletedKind, DeletedThing } from '#contract/deleted'
import { purgeDeleted, reloadDeleted, restoreDeleted, useDeleted } from '../../data/deleted.ts'
import { Card, PageHead } from '../../parts/Card.tsx'
import { useCalendar } from '../../parts/calendar.ts'
import { attempt, tell } from '../../parts/notify.tsx'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { localMoment } from '../../parts/time.ts'
import css from './Deleted.module.css'

const titles: Record<DeletedKind, string> = {
  orders: 'Orders',
  flowers: 'Flowers',
  icings: 'Icing kinds',
  tips: 'Tips',
  dyes: 'Dyes',
}

/** Everything that was deleted: brought back with a press, or deleted for good after one question. */
export function Deleted() {
  const { things, error } = useDeleted()
  const [asked, setAsked] = useState<DeletedThing | null>(null)
  if (error && !things) return <Failed what="What was deleted" error={error} retry={reloadDeleted} />
  if (!things) return <Loading what="what was deleted" />
  const kinds = (Object.keys(titles) as DeletedKind[]).filter((kind) => things.some((t) => t.kind === kind))
  async function purge(thing: DeletedThing) {
    setAsked(null)
    await attempt(() => purgeDeleted(thing.kind, thing.id))
  }
  return (
    <>
      <PageHead title="Deleted" line="Kept until you delete it for good; backups hold it too" />
      {things.length === 0 && (
        <Empty title="Nothing is deleted">
          Orders, flowers, icing kinds, tips and bottles that you delete wait here to be brought back.
        </Empty>
      )}
      <div className={css.kinds}>
        {kinds.map((kind) => (
          <Card key={kind} title={titles[kind]}>
            <ul className={css.list}>
              {things
                .filter((thing) => thing.kind === kind)
                .map((thing) => (
                  <Row key={thing.id} thing={thing} ask={() => setAsked(thing)} />
                ))}
            </ul>
          </Card>
        ))}
      </div>
      <Modal opened={asked !== null} onClose={() => setAsked(null)} title="Delete for good?">
        <p>“{asked?.name}” will be gone from here. Only a backup can bring it back then.</p>
        <Group justify="flex-end" mt="md">
          <Button onClick={() => asked && void purge(asked)}>Delete for good</Button>
          <Button variant="filled" onClick={() => setAsked(null)}>
            Keep it
          </Button>
        </Group>
      </Modal>
    </>
  )
}

function Row({ thing, ask }: { thing: DeletedThing; ask: () => void }) {
  const { shortMoment } = useCalendar()
  const back = () =>
    attempt(async () => {
      await restoreDeleted(thing.kind, thing.id)
      tell(`“${thing.name}” is back.`)
    })
  return (
    <li className={css.row}>
      <div>
        <strong>{thing.name}</strong>
        <div className="quiet">
          {[
            thing.about,
            thing.due && `due ${shortMoment(thing.due)}`,
            `deleted ${shortMoment(localMoment(new Date(thing.deletedAt)))}`,
          ]
            .filter(Boolean)
            .join(' · ')}
        </div>
      </div>
      <Group>
        <Button aria-label={`Bring ${thing.name} back`} variant="filled" onClick={() => void back()}>
          Bring back
        </Button>
        <Button aria-label={`Delete ${thing.name} for good`} onClick={ask}>
          Delete for good…
        </Button>
      </Group>
    </li>
  )
}
