import { ActionIcon, Button, Group, Modal, NumberInput, Select, TextInput } from '@mantine/core'
import { IconX } from '@tabler/icons-react'
import dayjs from 'dayjs'
import { useState } from 'react'
import { newWeighingSchema } from '#contract/weighings'
import { issueFaults } from '#core/files/orderFile'
import type { Flower } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'
import { addWeighing, removeWeighing, useWeighings } from '../../data/weighings.ts'
import { DataTable } from '../../parts/DataTable.tsx'
import { attempt } from '../../parts/notify.tsx'
import { useWeight } from '../../parts/weight.tsx'

/** Pipe some, weigh them, type what the scale says: the flower's factor and spread follow. */
export function WeighOne(props: { flower: Flower; workshop: Workshop; opened: boolean; close: () => void }) {
  const { flower, workshop } = props
  const { weighings = [] } = useWeighings(flower.id)
  const [count, setCount] = useState<number | string>(6)
  const [grams, setGrams] = useState<number | string>('')
  const [icingKindId, setIcingKindId] = useState(workshop.icings[0]!.id)
  const [note, setNote] = useState('')
  const [errors, setErrors] = useState<Record<string, string>>({})
  const weight = useWeight()

  async function keep(event: React.FormEvent) {
    event.preventDefault()
    const parsed = newWeighingSchema.safeParse({ count, grams, icingKindId, note })
    if (!parsed.success) {
      setErrors(Object.fromEntries(issueFaults(parsed.error).map((f) => [String(f.path[0]), f.message])))
      return
    }
    setErrors({})
    const kept = await attempt(async () => {
      await addWeighing(flower.id, parsed.data)
      return true
    })
    if (kept) {
      setGrams('')
      setNote('')
    }
  }

  return (
    <Modal opened={props.opened} onClose={props.close} title={`Weigh some: ${flower.name}`} size="lg">
      <form onSubmit={keep} noValidate>
        <Group align="flex-start" grow>
          <NumberInput label="How many" value={count} onChange={setCount} error={errors.count} />
          <NumberInput
            label="All together, g"
            decimalScale={2}
            value={grams}
            onChange={setGrams}
            error={errors.grams && (grams === '' ? 'Type what the scale says.' : errors.grams)}
            data-autofocus
          />
          <Select
            label="Icing kind"
            value={icingKindId}
            onChange={(id) => id && setIcingKindId(id)}
            data={workshop.icings.map((i) => ({ value: i.id, label: i.name }))}
          />
        </Group>
        <Group align="flex-end" mt="sm">
          <TextInput label="Note" value={note} onChange={(e) => setNote(e.currentTarget.value)} flex={1} />
          <Button type="submit" variant="filled">
            Keep it
          </Button>
        </Group>
      </form>
      {weighings.length > 0 && (
        <DataTable
          caption="Weighed so far"
          rows={weighings}
          rowKey={(w) => w.id}
          columns={[
            {
              key: 'at',
              name: 'When',
              value: (w) => w.at,
              show: (w) => dayjs(w.at).format('D MMM YYYY, HH:mm'),
            },
            { key: 'count', name: 'Flowers', value: (w) => w.count, numeric: true },
            {
              key: 'each',
              name: 'Each',
              value: (w) => w.grams / w.count,
              show: (w) => weight(w.grams / w.count),
              numeric: true,
            },
            {
              key: 'ratio',
              name: 'Over computed',
              value: (w) => w.grams / w.computedGrams,
              show: (w) => (w.grams / w.computedGrams).toFixed(2),
              numeric: true,
            },
            { key: 'note', name: 'Note', value: (w) => w.note },
            {
              key: 'remove',
              name: '',
              value: () => '',
              show: (w) => (
                <ActionIcon
                  aria-label="Take this weighing back"
                  onClick={() => void attempt(() => removeWeighing(flower.id, w.id))}
                >
                  <IconX size={16} />
                </ActionIcon>
              ),
            },
          ]}
        />
      )}
    </Modal>
  )
}
