import { Button, Group, Modal, TextInput } from '@mantine/core'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { newOrderSchema } from '#contract/orders'
import { createOrder } from '../../data/orders.ts'
import { nextWeek } from '../../parts/calendar.ts'
import { MomentField } from '../../parts/MomentField.tsx'
import { attempt } from '../../parts/notify.tsx'

/** Name and day of a new order; everything else is asked where it is needed. */
export function NewOrder(props: { opened: boolean; close: () => void }) {
  const [title, setTitle] = useState('')
  const [collectAt, setCollectAt] = useState(nextWeek)
  const [errors, setErrors] = useState<Record<string, string>>({})
  const navigate = useNavigate()

  async function begin(event: React.FormEvent) {
    event.preventDefault()
    const parsed = newOrderSchema.safeParse({ title, collectAt })
    if (!parsed.success) {
      setErrors(Object.fromEntries(parsed.error.issues.map((i) => [String(i.path[0]), i.message])))
      return
    }
    const made = await attempt(() => createOrder(parsed.data.title, parsed.data.collectAt))
    if (!made) return
    props.close()
    setTitle('')
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
