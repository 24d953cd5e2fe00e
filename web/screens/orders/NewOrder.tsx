import { Button, Group, Modal, Select, TextInput } from '@mantine/core'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { newOrderSchema } from '#contract/orders'
import { DAY_MINUTES, dayOf, minuteOf, momentOf } from '#core/timeline/clock'
import { loadByDay } from '#core/timeline/load'
import { formatMinutes } from '#core/units'
import { useComingDays } from '../../data/comingDays.ts'
import { createOrder, orderLike, useOrders } from '../../data/orders.ts'
import { useWorkshop } from '../../data/workshop.ts'
import { nextWeek, today, useCalendar } from '../../parts/calendar.ts'
import { MomentField } from '../../parts/MomentField.tsx'
import { attempt } from '../../parts/notify.tsx'

/** Name and day of a new order; everything else is asked where it is needed. */
export function NewOrder(props: { opened: boolean; close: () => void }) {
  const [title, setTitle] = useState('')
  const [collectAt, setCollectAt] = useState(nextWeek)
  const [like, setLike] = useState<string | null>(null)
  const coming = useOrders('coming', today(), '').orders ?? []
  const past = useOrders('past', today(), '').orders ?? []
  const [errors, setErrors] = useState<Record<string, string>>({})
  const navigate = useNavigate()
  const { shortMoment } = useCalendar()

  async function begin(event: React.FormEvent) {
    event.preventDefault()
    const parsed = newOrderSchema.safeParse({ title, collectAt })
    if (!parsed.success) {
      setErrors(Object.fromEntries(parsed.error.issues.map((i) => [String(i.path[0]), i.message])))
      return
    }
    const made = await attempt(() =>
      like === null
        ? createOrder(parsed.data.title, parsed.data.collectAt)
        : orderLike(like, parsed.data.title, parsed.data.collectAt),
    )
    if (!made) return
    props.close()
    setTitle('')
    setLike(null)
    navigate(`/orders/${made.order.id}/pieces`)
  }

  return (
    <Modal opened={props.opened} onClose={props.close} title="New order">
      <form onSubmit={begin} noValidate>
        <TextInput
          label="What is it for?"
          placeholder="Garden wedding, 60 cupcakes"
          value={title}
          onChange={(e) => setTitle(e.currentTarget.value)}
          error={errors.title}
          mb="sm"
          data-autofocus
        />
        <MomentField
          label="Collected or delivered at"
          value={collectAt}
          onChange={setCollectAt}
          error={errors.collectAt}
        />
        <Select
          mt="sm"
          label="The same as"
          placeholder="nothing: begin empty"
          clearable
          searchable
          value={like}
          onChange={setLike}
          data={[...coming, ...past].map((o) => ({
            value: o.id,
            label: `${o.title}, ${shortMoment(o.collectAt)}`,
          }))}
        />
        <p className="quiet" style={{ marginTop: 8 }}>
          {props.opened && <DaysBefore collectAt={collectAt} />}
        </p>
        <Group justify="flex-end" mt="md">
          <Button onClick={props.close}>Cancel</Button>
          <Button type="submit" variant="filled">
            Begin
          </Button>
        </Group>
      </form>
    </Modal>
  )
}

/** How full the day of a new order is, and the one before it. */
function DaysBefore({ collectAt }: { collectAt: string }) {
  const { workshop } = useWorkshop()
  const coming = useComingDays(workshop)
  const { dayName } = useCalendar()
  if (!workshop || !coming.table) return null
  const due = dayOf(minuteOf(collectAt))
  const loads = loadByDay(coming.table, workshop.settings.day, coming.reply?.misfits ?? [], due - 1, due)
  return loads.map((l) => {
    const taken = l.byOrder.reduce((sum, o) => sum + o.minutes, 0)
    const day = dayName(momentOf(l.day * DAY_MINUTES))
    return (
      <span key={l.day} style={{ display: 'block' }}>
        {l.openMinutes === 0
          ? `${day}: closed.`
          : `${day}: ${formatMinutes(taken)} of ${formatMinutes(l.openMinutes)} of hands taken${l.tooMuch > 0 ? ', overfull' : ''}.`}
      </span>
    )
  })
}
