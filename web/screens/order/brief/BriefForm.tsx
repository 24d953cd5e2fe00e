import { Checkbox, Group, Select } from '@mantine/core'
import { allergenSchema, allergenWords } from '#core/common'
import { type Order, orderFields } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { handName } from '#core/plan/handed'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Card } from '../../../parts/Card.tsx'
import { OptionalLengthField } from '../../../parts/length.tsx'
import { MomentField } from '../../../parts/MomentField.tsx'
import { NumberField } from '../../../parts/NumberField.tsx'
import { TextField } from '../../../parts/TextField.tsx'
import css from './Brief.module.css'
import { Sure } from './Sure.tsx'

const shape = orderFields.shape

/** What, for whom, for when, who pipes it, how sure it must be, what must not be in it. */
export function BriefForm({ changeIcing }: { changeIcing: (id: string) => void }) {
  const { order, workshop, plan, edit } = useOrderEditor()
  const set =
    <K extends keyof Order>(key: K, label: string) =>
    (value: Order[K]) =>
      edit(label, (o) => ({ ...o, [key]: value }), key)
  // whoever is chosen stays to be chosen, though nobody of that name works here any more
  const hands = [...new Set([...workshop.settings.day.hands.map((h) => h.name), order.piper].filter(Boolean))]
  return (
    <Card title="The brief">
      <div className={css.form}>
        <TextField
          label="What it is for"
          value={order.title}
          schema={shape.title}
          onChange={set('title', 'title')}
        />
        <TextField
          label="Who it is for"
          value={order.customer}
          schema={shape.customer.unwrap()}
          onChange={set('customer', 'customer')}
        />
        <MomentField label="Ready by" value={order.collectAt} onChange={set('collectAt', 'day and time')} />
        <Select
          label="How it travels"
          value={order.travel}
          onChange={(v) => v && set('travel', 'travel')(v as Order['travel'])}
          data={[
            { value: 'collected', label: 'Collected here' },
            { value: 'delivered', label: 'Delivered' },
            { value: 'onSite', label: 'Finished on site' },
          ]}
        />
        <OptionalLengthField
          label="The box leaves above each piece"
          value={order.boxMm}
          schema={shape.boxMm.unwrap().unwrap()}
          onChange={set('boxMm', 'box')}
          placeholder="not measured"
        />
        <Select
          label="Icing kind"
          value={order.icingKindId}
          onChange={(v) => v && changeIcing(v)}
          data={workshop.icings.map((i) => ({ value: i.id, label: i.name }))}
        />
        <Select
          label="Who pipes it"
          placeholder="anybody"
          clearable
          value={order.piper || null}
          onChange={(v) => set('piper', 'who pipes it')(v ?? '')}
          data={hands}
          {...(learntOf(order, workshop) ? { description: learntOf(order, workshop) } : {})}
        />
        <NumberField
          label="Practice flowers of each kind"
          value={order.practicePerFlower}
          schema={shape.practicePerFlower.unwrap()}
          onChange={set('practicePerFlower', 'practice')}
        />
        <Sure
          order={order}
          plan={plan}
          currency={workshop.settings.currency}
          setSafety={set('safety', 'safety')}
          setPromiseFor={set('promiseFor', 'safety')}
        />
        <Checkbox.Group
          className={css.wide}
          label="Must not be in it"
          value={order.avoid}
          onChange={(v) => set('avoid', 'allergens')(v as Order['avoid'])}
        >
          <Group gap="lg" mt={6}>
            {allergenSchema.options.map((a) => (
              <Checkbox key={a} value={a} label={allergenWords[a]} />
            ))}
          </Group>
        </Checkbox.Group>
        <p className={`${css.wide} quiet`}>
          Only what is labelled edible goes on food. Who may eat it, how long it may stand warm and what must
          be written on the box: your food-safety plan and the local authority decide, not this page.
        </p>
        <div className={css.wide}>
          <TextField
            label="Notes"
            value={order.note}
            schema={shape.note.unwrap()}
            onChange={set('note', 'note')}
            multiline
          />
        </div>
      </div>
    </Card>
  )
}

/** What is learnt of the hand that pipes an order, in a few words; null where nobody is named or nothing is learnt. */
function learntOf({ piper }: Order, { hands }: Workshop): string | null {
  const hand = hands.find((h) => h.name === handName(piper))
  if (!hand) return null
  const times = (of: number) => `× ${of.toFixed(2)}`
  return `from the logbook: grams ${times(hand.grams)}, seconds ${times(hand.pace)}`
}
