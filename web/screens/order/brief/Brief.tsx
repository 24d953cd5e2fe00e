import { Checkbox, Group, Select } from '@mantine/core'
import { useState } from 'react'
import { allergenSchema, allergenWords } from '#core/common'
import type { IcingKind } from '#core/model/icing'
import { type Order, orderFields } from '#core/model/order'
import type { Plan } from '#core/model/plan'
import type { Workshop } from '#core/model/workshop'
import { handName } from '#core/plan/handed'
import { allergenProof } from '#core/plan/proof'
import { formatMinuteParts, formatMinutes } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Card, Stat, Stats } from '../../../parts/Card.tsx'
import { OptionalLengthField } from '../../../parts/length.tsx'
import { MomentField } from '../../../parts/MomentField.tsx'
import { NumberField } from '../../../parts/NumberField.tsx'
import { TextField } from '../../../parts/TextField.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import css from './Brief.module.css'
import { IcingChange } from './IcingChange.tsx'
import { Proof } from './Proof.tsx'
import { Quote } from './Quote.tsx'
import { Sure } from './Sure.tsx'

const shape = orderFields.shape

/** What, for whom, for when, what must not be in it; and beside it what that comes to. */
export function Brief() {
  const { order, workshop, plan, edit } = useOrderEditor()
  const weight = useWeight()
  const set =
    <K extends keyof Order>(key: K, label: string) =>
    (value: Order[K]) =>
      edit(label, (o) => ({ ...o, [key]: value }), key)
  const [changed, setChanged] = useState<{ from: IcingKind; to: IcingKind } | null>(null)
  // whoever is chosen stays to be chosen, though nobody of that name works here any more
  const hands = [...new Set([...workshop.settings.day.hands.map((h) => h.name), order.piper].filter(Boolean))]
  const changeIcing = (id: string) => {
    const of = (icingKindId: string) => workshop.icings.find((i) => i.id === icingKindId)!
    setChanged({ from: of(order.icingKindId), to: of(id) })
    set('icingKindId', 'icing kind')(id)
  }
  return (
    <div className={css.columns}>
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
            Only what is labelled edible goes on food. Who may eat it, how long it may stand warm and what
            must be written on the box: your food-safety plan and the local authority decide, not this page.
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
      <div className={css.side}>
        {plan && (
          <Card title="What it comes to">
            <Stats>
              <Stat name="to mix" note={`${weight(plan.totals.pipedGrams)} lands on the pieces`}>
                {weight(plan.totals.mixedGrams)}
              </Stat>
              <Stat name="hands-on">{formatMinutes(plan.totals.handsOnMinutes)}</Stat>
              <Stat name="flowers">{plan.totals.flowers}</Stat>
              <Stat name="icing ingredients">
                {workshop.settings.currency} {plan.totals.cost.toFixed(2)}
              </Stat>
            </Stats>
            <p className={`${css.hands} quiet`}>Hands: {handsWords(plan)}.</p>
          </Card>
        )}
        {changed && changed.to.id === order.icingKindId && (
          <IcingChange from={changed.from} to={changed.to} close={() => setChanged(null)} />
        )}
        {plan && order.avoid.length > 0 && <Proof proofs={allergenProof(order, plan, workshop)} />}
        {plan && plan.uses.length > 0 && <Quote plan={plan} />}
      </div>
    </div>
  )
}

/** What the hands go into, the most first. */
function handsWords({ hands }: Plan): string {
  const { base, bowls, bags, kept, changes, coats, piping, nails } = hands
  const parts: [string, number][] = [
    ['base and bowls', base + bowls],
    ['bags and tips', bags + kept + changes],
    ['piping', piping],
    ['nails and lifting', nails],
    ['coats', coats],
  ]
  const most = parts.filter(([, minutes]) => minutes > 0).sort((a, b) => b[1] - a[1])
  const shown = formatMinuteParts(most.map(([, minutes]) => minutes))
  return most.flatMap(([what], i) => (shown[i] === '0 min' ? [] : [`${shown[i]} ${what}`])).join(', ')
}

/** What is learnt of the hand that pipes an order, in a few words; null where nobody is named or nothing is learnt. */
function learntOf({ piper }: Order, { hands }: Workshop): string | null {
  const hand = hands.find((h) => h.name === handName(piper))
  if (!hand) return null
  const times = (of: number) => `× ${of.toFixed(2)}`
  return `from the logbook: grams ${times(hand.grams)}, seconds ${times(hand.pace)}`
}
