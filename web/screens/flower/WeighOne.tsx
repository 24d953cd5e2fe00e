import { ActionIcon, Button, Group, Modal, Select, TextInput } from '@mantine/core'
import { IconX } from '@tabler/icons-react'
import dayjs from 'dayjs'
import { useState } from 'react'
import { newWeighingSchema } from '#contract/weighings'
import { issueFaults } from '#core/files/orderFile'
import type { Weighing } from '#core/logbook/weighing'
import type { Flower } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'
import { ApiError } from '../../data/api.ts'
import { addWeighing, removeWeighing, useWeighings } from '../../data/weighings.ts'
import { DataTable } from '../../parts/DataTable.tsx'
import { NumberText } from '../../parts/NumberText.tsx'
import { attempt, tell } from '../../parts/notify.tsx'
import { useWeight } from '../../parts/weight.tsx'
import { FromScale } from '../../scale/FromScale.tsx'
import css from './WeighOne.module.css'

/** Pipe some, weigh them, type what the scale says: the flower's factor and spread follow. */
export function WeighOne(props: { flower: Flower; workshop: Workshop; opened: boolean; close: () => void }) {
  const { flower, workshop } = props
  const { weighings = [] } = useWeighings(flower.id)
  const [count, setCount] = useState<number | null>(6)
  const [grams, setGrams] = useState<number | null>(null)
  const [icingKindId, setIcingKindId] = useState(workshop.icings[0]!.id)
  const [note, setNote] = useState('')
  const [errors, setErrors] = useState<Record<string, string>>({})
  /** What makes a weighing hard to believe, asked before it is kept. */
  const [doubt, setDoubt] = useState<string | null>(null)

  async function keep(sure: boolean) {
    const parsed = newWeighingSchema.safeParse({ count, grams, icingKindId, note, sure })
    if (!parsed.success) {
      setErrors(Object.fromEntries(issueFaults(parsed.error).map((f) => [String(f.path[0]), f.message])))
      return
    }
    setErrors({})
    try {
      await addWeighing(flower.id, parsed.data)
      setGrams(null)
      setNote('')
      setDoubt(null)
    } catch (error) {
      if (error instanceof ApiError && error.problem.code === 'implausible') setDoubt(error.message)
      else tell((error as Error).message)
    }
  }

  const typed = (set: (value: number | null) => void) => (value: number | null) => {
    set(value)
    setDoubt(null)
    return null
  }

  return (
    <Modal opened={props.opened} onClose={props.close} title={`Weigh some: ${flower.name}`} size="lg">
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          void keep(false)
        }}
      >
        <Group align="flex-start" grow>
          <NumberText label="How many" value={count} onNumber={typed(setCount)} error={errors.count} />
          <NumberText
            label="All together"
            unit="g"
            decimals={2}
            value={grams}
            onNumber={typed(setGrams)}
            error={errors.grams && (grams === null ? 'Type what the scale says.' : errors.grams)}
            autoFocus
          />
          <Select
            label="Icing kind"
            value={icingKindId}
            onChange={(id) => id && setIcingKindId(id)}
            data={workshop.icings.map((i) => ({ value: i.id, label: i.name }))}
          />
        </Group>
        <div className={css.fromScale}>
          <FromScale units={workshop.settings.units} take={typed(setGrams)} />
        </div>
        <Group align="flex-end" mt="sm">
          <TextInput label="Note" value={note} onChange={(e) => setNote(e.currentTarget.value)} flex={1} />
          <Button type="submit" variant="filled">
            Keep it
          </Button>
        </Group>
      </form>
      {doubt && (
        <div role="alert" className={css.doubt}>
          <p>{doubt}</p>
          <Group>
            <Button variant="filled" onClick={() => setDoubt(null)}>
              Look at it again
            </Button>
            <Button onClick={() => void keep(true)}>It is right, keep it</Button>
          </Group>
        </div>
      )}
      {weighings.length > 0 && <Weighed flowerId={flower.id} weighings={weighings} />}
    </Modal>
  )
}

function Weighed({ flowerId, weighings }: { flowerId: string; weighings: readonly Weighing[] }) {
  const weight = useWeight()
  return (
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
              onClick={() => void attempt(() => removeWeighing(flowerId, w.id))}
            >
              <IconX size={16} />
            </ActionIcon>
          ),
        },
      ]}
    />
  )
}
