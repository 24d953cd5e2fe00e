import { useState } from 'react'
import type { Bag, Plan } from '#core/model/plan'
import { pairKey } from '#core/plan/keys'
import { shortOpening } from '#core/tips/index'
import { counted } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { AdviceList } from '../../../parts/AdviceList.tsx'
import { Card } from '../../../parts/Card.tsx'
import { DataTable } from '../../../parts/DataTable.tsx'
import { Empty, Loading } from '../../../parts/states.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import { BagDetail } from './BagDetail.tsx'
import { BagSearch } from './BagSearch.tsx'
import css from './Bags.module.css'
import { BagTile } from './BagTile.tsx'
import { Fewer } from './Fewer.tsx'
import { Sequence } from './Sequence.tsx'
import { OPENING_SCALE } from './scale.ts'

/** What to fill, in this order: every bag drawn with its load and its openings. */
export function Bags() {
  const { order, workshop, plan, take } = useOrderEditor()
  // by what is in it and its first tip: numbers change with every other plan
  const [chosen, setChosen] = useState<string | null>(null)
  const weight = useWeight()
  if (!plan) return <Loading what="the plan" />
  if (plan.bags.length === 0)
    return (
      <Card>
        <Empty title="No bags yet">Put flowers on a piece, and the bags to fill for them stand here.</Empty>
      </Card>
    )
  const uses = new Map(plan.uses.map((u) => [u.id, u]))
  const keysOf = (b: Bag) => b.useIds.map((id) => pairKey(uses.get(id)!))
  const bag = plan.bags.find((b) => chosen !== null && keysOf(b).includes(chosen)) ?? plan.bags[0]!
  const choose = (b: Bag) => setChosen(keysOf(b)[0] ?? null)
  const advice = plan.advice.filter((a) => ['bag', 'tip', 'drawer'].includes(a.about.kind))
  const names = new Map(plan.colours.map((c) => [c.id, c.name]))
  return (
    <div className={css.page}>
      <div className={css.columns}>
        <Card
          title="Fill these, in this order"
          aside={`openings ${OPENING_SCALE} × life size where they fit · ${counted(plan.totals.changes, 'tip change')} · ${counted(plan.totals.washes, 'wash', 'washes')} · ${weight(plan.residues.bags + plan.residues.topUps)} stays in bags`}
        >
          <ul className={css.rail}>
            {plan.bags.map((b) => (
              <BagTile
                key={b.number}
                bag={b}
                plan={plan}
                workshop={workshop}
                selected={b.number === bag.number}
                select={() => choose(b)}
              />
            ))}
          </ul>
        </Card>
        <BagDetail bag={bag} plan={plan} workshop={workshop} order={order} />
      </div>
      <Fewer />
      <BagSearch plan={plan} />
      {advice.length > 0 && (
        <Card title="Worth a look">
          <AdviceList advice={advice} take={take} />
        </Card>
      )}
      <Sequence
        plan={plan}
        pieces={new Map(order.pieces.map((p) => [p.id, p.name]))}
        colours={new Map(plan.colours.map((c) => [c.id, c.name]))}
        things={new Map(order.setOns.map((t) => [t.id, t]))}
      />
      <Card>
        <BagTable plan={plan} names={names} csvHref={`/api/orders/${order.id}/plan/bags.csv`} />
      </Card>
    </div>
  )

  function BagTable(props: { plan: Plan; names: Map<string, string>; csvHref: string }) {
    const tipWords = (b: Bag) =>
      b.tipIds.map((id) => shortOpening(workshop.tips.find((t) => t.id === id)!.opening)).join(', ')
    return (
      <DataTable
        caption="Bags in figures"
        csvHref={props.csvHref}
        rows={props.plan.bags}
        rowKey={(b) => String(b.number)}
        onRow={choose}
        selectedKey={String(bag.number)}
        columns={[
          { key: 'number', name: 'Bag', value: (b) => b.number, numeric: true },
          {
            key: 'load',
            name: 'Load',
            value: (b) => b.load.map((l) => props.names.get(l.colourId) ?? l.colourId).join(' + '),
          },
          { key: 'stiffness', name: 'Stiffness', value: (b) => b.stiffness },
          { key: 'tips', name: 'Tips', value: tipWords },
          {
            key: 'coupler',
            name: 'Coupler',
            value: (b) => (b.coupler === 'none' ? 'none, tip fixed' : b.coupler),
          },
          {
            key: 'bag',
            name: 'Bag',
            value: (b) => workshop.bags.find((s) => s.id === b.bagStockId)?.name ?? 'none that fits',
          },
          { key: 'grams', name: 'In it', value: (b) => b.grams, show: (b) => weight(b.grams), numeric: true },
          { key: 'fillings', name: 'Fillings', value: (b) => b.fillings, numeric: true },
          { key: 'changes', name: 'Changes', value: (b) => b.changes, numeric: true },
          { key: 'washes', name: 'Washes', value: (b) => b.washes, numeric: true },
          {
            key: 'stays',
            name: 'Stays in it',
            value: (b) => b.residueGrams + b.topUpGrams,
            show: (b) => weight(b.residueGrams + b.topUpGrams),
            numeric: true,
          },
        ]}
      />
    )
  }
}
