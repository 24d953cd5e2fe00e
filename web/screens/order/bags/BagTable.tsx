import type { Bag, Plan } from '#core/model/plan'
import { shortOpening } from '#core/tips/index'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { DataTable } from '../../../parts/DataTable.tsx'
import { useWeight } from '../../../parts/weight.tsx'

/** Every bag in figures; a press opens it. */
export function BagTable(props: { plan: Plan; chosen: Bag; choose: (bag: Bag) => void }) {
  const { order, workshop } = useOrderEditor()
  const weight = useWeight()
  const names = new Map(props.plan.colours.map((c) => [c.id, c.name]))
  return (
    <DataTable
      caption="Bags in figures"
      long
      csvHref={`/api/orders/${order.id}/plan/bags.csv`}
      rows={props.plan.bags}
      rowKey={(b) => String(b.number)}
      onRow={props.choose}
      selectedKey={String(props.chosen.number)}
      columns={[
        { key: 'number', name: 'Bag', value: (b) => b.number, numeric: true },
        {
          key: 'load',
          name: 'Load',
          value: (b) => b.load.map((l) => names.get(l.colourId) ?? l.colourId).join(' + '),
        },
        { key: 'stiffness', name: 'Stiffness', value: (b) => b.stiffness },
        {
          key: 'tips',
          name: 'Tips',
          value: (b) =>
            b.tipIds.map((id) => shortOpening(workshop.tips.find((t) => t.id === id)!.opening)).join(', '),
        },
        { key: 'coupler', name: 'Coupler', value: (b) => (b.coupler === 'none' ? 'none' : b.coupler) },
        {
          key: 'bag',
          name: 'Size',
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
